package ration.desktop.find;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.answer.find.Explanation;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.project.Edit;
import ration.record.reading.Reading;
import ration.record.reading.Setting;

/**
 * What a reading is entered as, and how those entered are told, before any of it is a node.
 *
 * @param units meant where none is written
 */
record ReadingEntry(UnitSystem units) {

    /** A reading in words: what and where, the figure, its error, and how the aircraft was set. */
    record Row(String what, String figure, String error, String how) {}

    /** What a sound aircraft would read there. */
    record Beside(String words, boolean off) {}

    /**
     * Where readings can be taken, the engine inlet first: names and ids; of parts called alike the second goes by its
     * id too.
     */
    static Map<String, String> places(FuelSystem system) {
        Map<String, String> all = new LinkedHashMap<>();
        system.inlet().ifPresent(i -> all.put(i.name(), i.id()));
        system.items().stream()
                .filter(i -> !all.containsValue(i.id()))
                .forEach(i -> all.put(all.containsKey(i.name()) ? i.name() + " (" + i.id() + ")" : i.name(), i.id()));
        return all;
    }

    private Unit unit(Reading.What what) {
        return what == Reading.What.MINUTES ? Unit.MINUTE : units.unit(what.dimension());
    }

    /** What is expected in the field of the figure. */
    String prompt(Reading.What what) {
        return what.sign() ? "yes, no" : unit(what).symbol();
    }

    /** With its unit; minutes as minutes. */
    String figure(Reading.What what, double value) {
        return Reading.text(what, value, units);
    }

    /** An error as it is entered: a difference, without a unit. */
    String off(Reading asked) {
        return asked.what().sign()
                ? ""
                : UnitSystem.figure(
                        asked.what() == Reading.What.MINUTES
                                ? asked.error()
                                : asked.error() / unit(asked.what()).differenceToSi(1),
                        1);
    }

    Row row(Reading r, FuelSystem system) {
        Condition c = r.setting().condition();
        List<String> how = new ArrayList<>(c.positions().values());
        how.add(c.engine().power().label().toLowerCase(Locale.ROOT));
        c.stopped()
                .forEach(id ->
                        how.add(system.item(id).map(i -> i.name() + " off").orElse(id)));
        r.setting().manoeuvres().stream().sorted().forEach(m -> how.add(m.word()));
        return new Row(
                r.what().word() + ", " + r.named(system),
                figure(r.what(), r.value()),
                r.what().sign() ? "" : "\u00b1 " + error(r),
                String.join(", ", how));
    }

    private String error(Reading r) {
        Unit u = unit(r.what());
        return r.what() == Reading.What.MINUTES
                ? figure(r.what(), r.error())
                : UnitSystem.figure(r.error() / u.differenceToSi(1), 1) + " " + u.symbol();
    }

    /** @param fit of the sound aircraft to it; says nothing where that is not known */
    Beside beside(Reading r, Optional<Explanation.Fit> fit) {
        return fit.filter(f -> !Double.isNaN(f.expected()))
                .map(f -> {
                    boolean off = Math.abs(f.deviation()) > 1;
                    String side = !off ? "" : r.what().sign() ? ": odd" : f.deviation() > 0 ? ": high" : ": low";
                    return new Beside("expected " + figure(r.what(), f.expected()) + side, off);
                })
                .orElse(new Beside("", false));
    }

    /**
     * What was entered.
     *
     * @param place id of the item it was read at; null while none is chosen
     * @param value as entered
     * @param error as entered; nothing is asked of a sign
     * @throws IllegalArgumentException with a sentence where something is missing: nothing is entered that nobody read
     */
    Reading read(String place, Reading.What what, String value, String error, Setting how) {
        chosen(place);
        return what.sign()
                ? Reading.sign(place, what, so(value), how)
                : new Reading(place, what, si(what, value, "the value read"), off(what, error), how);
    }

    /** What a rig that hides a fault is asked for: it reads its instruments itself. */
    static Reading asked(String place, Reading.What what, Setting how) {
        chosen(place);
        return new Reading(place, what, 0, what.usualError(), how);
    }

    private static void chosen(String place) {
        if (place == null) {
            throw new IllegalArgumentException("Enter where it was read.");
        }
    }

    private double si(Reading.What what, String text, String name) {
        if (text.isBlank()) {
            throw new IllegalArgumentException("Enter " + name + ".");
        }
        double si = Quantity.parse(text, unit(what)).si();
        return what == Reading.What.MINUTES ? si / 60 : si;
    }

    private double off(Reading.What what, String text) {
        double shown = si(what, text, "the instrument error");
        return what == Reading.What.TEMPERATURE ? shown - unit(what).toSi(0) : shown;
    }

    /** Whether a sign was there: nothing is entered that nobody looked for. */
    private static boolean so(String value) {
        String said = value.strip().toLowerCase(Locale.ROOT);
        if (!said.equals("yes") && !said.equals("no") && !said.equals("y") && !said.equals("n")) {
            throw new IllegalArgumentException("Enter yes if seen, no if you looked and it was not.");
        }
        return said.startsWith("y");
    }

    static Edit added(Reading r) {
        return Edit.of("Add a reading", p -> {
            List<Reading> all = new ArrayList<>(p.readings());
            all.add(r);
            return p.withReadings(all);
        });
    }

    /** Without the reading at a place of the list; where there is none any more, as it is. */
    static Edit removed(int at) {
        return Edit.of("Remove a reading", p -> {
            List<Reading> rest = new ArrayList<>(p.readings());
            if (at < rest.size()) {
                rest.remove(at);
            }
            return p.withReadings(rest);
        });
    }
}
