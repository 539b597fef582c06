package ration.record.file;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.Systems;
import ration.aircraft.model.EveryKind;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.record.project.Project;

/** Every kind with every figure set: nothing of it is lost in the file, and every figure is where its key says. */
class EveryKindTest {

    static Stream<Item> items() {
        return EveryKind.all().stream();
    }

    /** A kind added to the family and not to the samples fails here. */
    @Test
    void thereIsASampleOfEveryKind() {
        Set<Class<?>> kinds = Stream.concat(
                        Arrays.stream(Item.class.getPermittedSubclasses()).filter(c -> c != Fitted.class),
                        Arrays.stream(Fitted.class.getPermittedSubclasses()))
                .collect(Collectors.toSet());
        assertThat(EveryKind.all().stream().<Class<?>>map(Item::getClass).collect(Collectors.toSet()))
                .isEqualTo(kinds);
    }

    @Test
    void allOfThemComeBackFromTheFileAsTheyWere() throws ProjectFileException {
        Project project = Systems.project(new FuelSystem(EveryKind.all(), Optional.empty()));
        Project back = ProjectFile.read(ProjectFile.text(project).getBytes(StandardCharsets.UTF_8), "every.ration");
        assertThat(back.system().items()).containsExactlyElementsOf(EveryKind.all());
        assertThat(ProjectFile.text(back)).isEqualTo(ProjectFile.text(project));
    }

    /** Each figure of the sheet is changed by itself, saved, and read again: it alone has changed. */
    @ParameterizedTest
    @MethodSource("items")
    void everyFigureIsKeptAndStandsWhereItsKeySays(Item item) throws Exception {
        List<Field> fields = FieldSheet.of(item);
        assertThat(fields.stream().map(Field::key)).doesNotHaveDuplicates();
        assertThat(fields.stream().map(Field::label)).doesNotHaveDuplicates();
        for (Field field : fields) {
            Measured now = field.get().apply(item);
            Measured other = now.with(Quantity.of(
                    now.quantity().value() * 1.01 + 0.013, now.quantity().unit()));
            Item changed = field.with().apply(item, other);
            assertThat(field.get().apply(changed)).as(field.key()).isEqualTo(other);
            for (Field untouched : fields) {
                if (!untouched.key().equals(field.key())) {
                    assertThat(untouched.get().apply(changed))
                            .as(field.key() + " left " + untouched.key())
                            .isEqualTo(untouched.get().apply(item));
                }
            }
            List<Item> all = new ArrayList<>(EveryKind.all());
            all.replaceAll(i -> i.id().equals(item.id()) ? changed : i);
            String text = ProjectFile.text(Systems.project(new FuelSystem(all, Optional.empty())));
            Project back = ProjectFile.read(text.getBytes(StandardCharsets.UTF_8), "every.ration");
            assertThat(back.system().item(item.id())).as(field.key()).contains(changed);
            assertThat(inFile(text, item.id(), field.key()))
                    .as(field.key())
                    .isEqualTo(other.quantity().text());
        }
    }

    /**
     * What the program writes of any kind, the schema describes: a field forgotten there fails here, though readers may
     * add their own.
     */
    @Test
    void theSchemaNamesEveryFieldThatIsWritten() throws Exception {
        ObjectMapper json = new ObjectMapper();
        JsonSchema strict = StrictSchema.read();
        assertThat(strict.validate(json.readTree(
                        ProjectFile.text(Systems.project(new FuelSystem(EveryKind.all(), Optional.empty()))))))
                .isEmpty();
        for (String demo : Stream.concat(
                        Stream.of("corrie-b1", "tansy-l3", "brindle-a2"), ProjectFile.systems().stream())
                .toList()) {
            assertThat(strict.validate(json.readTree(ProjectFile.text(ProjectFile.demo(demo)))))
                    .as(demo)
                    .isEmpty();
        }
        ObjectNode more = (ObjectNode) json.readTree(ProjectFile.text(ProjectFile.demo("corrie-b1")));
        ((ObjectNode) more.get("system").get("items").get(0)).put("unheardOf", 1);
        assertThat(strict.validate(more)).as("a field that is not described").isNotEmpty();
    }

    /** A kind by another word, an engine pump beside an electric one, is named there too. */
    @Test
    void theSchemaNamesEveryWordForAKind() throws Exception {
        JsonNode words = new ObjectMapper()
                .readTree(Files.readString(Path.of("../docs/format/ration-1.schema.json")))
                .at("/$defs/item/properties/kind/enum");
        assertThat(StreamSupport.stream(words.spliterator(), false)
                        .map(JsonNode::asText)
                        .toList())
                .containsExactlyInAnyOrderElementsOf(Arrays.stream(WrittenKind.values())
                        .map(WrittenKind::word)
                        .toList());
    }

    /** The text a figure has in the file: objects by name, list elements by number or by their name. */
    private static String inFile(String text, String id, String key) throws Exception {
        JsonNode at = null;
        for (JsonNode item : new ObjectMapper().readTree(text).get("system").get("items")) {
            at = item.get("id").asText().equals(id) ? item : at;
        }
        for (String step : key.split("\\.")) {
            String name = step.contains("[") ? step.substring(0, step.indexOf('[')) : step;
            at = at.get(name);
            assertThat(at).as(key + " has no " + name).isNotNull();
            if (step.contains("[")) {
                String which = step.substring(step.indexOf('[') + 1, step.length() - 1);
                JsonNode list = at;
                at = which.matches("\\d+") ? list.get(Integer.parseInt(which)) : null;
                for (JsonNode element : list) {
                    at = element.path("name").asText().equals(which) ? element : at;
                }
            }
        }
        return at.isObject() ? at.get("value").asText() : at.asText();
    }
}
