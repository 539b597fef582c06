package ration.answer.assess;

import ration.physics.flow.FlowAnswer;
import ration.record.project.Brief;

/** Which of the two answers of a case is looked at. */
public enum Regime {

    /** The engine takes its demand, returns flow, gauges read as their needles will. */
    AS_IT_RUNS("At demand"),
    /** The inlet is held at its least pressure: the most that can pass. */
    AT_MOST("Max flow");

    private final String label;

    Regime(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** What one expects to see first: with pumps the needles, under gravity the margin. */
    public static Regime usual(Brief brief) {
        return brief.delivery() == Brief.Delivery.PUMP ? AS_IT_RUNS : AT_MOST;
    }

    /** This answer of a case; may not be usable, and then says why. */
    public FlowAnswer of(CaseAnswer look) {
        return this == AS_IT_RUNS ? look.demand() : look.capacity();
    }
}
