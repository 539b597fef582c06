package ration.answer.fault;

import ration.answer.assess.CaseAnswer;
import ration.answer.assess.FaultCases.Asked;

/** A case with the fault in it. */
record FaultRow(Asked asked, CaseAnswer now, double share, double degrees) {

    CaseAnswer sound() {
        return asked.sound();
    }

    boolean boils() {
        return share >= 1 && degrees < 0;
    }

    /** What arrives; what boils on the way is taken as nothing. */
    double arrives() {
        return boils() ? 0 : share;
    }

    boolean unanswered() {
        return !now.answered() || Double.isNaN(degrees);
    }
}
