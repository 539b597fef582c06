package ration.record.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.Systems;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Mesh;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Reach;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.record.acceptance.SignOff;
import ration.record.build.Build;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Inputs;
import ration.record.project.Project;

/**
 * Documents of version 1, as the program of that time wrote them, open for ever; what they called by words is found by
 * its key.
 */
class Version1Test {

    private static final Path WRITTEN = Path.of("src/test/resources/version-1");

    static Stream<String> documents() {
        return Stream.concat(ProjectFile.demos().stream(), ProjectFile.systems().stream());
    }

    /** Names and notes that the documents themselves have changed since. */
    private static final Map<String, String> REWORDED = Map.ofEntries(
            Map.entry("a carburettor fed", "a carburetor fed"),
            Map.entry("float carburettor\"", "float carburetor\""),
            Map.entry("\"Shut-off\"", "\"Shutoff valve\""),
            Map.entry("\"Carburettor\"", "\"Carburetor\""),
            Map.entry("can 1 %, 2026-02-01", "can \u00b11%, calibrated 2026-02-01"),
            Map.entry("R4 nut at the carburettor: a smear, done up again", "R4 B-nut at carburetor: stain, retorqued"),
            Map.entry("\"Worm clamp on R4\"", "\"Worm-drive hose clamp, R4\""),
            Map.entry("Strainer screen looked at: a few fibres.", "Inspected strainer screen: a few fibers."),
            Map.entry("return to the header. Every figure is", "return to the header. All figures are"),
            Map.entry("\"11 \u00b0C\"", "\"51.8 \u00b0F\""),
            Map.entry("\"12 \u00b0C\"", "\"53.6 \u00b0F\""),
            Map.entry("\"13 \u00b0C\"", "\"55.4 \u00b0F\""),
            Map.entry("\"13.5 \u00b0C\"", "\"56.3 \u00b0F\""),
            Map.entry("\"14 \u00b0C\"", "\"57.2 \u00b0F\""),
            Map.entry("\"15 \u00b0C\"", "\"59 \u00b0F\""),
            Map.entry("fuel-proof thread paste", "fuel-resistant thread sealant"));

    private static Project then(String name) throws Exception {
        return ProjectFile.open(WRITTEN.resolve(name + ".ration"));
    }

    @ParameterizedTest
    @MethodSource("documents")
    void opensAsWhatItIsToday(String name) throws Exception {
        String written = Files.readString(WRITTEN.resolve(name + ".ration"));
        assertThat(written).contains("\"version\" : 1");
        Project then = then(name);
        for (Map.Entry<String, String> word : REWORDED.entrySet()) {
            written = written.replace(word.getKey(), word.getValue());
        }
        assertThat(ProjectFile.read(written.getBytes(StandardCharsets.UTF_8), name))
                .isEqualTo(asVersion1CouldSay(Systems.demo(name)));
        assertThat(ProjectFile.text(then)).contains("\"version\" : 2");
    }

    /** Without what has come since: how far the build is, fineness and ratings, what the pilot reaches. */
    private static Project asVersion1CouldSay(Project p) {
        FuelSystem s = p.system();
        for (Item i : s.items()) {
            s = s.replace(i.as(new SomeKinds<Item>() {
                @Override
                public Item otherwise(Item item) {
                    return item;
                }

                @Override
                public Item run(Run x) {
                    return x.with(x.build()
                            .withStart(bare(x.build().start()))
                            .withEnd(bare(x.build().end())));
                }

                private RunBuild.End bare(RunBuild.End e) {
                    return e.withClamp(Optional.empty()).withShape(Optional.empty());
                }

                @Override
                public Item tank(Tank x) {
                    return x.with(x.fitout().withVent(x.fitout().vent().map(v -> v.withPieces(List.of()))));
                }

                @Override
                public Item strainer(Strainer x) {
                    return x.with(Mesh.UNSAID);
                }

                @Override
                public Item filter(Filter x) {
                    return x.with(Mesh.UNSAID);
                }

                @Override
                public Item pump(Pump x) {
                    return x.withBuild(x.build().withGrain(Optional.empty()));
                }

                @Override
                public Item engineInlet(EngineInlet x) {
                    return x.withGrain(Optional.empty());
                }

                @Override
                public Item shutOff(ShutOff x) {
                    return x.with(Reach.UNSAID);
                }

                @Override
                public Item selector(Selector x) {
                    return x.with(Reach.UNSAID);
                }
            }));
        }
        return p.with(s).with(Build.NONE);
    }

    /** The tests on record count as they did; one of them rests on lines of figures. */
    @Test
    void recordsThatCountedGoOnCounting() throws Exception {
        Assessment a = Assessment.of(then("corrie-b1"));
        assertThat(a.program().tests().stream().filter(p -> p.counts()).count()).isPositive();
        assertThat(then("corrie-b1").tests())
                .flatMap(t -> t.by().inputs().lines().keySet())
                .anyMatch(l -> l.matches("[a-z0-9-]+: [a-z]+[A-Z].*"));
    }

    /** Two outlets, one line "screen": which it was cannot be told, so it stays and ends what rests on it. */
    @Test
    void oneLineForTwoScreensIsNotGuessed() throws Exception {
        Project p = Systems.demo("two-outlets");
        String tank = p.system().tanks().stream()
                .filter(t ->
                        t.outlets().size() == 2 && t.outlets().get(1).screen().isPresent())
                .findFirst()
                .orElseThrow()
                .id();
        Map<String, String> lines = new LinkedHashMap<>();
        lines.put(tank + ": screen", "30.000 gph");
        lines.put(tank + ": outlet 2 bore", "0.300 in");
        Project carried = reread(p.withTests(List.of(record(lines))));
        assertThat(carried.tests().get(0).by().inputs().lines().keySet())
                .contains(tank + ": screen")
                .noneMatch(k -> k.endsWith("outlet 2 bore"))
                .anyMatch(k -> k.startsWith(tank + ": outlets[") && k.endsWith("].bore"));
    }

    /** Answered or not, a finding at a handle position was the same; what the owner said of it stays with it. */
    @Test
    void whatWasSaidOfAFindingStaysWithIt() throws Exception {
        Project p = Systems.corrie();
        SignOff said = SignOff.NONE;
        for (String id :
                List.of("flow.margin..UPPER", "flow.margin.FUSELAGE", "proof.flow.UPPER", "tank.unusable.upper")) {
            said = said.with(new SignOff.Point(id, "builder", "tube ordered"));
        }
        assertThat(reread(p.with(said)).signOff().points())
                .extracting(SignOff.Point::finding)
                .containsExactlyInAnyOrder(
                        "flow.margin.selector:UPPER",
                        "flow.margin.selector:FUSELAGE",
                        "proof.flow.selector:UPPER",
                        "tank.unusable.upper");
    }

    private static HangarTest record(Map<String, String> lines) throws Exception {
        HangarTest any = then("corrie-b1").tests().stream()
                .filter(t -> t.work() instanceof ration.record.evidence.Work.Sheet)
                .findFirst()
                .orElseThrow();
        return any.with(any.by().withInputs(new Inputs(lines)));
    }

    /** Written, said to be of version 1, and read. */
    private static Project reread(Project p) throws Exception {
        String text = ProjectFile.text(p).replaceFirst("\"version\" : 2", "\"version\" : 1");
        return ProjectFile.read(text.getBytes(StandardCharsets.UTF_8), "then.ration");
    }
}
