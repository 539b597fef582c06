package ration.desktop.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import ration.verdict.words.Term;

class TermsCardTest {

    /** No word is explained nowhere: each stands first on some page or is one of the ledger's own. */
    @Test
    void everyTermIsMetOnSomePage() {
        Set<Term> met = EnumSet.noneOf(Term.class);
        for (Page page : Page.values()) {
            assertThat(TermsCard.of(page)).doesNotHaveDuplicates().hasSizeBetween(2, 8);
            met.addAll(TermsCard.of(page));
        }
        assertThat(met).containsExactlyInAnyOrder(Term.values());
    }

    @Test
    void eachIsSaidInWholeSentences() {
        assertThat(Term.values())
                .allSatisfy(t -> assertThat(t.says()).endsWith("."))
                .allSatisfy(t -> assertThat(t.figure()).endsWith("."));
    }
}
