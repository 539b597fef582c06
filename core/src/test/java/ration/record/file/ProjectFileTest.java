package ration.record.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Switching;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Place;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tag;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.answer.drawdown.UsualFlight;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;
import ration.record.project.Practice;
import ration.record.project.Project;
import ration.record.reading.Reading;
import ration.record.reading.Setting;

class ProjectFileTest {

    private static final ObjectMapper JSON = new ObjectMapper();

    @TempDir
    Path folder;

    private static Project read(String text) throws ProjectFileException {
        return ProjectFile.read(text.getBytes(StandardCharsets.UTF_8), "test.ration");
    }

    private static String refusal(String text) {
        ProjectFileException e = catchThrowableOfType(ProjectFileException.class, () -> read(text));
        assertThat(e).as("refused").isNotNull();
        return e.fullText();
    }

    private static ObjectNode demo() {
        try {
            return (ObjectNode) JSON.readTree(ProjectFile.text(Systems.corrie()));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static ObjectNode item(ObjectNode doc, String id) {
        for (JsonNode n : doc.path("system").path("items")) {
            if (n.path("id").asText().equals(id)) {
                return (ObjectNode) n;
            }
        }
        throw new IllegalStateException(id);
    }

    // there and back

    @Test
    void theDemoComesBackTheSame() throws ProjectFileException {
        Project demo = Systems.corrie();
        assertThat(read(ProjectFile.text(demo))).isEqualTo(demo);
        assertThat(ProjectFile.text(read(ProjectFile.text(demo)))).isEqualTo(ProjectFile.text(demo));
    }

    @Test
    void everyKindOfItemComesBackTheSame() throws ProjectFileException {
        FuelSystem system = Systems.corrie().system();
        for (NewItem kind : NewItem.values()) {
            if (kind != NewItem.TANK) {
                system = LayoutEdits.add(system, "r3", LayoutEdits.Spot.IN_RUN, kind)
                        .orElseThrow()
                        .system();
            }
        }
        system = LayoutEdits.add(system, "r2", LayoutEdits.Spot.BRANCH, NewItem.TANK)
                .orElseThrow()
                .system();
        system = system.plus(new CheckValve(
                new Tag("spare", "Sp\u00e4re \u2013 \u201cvalve\u201d", Place.inches(0, 0, 0)),
                Measured.of(0.02, Unit.BAR, ""),
                Rated.of(20, 0.03, "bench")));
        Project project = Systems.corrie().with(system).withNote("line\nbreak");
        assertThat(read(ProjectFile.text(project))).isEqualTo(project);
    }

    @Property(tries = 20)
    void anyEditedProjectComesBackTheSame(@ForAll long seed) throws ProjectFileException {
        Random random = new Random(seed);
        Project project = Systems.corrie();
        for (int i = 0; i < 6; i++) {
            List<Run> runs = project.system().runs();
            Run run = runs.get(random.nextInt(runs.size()));
            double length = random.nextInt(1000) / 7.0;
            Optional<LayoutEdits.Outcome> out = LayoutEdits.add(
                    project.system().replace(run.withLength(Measured.of(length, Unit.values()[random.nextInt(4)]))),
                    run.id(),
                    LayoutEdits.Spot.BRANCH,
                    NewItem.values()[random.nextInt(NewItem.values().length)]);
            project = project.with(out.map(LayoutEdits.Outcome::system).orElse(project.system()));
        }
        assertThat(read(ProjectFile.text(project))).isEqualTo(project);
    }

    @Test
    void unknownFieldsAreKeptWhereTheyStood() throws IOException, ProjectFileException {
        ObjectNode doc = demo();
        doc.put("later", true);
        ((ObjectNode) doc.path("brief")).putObject("night").put("colour", "red");
        item(doc, "strainer").putArray("photos").add("a.jpg");
        ((ObjectNode) item(doc, "strainer").path("loss").path("flow")).put("tolerance", "1 gph");
        ((ObjectNode) item(doc, "upper").path("outlets").path(0)).put("o.dd name", 3);
        ((ObjectNode) item(doc, "r4").path("points").path(0)).put("clamp", "P-6");
        Project project = read(doc.toString());
        Project edited = project.withName("Other")
                .with(project.system()
                        .replace(project.system().item("strainer").orElseThrow().renamed("Gascolator")));
        JsonNode back = JSON.readTree(ProjectFile.text(read(ProjectFile.text(edited))));
        assertThat(back.path("later").asBoolean()).isTrue();
        assertThat(back.path("brief").path("night").path("colour").asText()).isEqualTo("red");
        ObjectNode again = (ObjectNode) back;
        assertThat(item(again, "strainer").path("photos").path(0).asText()).isEqualTo("a.jpg");
        assertThat(item(again, "strainer")
                        .path("loss")
                        .path("flow")
                        .path("tolerance")
                        .asText())
                .isEqualTo("1 gph");
        assertThat(item(again, "upper")
                        .path("outlets")
                        .path(0)
                        .path("o.dd name")
                        .asInt())
                .isEqualTo(3);
        assertThat(item(again, "r4").path("points").path(0).path("clamp").asText())
                .isEqualTo("P-6");
    }

    /** docs/format holds what the program writes. */
    @Test
    void writtenDocumentsFollowTheSchema() throws Exception {
        var schema = StrictSchema.read();
        assertThat(schema.validate(demo())).isEmpty();
        assertThat(schema.validate(JSON.readTree(Files.readString(Path.of("../demos/corrie-b1.ration")))))
                .isEmpty();
        assertThat(schema.validate(JSON.readTree(ProjectFile.text(Project.empty()))))
                .isEmpty();
        for (Volatility v : Volatility.values()) {
            Heat heat = Heat.usual(v);
            for (HeatFigure f : HeatFigure.values()) {
                heat = heat.with(f, f.usual());
            }
            Project said = read(ProjectFile.text(Project.empty().with(heat)));
            assertThat(said.heat()).isEqualTo(heat);
            assertThat(schema.validate(JSON.readTree(ProjectFile.text(said))))
                    .as(v.name())
                    .isEmpty();
        }
        Project tansy = ration.Systems.demo("tansy-l3");
        FlightPlan plan = UsualFlight.of(tansy);
        FlightPlan full = plan.with(plan.switching()
                        .with(Switching.Mode.HAND)
                        .withSteps(List.of(new Switching.Step(
                                Measured.of(30, Unit.MINUTE, "watch"), Map.of("selector", "RIGHT")))))
                .withStart(Map.of("left", Measured.of(20, Unit.GALLON, "dipped")));
        Project flown = read(ProjectFile.text(tansy.with(full)));
        assertThat(flown.flight()).contains(full);
        assertThat(schema.validate(JSON.readTree(ProjectFile.text(flown)))).isEmpty();
        Setting set = new Setting(
                StartingCase.of(tansy).withStopped(Set.of("boost-pump")), Set.of(Setting.Manoeuvre.RETURN_PINCHED));
        Reading reading = new Reading("servo", Reading.What.PRESSURE, 82_000, 7000, set);
        Setting everything = new Setting(set.condition(), Set.of(Setting.Manoeuvre.values()));
        List<Reading> taken =
                new java.util.ArrayList<>(List.of(reading, new Reading("servo", Reading.What.MINUTES, 8, 1, set)));
        for (Reading.What what : Reading.What.values()) {
            taken.add(
                    what.sign()
                            ? Reading.sign("servo", what, true, everything)
                            : what.dimension() == ration.base.quantity.Dimension.FLOW
                                    ? new Reading("left", what, 1e-5, 1e-6, everything)
                                    : new Reading("servo", what, 290, 2, everything));
        }
        Project read = read(ProjectFile.text(tansy.withReadings(taken)));
        assertThat(schema.validate(JSON.readTree(ProjectFile.text(read)))).isEmpty();
        assertThat(read.readings())
                .extracting(Reading::what)
                .isEqualTo(taken.stream().map(Reading::what).toList());
        assertThat(read.readings().get(read.readings().size() - 1).setting().manoeuvres())
                .isEqualTo(everything.manoeuvres());
        assertThat(read.readings().get(0).value()).isEqualTo(82_000);
        assertThat(read.readings().get(1).value()).isEqualTo(8);
        assertThat(read.readings().get(0).setting().manoeuvres()).isEqualTo(set.manoeuvres());
        assertThat(read.readings().get(0).setting().condition().handles())
                .isEqualTo(set.condition().handles());
        assertThat(read(ProjectFile.text(read))).isEqualTo(read);
        ObjectNode wrong = demo();
        wrong.put("version", 3);
        assertThat(schema.validate(wrong)).isNotEmpty();
    }

    // files that cannot be used

    @Test
    void damagedForeignAndNewerFilesAreTold() {
        String whole = ProjectFile.text(Systems.corrie());
        assertThat(refusal(whole.substring(0, whole.length() / 2)))
                .contains("test.ration is damaged")
                .contains("line")
                .contains("not changed");
        assertThat(refusal("")).contains("not a Ration document");
        assertThat(refusal("\u0000\u0001\u0002")).contains("damaged");
        assertThat(refusal("[1,2,3]")).contains("not a Ration document");
        assertThat(refusal("{\"format\":\"other\"}")).contains("not a Ration document");
        assertThat(refusal("{\"format\":\"ration\"}")).contains("which version");
        assertThat(refusal("{\"format\":\"ration\",\"version\":99}"))
                .contains("newer Ration")
                .contains("99");
        assertThat(refusal(whole + "{}")).contains("damaged");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "NaN|not a length",
                "1e999 in|not a length",
                "99999999999999 in|not a length",
                "52.5|not a length",
                "3 gal|not a length",
                "-5 in|Length"
            })
    void badFiguresAreNamedWithTheirPlace(String figure, String says) throws ProjectFileException {
        ObjectNode doc = demo();
        item(doc, "r3").put("length", figure);
        if (figure.equals("-5 in")) {
            assertThat(Assessment.of(read(doc.toString())).problems())
                    .anySatisfy(p -> assertThat(p.toString()).contains(says));
        } else {
            assertThat(refusal(doc.toString()))
                    .contains("system.items[r3].length")
                    .contains(says);
        }
    }

    @Test
    void everyBadFieldIsNamedAtOnce() {
        ObjectNode doc = demo();
        doc.remove("name");
        ((ObjectNode) doc.path("brief"))
                .put("delivery", "magic")
                .put("fuel", "diesel")
                .put("power", "0 hp")
                .put("fuelTemperature", "500 \u00b0C");
        item(doc, "r3").put("size", "7/8").put("from", "selector");
        item(doc, "selector").put("kind", "teapot");
        String told = refusal(doc.toString());
        assertThat(told)
                .contains("name: the text is missing")
                .contains("brief.delivery")
                .contains("brief.power")
                .contains("brief.fuel")
                .contains("more.");
    }

    @Test
    void missingReferencesAndDuplicatesAreRefused() {
        ObjectNode doc = demo();
        item(doc, "r3").put("to", "nowhere.in");
        assertThat(refusal(doc.toString())).contains("r3").contains("nowhere.in");
        ObjectNode twice = demo();
        ((ArrayNode) twice.path("system").path("items"))
                .add(item(twice, "strainer").deepCopy());
        assertThat(refusal(twice.toString())).contains("Two items are called strainer");
        String key = ProjectFile.text(Systems.corrie())
                .replaceFirst("\"version\" : 2,", "\"version\" : 2, \"version\" : 2,");
        assertThat(refusal(key)).contains("a field stands twice");
    }

    @Test
    void hostileFilesAreRefusedQuickly() throws IOException {
        String deep = "{\"format\":\"ration\",\"version\":1,\"x\":" + "[".repeat(5000) + "]".repeat(5000) + "}";
        assertThat(refusal(deep)).contains("damaged").contains("nested deeper");
        assertThat(refusal("{\"format\":\"ration\",\"version\":1" + "0".repeat(5000) + "}"))
                .contains("damaged");
        assertThat(refusal("{\"format\":\"ration\",\"version\":NaN}")).contains("damaged");
        Path huge = folder.resolve("huge.ration");
        try (var channel = java.nio.channels.FileChannel.open(
                huge, java.nio.file.StandardOpenOption.CREATE, java.nio.file.StandardOpenOption.WRITE)) {
            channel.write(java.nio.ByteBuffer.wrap(new byte[] {' '}), 100L << 20);
        }
        assertThatThrownBy(() -> ProjectFile.open(huge))
                .isInstanceOf(ProjectFileException.class)
                .hasMessageContaining("100 MB");
        assertThatThrownBy(() -> ProjectFile.open(folder)).hasMessageContaining("folder");
        assertThatThrownBy(() -> ProjectFile.open(folder.resolve("none.ration")))
                .hasMessageContaining("No file");
    }

    /** A document with one value put wrong is read or refused; it never brings the assessment down. */
    @Property(tries = 60)
    void anySpoiltDocumentIsReadOrRefused(@ForAll long seed) {
        Random random = new Random(seed);
        ObjectNode doc = demo();
        List<ObjectNode> objects = new ArrayList<>();
        collect(doc, objects);
        String[] junk = {
            "\"\"",
            "null",
            "-1",
            "1e308",
            "true",
            "[]",
            "{}",
            "\"0 in\"",
            "\"-3 in\"",
            "\"999999 in\"",
            "\"0.0001 psi\"",
            "\"500 gal\"",
            "\"outlet\"",
            "\"strainer.in\"",
            "\"r3\"",
            "[[\"upper\",\"out\"]]",
            "\"59 \u00b0\"",
            "\"\\u0000\"",
            "\"9999 psi\"",
            "\"0 gph\"",
            "{\"value\":\"1 in\",\"by\":3}"
        };
        for (int i = 0; i < 1 + random.nextInt(3); i++) {
            ObjectNode victim = objects.get(random.nextInt(objects.size()));
            List<String> names = new ArrayList<>();
            victim.fieldNames().forEachRemaining(names::add);
            try {
                if (random.nextInt(6) == 0 && !names.isEmpty()) {
                    victim.remove(names.get(random.nextInt(names.size())));
                } else if (!names.isEmpty()) {
                    victim.set(
                            names.get(random.nextInt(names.size())), JSON.readTree(junk[random.nextInt(junk.length)]));
                }
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        }
        try {
            Assessment a = Assessment.of(read(doc.toString()));
            assertThat(a.cases()).allSatisfy(c -> assertThat(c.margin()).isFinite());
        } catch (ProjectFileException e) {
            assertThat(e.fullText()).startsWith("test.ration");
        }
    }

    private static void collect(JsonNode node, List<ObjectNode> into) {
        if (node instanceof ObjectNode object) {
            into.add(object);
        }
        node.forEach(child -> collect(child, into));
    }

    // saving

    @Test
    void savingKeepsThePreviousCopyAndLeavesNothingBeside() throws IOException, ProjectFileException {
        Path file = folder.resolve("corrie.ration");
        ProjectFile.save(Systems.corrie(), file);
        ProjectFile.save(Systems.corrie().withName("Second"), file);
        assertThat(ProjectFile.open(file).name()).isEqualTo("Second");
        assertThat(ProjectFile.open(folder.resolve("corrie.ration.previous")).name())
                .isEqualTo("Corrie B1");
        try (var files = Files.list(folder)) {
            assertThat(files).hasSize(2);
        }
    }

    @Test
    void savingWhereItCannotSaysSoAndHarmsNothing() throws ProjectFileException {
        Path inNoFolder = folder.resolve("missing").resolve("corrie.ration");
        assertThatThrownBy(() -> ProjectFile.save(Systems.corrie(), inNoFolder))
                .isInstanceOf(ProjectFileException.class)
                .hasMessageContaining("could not be saved")
                .hasMessageContaining("its folder does not exist")
                .hasMessageContaining("nothing is lost");
        assertThatThrownBy(() -> ProjectFile.demo("../secret")).hasMessageContaining("No example called");
    }

    /** Every school that can be chosen is kept, alone and with every other. */
    @Property(tries = 200)
    void schoolsAreKept(
            @ForAll boolean light,
            @ForAll boolean smear,
            @ForAll boolean vents,
            @ForAll boolean fine,
            @ForAll boolean assembly)
            throws ProjectFileException {
        Project p = Systems.corrie();
        Practice chosen =
                p.brief().practice().withAsks(new Practice.Asks(true, light, false, smear, vents, fine, assembly));
        Project set = p.with(p.brief().withChoices(p.brief().choices().with(chosen)));
        assertThat(read(ProjectFile.text(set))).isEqualTo(set);
    }
}
