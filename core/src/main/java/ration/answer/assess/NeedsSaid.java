package ration.answer.assess;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import ration.record.project.Unsaid;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Which checks rest on figures of the engine: what nobody said of them, they cannot show. Tests say so themselves. */
final class NeedsSaid {

    private static final Set<Check> DEMAND = EnumSet.of(
            Check.FLOW_MARGIN,
            Check.FLOW_INLET_PRESSURE,
            Check.FLOW_INLET_PRESSURE_MOST,
            Check.FLOW_REGULATED,
            Check.FLOW_HEADER,
            Check.FLOW_AIR,
            Check.VAPOR_GAP,
            Check.VAPOR_HOT_FUEL,
            Check.VAPOR_LIFT,
            Check.VAPOR_WARMING,
            Check.VAPOR_IN_TANK,
            Check.AIR_VENT,
            Check.AIR_BLOCKED,
            Check.AIR_BOTH,
            Check.AIR_TIPS,
            Check.AIR_RETURN_VAPOR);
    private static final Set<Check> LEAST = EnumSet.of(Check.FLOW_MARGIN, Check.FLOW_INLET_PRESSURE, Check.AIR_BLOCKED);
    private static final Set<Check> MOST = EnumSet.of(Check.FLOW_INLET_PRESSURE_MOST);

    private NeedsSaid() {}

    /** Whether a check rests on what flows: what is wrong with a line is wrong with it. */
    static boolean restsOnFlow(Finding f) {
        return DEMAND.contains(f.check()) || LEAST.contains(f.check()) || MOST.contains(f.check());
    }

    /**
     * The finding, or the same one as Not shown with the reason where it would be better and rests on something nobody
     * said.
     */
    static Finding said(Finding f, Unsaid unsaid) {
        List<String> on = new ArrayList<>();
        on.addAll(DEMAND.contains(f.check()) ? unsaid.demand() : List.of());
        on.addAll(LEAST.contains(f.check()) ? unsaid.least() : List.of());
        on.addAll(MOST.contains(f.check()) ? unsaid.most() : List.of());
        Verdict verdict = f.verdict().shownIf(on.isEmpty());
        return on.isEmpty()
                ? f
                : new Finding(
                        f.check(),
                        f.of(),
                        f.title(),
                        f.item(),
                        verdict,
                        verdict == Verdict.NOT_SHOWN ? Math.min(0.99, f.ratio()) : f.ratio(),
                        u -> f.detail().in(u) + " " + Unsaid.words(on),
                        f.source(),
                        verdict == Verdict.NOT_SHOWN
                                ? "Enter them on Aircraft and on the engine's card, or confirm the assumed values."
                                : f.remedy(),
                        f.measure(),
                        f.because());
    }
}
