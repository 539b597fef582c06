package ration.record.file;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;

/**
 * Reads one JSON object field by field, noting every problem with its place in the document instead of stopping at the
 * first, and remembering the fields nobody asked for.
 */
final class JsonObjectReader {

    private final JsonNode node;
    private final String path;
    private final List<String> problems;
    private final Map<String, String> unknown;
    private final Set<String> asked = new HashSet<>();

    JsonObjectReader(JsonNode node, String path, List<String> problems, Map<String, String> unknown) {
        this.node = node;
        this.path = path;
        this.problems = problems;
        this.unknown = unknown;
        if (!node.isObject()) {
            problems.add(here("") + "an object { } is expected here.");
        }
    }

    /** Call when all known fields have been asked for. */
    void keepUnknown() {
        node.properties().forEach(f -> {
            if (!asked.contains(f.getKey())) {
                unknown.put(path + ProjectWriter.KEPT + f.getKey(), f.getValue().toString());
            }
        });
    }

    boolean has(String field) {
        asked.add(field);
        return node.hasNonNull(field);
    }

    String text(String field) {
        asked.add(field);
        JsonNode value = node.path(field);
        if (!value.isTextual()) {
            problems.add(here(field) + (value.isMissingNode() ? "the text is missing." : "a text is expected."));
            return "";
        }
        return value.asText();
    }

    /** A number for each of any names, within limits. */
    Map<String, Double> numbers(String field, double least, double most) {
        asked.add(field);
        Map<String, Double> found = new java.util.TreeMap<>();
        if (!node.path(field).isObject()) {
            problems.add(here(field) + "an object { } of numbers is expected here.");
        }
        node.path(field).properties().forEach(e -> {
            double value = e.getValue().isNumber() ? e.getValue().asDouble() : Double.NaN;
            if (value >= least && value <= most) {
                found.put(e.getKey(), value);
            } else {
                problems.add(here(field) + "\u201c" + e.getKey() + "\u201d: a number from " + least + " to " + most
                        + " is expected.");
            }
        });
        return found;
    }

    String text(String field, String otherwise) {
        return has(field) ? text(field) : otherwise;
    }

    boolean flag(String field) {
        asked.add(field);
        JsonNode value = node.path(field);
        if (!value.isMissingNode() && !value.isBoolean()) {
            problems.add(here(field) + "true or false is expected.");
        }
        return value.asBoolean(false);
    }

    double number(String field, double otherwise) {
        asked.add(field);
        JsonNode value = node.path(field);
        if (value.isMissingNode()) {
            return otherwise;
        }
        double number = value.asDouble();
        if (!value.isNumber() || !Double.isFinite(number) || Math.abs(number) > Quantity.LIMIT) {
            problems.add(here(field) + "a number is expected.");
            return otherwise;
        }
        return number;
    }

    /** A quantity with its unit, as text, or as an object with value and by. */
    Measured measured(String field, Unit sample) {
        asked.add(field);
        JsonNode value = node.path(field);
        return measured(value, sample, field);
    }

    Optional<Measured> optionalMeasured(String field, Unit sample) {
        return has(field) ? Optional.of(measured(field, sample)) : Optional.empty();
    }

    private Measured measured(JsonNode value, Unit sample, String field) {
        String written = "";
        String by = "";
        if (value.isTextual()) {
            written = value.asText();
        } else if (value.isObject()) {
            JsonObjectReader inner = new JsonObjectReader(value, key(field), problems, unknown);
            written = inner.text("value");
            by = inner.text("by", "");
            inner.keepUnknown();
        } else {
            problems.add(here(field)
                    + (value.isMissingNode()
                            ? "the figure is missing."
                            : "a figure with its unit is expected, such as \"52.5 in\"."));
            return Measured.of(1, sample);
        }
        try {
            return new Measured(Quantity.parseWithUnit(written, sample), by);
        } catch (IllegalArgumentException e) {
            problems.add(here(field) + e.getMessage());
            return Measured.of(1, sample);
        }
    }

    JsonObjectReader object(String field) {
        asked.add(field);
        return new JsonObjectReader(node.path(field), key(field), problems, unknown);
    }

    <T> Optional<T> optional(String field, Function<JsonObjectReader, T> read) {
        return has(field) ? Optional.of(read.apply(object(field))) : Optional.empty();
    }

    /** A list of objects; each is known by its id, its name or its number. */
    <T> List<T> list(String field, Function<JsonObjectReader, T> read) {
        List<T> result = new ArrayList<>();
        int index = 0;
        for (JsonNode element : array(field)) {
            String mark = element.path("id").asText(element.path("name").asText(String.valueOf(index)));
            result.add(read.apply(new JsonObjectReader(element, key(field) + "[" + mark + "]", problems, unknown)));
            index++;
        }
        return result;
    }

    List<String> texts(String field) {
        List<String> result = new ArrayList<>();
        for (JsonNode element : array(field)) {
            if (element.isTextual()) {
                result.add(element.asText());
            } else {
                problems.add(here(field) + "a list of texts is expected.");
            }
        }
        return result;
    }

    List<List<String>> textLists(String field) {
        List<List<String>> result = new ArrayList<>();
        for (JsonNode element : array(field)) {
            List<String> inner = new ArrayList<>();
            if (!element.isArray()) {
                problems.add(here(field) + "a list of lists of texts is expected.");
            }
            for (JsonNode text : element) {
                if (text.isTextual()) {
                    inner.add(text.asText());
                } else {
                    problems.add(here(field) + "a list of lists of texts is expected, not " + text + ".");
                }
            }
            result.add(inner);
        }
        return result;
    }

    private JsonNode array(String field) {
        asked.add(field);
        JsonNode value = node.path(field);
        if (!value.isMissingNode() && !value.isArray()) {
            problems.add(here(field) + "a list [ ] is expected.");
        }
        return value.isArray() ? value : com.fasterxml.jackson.databind.node.MissingNode.getInstance();
    }

    void problem(String field, String message) {
        problems.add(here(field) + message);
    }

    private String key(String field) {
        return path.isEmpty() ? field : path + "." + field;
    }

    private String here(String field) {
        String place = field.isEmpty() ? path : key(field);
        return (place.isEmpty() ? "The document" : place) + ": ";
    }
}
