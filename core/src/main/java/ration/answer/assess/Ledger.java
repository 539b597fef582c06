package ration.answer.assess;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.record.project.Unsaid;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.why.Why;

/** The four figures that are always in view, as the window and the command line both show them. */
public record Ledger(Entry flow, Entry unusable, Entry vapor, Entry open) {

    /**
     * One figure.
     *
     * @param title of the figure
     * @param need what it is held against, in words
     * @param figure the result, or a dash where nothing is shown
     * @param verdict on it
     * @param ratio result over need for the notch bar; 0 where nothing is shown
     * @param detail the case that governs, or why nothing is shown
     * @param because how the figure came about, worked out when asked; empty where nothing is shown
     */
    public record Entry(
            String title,
            String need,
            String figure,
            Verdict verdict,
            double ratio,
            String detail,
            Optional<Supplier<Why>> because) {

        Entry(String title, String need, String figure, Verdict verdict, double ratio, String detail) {
            this(title, need, figure, verdict, ratio, detail, Optional.empty());
        }

        Entry because(Supplier<Why> why) {
            return new Entry(title, need, figure, verdict, ratio, detail, Optional.of(why));
        }
    }

    /**
     * The flow entry of an edit before all cases are solved again. Its verdict is never better than the last one:
     * another case may govern now.
     */
    public static Entry early(Assessment before, CaseAnswer now, UnitSystem units) {
        return new Entry(
                        "Flow margin",
                        now.unsaid().flowSaid() ? needs(now.factor()) : WHICH_ENGINE,
                        UnitSystem.figure(now.margin(), 2) + "\u00d7",
                        now.verdict().worse(before.flowVerdict()),
                        now.ratio(),
                        now.label(before.project().system(), units))
                .because(() -> WhyFlow.margin(before.project(), now));
    }

    /** Said in place of the need where what the engine takes is only assumed. */
    private static final String WHICH_ENGINE = "engine assumed";

    private static String needs(double factor) {
        return "needs " + UnitSystem.figure(factor, 2) + "\u00d7";
    }

    public static Ledger of(Assessment a, UnitSystem units) {
        String need = !Unsaid.of(a.project()).flowSaid()
                ? WHICH_ENGINE
                : needs(a.governing()
                        .map(CaseAnswer::factor)
                        .orElse(a.project().brief().factor()));
        Entry flow = a.governing()
                .map(c -> new Entry(
                                "Flow margin",
                                need,
                                UnitSystem.figure(c.margin(), 2) + "\u00d7",
                                a.flowVerdict(),
                                c.ratio(),
                                c.label(a.project().system(), units) + sure(a))
                        .because(() -> WhyFlow.margin(a.project(), c)))
                .orElseGet(() -> notShown(
                        "Flow margin",
                        need,
                        a.problems().isEmpty()
                                ? "Not computed"
                                : a.problems().get(0).message()));
        List<Asked> asked = a.asked();
        long shortOnes =
                asked.stream().filter(x -> x.verdict() == Verdict.FAILS).count();
        long open = asked.stream().filter(Asked::open).count();
        Verdict worst = asked.stream().map(Asked::verdict).reduce(Verdict.HOLDS, Verdict::worse);
        double good = asked.isEmpty() ? 0 : (asked.size() - open) / (double) asked.size();
        Entry openEntry = new Entry(
                "Open",
                "",
                open + " of " + asked.size(),
                worst,
                worst == Verdict.HOLDS || worst == Verdict.THIN ? Finding.MET : good,
                shortOnes + " Fails, " + (open - shortOnes) + " Not shown");
        Entry unusable = a.governingTank()
                .map(t -> new Entry(
                                "Unusable fuel",
                                "placard " + units.figure(t.placard(), Dimension.VOLUME),
                                units.fineVolume(t.unusable()),
                                t.verdict().shownIf(a.unansweredTanks().isEmpty()),
                                a.unansweredTanks().isEmpty()
                                        ? Math.min(Finding.MET, t.ratio())
                                        : Math.min(Finding.MISSED, t.ratio()),
                                noAnswer(a) + found(t) + ", " + t.tank().name())
                        .because(() -> WhyTanks.unusable(t)))
                .orElseGet(() -> notShown(
                        "Unusable fuel",
                        "",
                        a.project().system().tanks().isEmpty() ? "No tank yet" : "No tank with a shape and an outlet"));
        return new Ledger(flow, unusable, vapor(a, units), openEntry);
    }

