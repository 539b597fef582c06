package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import ration.Apart;
import ration.Fuses;
import ration.Systems;
import ration.answer.assess.StartingCase;
import ration.base.quantity.UnitSystem;
import ration.record.project.Project;

/**
 * What looks for the ways of lines fails, by an exception or by an error of the machine: whoever waits for it is told
 * and nobody waits without end; once it works again, the drawing is what it was.
 */
class RouterFailsTest {

    /** The drawing of the first demo, asked for by several at once: how many marks each got, or what it was told. */
    public static final class Drawn implements Callable<List<String>> {
        @Override
        public List<String> call() {
            Project p = Systems.corrie();
            SchematicSubject subject = new SchematicSubject(
                    p.system(),
                    p.brief().envelope().attitudes(),
                    StartingCase.of(p),
                    Optional.empty(),
                    "",
                    UnitSystem.US);
            return IntStream.range(0, 4)
                    .parallel()
                    .mapToObj(i -> {
                        try {
                            return String.valueOf(Schematic.draw(
                                            subject, SchematicView.of(900 + i / 2, 600), TextMeasure.approximate())
                                    .pieces()
                                    .size());
                        } catch (RuntimeException | Error e) {
                            Throwable cause = e;
                            while (cause.getCause() != null) {
                                cause = cause.getCause();
                            }
                            return cause.getClass().getSimpleName();
                        }
                    })
                    .toList();
        }
    }

    @AfterEach
    void heal() {
        Fuses.heal();
    }

    @Test
    @SuppressWarnings("unchecked")
    void whoeverWaitsIsTold() throws Exception {
        Callable<List<String>> program =
                (Callable<List<String>>) new Apart(Fuses.in("ration.publish.drawing.", Set.of("Router.of")))
                        .seen(Drawn.class)
                        .getConstructor()
                        .newInstance();
        for (String thrown : Fuses.THROWN) {
            Fuses.blow("Router.of", thrown);
            String told = thrown.substring(thrown.lastIndexOf('/') + 1);
            assertThat(program.call()).as(thrown).containsOnly(told);
        }
        Fuses.heal();
        assertThat(program.call()).isEqualTo(new Drawn().call()).noneMatch(s -> s.startsWith("I"));
    }
}
