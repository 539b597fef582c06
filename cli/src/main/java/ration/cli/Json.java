package ration.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import ration.verdict.check.Verdict;

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

    /** Which form of these answers this is; 1 said Short where 2 says fails. */
    static final int FORMAT = 2;

    /** An answer begun: it tells its form. */
    static ObjectNode answer() {
        return MAPPER.createObjectNode().put("format", FORMAT);
    }

    /** A verdict for programs: holds, thin, fails, not-shown. */
    static String word(Verdict verdict) {
        return verdict.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
