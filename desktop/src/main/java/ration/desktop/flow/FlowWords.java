package ration.desktop.flow;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.remedy.Chance;
import ration.answer.remedy.Remedy;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.record.project.Brief;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * What the page says of flow beside its pictures, before any of it is a node.
 *
 * @param a what was assessed
 * @param look the case looked at; empty where none can be
 */
record FlowWords(Assessment a, Optional<CaseAnswer> look, UnitSystem units) {

    /** Remarks there is room for. */
    private static final int ROOM = 2;

    /** What is asked. */
    String asked() {
        Brief brief = a.project().brief();
        return "\u00d7 takeoff demand, " + units.text(brief.demand(), Dimension.FLOW) + ". "
                + brief.delivery().label().toLowerCase(Locale.ROOT) + " feed needs "
                + times(brief.factor()) + ", "
                + (a.project().system().hasFilter() ? "1.00\u00d7 with dirty filters" : "every case");
    }

    private static String times(double factor) {
        return UnitSystem.figure(factor, 2) + "\u00d7";
    }

    String low() {
        return "Low: " + units.text(a.project().brief().lowFuel().si(), Dimension.VOLUME) + " above unusable";
    }

    String budgetTitle() {
        return look.filter(FlowWords::pumped).isPresent() ? "Where the pressure goes" : "Where the head goes";
    }

    private static boolean pumped(CaseAnswer c) {
        return c.capacity().pumped() > 0;
    }

    String budgetCase() {
        return look.map(l -> "at " + units.text(l.capacity().inletFlow(), Dimension.FLOW) + ", maximum flow")
                .orElse("");
    }

    boolean isShort() {
        return look.filter(l -> l.verdict() == Verdict.FAILS).isPresent();
    }

    /**
     * What the flow needed would take on this path, and by how much it falls short or is met; what is to be mended
     * first where nothing can be looked at.
     */
    String sentence() {
        return look.map(this::sentence)
                .orElse(a.problems().stream()
                        .findFirst()
                        .map(p -> p.message() + " " + p.remedy())
                        .orElse(""));
    }

    private String sentence(CaseAnswer l) {
        String obstacle = l.obstacle(a.project().system());
        if (!obstacle.isEmpty()) {
            return obstacle;
        }
        double need = l.need() * l.factor();
        FlowAnswer at = l.atNeeded();
        OptionalDouble wanted = l.pressureWanted(need);
        OptionalDouble left = at.usable() ? at.headLeft() : OptionalDouble.empty();
        String flow = units.text(need, Dimension.FLOW);
        if (wanted.isEmpty() || left.isEmpty()) {
            return flow + " cannot be drawn along this path.";
        }
        double have = left.getAsDouble() * at.weight();
        double gap = have - wanted.getAsDouble();
        DoubleFunction<String> words =
                pa -> pumped(l) ? units.text(pa, Dimension.PRESSURE) : units.text(pa / at.weight(), Dimension.LENGTH);
        return "At " + flow + " the inlet has " + words.apply(have) + "; needs "
                + words.apply(wanted.getAsDouble()) + ": "
                + words.apply(Math.abs(gap)) + (gap < 0 ? " low." : " to spare.");
    }

    /** What else about flow is not good, worst first. */
    List<Finding> remarks() {
        return a.findings().stream()
                .filter(f -> f.topic() == Check.Topic.FLOW
                        && f.check() != Check.FLOW_MARGIN
                        && (f.verdict() == Verdict.FAILS || f.verdict() == Verdict.NOT_SHOWN))
                .limit(ROOM)
                .toList();
    }

    /** What a change costs, and what governs after it. */
    String then(Remedy r) {
        String positions = r.after().condition().positions().values().stream()
                .map(p -> ", " + p)
                .reduce("", String::concat);
        boolean same = r.after().factor() == a.project().brief().factor();
        return r.detail() + "; then " + r.after().condition().attitude().label() + positions + " governs"
                + (same ? "" : ", which needs " + times(r.after().factor()));
    }

    static String gives(Remedy r) {
        return times(r.after().margin());
    }

    String now() {
        return a.governing().map(g -> "now " + times(g.margin())).orElse("");
    }

    static String sure(Chance c) {
        return String.format(
                Locale.ROOT,
                "below the limit in %d of %d samples of the measured figures; 90%% lie between %.2f\u00d7 and"
                        + " %.2f\u00d7",
                c.shorts(),
                c.samples(),
                c.low(),
                c.high());
    }

    /**
     * As the ledger has it: more than one sample in twenty short is never better than thin, more than one in three not
     * shown.
     */
    Verdict sureVerdict(Chance c) {
        return a.flowVerdict().worse(ration.answer.assess.Sureness.ofShare(c.share()));
    }
}
