package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import ration.RandomEdits;
import ration.Samples;
import ration.base.quantity.UnitSystem;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;
import ration.verdict.check.Finding;

/**
 * A document assessed edit by edit says what the same document says when it is opened anew: each figure of the ledger,
 * each finding with its verdict and its words, each test with how it stands.
 */
class EditByEditTest {

    /** How sure a margin is takes 400 answers: in the small build it is compared once, after the last edit. */
    @Property(tries = 1)
    void edit_by_edit_is_as_if_opened_anew(@ForAll long seed) throws ProjectFileException {
        Random random = new Random(seed);
        Project project = RandomEdits.start(random);
        Assessment carried = Assessment.ahead(project, Optional.empty());
        int edits = 4;
        for (int i = 0; i < edits; i++) {
            Project before = project;
            project = RandomEdits.edited(project, random);
            carried = Assessment.ahead(project, Optional.of(carried));
            same(carried, Assessment.ahead(project, Optional.empty()));
            if (Samples.of(0, 1) == 1 || i == edits - 1) {
                carried = carried.sured();
                same(carried, Assessment.of(project));
            }
            if (random.nextInt(4) == 0) {
                project = before;
                carried = Assessment.ahead(project, Optional.of(carried));
                same(carried, Assessment.ahead(project, Optional.empty()));
            }
        }
    }

    private static void same(Assessment carried, Assessment fresh) {
        for (UnitSystem units : UnitSystem.values()) {
            List<Ledger.Entry> a = Ledger.of(carried, units).entries();
            List<Ledger.Entry> b = Ledger.of(fresh, units).entries();
            for (int i = 0; i < a.size(); i++) {
                assertThat(a.get(i).figure() + " " + a.get(i).verdict() + " "
                                + a.get(i).detail())
                        .isEqualTo(b.get(i).figure() + " " + b.get(i).verdict() + " "
                                + b.get(i).detail());
            }
        }
        assertThat(words(carried.findings())).containsExactlyInAnyOrderElementsOf(words(fresh.findings()));
        assertThat(carried.program().tests().stream()
                        .map(t -> t.wanted().name() + ": " + t.state() + ", " + t.verdict())
                        .toList())
                .isEqualTo(fresh.program().tests().stream()
                        .map(t -> t.wanted().name() + ": " + t.state() + ", " + t.verdict())
                        .toList());
        assertThat(carried.cases()).hasSameSizeAs(fresh.cases());
    }

    private static List<String> words(List<Finding> findings) {
        return findings.stream()
                .map(f -> f.check() + " " + f.of() + " " + f.item() + " " + f.verdict() + " "
                        + f.detail().in(UnitSystem.US) + " " + f.remedy())
                .toList();
    }
}
