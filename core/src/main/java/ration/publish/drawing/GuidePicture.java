package ration.publish.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.FuelSystem;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Ledger;
import ration.answer.assess.Regime;
import ration.answer.assess.StartingCase;
import ration.answer.assess.TankAnswer;
import ration.answer.assess.VaporAnswer;
import ration.answer.guide.Step;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.tank.StrandedMap;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Notch;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;
import ration.record.project.Brief;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * A picture of a step of the guide, drawn from a document: the reader's own where it has that much, else the demo. What
 * has to be solved for it is solved once, when it is made; it is drawn in any size after that.
 */
public final class GuidePicture {

    /** What is left to do: to draw it. */
    private interface Drawing {
        Picture in(double width, double height, TextMeasure measure);
    }

    private static final double ROW = 54;

    private final Drawing drawing;

    private GuidePicture(Drawing drawing) {
        this.drawing = drawing;
    }

    /** Whether a document has enough in it to be drawn in every step. */
    public static boolean drawable(Assessment a) {
        return a.governing().isPresent() && a.governingTank().isPresent();
    }

    /** @param a of a document that is {@link #drawable} */
    public static GuidePicture of(Step step, Assessment a, UnitSystem units) {
        return new GuidePicture(drawing(step, a, units));
    }

    public Picture draw(double width, double height, TextMeasure measure) {
        return drawing.in(width, height, measure);
    }

    private static Drawing drawing(Step step, Assessment a, UnitSystem units) {
        FuelSystem s = a.project().system();
        CaseAnswer governing = a.governing().orElseThrow();
        TankAnswer tank = a.governingTank().orElseThrow();
        return switch (step) {
            case DATUM -> (w, h, m) -> MeasuringPicture.above(s, MeasuringPoints.of(s), w, h);
            case LAYOUT ->
                system(a, a.look(StartingCase.of(a.project()).with(level())).orElse(governing), units);
            case HEIGHTS -> (w, h, m) -> MeasuringPicture.side(s, MeasuringPoints.of(s), w, h);
            case LINES -> path(s, governing, units);
            case LOSSES -> (w, h, m) -> HeadBudget.draw(s, governing, units, w, h);
            case ENGINE -> demand(a, units);
            case ATTITUDES -> stranded(a, tank, units);
            case GOVERNS ->
                bars(Ledger.of(a, units).entries().stream()
                        .map(GuidePicture::bar)
                        .toList());
            case CHANGE -> system(a, governing, units);
            case HANGAR -> {
                Attitude parked = a.project().brief().envelope().attitudes().get(0);
                yield (w, h, m) -> GaugePicture.draw(tank, level(), parked, units, w, h);
            }
            case FIRST_RUN -> vapor(a, units);
            case SIGN_OFF -> bars(counted(a));
        };
    }

    private static Drawing path(FuelSystem s, CaseAnswer governing, UnitSystem units) {
        // asked for now, and not when it is drawn
        governing.atNeeded();
        return (w, h, m) -> PathProfile.draw(s, governing, units, w, h, m);
    }

    private static Drawing stranded(Assessment a, TankAnswer tank, UnitSystem units) {
        StrandedPicture.Subject subject = new StrandedPicture.Subject(
                StrandedMap.of(tank.body(), tank.feed()),
                tank,
                a.project().brief().envelope().corners(),
                tank.predicted().attitude(),
                units);
        return (w, h, m) -> StrandedPicture.draw(subject, w, h, m);
    }

    private static Attitude level() {
        return Attitude.ofDegrees("Level", 0, 0);
    }

    private static Drawing system(Assessment a, CaseAnswer look, UnitSystem units) {
        Project p = a.project();
        SchematicSubject subject = new SchematicSubject(
                p.system(),
                p.brief().envelope().attitudes(),
                look.condition(),
                Optional.of(look),
                "",
                units,
                Regime.usual(p.brief()));
        look.openLine();
        return (w, h, m) -> Schematic.draw(subject, new SchematicView(w, h, 1, 0, 0, SchematicView.Layers.ALL), m);
    }

    private static Drawing vapor(Assessment a, UnitSystem units) {
        Optional<VaporAnswer> worst = a.vapor().filter(v -> v.look().demand().usable());
        if (worst.isEmpty()) {
            return (w, h, m) -> VaporPath.without("Nothing flows yet: there is no path to warm.", w, h);
        }
        VaporAnswer v = worst.get();
        VaporPath.Subject subject = new VaporPath.Subject(
                a.project(), VaporAnswer.path(a.project(), v.look(), v.air()), Optional.empty(), v.air(), units);
        return (w, h, m) -> VaporPath.draw(subject, w, h, m);
    }

    /** A verdict with its name, its figure and a word under it. */
    private record Bar(String name, String figure, double ratio, Verdict verdict, String under) {}

