package ration.publish.packet;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Attitude;
import ration.answer.assess.TankAnswer;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Ink;
import ration.publish.export.GaugeCard;
import ration.publish.paper.Pages;

/** The gauges of all tanks at true scale, as strips to be held against them. */
final class GaugeSheet {

    static final String KEY = "gauges";

    private static final double METRE = GaugeCard.POINTS / Unit.INCH.toSi(1);
    /** Of a strip, points. */
    private static final double HIGH = 20;

    private final Pages pages;
    private final Dossier d;

    GaugeSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
    }

    void write() throws IOException {
        List<TankAnswer> gauged = d.assessment().tanks().stream()
                .filter(t -> t.tank().fitout().gauge().isPresent())
                .toList();
        if (gauged.isEmpty()) {
            return;
        }
        pages.page(KEY, "Gauges", Optional.empty(), "true scale: print at 100%, and measure the 2 in bar");
        double left = pages.left();
        pages.sheet().line(left, pages.at(), left + 2 * GaugeCard.POINTS, pages.at(), 3, Ink.INK);
        pages.sheet()
                .text(
                        left + 2 * GaugeCard.POINTS + 8,
                        pages.at() + 3,
                        "2 in. The foot of the gauge is the left end. Check with a measured amount before use.",
                        7.5,
                        false,
                        Ink.SOFT);
        pages.space(12);
        for (TankAnswer t : gauged) {
            gauge(t);
        }
    }

    /** A stick lying at true scale, to be held against the gauge; longer ones go on in a second piece. */
    private void gauge(TankAnswer answer) throws IOException {
        UnitSystem u = d.units();
        Attitude level = Attitude.ofDegrees("Level", 0, 0);
        List<Attitude> attitudes = new ArrayList<>(List.of(level));
        if (Math.abs(d.parked().pitchRad()) > 1e-6) {
            attitudes.add(d.parked());
        }
        pages.section(
                "Gauge of " + answer.tank().name(),
                "zero is at the unusable fuel, " + u.fineVolume(answer.unusable()),
                attitudes.size() * 48 + 40);
        for (Attitude a : attitudes) {
            strip(answer, a);
        }
    }

    private void strip(TankAnswer answer, Attitude a) throws IOException {
        UnitSystem u = d.units();
        List<GaugeCard.Mark> marks = GaugeCard.marks(answer, a, u);
        double tall = marks.stream().mapToDouble(GaugeCard.Mark::reading).max().orElse(0) * METRE + 12;
        double longest = pages.inside() - 62;
        int pieces = Math.max(1, (int) Math.ceil(tall / longest));
        double x = pages.left() + 62;
        for (int piece = 0; piece < pieces; piece++) {
            pages.room(HIGH + 22);
            double top = pages.at() - 4;
            double from = piece * longest;
            double len = Math.min(longest, tall - from);
            pages.sheet().text(pages.left(), top + 9, piece == 0 ? a.name() : "continued", 8, true, Ink.INK);
            pages.sheet()
                    .text(
                            pages.left(),
                            top + 19,
                            (answer.gauge(a).measured() ? "by fills, " : "by shape, ")
                                    + u.unit(Dimension.VOLUME).symbol(),
                            7.2,
                            false,
                            Ink.SOFT);
            pages.sheet().frame(x, top, len, HIGH, 0.8);
            for (GaugeCard.Mark m : marks) {
                double at = m.reading() * METRE - from;
                if (at >= 0 && at <= len) {
                    pages.sheet().line(x + at, top, x + at, top + HIGH / 2, 0.8, Ink.INK);
                    pages.sheet()
                            .text(
                                    x + at + 2,
                                    top + HIGH - 3,
                                    UnitSystem.figure(u.unit(Dimension.VOLUME).fromSi(m.volume()), 1),
                                    8,
                                    true,
                                    Ink.INK);
                }
            }
            pages.space(HIGH + 14);
        }
    }
}
