package ration.desktop.hangar;

import java.util.Locale;
import ration.answer.proof.TestProgram;
import ration.base.quantity.UnitSystem;

/** What a test that is not begun says of itself. */
record Invitation(TestProgram.Proof proof, UnitSystem units) {

    String where() {
        return proof.wanted().kind().group().label() + ", verifies "
                + proof.wanted().kind().closes().toLowerCase(Locale.ROOT);
    }

    String title() {
        return proof.wanted().name();
    }

    String words() {
        String asks = proof.wanted().asks();
        return asks.substring(0, 1).toUpperCase(Locale.ROOT) + asks.substring(1) + ". "
                + (proof.counts() || proof.record().isEmpty()
                        ? proof.outcome().words().in(units)
                        : "On record: " + proof.state() + ".");
    }

    /** What was measured, where that counts; else what is computed. */
    String big() {
        return (proof.counts() ? proof.outcome().measured() : proof.outcome().predicted()).in(units);
    }

    String under() {
        String predicted = proof.outcome().predicted().in(units);
        String needs = proof.outcome().needs().in(units);
        return (proof.counts() || predicted.isEmpty() ? "" : "Computed, not measured. ")
                + (needs.isEmpty() ? "" : "Needs " + needs + ". ");
    }

    String button() {
        return proof.record().isPresent() ? "Repeat test" : "Start test";
    }
}
