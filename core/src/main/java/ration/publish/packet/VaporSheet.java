package ration.publish.packet;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.answer.assess.VaporAnswer;
import ration.answer.signoff.Requirement;
import ration.base.quantity.UnitSystem;
import ration.physics.vapor.PathHeat;
import ration.physics.vapor.SoakPath;
import ration.publish.drawing.SoakPicture;
import ration.publish.drawing.VaporPath;
import ration.publish.paper.Cell;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.verdict.check.Check;

/** How far the fuel stands from boiling on its way, on the hot day and after a shutdown. */
final class VaporSheet {

    static final String KEY = "vapor";

    private final Pages pages;
    private final Dossier d;

    VaporSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
    }

    void write() throws IOException {
        UnitSystem u = d.units();
        List<VaporAnswer> both = Stream.of(
                        d.assessment().vapor(), d.assessment().hotFuel())
                .flatMap(Optional::stream)
                .toList();
        pages.page(
                KEY,
                "Vapor",
                Optional.of(d.worst(Check.Topic.VAPOR)),
                both.isEmpty()
                        ? "nothing is computed yet"
                        : "least margin " + u.difference(both.get(0).degrees()) + ", needs "
                                + u.difference(both.get(0).needed()));
        if (!both.isEmpty()) {
            path(both.get(0));
            pages.section("Margin by day", "degrees to boiling where it is nearest");
            pages.table(
                    List.of(
                            Column.<VaporAnswer>strong("Where, when", v -> v.label(d.project(), u)),
                            Column.figure("Vapor margin", v -> u.difference(v.degrees())),
                            Column.figure("Needs", v -> u.difference(v.needed())),
                            Column.cell("", v -> Cell.state(v.ratio(), v.verdict()))),
                    both);
            soak(both.get(0));
        }
        List<Requirement> asked = d.requirements(r -> r.finding().topic() == Check.Topic.VAPOR);
        if (!asked.isEmpty()) {
            pages.section("Requirements", "");
            ComplianceSheet.brief(pages, asked);
        }
        pages.note(
                "Not computed: dissolved air, weathered fuel, vapor made by a hot pump. Prove it on a hot day, on the"
                        + " ground, before it is needed.");
    }

    private void path(VaporAnswer worst) throws IOException {
        if (!worst.look().demand().usable()) {
            return;
        }
        pages.section(
                "Pressure along the path, and the pressure at which it boils",
                worst.label(d.project(), d.units()),
                240);
        pages.picture(VaporPath.draw(
                new VaporPath.Subject(
                        d.project(),
                        VaporAnswer.path(d.project(), worst.look(), worst.air()),
                        Optional.empty(),
                        worst.air(),
                        d.units()),
                680,
                240,
                pages.sheet().measure()));
    }

    /** Warming of what stands in the bay, engine off. */
    private void soak(VaporAnswer worst) throws IOException {
        if (!worst.look().demand().usable() || !worst.heatSaid()) {
            return;
        }
        PathHeat path = VaporAnswer.path(d.project(), worst.look(), worst.air());
        List<SoakPath> parts = SoakPath.of(
                d.system(),
                path,
                d.project().heat(),
                worst.look().condition().engine().power(),
                0);
        if (parts.isEmpty()) {
            return;
        }
        pages.section(
                "After shutdown",
                "computed; a restart is at risk while fuel in a part is above its boiling point",
                200);
        pages.picture(SoakPicture.draw(parts, List.of(), List.of(), d.units(), 680, 210));
    }
}
