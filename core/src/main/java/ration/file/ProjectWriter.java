package ration.file;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiConsumer;
import ration.heat.Heat;
import ration.model.CheckBlock;
import ration.model.CheckValve;
import ration.model.EngineInlet;
import ration.model.Filter;
import ration.model.Fitted;
import ration.model.FlowSender;
import ration.model.FuelSystem;
import ration.model.Header;
import ration.model.Item;
import ration.model.JetPump;
import ration.model.Measured;
import ration.model.Orifice;
import ration.model.Place;
import ration.model.Pump;
import ration.model.QuickDisconnect;
import ration.model.Rated;
import ration.model.Regulator;
import ration.model.Run;
import ration.model.RunBuild;
import ration.model.Selector;
import ration.model.ShutOff;
import ration.model.Strainer;
import ration.model.Tank;
import ration.model.Tee;
import ration.project.Brief;
import ration.project.Practice;
import ration.project.Project;

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
            objects(doc, "", "tests", project.tests(), t -> t.id(), (t, node) -> TestCodec.write(this, node,
                    "tests[" + t.id() + "]", t));
        }
        restore(doc, "");
        return doc;
    }

    private void heat(ObjectNode out, Heat heat) {
        out.put("volatility", word(heat.volatility()));
        heat.figures().forEach((f, m) -> measured(out, "heat", word(f), m));
        if (!heat.zones().isEmpty()) {
            objects(out, "heat", "zones", java.util.List.copyOf(heat.zones().entrySet()), Map.Entry::getKey, (e, node) -> {
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
        out.put("fuel", brief.fuel().label());
        measured(out, "brief", "fuelTemperature", brief.fuelTemperature());
        measured(out, "brief", "lowFuel", brief.lowFuel());
        out.put("basis", word(brief.choices().basis()));
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
        out.put("kind", kind(item));
        out.put("id", item.id());
        out.put("name", item.name());
        if (item instanceof Fitted fitted) {
            place(out.putObject("at"), path + ".at", fitted.place());
        }
        if (item instanceof Tank tank) {
            TankCodec.write(this, out, path, tank);
        } else if (item instanceof Selector selector) {
            selector.inlets().forEach(out.putArray("inlets")::add);
            if (selector.duplex()) {
                selector.returns().forEach(out.putArray("returnPorts")::add);
            }
            objects(out, path, "positions", selector.positions(), Selector.Position::name, (p, node) -> {
                node.put("name", p.name());
                ArrayNode joins = node.putArray("joins");
                p.joins().forEach(group -> group.forEach(joins.addArray()::add));
            });
            rated(out, path, "loss", selector.loss());
        } else if (item instanceof ShutOff valve) {
            rated(out, path, "loss", valve.loss());
        } else if (item instanceof Strainer strainer) {
            rated(out, path, "loss", strainer.loss());
            strainer.fouled().ifPresent(r -> rated(out, path, "fouled", r));
            out.put("drain", strainer.drain());
            strainer.bowl().ifPresent(b -> measured(out, path, "bowl", b));
        } else if (item instanceof CheckValve valve) {
            measured(out, path, "cracking", valve.cracking());
            rated(out, path, "loss", valve.loss());
        } else if (item instanceof Orifice orifice) {
            measured(out, path, "bore", orifice.bore());
            out.put("dischargeCoefficient", orifice.dischargeCoefficient());
        } else if (item instanceof Pump pump) {
            numbered(out, path, "curve", pump.curve(), (p, at, node) -> {
                measured(node, at, "flow", p.flow());
                measured(node, at, "pressure", p.pressure());
            });
            pump.off().ifPresent(r -> rated(out, path, "off", r));
            pump.build().relief().ifPresent(r -> measured(out, path, "relief", r));
            pump.build().current().ifPresent(r -> measured(out, path, "current", r));
            if (pump.build().checked()) {
                out.put("checkValve", true);
            }
        } else if (item instanceof Tee tee) {
            measured(out, path, "bore", tee.bore());
        } else if (item instanceof EngineInlet inlet) {
            measured(out, path, "seat", inlet.seat());
            measured(out, path, "minimumPressure", inlet.minimumPressure());
            inlet.maximumPressure().ifPresent(m -> measured(out, path, "maximumPressure", m));
            if (inlet.returns()) {
                out.put("returns", true);
            }
        } else if (item instanceof Filter || item instanceof Header || item instanceof CheckBlock
                || item instanceof FlowSender || item instanceof QuickDisconnect
                || item instanceof Regulator || item instanceof JetPump) {
            fittedWithPump(out, path, item);
        } else if (item instanceof Run run) {
            run(out, path, run);
        }
    }

    private void fittedWithPump(ObjectNode out, String path, Item item) {
        if (item instanceof Filter filter) {
            numbered(out, path, "rated", filter.points(), (p, at, node) -> {
                measured(node, at, "flow", p.flow());
                measured(node, at, "loss", p.loss());
            });
            filter.fouled().ifPresent(r -> rated(out, path, "fouled", r));
        } else if (item instanceof CheckBlock block) {
            measured(out, path, "cracking", block.cracking());
            rated(out, path, "loss", block.loss());
        } else if (item instanceof FlowSender sender) {
            rated(out, path, "loss", sender.loss());
        } else if (item instanceof QuickDisconnect coupling) {
            rated(out, path, "loss", coupling.loss());
        } else if (item instanceof Regulator regulator) {
            out.put("reference", word(regulator.reference()));
            measured(out, path, "setting", regulator.setting());
            rated(out, path, "loss", regulator.loss());
        } else if (item instanceof JetPump jet) {
            measured(out, path, "nozzle", jet.nozzle());
            measured(out, path, "flowRatio", jet.flowRatio());
            measured(out, path, "headRatio", jet.headRatio());
        } else if (item instanceof Header header) {
            measured(out, path, "capacity", header.capacity());
            measured(out, path, "height", header.height());
            measured(out, path, "inletRise", header.inletRise());
            header.inlets().forEach(out.putArray("inlets")::add);
        }
    }

    private void build(ObjectNode run, String path, RunBuild build) {
        if (build.equals(RunBuild.NONE)) {
            return;
        }
        ObjectNode out = run.putObject("build");
        String at = path + ".build";
        build.construction().ifPresent(c -> out.put("construction", word(c)));
        for (RunBuild.Figure figure : RunBuild.Figure.values()) {
            build.figure(figure).ifPresent(m -> measured(out, at, word(figure), m));
        }
        out.put("sleeved", build.marks().sleeved());
        out.put("moving", build.marks().moving());
        out.put("temporary", build.marks().temporary());
        end(out, at, "start", build.start());
        end(out, at, "end", build.end());
        restore(out, at);
    }

    private void end(ObjectNode build, String path, String field, RunBuild.End end) {
        if (end.equals(RunBuild.End.NONE)) {
            return;
        }
        ObjectNode out = build.putObject(field);
        end.fitting().ifPresent(f -> out.put("fitting", f.text()));
        end.port().ifPresent(f -> out.put("port", f.text()));
        end.family().ifPresent(c -> out.put("family", word(c)));
        out.put("adapter", end.adapter());
        out.put("sealant", end.sealant());
        restore(out, path + "." + field);
    }

    private static String kind(Item item) {
        if (item instanceof Run) {
            return "run";
        }
        return item.kind().toLowerCase(Locale.ROOT).replace(' ', '-');
    }

    private void run(ObjectNode out, String path, Run run) {
        out.put("from", run.from().toString());
        out.put("to", run.to().toString());
        out.put("size", run.size().label());
        run.length().ifPresent(l -> measured(out, path, "length", l));
        if (!run.points().isEmpty()) {
            ArrayNode points = out.putArray("points");
            for (int i = 0; i < run.points().size(); i++) {
                place(points.addObject(), path + ".points[" + i + "]", run.points().get(i));
            }
        }
        if (!run.fittings().isEmpty()) {
            run.fittings().forEach(f -> out.withArray("fittings").add(f.label()));
        }
        build(out, path, run.build());
    }

    <T> void objects(ObjectNode out, String path, String field, List<T> list,
            java.util.function.Function<T, String> mark, BiConsumer<T, ObjectNode> write) {
        ArrayNode array = out.putArray(field);
        for (T element : list) {
            String at = (path.isEmpty() ? "" : path + ".") + field + "[" + mark.apply(element) + "]";
            ObjectNode node = array.addObject();
            write.accept(element, node);
            restore(node, at);
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
