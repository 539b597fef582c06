package ration.publish.export;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Item;
import ration.answer.assess.AirAnswer;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.TankAnswer;
import ration.answer.assess.VaporAnswer;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.physics.breathing.LowPoints;
import ration.physics.breathing.SamplingCard;
import ration.physics.flow.PathStep;
import ration.physics.tank.StrandedMap;
import ration.publish.drawing.Ink;
import ration.publish.drawing.StrandedPicture;
import ration.publish.drawing.VaporPath;
import ration.publish.paper.Pages;
import ration.publish.paper.Pages.Column;
import ration.publish.paper.PdfSheet;
import ration.record.project.Project;

/**
 * The computed half of a packet: where the head goes, what stays in each tank, where it would boil, vents and low
 * points, gauges at true scale.
 */
final class PacketFigures {

    private static final double WIDE = 520;
    private static final double METRE = GaugeCard.POINTS / Unit.INCH.toSi(1);

    private final PdfSheet pdf;
    private final Pages pages;
    private final Assessment assessment;
    private final Project project;
    private final UnitSystem units;
    private final Task task;

    PacketFigures(PdfSheet pdf, Pages pages, Assessment assessment, UnitSystem units, Task task) {
        this.pdf = pdf;
        this.pages = pages;
        this.assessment = assessment;
        this.project = assessment.project();
        this.units = units;
        this.task = task;
    }

    /** Where the pressure goes in the case that governs. */
    void budget() throws IOException {
        Optional<CaseAnswer> c = assessment.governing();
        if (c.isEmpty()) {
            return;
        }
        pages.section("Head budget of the governing case", c.get().label(project.system(), units));
        pages.table(
                List.of(
                        new Column<PathStep>("Item", 0.5, s -> project.system()
                                .item(s.item())
                                .map(Item::name)
                                .orElse(s.item())),
                        new Column<>(
                                "Loss at takeoff demand",
                                0.5,
                                s -> units.text(s.loss() / c.get().demand().weight(), Dimension.LENGTH) + " of fuel, "
                                        + UnitSystem.figure(
                                                units.unit(Dimension.PRESSURE).fromSi(s.loss()), 3) + " "
                                        + units.unit(Dimension.PRESSURE).symbol())),
                c.get().demand().path());
    }

    /** What stays, over pitch and bank; corner by corner of the region flown. */
    void stranded() throws IOException {
        for (TankAnswer t : assessment.tanks()) {
            if (t.tank().outlets().isEmpty() || task.cancelled().getAsBoolean()) {
                continue;
            }
            pages.page(
                    "Unusable fuel, " + t.tank().name(),
                    "maximum at " + t.predicted().attitude().label() + ": "
                            + units.fineVolume(t.predicted().volume()) + " computed; placard "
                            + units.fineVolume(t.placard()));
            pages.picture(StrandedPicture.draw(
                    new StrandedPicture.Subject(
                            StrandedMap.of(t.body(), t.feed()),
                            t,
                            project.brief().envelope().corners(),
                            t.predicted().attitude(),
                            units),
                    WIDE,
                    380,
                    pdf.measure()));
            pages.table(
                    List.of(
                            new Column<Attitude>("Attitude flown", 0.4, Attitude::label),
                            new Column<>(
                                    "Unusable, computed",
                                    0.3,
                                    a -> units.fineVolume(t.body()
                                            .stranded(a.gravity().up(), t.feed())
                                            .volume())),
                            new Column<>("Drain-tested", 0.3, a -> t.evidence().drained().stream()
                                    .filter(d -> d.at(a.pitchRad(), a.tiltRad()))
                                    .map(d -> units.fineVolume(d.largest()) + ", " + d.date())
                                    .findFirst()
                                    .orElse("not tested"))),
                    project.brief().envelope().corners());
        }
    }

    void vapor() throws IOException {
        List<VaporAnswer> both = Stream.of(assessment.vapor(), assessment.hotFuel())
                .flatMap(Optional::stream)
                .toList();
        if (both.isEmpty()) {
            return;
        }
        pages.page("Vapor margin", "fuel pressure and vapor pressure along the path");
        VaporAnswer worst = both.get(0);
        if (worst.look().demand().usable()) {
            pages.picture(VaporPath.draw(
                    new VaporPath.Subject(
                            project,
                            VaporAnswer.path(project, worst.look(), worst.air()),
                            Optional.empty(),
                            worst.air(),
                            units),
                    WIDE,
                    260,
                    pdf.measure()));
        }
        pages.table(
                List.of(
                        new Column<VaporAnswer>("Where, when", 0.52, v -> v.label(project, units)),
                        new Column<>("Vapor margin", 0.18, v -> units.difference(v.degrees())),
                        new Column<>("Needs", 0.14, v -> units.difference(v.needed())),
                        new Column<>("State", 0.16, v -> v.verdict().word())),
                both);
    }

