package ration;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.file.ProjectFile;

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
    void onlyTextChanges(String document) throws Exception {
        Map<String, String> plain = new WhatIsNoText(document).call();
        Map<String, String> nonsense = new Apart().probe(document).call();
        assertThat(plain).hasSizeGreaterThan(100);
        assertThat(nonsense).containsExactlyEntriesOf(plain);
    }

    @Test
    void wordsAreNonsenseIndeed() throws Exception {
        String demo = ProjectFile.DEMO;
        assertThat(new Apart().words(demo))
                .isNotEqualTo(WhatIsNoText.words(demo))
                .contains("Oybpxrq");
    }

    /** The program loaded a second time, its words as nonsense. */
    private static final class Apart extends ClassLoader {

        Apart() {
            super(ScrambledTest.class.getClassLoader());
        }

        @SuppressWarnings("unchecked")
        Callable<Map<String, String>> probe(String document) throws ReflectiveOperationException {
            return (Callable<Map<String, String>>) loadClass(WhatIsNoText.class.getName())
                    .getConstructor(String.class)
                    .newInstance(document);
        }

        String words(String document) throws ReflectiveOperationException {
            return (String) loadClass(WhatIsNoText.class.getName())
                    .getMethod("words", String.class)
                    .invoke(null, document);
        }

        @Override
        protected Class<?> loadClass(String name, boolean resolve) throws ClassNotFoundException {
            if (!name.startsWith("ration.")) {
                return super.loadClass(name, resolve);
            }
            synchronized (getClassLoadingLock(name)) {
                Class<?> known = findLoadedClass(name);
                return known == null ? defined(name) : known;
            }
        }

        private Class<?> defined(String name) throws ClassNotFoundException {
            try (InputStream in = getParent().getResourceAsStream(name.replace('.', '/') + ".class")) {
                if (in == null) {
                    throw new ClassNotFoundException(name);
                }
                byte[] read = in.readAllBytes();
                byte[] then = Scrambler.words(name) ? Scrambler.of(read) : read;
                return defineClass(name, then, 0, then.length);
            } catch (IOException e) {
                throw new ClassNotFoundException(name, e);
            }
        }
    }
}
