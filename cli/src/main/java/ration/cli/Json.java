package ration.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** What the commands print as JSON. */
final class Json {

    static final ObjectMapper MAPPER = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    private Json() {}

    static String text(JsonNode root) {
        try {
            return MAPPER.writeValueAsString(root) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("The result could not be written as JSON", e);
        }
    }

    /** Null where it is not known, or has no end. */
    static void figure(ObjectNode node, String name, double value) {
        if (Double.isFinite(value)) {
            node.put(name, value);
        } else {
            node.putNull(name);
        }
    }
}
