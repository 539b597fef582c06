package ration.publish.packet;

import java.io.IOException;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Tank;
import ration.answer.assess.TankAnswer;
import ration.answer.signoff.Requirement;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.physics.tank.StrandedMap;
import ration.publish.drawing.ShapeViews;
import ration.publish.drawing.StrandedPicture;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.verdict.check.Check;
import ration.verdict.check.Verdict;

/** One tank: its shape and places, what is asked of it, what stays in it. */
final class TankSheet {

    /** What is asked of the tank itself; where its fuel boils or flows is told on the pages of these. */
    private static final Set<Check.Topic> ASKED = EnumSet.of(Check.Topic.TANKS, Check.Topic.AIR, Check.Topic.HANGAR);

    private final Pages pages;
    private final Dossier d;
    private final TankAnswer answer;
    private final Tank tank;

    TankSheet(Pages pages, Dossier dossier, TankAnswer answer) {
        this.pages = pages;
        d = dossier;
        this.answer = answer;
        tank = answer.tank();
    }

    static String key(String tank) {
        return "tank:" + tank;
    }

    void write() throws IOException {
        UnitSystem u = d.units();
        List<Requirement> asked = d.requirements(r -> r.finding().item().equals(tank.id())
                && ASKED.contains(r.finding().topic()));
        pages.page(
                key(tank.id()),
                tank.name(),
                Optional.of(
                        Dossier.worst(asked.stream().map(Requirement::verdict).toList())),
                u.text(answer.full(), Dimension.VOLUME) + " full; unusable "
                        + u.fineVolume(answer.unusable()) + " "
                        + answer.source().word() + ", placard "
                        + u.fineVolume(answer.placard()));
        pages.beside(0.5, this::shape, this::places);
        pages.section("Requirements on this tank", "needs: standard or placard; measured by a test that counts", 120);
        ComplianceSheet.brief(pages, asked);
    }

    /** A tank whose shape does not close: its figures stand there all the same, and nothing is said to hold of it. */
    static void unanswered(Pages pages, Dossier d, Tank tank) throws IOException {
        pages.page(key(tank.id()), tank.name(), Optional.of(Verdict.NOT_SHOWN), "no answer: its shape does not close");
        pages.warning("Not shown.", "Nothing is computed of this tank, nor of what it feeds, until its shape closes.");
        places(pages, d, tank);
        pages.section("Requirements on this tank", "");
        ComplianceSheet.brief(pages, d.requirements(r -> r.finding().item().equals(tank.id())));
    }

    private void shape() throws IOException {
        pages.picture(ShapeViews.draw(tank, null, d.units(), 380, 270));
        if (!tank.outlets().isEmpty()) {
            stranded();
        }
    }

    private void places() throws IOException {
        places(pages, d, tank);
    }

    private static void places(Pages pages, Dossier d, Tank tank) throws IOException {
        pages.table(
                List.of(
                        Column.strong("Place", Placed::name),
                        Column.figure("FS", p -> figure(d, p.along())),
                        Column.figure("BL", p -> figure(d, p.across())),
                        Column.figure("WL", p -> figure(d, p.up())),
                        Column.text("By", Placed::by)),
                Placed.of(tank));
        pages.note("Places in " + d.lengthUnit() + ", as measured.");
        pages.space(6);
        List<Field> rest =
                FieldSheet.of(tank).stream().filter(f -> !Placed.of(f)).toList();
        EvidenceSheet.figures(pages, tank, rest);
    }

    private static String figure(Dossier d, double m) {
        return Double.isNaN(m) ? "" : d.length(m);
    }

    /** What stays, over pitch and tilt; attitude by attitude of those flown. */
    private void stranded() throws IOException {
        UnitSystem u = d.units();
        List<Attitude> flown = d.project().brief().envelope().corners();
        pages.section(
                "Unusable fuel", "largest at " + answer.predicted().attitude().label());
        pages.picture(StrandedPicture.draw(
                new StrandedPicture.Subject(
                        StrandedMap.of(answer.body(), answer.feed()),
                        answer,
                        flown,
                        answer.predicted().attitude(),
                        u),
                400,
                280,
                pages.sheet().measure()));
        pages.table(
                List.of(
                        Column.strong("Attitude flown", Attitude::label),
                        Column.figure(
                                "Computed",
                                a -> u.fineVolume(answer.body()
                                        .stranded(a.gravity().up(), answer.feed())
                                        .volume())),
                        Column.figure("Drain-tested", this::drained)),
                flown);
    }

    private String drained(Attitude a) {
        return answer.evidence().drained().stream()
                .filter(x -> x.at(a.pitchRad(), a.tiltRad()))
                .map(x -> d.units().fineVolume(x.largest()) + ", " + x.date())
                .findFirst()
                .orElse("not tested");
    }
}