    /** What of it nobody measured, or how often it would be short, where that decides. */
    private static String sure(Assessment a) {
        return a.sure()
                .filter(s -> s.verdict() != Verdict.HOLDS)
                .map(s -> "; " + (s.mostlyGuessed() ? s.brief() : "less in " + s.shorts() + " of " + s.samples()))
                .orElse("");
    }

    /** What a least over the tanks leaves out. */
    private static String noAnswer(Assessment a) {
        return a.unansweredTanks().stream()
                .findFirst()
                .map(t -> "no answer of " + t.name() + "; ")
                .orElse("");
    }

    /** By what, and in which attitude where there is one. */
    private static String found(TankAnswer t) {
        String how =
                switch (t.source()) {
                    case LIKELY -> "Estimated from a drain test, ";
                    case DRAINED -> "Drain test, ";
                    case PUBLISHED -> "Manufacturer, ";
                    case PREDICTED -> "";
                };
        return t.attitude()
                .map(x -> (t.source() == TankAnswer.Source.LIKELY ? how : "") + x.label())
                .orElse(how.replaceAll(", $", ""));
    }

    private static Entry vapor(Assessment a, UnitSystem units) {
        Optional<CaseAnswer> boiling = VaporAnswer.boiling(a.cases());
        if (boiling.isPresent()) {
            return new Entry(
                    "Vapor margin",
                    "",
                    "boiling",
                    Verdict.FAILS,
                    0,
                    boiling.get().label(a.project().system(), units));
        }
        Optional<VaporAnswer> worse = a.hotFuel()
                .filter(h -> a.vapor()
                        .filter(v -> v.verdict().worse(h.verdict()) == v.verdict())
                        .isEmpty())
                .or(a::vapor);
        Verdict restart = a.findings().stream()
                .filter(f -> f.check() == Check.VAPOR_RESTART)
                .map(Finding::verdict)
                .reduce(Verdict.HOLDS, Verdict::worse);
        String beside = (a.vapor().equals(worse) ? a.hotFuel() : a.vapor())
                .map(v -> "; margin " + units.difference(v.degrees()) + " at "
                        + units.warmth(v.air().fuelKelvin()))
                .orElse("");
        return worse.map(v -> new Entry(
                                "Vapor margin",
                                !v.look().unsaid().demandSaid()
                                        ? WHICH_ENGINE
                                        : v.fuelSaid()
                                                ? "needs "
                                                        + units.difference(v.needed())
                                                                .replace(".0 ", " ")
                                                : "fuel class not set",
                                units.difference(v.degrees()),
                                v.verdict()
                                        .worse(restart)
                                        .shownIf(a.cases().stream().noneMatch(CaseAnswer::open)),
                                v.ratio(),
                                v.label(a.project(), units)
                                        + beside
                                        + (v.heatSaid()
                                                ? restart == Verdict.HOLDS ? "" : "; restart at risk"
                                                : "; no heat source entered"))
                        .because(() -> WhyVapor.gap(a.project(), v)))
                .orElseGet(() -> notShown("Vapor margin", "", "No flow computed yet"));
    }

    private static Entry notShown(String title, String need, String why) {
        return new Entry(title, need, "\u2013", Verdict.NOT_SHOWN, 0, why);
    }

    public List<Entry> entries() {
        return List.of(flow, unusable, vapor, open);
    }
}
