package ration.record.file;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiConsumer;
import ration.aircraft.heat.Heat;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.Rated;
import ration.base.quantity.Measured;
import ration.record.project.Brief;
import ration.record.project.Practice;
import ration.record.project.Project;
import ration.record.project.Variant;
import ration.record.reading.Reading;

/** From a project to JSON, putting unknown fields back where they stood. */
final class ProjectWriter {

    /** Stands between the object a kept field was in and its name. */
    static final char KEPT = '\t';

    private final ObjectMapper json;
    private final Map<String, String> unknown;

    ProjectWriter(ObjectMapper json, Map<String, String> unknown) {
        this.json = json;
        this.unknown = unknown;
    }

    /** The word a choice is written as. */
    static String word(Enum<?> choice) {
        return choice.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    ObjectNode write(Project project) {
        ObjectNode doc = json.createObjectNode();
        doc.put("format", ProjectFile.FORMAT);
        doc.put("version", ProjectFile.VERSION);
        doc.put("name", project.name());
        if (!project.note().isEmpty()) {
            doc.put("note", project.note());
        }
        brief(doc.putObject("brief"), project.brief());
        system(doc.putObject("system"), project.system());
        heat(doc.putObject("heat"), project.heat());
        if (!project.tests().isEmpty()) {
            objects(
                    doc,
                    "",
                    "tests",
                    project.tests(),
                    t -> t.id(),
                    (t, node) -> TestCodec.write(this, node, "tests[" + t.id() + "]", t));
        }
        project.flight().ifPresent(f -> FlightCodec.write(this, doc.putObject("flight"), f));
        if (!project.readings().isEmpty()) {
            numberedAtTop(doc, project.readings());
        }
        if (!project.signOff().none()) {
            SignOffCodec.write(this, doc.putObject("signOff"), project.signOff());
        }
        if (!project.plate().none()) {
            ObjectNode plate = doc.putObject("plate");
            project.plate().said().forEach((f, text) -> plate.put(f.key(), text));
            restore(plate, "plate");
        }
        if (!project.build().none()) {
            BuildCodec.write(this, doc.putObject("build"), project.build());
        }
        if (!project.upkeep().none()) {
            UpkeepCodec.write(this, doc.putObject("upkeep"), project.upkeep());
        }
        if (!project.variants().isEmpty()) {
            objects(doc, "", "variants", project.variants(), Variant::name, (v, node) -> {
                ProjectWriter inner = within("variants[" + v.name() + "].");
                node.put("name", v.name());
                inner.brief(node.putObject("brief"), v.brief());
                inner.system(node.putObject("system"), v.system());
                inner.heat(node.putObject("heat"), v.heat());
            });
        }
        restore(doc, "");
        return doc;
    }

    /** Writes an inner document: what is kept of it stands behind this. */
    private ProjectWriter within(String place) {
        Map<String, String> inner = new java.util.TreeMap<>();
        unknown.forEach((key, text) -> {
            if (key.startsWith(place)) {
                inner.put(key.substring(place.length()), text);
            }
        });
        return new ProjectWriter(json, inner);
    }

    private void heat(ObjectNode out, Heat heat) {
        out.put("volatility", word(heat.volatility()));
        heat.figures().forEach((f, m) -> measured(out, "heat", word(f), m));
        if (!heat.zones().isEmpty()) {
            objects(
                    out,
                    "heat",
                    "zones",
                    java.util.List.copyOf(heat.zones().entrySet()),
                    Map.Entry::getKey,
                    (e, node) -> {
                        node.put("id", e.getKey());
                        node.put("zone", word(e.getValue()));
                    });
        }
        restore(out, "heat");
    }

    private void brief(ObjectNode out, Brief brief) {
        out.put("engine", brief.engine());
        out.put("delivery", word(brief.delivery()));
        measured(out, "brief", "power", brief.power());
        measured(out, "brief", "specificConsumption", brief.consumption());
        ObjectNode e = out.putObject("envelope");
        measured(e, "brief.envelope", "climb", brief.envelope().climb());
        measured(e, "brief.envelope", "glide", brief.envelope().glide());
        measured(e, "brief.envelope", "slip", brief.envelope().slip());
        measured(e, "brief.envelope", "parked", brief.envelope().parked());
        measured(e, "brief.envelope", "climbSlip", brief.envelope().climbSlip());
        measured(e, "brief.envelope", "glideSlip", brief.envelope().glideSlip());
        restore(e, "brief.envelope");
        out.put("fuel", brief.fuel().key());
        measured(out, "brief", "fuelTemperature", brief.fuelTemperature());
        measured(out, "brief", "lowFuel", brief.lowFuel());
        out.put("basis", brief.choices().basis().key());
        out.put("friction", word(brief.choices().friction()));
        Practice practice = brief.practice();
        if (!practice.equals(Practice.USUAL)) {
            ObjectNode p = out.putObject("practice");
            measured(p, "brief.practice", "fouledFactor", practice.fouled());
            measured(p, "brief.practice", "takeOffRun", practice.takeOff());
            measured(p, "brief.practice", "pushOver", practice.light());
            measured(p, "brief.practice", "gust", practice.gust());
            measured(p, "brief.practice", "coldFuel", practice.coldFuel());
            p.put("takeOffRunMustHold", practice.asks().takeOff());
            p.put("pushOverMustHold", practice.asks().light());
            p.put("gustMustHold", practice.asks().gust());
            if (!practice.asks().ventSize()) {
                p.put("ventSizeAsked", false);
            }
            if (!practice.asks().fineFilter()) {
                p.put("fineFilterAsked", false);
            }
            if (practice.asks().assembly()) {
                p.put("assemblyAsked", true);
            }
            if (!practice.asks().smear()) {
                p.put("smearPasses", false);
            }
        }
        restore(out, "brief");
    }

    private void system(ObjectNode out, FuelSystem system) {
        system.firewall().ifPresent(w -> {
            ObjectNode wall = out.putObject("firewall");
            measured(wall, "system.firewall", "station", w.station());
            measured(wall, "system.firewall", "top", w.top());
            measured(wall, "system.firewall", "foot", w.foot());
            restore(wall, "system.firewall");
        });
        if (!system.shifts().isEmpty()) {
            ObjectNode shifts = out.putObject("shifts");
            new java.util.TreeMap<>(system.shifts()).forEach(shifts::put);
        }
        if (!system.cappedPorts().isEmpty()) {
            ArrayNode capped = out.putArray("capped");
            system.cappedPorts().forEach(p -> capped.add(p.toString()));
        }
        ArrayNode items = out.putArray("items");
        for (Item item : system.items()) {
            String path = "system.items[" + item.id() + "]";
            ObjectNode node = items.addObject();
            item(node, path, item);
            restore(node, path);
        }
        restore(out, "system");
    }

    private void item(ObjectNode out, String path, Item item) {
        out.put("kind", WrittenKind.of(item).word());
        out.put("id", item.id());
        out.put("name", item.name());
        item.only(Fitted.class).ifPresent(f -> place(out.putObject("at"), path + ".at", f.place()));
        item.as(new ItemWriter(this, out, path));
    }

    <T> void objects(
            ObjectNode out,
            String path,
            String field,
            List<T> list,
            java.util.function.Function<T, String> mark,
            BiConsumer<T, ObjectNode> write) {
        ArrayNode array = out.putArray(field);
        for (T element : list) {
            String at = (path.isEmpty() ? "" : path + ".") + field + "[" + mark.apply(element) + "]";
            ObjectNode node = array.addObject();
            write.accept(element, node);
            restore(node, at);
        }
    }

    private void numberedAtTop(ObjectNode doc, List<Reading> readings) {
        ArrayNode array = doc.putArray("readings");
        for (int i = 0; i < readings.size(); i++) {
            ObjectNode node = array.addObject();
            ReadingCodec.write(this, node, "readings[" + i + "]", readings.get(i));
            restore(node, "readings[" + i + "]");
        }
    }

    /** Writes one element, told the place it stands at. */
    @FunctionalInterface
    interface Numbered<T> {
        void write(T element, String at, ObjectNode node);
    }

    /** A list whose elements have no name: each is known by its number. */
    <T> void numbered(ObjectNode out, String path, String field, List<T> list, Numbered<T> write) {
        ArrayNode array = out.putArray(field);
        for (int i = 0; i < list.size(); i++) {
            String at = path + "." + field + "[" + i + "]";
            ObjectNode node = array.addObject();
            write.write(list.get(i), at, node);
            restore(node, at);
        }
    }

    void place(ObjectNode out, String path, Place place) {
        placeFields(out, path, place);
        restore(out, path);
    }

    /** Where the caller puts unknown fields back. */
    void placeFields(ObjectNode out, String path, Place place) {
        measured(out, path, "station", place.station());
        measured(out, path, "buttLine", place.buttLine());
        measured(out, path, "waterLine", place.waterLine());
    }

    void rated(ObjectNode out, String path, String field, Rated rated) {
        ObjectNode node = out.putObject(field);
        measured(node, path + "." + field, "flow", rated.flow());
        measured(node, path + "." + field, "loss", rated.loss());
        restore(node, path + "." + field);
    }

    void measured(ObjectNode out, String path, String field, Measured m) {
        String at = path + "." + field;
        boolean more = unknown.keySet().stream().anyMatch(k -> parent(k).equals(at));
        if (m.by().isEmpty() && !more) {
            out.put(field, m.quantity().text());
        } else {
            ObjectNode node = out.putObject(field);
            node.put("value", m.quantity().text());
            if (!m.by().isEmpty()) {
                node.put("by", m.by());
            }
            restore(node, at);
        }
    }

    void restore(ObjectNode node, String path) {
        unknown.forEach((key, text) -> {
            if (parent(key).equals(path)) {
                try {
                    node.set(key.substring(path.length() + 1), json.readTree(text));
                } catch (JsonProcessingException e) {
                    throw new IllegalStateException("A kept field is no longer JSON: " + key, e);
                }
            }
        });
    }

    /** The object a kept field stood in. */
    private static String parent(String key) {
        return key.substring(0, key.lastIndexOf(KEPT));
    }
}
