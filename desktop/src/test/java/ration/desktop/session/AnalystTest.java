package ration.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

@ExtendWith(ApplicationExtension.class)
class AnalystTest {

    @Start
    void start(Stage stage) {
        // the toolkit runs; the stage, which other classes use too, is left as it is
        assertThat(stage).isNotNull();
    }

    @Test
    void theNewestAnswerIsDeliveredLastOnTheInterfaceThread() throws ProjectFileException, InterruptedException {
        Analyst analyst = new Analyst();
        Project demo = ProjectFile.demo(ProjectFile.DEMO);
        Condition start = StartingCase.of(demo);
        List<Double> delivered = Collections.synchronizedList(new ArrayList<>());
        List<Boolean> threads = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch last = new CountDownLatch(1);
        for (int pitch = 0; pitch <= 30; pitch++) {
            double degrees = pitch;
            analyst.ask(demo, start.with(Attitude.ofDegrees("Any", pitch, 0)), c -> {}, r -> {
                delivered.add(r.condition().attitude().pitchDegrees());
                threads.add(Platform.isFxApplicationThread());
                assertThat(r.assessment().project()).isSameAs(demo);
                if (degrees == 30) {
                    last.countDown();
                }
            });
        }
        assertThat(last.await(60, TimeUnit.SECONDS)).isTrue();
        assertThat(delivered).isSorted();
        assertThat(delivered.get(delivered.size() - 1)).isCloseTo(30, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(threads).doesNotContain(false);
    }

    @Test
    void anAnswerIsGivenAtOnceWhereItIsWanted() throws ProjectFileException {
        Project demo = ProjectFile.demo(ProjectFile.DEMO);
        Worked result = new Analyst().now(demo, StartingCase.of(demo));
        assertThat(result.look()).isPresent();
        assertThat(result.assessment().cases()).isNotEmpty();
    }

    @Test
    void anAssessmentThatFailsIsNotShownAndKeepsNoOldLedger() throws Exception {
        Project demo = ProjectFile.demo(ProjectFile.DEMO);
        Project edited = demo.withName("edited");
        Analyst analyst = new Analyst(a -> {
            if (a.project() == edited) {
                throw new IllegalStateException("broken");
            }
            return a;
        });
        assertThat(analyst.now(demo, StartingCase.of(demo)).assessment().governing())
                .isPresent();
        CountDownLatch done = new CountDownLatch(1);
        List<Worked> got = Collections.synchronizedList(new ArrayList<>());
        analyst.ask(edited, StartingCase.of(edited), c -> {}, r -> {
            got.add(r);
            done.countDown();
        });
        assertThat(done.await(60, TimeUnit.SECONDS)).isTrue();
        Assessment a = got.get(0).assessment();
        assertThat(a.project()).isSameAs(edited);
        assertThat(a.flowVerdict()).isEqualTo(ration.verdict.check.Verdict.NOT_SHOWN);
        assertThat(ration.answer.assess.Ledger.of(a, ration.base.quantity.UnitSystem.US)
                        .entries())
                .extracting(ration.answer.assess.Ledger.Entry::verdict)
                .containsOnly(ration.verdict.check.Verdict.NOT_SHOWN);
        assertThat(a.findings()).singleElement().satisfies(f -> assertThat(
                        f.detail().in(ration.base.quantity.UnitSystem.US))
                .contains("failed"));
    }
}
