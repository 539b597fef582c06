package ration;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.record.file.ProjectFile;

/**
 * A label is never a key: with every word that a person reads replaced by nonsense in the program itself
 * ({@link Scrambler}), the same documents give the same verdicts, figures, ids, tests that count, failures, rankings
 * and files. Whatever is looked up, compared or remembered by its words is found here.
 */
class ScrambledTest {

    static List<String> documents() {
        List<String> all = Stream.concat(ProjectFile.demos().stream(), ProjectFile.systems().stream())
                .toList();
        return Samples.DEEP ? all : List.of(ProjectFile.DEMO);
    }

    @ParameterizedTest
    @MethodSource("documents")
    @SuppressWarnings("unchecked")
    void onlyTextChanges(String document) throws Exception {
        Map<String, String> plain = new WhatIsNoText(document).call();
        Map<String, String> nonsense = ((Callable<Map<String, String>>)
                        nonsense().getConstructor(String.class).newInstance(document))
                .call();
        assertThat(plain).hasSizeGreaterThan(100);
        assertThat(nonsense).containsExactlyEntriesOf(plain);
    }

    @Test
    void wordsAreNonsenseIndeed() throws Exception {
        String demo = ProjectFile.DEMO;
        assertThat(nonsense().getMethod("words", String.class).invoke(null, demo))
                .isNotEqualTo(WhatIsNoText.words(demo))
                .asString()
                .contains("Oybpxrq");
    }

    private static Class<?> nonsense() throws ClassNotFoundException {
        return new Apart((name, read) -> Scrambler.words(name) ? Scrambler.of(name, read) : read)
                .seen(WhatIsNoText.class);
    }
}
