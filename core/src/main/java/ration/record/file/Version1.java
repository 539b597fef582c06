package ration.record.file;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.condition.PositionKey;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Selector;
import ration.record.acceptance.SignOff;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Inputs;
import ration.record.project.Project;

/**
 * What documents of version 1 called by its words, called by its key. A record's lines said "r3: length" as the card
 * did, findings at a handle position bore the position's name alone. What cannot be told, one line for the screens of
 * two outlets, a position that two selectors have, stays as it was written: a record that rests on it no longer counts
 * and says so.
 */
final class Version1 {

    /** Findings that were asked of a handle position, and the word they began with. */
    private static final List<String> AT_A_POSITION = List.of("flow.margin.", "proof.flow.", "proof.pump-flow.");

    private final FuelSystem system;

    private Version1(FuelSystem system) {
        this.system = system;
    }

    /** The same document, by keys. */
    static Project carried(Project read) {
        Version1 then = new Version1(read.system());
        SignOff said = read.signOff();
        List<SignOff.Point> points = said.points().stream()
                .map(p -> new SignOff.Point(then.finding(p.finding()), p.owner(), p.note()))
                .toList();
        List<SignOff.Accepted> accepted = said.accepted().stream()
                .map(a -> new SignOff.Accepted(
                        then.finding(a.finding()), a.name(), a.reason(), a.on(), verdict(a.as()), ""))
                .toList();
        return read.withTests(read.tests().stream().map(then::record).toList())
                .with(new SignOff(points, accepted, said.packets()));
    }

    /** The verdict Fails was called Short. */
    private static String verdict(String as) {
        return as.startsWith("Short;") ? "Fails;" + as.substring("Short;".length()) : as;
    }

    private HangarTest record(HangarTest test) {
        Map<String, String> lines = new LinkedHashMap<>();
        test.by().inputs().lines().forEach((what, was) -> lines.put(line(what), was));
        return test.with(test.by().withInputs(new Inputs(lines)));
    }

    /** A line that a record rests on, by the key of its figure where one figure alone was called so. */
    String line(String what) {
        int at = what.indexOf(": ");
        if (at < 0) {
            return what;
        }
        String label = what.substring(at + 2);
        List<String> keys = system.item(what.substring(0, at)).map(FieldSheet::of).orElse(List.of()).stream()
                .filter(f -> calledThen(f).equals(label))
                .map(Field::key)
                .toList();
        return keys.size() == 1 ? what.substring(0, at) + ": " + keys.get(0) : what;
    }

    /** What labels say now, and what version 1 said there. */
    private static final Map<String, String> WORDS_THEN = ordered(
            Map.entry("dirty", "fouled"),
            Map.entry("bowl capacity", "bowl holds"),
            Map.entry("inlet height above outlet", "inlets over outlet"),
            Map.entry("minimum inlet pressure", "least pressure"),
            Map.entry("maximum inlet pressure", "most pressure"),
            Map.entry("vent outlet coefficient", "tip coefficient"),
            Map.entry("vent outlet ", "vent tip "),
            Map.entry("mesh per inch", "mesh an inch"),
            Map.entry("wire diameter", "mesh wire"),
            Map.entry("strainer diameter", "finger wide"),
            Map.entry("strainer length", "finger long"),
            Map.entry("manufacturer's unusable", "maker's unusable"),
            Map.entry("filler neck ", "filler "),
            Map.entry("gauge bottom ", "gauge foot "));

    /**
     * Every screen of a tank was called one. Whoever rewords the label of a figure adds here what version 1 called it.
     */
    @SafeVarargs
    private static Map<String, String> ordered(Map.Entry<String, String>... entries) {
        Map<String, String> all = new LinkedHashMap<>();
        for (Map.Entry<String, String> e : entries) {
            all.put(e.getKey(), e.getValue());
        }
        return all;
    }

    private static String calledThen(Field field) {
        String label = field.label().toLowerCase(Locale.ROOT);
        for (Map.Entry<String, String> word : WORDS_THEN.entrySet()) {
            label = label.replace(word.getKey(), word.getValue());
        }
        return field.key().endsWith(".screen") ? "screen" : label;
    }

    private String finding(String id) {
        return AT_A_POSITION.stream()
                .filter(id::startsWith)
                .findFirst()
                .flatMap(begin -> key(id.substring(begin.length())).map(k -> begin + k))
                .orElse(id);
    }

    /**
     * flow.margin..LEFT, answered, and flow.margin.LEFT, not, were one finding; two positions stood between commas or
     * plus signs.
     */
    private Optional<String> key(String names) {
        Map<String, String> positions = new LinkedHashMap<>();
        for (String name : names.replaceFirst("^\\.", "").split(", |\\+")) {
            List<Selector> having = new ArrayList<>();
            for (Selector s : system.selectors()) {
                if (s.positions().stream().anyMatch(p -> p.name().equals(name))) {
                    having.add(s);
                }
            }
            if (having.size() != 1) {
                return Optional.empty();
            }
            positions.put(having.get(0).id(), name);
        }
        return Optional.of(new PositionKey(positions).text());
    }
}
