package ration.publish.packet;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.plumbing.Joints;
import ration.aircraft.plumbing.SheetColumn;
import ration.answer.assess.AirAnswer;
import ration.answer.signoff.Requirement;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.physics.breathing.LowPoints;
import ration.physics.breathing.SamplingCard;
import ration.publish.drawing.PathProfile;
import ration.publish.paper.Cell;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** How the lines run and are made up; joints, vents, drains, low points. */
final class LinesSheet {

    static final String KEY = "lines";

    private final Pages pages;
    private final Dossier d;

    LinesSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
    }

    void write() throws IOException {
        List<Joints.Joint> joints = Joints.of(d.system());
        pages.page(
                KEY,
                "Lines and fittings",
                Optional.of(d.worst(Check.Topic.RUNS, Check.Topic.AIR)),
                Dossier.count(d.system().runs().size(), "line", "lines") + ", "
                        + Dossier.count(joints.size(), "joint", "joints"));
        path();
        if (!d.system().runs().isEmpty()) {
            routed();
            joints(joints);
        }
        vents();
        drains();
        lowPoints();
    }

    private void path() throws IOException {
        if (d.assessment().governing().isEmpty()) {
            return;
        }
        var c = d.assessment().governing().get();
        pages.section("Along the path", c.label(d.system(), d.units()) + "; " + PathProfile.title(c, d.units()), 190);
        pages.picture(PathProfile.draw(
                d.system(), c, d.units(), 700, 200, pages.sheet().measure()));
    }

    private String cell(SheetColumn column, Run r) {
        String text = column.text(d.system(), r);
        return text.isEmpty() ? "not entered" : text;
    }

    private void routed() throws IOException {
        pages.section("As routed", "sizes and lengths are beside the drawing");
        pages.table(
                List.of(
                        Column.strong("Line", Run::name),
                        Column.text("Made as", r -> r.build()
                                .construction()
                                .map(c -> c.label())
                                .orElse("not entered")),
                        Column.figure("Tightest bend", r -> cell(SheetColumn.TIGHTEST, r)),
                        Column.figure("Clamp spacing", r -> cell(SheetColumn.SUPPORTS, r)),
                        Column.figure("Clearance", r -> cell(SheetColumn.CHAFE, r)),
                        Column.figure("Heat distance", r -> cell(SheetColumn.HEAT, r)),
                        Column.figure("Torque", r -> cell(SheetColumn.TORQUE, r)),
                        Column.text("Sleeve", r -> r.build().marks().sleeved() ? "fire sleeve" : "none"),
                        Column.text("Lot, made", LinesSheet::lot),
                        Column.cell("", r -> state(r.id()))),
                d.system().runs());
    }

    private static String lot(Run r) {
        var p = r.build().papers();
        return p.lot().isEmpty() && p.made().isEmpty() ? "" : (p.lot() + " " + p.made()).strip();
    }

    /** The worst of what is checked of a line. */
    private Cell state(String item) {
        List<Requirement> of = d.requirements(
                r -> r.finding().item().equals(item) && r.finding().topic() == Check.Topic.RUNS);
        return of.stream()
                .max(java.util.Comparator.comparing(Requirement::verdict))
                .<Cell>map(r -> Cell.state(r.ratio(), r.verdict()))
                .orElse(Cell.of(""));
    }

    private void joints(List<Joints.Joint> joints) throws IOException {
        pages.section("Joints", "threads, adapters and sealant, as entered");
        pages.table(
                List.of(
                        Column.strong("Joint", j -> j.run().name() + " at " + j.at()),
                        Column.text(
                                "On the line",
                                j -> j.end().fitting().map(f -> f.text()).orElse("not entered")),
                        Column.text(
                                "On the part",
                                j -> j.end().port().map(f -> f.text()).orElse("not entered")),
                        Column.text(
                                "Adapter",
                                j -> j.end().adapter().isEmpty()
                                        ? "none"
                                        : j.end().adapter()),
                        Column.text(
                                "Sealant",
                                j -> j.end().sealant().isEmpty()
                                        ? "none"
                                        : j.end().sealant()),
                        Column.cell("", LinesSheet::state)),
                joints);
    }

    private static Cell state(Joints.Joint j) {
        return switch (j.state()) {
            case GOOD -> Cell.state(Finding.MET, Verdict.HOLDS);
            case OPEN -> Cell.state(Finding.MISSED, Verdict.NOT_SHOWN);
            case WRONG -> Cell.state(0.5, Verdict.FAILS);
        };
    }

    private void vents() throws IOException {
        UnitSystem u = d.units();
        if (d.assessment().air().isEmpty()) {
            return;
        }
        pages.section("Vents", "pressure drop of the air that takes the place of the fuel");
        pages.table(
                List.of(
                        Column.<AirAnswer>strong("Tank", x -> x.tank().name()),
                        Column.figure(
                                "Drop, feeding", x -> x.line().isEmpty() ? "Not shown" : u.small(x.drop(x.feeding()))),
                        Column.figure(
                                "Drop, descending",
                                x -> x.line().isEmpty() ? "Not shown" : u.small(x.drop(x.descending()))),
                        Column.text("If it is blocked", LinesSheet::blocked)),
                d.assessment().air());
    }

    private static String blocked(AirAnswer x) {
        return x.blocked()
                .map(b -> b.outlasts()
                        ? "the tank empties first"
                        : "low flow after " + UnitSystem.figure(b.soonest().seconds() / 60, 1) + " min")
                .orElse("not computed");
    }

    private void drains() throws IOException {
        UnitSystem u = d.units();
        List<SamplingCard.Drain> all = SamplingCard.of(d.system());
        if (all.isEmpty()) {
            return;
        }
        pages.section("Drains", "in the order of the walk-around");
        pages.table(
                List.of(
                        Column.<SamplingCard.Drain>text("No.", x -> String.valueOf(all.indexOf(x) + 1)),
                        Column.strong("Drain", SamplingCard.Drain::name),
                        Column.figure("FS", x -> u.text(x.place().x(), Dimension.LENGTH)),
                        Column.figure("BL", x -> u.text(x.place().y(), Dimension.LENGTH)),
                        Column.figure("WL", x -> u.text(x.place().z(), Dimension.LENGTH))),
                all);
    }

    private void lowPoints() throws IOException {
        UnitSystem u = d.units();
        Point3 parked = d.parked().gravity().up();
        List<LowPoints.Found> found = LowPoints.of(d.system(), parked).points();
        if (found.isEmpty()) {
            return;
        }
        pages.section("Low and high points", "parked; water collects low, vapor high");
        pages.table(
                List.of(
                        Column.<LowPoints.Found>strong("What", f -> words(f.kind())),
                        Column.text(
                                "At",
                                f -> d.system().item(f.item()).map(Item::name).orElse(f.item())),
                        Column.figure("FS", f -> u.text(f.place().x(), Dimension.LENGTH)),
                        Column.figure("WL", f -> u.text(f.place().z(), Dimension.LENGTH))),
                found);
    }

    private static String words(Enum<?> kind) {
        String name = kind.name().toLowerCase(Locale.ROOT).replace('_', ' ');
        return name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
    }
}
