package ration.record.file;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import ration.record.project.Project;

/** The schema of docs/format, made to refuse what it does not describe: what the program writes, it has to describe. */
public final class StrictSchema {

    private StrictSchema() {}

    static JsonSchema read() throws IOException {
        JsonNode schema = new ObjectMapper().readTree(Files.readString(Path.of("../docs/format/ration-2.schema.json")));
        close(schema);
        return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(schema);
    }

    /** Fails where a document holds what the schema does not know. */
    public static void describes(Project project) throws IOException {
        assertThat(read().validate(new ObjectMapper().readTree(ProjectFile.text(project))))
                .isEmpty();
    }

    private static void close(JsonNode schema) {
        if (schema.isObject() && schema.has("properties") && !schema.has("additionalProperties")) {
            ((ObjectNode) schema).put("additionalProperties", false);
        }
        schema.forEach(StrictSchema::close);
    }
}
