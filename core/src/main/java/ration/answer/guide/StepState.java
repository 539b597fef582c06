package ration.answer.guide;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.answer.assess.Assessment;
import ration.answer.assess.Ledger;
import ration.answer.proof.TestProgram;
import ration.base.quantity.Measured;
import ration.base.quantity.Method;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.TestKind;
import ration.record.project.Brief;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * What a document has of a step: how much of how much, and what is missing with the reason to do it. Counted from the
 * document. It is no verdict: what is done may still fail.
 *
 * @param words how far it is, in a few words
 * @param missing the first first
 */
public record StepState(Step step, int done, int all, String words, List<Missing> missing) {

    /** Where in the window something missing is entered. */
    public enum Where {
        AIRCRAFT,
        LAYOUT,
        LINES,
        FLOW,
        VARIANTS,
        HANGAR,
        SIGN_OFF
    }

    /**
     * One thing that is missing.
     *
     * @param why it is wanted, in a few words
     * @param about id of the item, key of the test, or which figure of the aircraft; empty where it is none
     * @param figure key of the item's figure; empty where it is no single one
     */
    public record Missing(String what, String why, Where where, String about, String figure) {

        Missing(String what, String why, Where where, String about) {
            this(what, why, where, about, "");
        }
    }

    public StepState {
        missing = List.copyOf(missing);
    }

    public boolean whole() {
        return all > 0 && done == all;
    }

    public boolean begun() {
        return done > 0;
    }

    /** Of every step. */
    public static List<StepState> of(Assessment a) {
        Project p = a.project();
        FuelSystem s = p.system();
        return List.of(
                datum(p),
                layout(a),
                measured(
                        Step.HEIGHTS,
                        s,
                        "heights measured",
                        f -> f.key().endsWith(".waterLine"),
                        Where.LAYOUT,
                        "height drives the fuel"),
                lines(s),
                measured(
                        Step.LOSSES,
                        s,
                        "figures with a source",
                        StepState::loss,
                        Where.LAYOUT,
                        "it takes from the flow"),
                engine(p),
                attitudes(p.brief()),
                governs(a),
                change(p),
                tests(a, Step.HANGAR, false),
                tests(a, Step.FIRST_RUN, true),
                signOff(a));
    }

    private static StepState of(Step step, int all, String what, List<Missing> missing) {
        int done = Math.max(0, all - missing.size());
        return new StepState(step, done, all, all == 0 ? "nothing yet" : done + " of " + all + " " + what, missing);
    }

    private static StepState datum(Project p) {
        List<Missing> missing = new ArrayList<>();
        if (p.name().isBlank() || p.equals(Project.empty())) {
            missing.add(new Missing("Name of the aircraft", "it stands on every paper", Where.AIRCRAFT, "name"));
        }
        if (p.system().firewall().map(w -> guessed(w.station())).orElse(true)) {
            String engine = p.system().inlet().map(Item::id).orElse(""); // its card has the wall
            missing.add(new Missing(
                    "Firewall", "zones, heat and fire begin there", Where.LAYOUT, engine, "firewall.station"));
        }
        if (guessed(p.brief().envelope().parked())) {
            missing.add(new Missing(
                    "Parked attitude", "filling, draining, sampling happen in it", Where.AIRCRAFT, "parked"));
        }
        return of(Step.DATUM, 3, "marks named", missing);
    }

    private static boolean guessed(Measured m) {
        return m.by().isBlank() || Method.of(m).guessed();
    }

    private static StepState layout(Assessment a) {
        FuelSystem s = a.project().system();
        List<Missing> missing = new ArrayList<>();
        if (s.tanks().isEmpty()) {
            missing.add(new Missing("A tank", "fuel begins there", Where.LAYOUT, ""));
        }
        if (s.inlet().isEmpty()) {
            missing.add(new Missing("The engine inlet", "fuel ends there", Where.LAYOUT, ""));
        }
        a.problems()
                .forEach(p -> missing.add(new Missing(p.message(), "the layout is not whole", Where.LAYOUT, p.item())));
        int there = s.items().size();
        int all = there + missing.size();
        String words = there == 0
                ? "nothing yet"
                : there
                        + (there == 1 ? " part" : " parts")
                        + (missing.isEmpty() ? ", all joined" : ", " + missing.size() + " open");
        return new StepState(Step.LAYOUT, there, all, words, missing);
    }

    private static StepState measured(
            Step step, FuelSystem s, String what, java.util.function.Predicate<Field> which, Where where, String why) {
        List<Missing> missing = new ArrayList<>();
        int all = 0;
        for (Item item : s.items()) {
            for (Field f : FieldSheet.of(item)) {
                if (which.test(f)) {
                    all++;
                    if (guessed(f.get().apply(item))) {
                        missing.add(new Missing(item.name() + ", " + f.label(), why, where, item.id(), f.key()));
                    }
                }
            }
        }
        return of(step, all, what, missing);
    }

