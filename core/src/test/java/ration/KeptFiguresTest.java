package ration;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.aircraft.condition.Attitude;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.TankAnswer;
import ration.base.quantity.UnitSystem;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Finding;

/**
 * Every figure of the demos and of the starting layouts as it was before the computation was last rebuilt, kept beside
 * the tests. They prove nothing by themselves: they say that a change which should change no figure changed none. A
 * change that should is made with {@code -Dration.keep=FOLDER}, which writes them anew, and says in its commit which
 * and why.
 */
class KeptFiguresTest {

    /** Relative; and, beside it, what pressures and sums of them may differ by absolutely, Pa. */
    private static final double RELATIVE = 1e-9;

    private static final double LEAST = 1e-9;

    static Stream<Kept> kept() {
        Stream<Kept> demos = Stream.of(
                new Kept("corrie-b1", Systems.demo("corrie-b1")),
                new Kept("brindle-a2", Systems.demo("brindle-a2")),
                new Kept("tansy-l3", Systems.demo("tansy-l3")));
        return Stream.concat(
                demos,
                Samples.some(
                                Arrays.asList(Pattern.values()),
                                System.getProperty("ration.keep") == null ? 6 : Pattern.values().length)
                        .stream()
                        .map(p -> new Kept(
                                "pattern-" + p.name().toLowerCase(java.util.Locale.ROOT), Systems.said(p.project()))));
    }

    record Kept(String name, Project project) {
        @Override
        public String toString() {
            return name;
        }
    }

    @ParameterizedTest
    @MethodSource("kept")
    void figuresAreTheSameAsBefore(Kept kept) throws IOException {
        Map<String, String> now = figures(Assessment.of(kept.project()));
        keep(kept.name(), now);
        Map<String, String> before = read(kept.name());
        List<String> differ = new ArrayList<>();
        before.keySet().stream().filter(key -> !now.containsKey(key)).forEach(key -> differ.add(key + " is gone"));
        now.forEach((key, value) -> {
            if (!same(before.getOrDefault(key, "nothing"), value)) {
                differ.add(key + ": " + before.get(key) + " -> " + value);
            }
        });
        assertThat(differ).isEmpty();
        assertThat(now.keySet()).containsExactlyElementsOf(before.keySet());
    }

    private static boolean same(String before, String now) {
        if (before.equals(now)) {
            return true;
        }
        try {
            double a = Double.parseDouble(before);
            double b = Double.parseDouble(now);
            double larger = Math.max(Math.abs(a), Math.abs(b));
            boolean flow = larger < 1e-3;
            return Math.abs(a - b) <= RELATIVE * larger + (flow ? 1e-15 : LEAST) || larger < LEAST;
        } catch (NumberFormatException e) {
            return false;
        }
    }

    private static Map<String, String> figures(Assessment a) {
        Map<String, String> all = new LinkedHashMap<>();
        int n = 0;
        for (CaseAnswer c : a.cases()) {
            Attitude at = c.condition().attitude();
            String key = "case " + ++n + " " + c.condition().positions() + " " + rounded(at.pitchDegrees()) + " "
                    + rounded(at.tiltDegrees());
            all.put(
                    key + " | capacity",
                    String.valueOf(c.capacity().usable() ? c.capacity().inletFlow() : "none"));
            OptionalDouble left = c.inletPressureAtDemand(a.project().system());
            all.put(
                    key + " | inlet pressure",
                    c.demand().usable() ? left.isPresent() ? String.valueOf(left.getAsDouble()) : "none" : "none");
            all.put(key + " | verdict", c.verdict() + (c.judged() ? "" : ", not judged"));
            all.put(
                    key + " | path",
                    String.valueOf(c.demand().path().stream()
                            .mapToDouble(p -> p.loss())
                            .sum()));
        }
        for (TankAnswer t : a.tanks()) {
            all.put(t.tank().id() + " | unusable", String.valueOf(t.unusable()));
            all.put(t.tank().id() + " | full", String.valueOf(t.full()));
            all.put(
                    t.tank().id() + " | source",
                    t.source() + " "
                            + t.attitude()
                                    .map(x -> rounded(x.pitchDegrees()) + " " + rounded(x.tiltDegrees()))
                                    .orElse(""));
        }
        a.vapor().ifPresent(v -> all.put("vapor", String.valueOf(v.degrees())));
        a.hotFuel().ifPresent(v -> all.put("hot fuel", String.valueOf(v.degrees())));
        for (Finding f : a.findings()) {
            all.put("finding " + ++n + " " + f.id() + " | verdict", f.verdict() + " " + f.item());
            all.put("finding " + n + " " + f.id() + " | ratio", String.valueOf(f.ratio()));
            int which = n;
            f.measure().ifPresent(m -> {
                all.put("finding " + which + " " + f.id() + " | value", String.valueOf(m.value()));
                all.put("finding " + which + " " + f.id() + " | limit", String.valueOf(m.limit()));
            });
        }
        return all;
    }

    private static String rounded(double degrees) {
        return String.valueOf(Math.round(degrees * 100) / 100.0);
    }

    /** What one demo says, word for word: wording changes here, figures above, and never both without a reason. */
    @Test
    void wordsAreTheSameAsBefore() throws IOException {
        Map<String, String> now = new LinkedHashMap<>();
        int n = 0;
        for (Finding f : Systems.assessedCorrie().findings()) {
            now.put(
                    ++n + " " + f.id(),
                    f.title() + "; " + f.detail().in(UnitSystem.US) + "; " + f.remedy() + "; " + f.source());
        }
        keep("words-corrie-b1", now);
        assertThat(now).containsExactlyEntriesOf(read("words-corrie-b1"));
    }

    private static void keep(String name, Map<String, String> now) throws IOException {
        String folder = System.getProperty("ration.keep");
        if (folder != null) {
            Files.createDirectories(Path.of(folder));
            Files.write(
                    Path.of(folder, name + ".txt"),
                    now.entrySet().stream()
                            .map(e -> e.getKey() + "\t" + e.getValue())
                            .toList(),
                    StandardCharsets.UTF_8);
        }
    }

    private static Map<String, String> read(String name) {
        Map<String, String> all = new LinkedHashMap<>();
        try (var in = KeptFiguresTest.class.getResourceAsStream("/kept/" + name + ".txt")) {
            if (in == null) {
                return all;
            }
            new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().forEach(line -> {
                int tab = line.indexOf('\t');
                all.put(line.substring(0, tab), line.substring(tab + 1));
            });
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return all;
    }
}