    private static Bar bar(Ledger.Entry e) {
        return new Bar(
                e.title() + (e.need().isEmpty() ? "" : ", " + e.need()),
                e.figure(),
                e.ratio(),
                e.verdict(),
                e.detail());
    }

    /** How many findings have which verdict. */
    private static List<Bar> counted(Assessment a) {
        List<Bar> all = new ArrayList<>();
        List<Verdict> order = new ArrayList<>(List.of(Verdict.values()));
        order.sort(Comparator.reverseOrder());
        for (Verdict v : order) {
            long n = a.findings().stream().filter(f -> f.verdict() == v).count();
            all.add(new Bar(
                    v.word(),
                    String.valueOf(n),
                    switch (v) {
                        case HOLDS -> Finding.MET;
                        case THIN -> 1 + Verdict.THIN_SHARE / 2;
                        case FAILS -> 0.6;
                        case NOT_SHOWN -> Finding.MISSED;
                    },
                    v,
                    switch (v) {
                        case HOLDS -> "beyond the limit";
                        case THIN -> "beyond it by little";
                        case FAILS -> "below the limit: open";
                        case NOT_SHOWN -> "nothing proves it yet: open";
                    }));
        }
        return all;
    }

    /** What the engine takes as a sum, and the margin over it. */
    private static Drawing demand(Assessment a, UnitSystem units) {
        Brief b = a.project().brief();
        Unit flow = units.unit(Dimension.FLOW);
        List<Term> sum = new ArrayList<>(List.of(
                new Term("takeoff power", b.power().quantity().shown(), said(b.power()), false),
                new Term(
                        "\u00d7 specific consumption",
                        b.consumption().quantity().shown(),
                        said(b.consumption()),
                        false),
                new Term("\u00f7 fuel weight", units.text(b.demandDensity(), Dimension.DENSITY), "standard day", false),
                new Term(
                        "takeoff demand",
                        UnitSystem.figure(flow.fromSi(b.demand()), 2) + " " + flow.symbol(),
                        "",
                        true),
                new Term(
                        "\u00d7 factor",
                        UnitSystem.figure(b.factor(), 2),
                        b.delivery().label(),
                        false),
                new Term("must reach the engine", units.text(b.needed(), Dimension.FLOW), "in every case", true)));
        Bar margin = bar(Ledger.of(a, units).flow());
        return (w, h, m) -> {
            List<Piece> pieces = new ArrayList<>();
            double wide = Math.min(w - 40, 460);
            double y = 30;
            for (Term t : sum) {
                List<Mark> marks = new ArrayList<>(List.of(
                        new Label(20, y, t.name(), t.whole() ? 13 : 12, t.whole(), Ink.INK, Anchor.START),
                        new Label(20 + wide * 0.68, y, t.figure(), t.whole() ? 16 : 13, true, Ink.INK, Anchor.END),
                        new Label(20 + wide * 0.72, y, t.by(), 11, false, Ink.SOFT, Anchor.START)));
                if (t.whole()) {
                    marks.add(new Mark.Path(
                            List.of(new Mark.Spot(20 + wide * 0.42, y - 18), new Mark.Spot(20 + wide * 0.68, y - 18)),
                            false,
                            Ink.NONE,
                            Mark.Pen.of(Ink.INK, 1),
                            0));
                }
                pieces.add(new Piece("", Kind.TEXT, t.name() + " " + t.figure() + " " + t.by(), marks));
                y += 28;
            }
            pieces.addAll(bars(List.of(margin), y + 14, w));
            return new Picture(w, h, pieces);
        };
    }

    /** A figure of a sum. */
    private record Term(String name, String figure, String by, boolean whole) {}

    private static String said(Measured m) {
        return m.by().isBlank() ? "source unknown" : m.by();
    }

    private static Drawing bars(List<Bar> bars) {
        return (w, h, m) -> new Picture(w, h, bars(bars, 26, w));
    }

    private static List<Piece> bars(List<Bar> bars, double top, double width) {
        List<Piece> pieces = new ArrayList<>();
        double wide = Math.min(width - 40, 460);
        double y = top;
        for (Bar b : bars) {
            pieces.add(new Piece(
                    "",
                    Kind.TEXT,
                    b.name() + " " + b.figure() + ", " + b.verdict().word() + ". " + b.under(),
                    List.of(
                            new Label(20, y, b.name(), 12, false, Ink.SOFT, Anchor.START),
                            new Label(20 + wide, y, b.verdict().word(), 12, true, Ink.INK, Anchor.END),
                            new Label(20 + wide - 90, y, b.figure(), 14, true, Ink.INK, Anchor.END),
                            new Notch(20, y + 6, wide, 9, b.ratio(), b.verdict()),
                            new Label(20, y + 29, b.under(), 11, false, Ink.SOFT, Anchor.START))));
            y += ROW;
        }
        return pieces;
    }
}