    /** A pressure at a flow, or what a pump gives. */
    private static boolean loss(Field f) {
        return f.key().endsWith(".flow") || f.key().endsWith(".loss") || f.key().endsWith(".pressure");
    }

    private static StepState lines(FuelSystem s) {
        List<Missing> missing = new ArrayList<>();
        for (Run r : s.runs()) {
            if (r.length().filter(m -> !guessed(m)).isEmpty()) {
                missing.add(new Missing(r.name() + ", length", "each inch takes from the flow", Where.LINES, r.id()));
            }
        }
        return of(Step.LINES, s.runs().size(), "lengths measured", missing);
    }

    private static StepState engine(Project p) {
        List<Missing> missing = new ArrayList<>();
        Brief b = p.brief();
        if (guessed(b.power())) {
            missing.add(new Missing("Takeoff power", "it sets the demand", Where.AIRCRAFT, "power"));
        }
        if (guessed(b.consumption())) {
            missing.add(new Missing("Specific consumption", "it sets the demand", Where.AIRCRAFT, "consumption"));
        }
        Optional<EngineInlet> inlet = p.system().inlet();
        if (inlet.map(i -> guessed(i.minimumPressure())).orElse(true)) {
            missing.add(new Missing(
                    "Minimum inlet pressure",
                    "the flow margin is held against it",
                    Where.LAYOUT,
                    inlet.map(Item::id).orElse(""),
                    "minimumPressure"));
        }
        return of(Step.ENGINE, 3, "with a source", missing);
    }

    private static StepState attitudes(Brief b) {
        Brief.Envelope e = b.envelope();
        List<Missing> missing = new ArrayList<>();
        angle(missing, "climb", e.climb(), "Climb pitch", "fuel leaves the outlet nose-up");
        angle(missing, "glide", e.glide(), "Glide pitch", "fuel runs forward nose-down");
        angle(missing, "slip", e.slip(), "Slip", "fuel leans to a side");
        return of(Step.ATTITUDES, 3, "measured", missing);
    }

    private static void angle(List<Missing> missing, String about, Measured m, String what, String why) {
        if (guessed(m)) {
            missing.add(new Missing(what, why, Where.AIRCRAFT, about));
        }
    }

    private static StepState governs(Assessment a) {
        List<Ledger.Entry> entries = Ledger.of(a, UnitSystem.US).entries();
        List<Missing> missing = new ArrayList<>();
        for (Ledger.Entry e : entries) {
            if (e.verdict() == Verdict.FAILS || e.verdict() == Verdict.NOT_SHOWN) {
                missing.add(new Missing(e.title() + ": " + e.verdict().word(), e.detail(), Where.FLOW, ""));
            }
        }
        return of(Step.GOVERNS, a.project().system().items().isEmpty() ? 0 : entries.size(), "figures met", missing);
    }

    private static StepState change(Project p) {
        int kept = p.variants().size();
        return new StepState(
                Step.CHANGE,
                kept,
                Math.max(1, kept),
                kept == 0 ? "nothing tried yet" : kept + (kept == 1 ? " variant" : " variants") + " kept",
                kept > 0
                        ? List.of()
                        : List.of(new Missing(
                                "A variant, where anything Fails",
                                "a change is cheaper on paper",
                                Where.VARIANTS,
                                "")));
    }

    private static StepState tests(Assessment a, Step step, boolean afterRun) {
        List<Missing> missing = new ArrayList<>();
        int all = 0;
        for (TestProgram.Proof p : a.program().tests()) {
            boolean late = p.wanted().kind() == TestKind.FIRST_RUN
                    || p.wanted().kind() == TestKind.RUN_LOG
                    || p.wanted().kind() == TestKind.HOT_RESTART;
            if (late == afterRun && (p.wanted().asked() || late)) {
                all++;
                if (!p.counts()) {
                    missing.add(new Missing(
                            p.wanted().name(),
                            p.state(),
                            Where.HANGAR,
                            p.wanted().key()));
                }
            }
        }
        return of(step, all, "valid", missing);
    }

    private static StepState signOff(Assessment a) {
        List<Missing> missing = new ArrayList<>();
        for (Finding f : a.findings()) {
            if (f.verdict() == Verdict.FAILS || f.verdict() == Verdict.NOT_SHOWN) {
                missing.add(new Missing(f.title(), f.verdict().word(), Where.SIGN_OFF, f.item()));
            }
        }
        boolean issued = !a.project().signOff().packets().isEmpty();
        if (!issued) {
            missing.add(new Missing("The packet", "the inspector reads it first", Where.SIGN_OFF, ""));
        }
        int all = a.project().system().items().isEmpty() ? 0 : a.findings().size() + 1;
        int open = missing.size() - (issued ? 0 : 1);
        return new StepState(
                Step.SIGN_OFF,
                Math.max(0, all - missing.size()),
                all,
                all == 0 ? "nothing yet" : open + " open" + (issued ? ", packet written" : ", no packet yet"),
                missing);
    }
}