    void air() throws IOException {
        pages.page("Vents and low points", "air for the fuel used; where water collects");
        pages.table(
                List.of(
                        new Column<AirAnswer>("Vent", 0.2, x -> x.tank().name()),
                        new Column<>(
                                "Bore, length",
                                0.24,
                                x -> x.line().isEmpty()
                                        ? "not entered"
                                        : x.tank()
                                                .fitout()
                                                .vent()
                                                .map(v -> v.bore().quantity().shown() + ", "
                                                        + units.text(v.length().si(), Dimension.LENGTH))
                                                .orElse("")),
                        new Column<>(
                                "Drop, feeding",
                                0.18,
                                x -> x.line().isEmpty() ? "Not shown" : units.small(x.drop(x.feeding()))),
                        new Column<>(
                                "Drop, descending",
                                0.18,
                                x -> x.line().isEmpty() ? "Not shown" : units.small(x.drop(x.descending()))),
                        new Column<>("Blocked, soonest", 0.2, x -> x.blocked()
                                .map(b -> b.outlasts()
                                        ? "tank empties first"
                                        : "low flow after "
                                                + UnitSystem.figure(b.soonest().seconds() / 60, 1) + " min")
                                .orElse("not computed"))),
                assessment.air());
        Point3 parked = project.brief().envelope().attitudes().get(0).gravity().up();
        pages.section("Drains, walk-around order", "parked");
        pages.table(
                List.of(
                        new Column<SamplingCard.Drain>("Drain", 0.4, SamplingCard.Drain::name),
                        new Column<>("FS", 0.2, d -> units.text(d.place().x(), Dimension.LENGTH)),
                        new Column<>("BL", 0.2, d -> units.text(d.place().y(), Dimension.LENGTH)),
                        new Column<>("WL", 0.2, d -> units.text(d.place().z(), Dimension.LENGTH))),
                SamplingCard.of(project.system()));
        List<LowPoints.Found> found = LowPoints.of(project.system(), parked).points();
        if (!found.isEmpty()) {
            pages.section("Low and high points", "parked");
            pages.table(
                    List.of(
                            new Column<LowPoints.Found>(
                                    "What",
                                    0.34,
                                    f -> f.kind().name().charAt(0)
                                            + f.kind()
                                                    .name()
                                                    .substring(1)
                                                    .toLowerCase(java.util.Locale.ROOT)
                                                    .replace('_', ' ')),
                            new Column<>("At", 0.3, f -> project.system()
                                    .item(f.item())
                                    .map(Item::name)
                                    .orElse(f.item())),
                            new Column<>("FS", 0.18, f -> units.text(f.place().x(), Dimension.LENGTH)),
                            new Column<>("WL", 0.18, f -> units.text(f.place().z(), Dimension.LENGTH))),
                    found);
        }
    }

    /** Cards and sticks to cut out, one a tank that has a gauge. */
    void gauges() throws IOException {
        for (TankAnswer t : assessment.tanks()) {
            if (t.tank().fitout().gauge().isEmpty()) {
                continue;
            }
            Attitude parked = project.brief().envelope().attitudes().get(0);
            List<Attitude> attitudes = Math.abs(parked.pitchRad()) < 1e-6
                    ? List.of(Attitude.ofDegrees("Level", 0, 0))
                    : List.of(Attitude.ofDegrees("Level", 0, 0), parked);
            pages.page("Gauge of " + t.tank().name(), "true scale: print at 100%, and measure the 2 in bar");
            pages.text(
                    "Zero is at the unusable fuel, " + units.fineVolume(t.unusable()) + " "
                            + t.source().word() + ". Placard: usable "
                            + units.fineVolume(Math.max(0, t.full() - Math.max(t.placard(), t.unusable())))
                            + ", unusable " + units.fineVolume(Math.max(t.placard(), t.unusable()))
                            + ". Check with a measured amount before use.",
                    8.5,
                    false);
            double top = pages.at() + 22;
            bar(top);
            double x = Pages.LEFT;
            for (Attitude a : attitudes) {
                x = strips(t, a, x, top);
            }
        }
    }

    private void bar(double top) throws IOException {
        double right = Pages.LEFT + pages.inside();
        double left = right - 2 * GaugeCard.POINTS;
        pdf.line(left, top, right, top, 1, Ink.INK);
        pdf.line(left, top - 5, left, top + 5, 1, Ink.INK);
        pdf.line(right, top - 5, right, top + 5, 1, Ink.INK);
        pdf.text(left + 62, top + 13, "2 in", 8, false, Ink.INK);
    }

    /** One attitude's stick in pieces, its foot at the bottom; returns where the next may stand. */
    private double strips(TankAnswer t, Attitude a, double left, double top) throws IOException {
        List<GaugeCard.Mark> marks = GaugeCard.marks(t, a, units);
        double room = pages.foot() - 24 - (top + 26);
        double tall = marks.stream().mapToDouble(GaugeCard.Mark::reading).max().orElse(0) * METRE + 16;
        int pieces = Math.max(1, (int) Math.ceil(tall / room));
        double x = left;
        pdf.text(x, top + 4, a.label() + (t.gauge(a).measured() ? ", by fills" : ", by shape"), 9, true, Ink.INK);
        double foot = top + 26 + Math.min(room, tall);
        for (int piece = 0; piece < pieces; piece++) {
            double from = piece * room;
            double high = Math.min(room, tall - from);
            pdf.line(x, foot, x, foot - high, 0.9, Ink.INK);
            pdf.line(x + 46, foot, x + 46, foot - high, 0.9, Ink.INK);
            pdf.line(x, foot, x + 46, foot, 0.9, Ink.INK);
            pdf.text(x, foot + 10, piece == 0 ? "bottom of the gauge" : "continued from " + piece, 7, false, Ink.SOFT);
            for (GaugeCard.Mark m : marks) {
                double h = m.reading() * METRE - from;
                if (h >= 0 && h <= high) {
                    pdf.line(x, foot - h, x + 22, foot - h, 0.9, Ink.INK);
                    pdf.text(
                            x + 25,
                            foot - Math.max(h, 4) + 3,
                            UnitSystem.figure(units.unit(Dimension.VOLUME).fromSi(m.volume()), 1),
                            8,
                            true,
                            Ink.INK);
                }
            }
            x += 84;
        }
        return x + 20;
    }

    /** Everything there is room for, in the order of the packet. */
    List<Packet.Section> sections() {
        List<Packet.Section> all = new ArrayList<>();
        all.add(this::stranded);
        all.add(this::vapor);
        all.add(this::air);
        all.add(this::gauges);
        return all;
    }
}
