package ration.record.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.base.fluid.FuelGrade;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.record.evidence.HangarTest;
import ration.verdict.standard.Standard;

/** Two states of a document compared, in words a builder reads. */
public final class Difference {

    private Difference() {}

    /** What is otherwise in the second than in the first; empty where nothing is. */
    public static List<String> between(Project first, Project second) {
        List<String> words = new ArrayList<>();
        if (!first.name().equals(second.name())) {
            words.add("named " + second.name());
        }
        if (!first.note().equals(second.note())) {
            words.add("another note");
        }
        for (Plate.Field f : Plate.Field.values()) {
            String now = second.plate().get(f);
            if (!first.plate().get(f).equals(now)) {
                words.add(f.label().toLowerCase(java.util.Locale.ROOT) + (now.isEmpty() ? " removed" : " " + now));
            }
        }
        brief(first.brief(), second.brief(), words);
        heat(first.heat(), second.heat(), words);
        if (!first.flight().equals(second.flight())) {
            words.add("the flight differs");
        }
        if (!first.readings().equals(second.readings())) {
            words.add("readings differ");
        }
        if (!first.upkeep().equals(second.upkeep())) {
            words.add("maintenance differs");
        }
        if (!first.build().equals(second.build())) {
            words.add("the build schedule differs");
        }
        if (!first.signOff().unissued().equals(second.signOff().unissued())) {
            words.add("notes on open items differ");
        }
        if (!first.signOff().packets().equals(second.signOff().packets())) {
            words.add("another packet was issued");
        }
        if (!first.system().firewall().equals(second.system().firewall())) {
            words.add("the firewall differs");
        }
        if (!first.system().shifts().equals(second.system().shifts())) {
            words.add("drawing positions differ");
        }
        first.system().cappedPorts().stream()
                .filter(p -> !second.system().cappedPorts().contains(p))
                .forEach(p -> words.add(Joining.words(first.system(), p) + " is no longer capped"));
        second.system().cappedPorts().stream()
                .filter(p -> !first.system().cappedPorts().contains(p))
                .forEach(p -> words.add(Joining.words(second.system(), p) + " is capped"));
        for (Item item : second.system().items()) {
            Optional<Item> was = first.system().item(item.id());
            if (was.isEmpty()) {
                words.add(item.name() + " is new");
            } else if (!was.get().equals(item)) {
                items(was.get(), item, words);
            }
        }
        first.system().items().stream()
                .filter(i -> second.system().item(i.id()).isEmpty())
                .forEach(i -> words.add(i.name() + " was removed"));
        for (HangarTest test : second.tests()) {
            Optional<HangarTest> was = first.test(test.id());
            if (was.isEmpty()) {
                words.add("test " + test.id() + " is new");
            } else if (!was.get().equals(test)) {
                words.add("test " + test.id() + " differs");
            }
        }
        first.tests().stream()
                .filter(t -> second.test(t.id()).isEmpty())
                .forEach(t -> words.add("test " + t.id() + " was removed"));
        if (!first.unknown().equals(second.unknown())) {
            words.add("fields this version does not know differ");
        }
        return words;
    }

    private static String changed(String what, Object was, Object now) {
        return what + " was " + was + ", now " + now;
    }

    private static String shown(Measured m) {
        return m.quantity().shown();
    }

    /** A figure, and how it came about if that is all that changed. */
    private static void figure(String what, Measured was, Measured now, List<String> words) {
        if (!was.quantity().equals(now.quantity())) {
            words.add(changed(what, shown(was), shown(now)));
        } else if (!was.equals(now)) {
            words.add(what + ": source now " + (now.by().isEmpty() ? "unknown" : now.by()));
        }
    }

    private static void choice(String what, Object was, Object now, Function<Object, String> name, List<String> words) {
        if (!was.equals(now)) {
            words.add(changed(what, name.apply(was), name.apply(now)));
        }
    }

    private static void brief(Brief was, Brief now, List<String> words) {
        int before = words.size();
        choice("Engine", was.engine(), now.engine(), String::valueOf, words);
        choice(
                "Delivery",
                was.delivery(),
                now.delivery(),
                d -> ((Brief.Delivery) d).label().toLowerCase(Locale.ROOT),
                words);
        figure("Power", was.power(), now.power(), words);
        figure("Consumption", was.consumption(), now.consumption(), words);
        choice("Fuel", was.fuel(), now.fuel(), f -> ((FuelGrade) f).label(), words);
        figure("Fuel temperature", was.fuelTemperature(), now.fuelTemperature(), words);
        figure("Low fuel", was.lowFuel(), now.lowFuel(), words);
        figure("Climb", was.envelope().climb(), now.envelope().climb(), words);
        figure("Glide", was.envelope().glide(), now.envelope().glide(), words);
        figure("Slip", was.envelope().slip(), now.envelope().slip(), words);
        figure("Parked", was.envelope().parked(), now.envelope().parked(), words);
        figure("Slip in the climb", was.envelope().climbSlip(), now.envelope().climbSlip(), words);
        figure("Slip in the glide", was.envelope().glideSlip(), now.envelope().glideSlip(), words);
        choice("Basis", was.choices().basis(), now.choices().basis(), b -> ((Standard) b).label(), words);
        choice(
                "Friction",
                was.choices().friction(),
                now.choices().friction(),
                f -> ((Brief.Friction) f).label(),
                words);
        if (!was.choices().practice().equals(now.choices().practice())) {
            words.add("practice choices differ");
        }
        if (words.size() == before && !was.equals(now)) {
            words.add("the Aircraft page differs");
        }
    }

    private static void heat(Heat was, Heat now, List<String> words) {
        choice("Volatility", was.volatility(), now.volatility(), v -> ((Volatility) v).label(), words);
        for (HeatFigure f : HeatFigure.values()) {
            figure(f.label(), was.figure(f), now.figure(f), words);
        }
        if (!was.zones().equals(now.zones())) {
            words.add("zones differ");
        }
    }

    /** Each figure of a part; what a part has beside figures, in as few words. */
    private static void items(Item was, Item now, List<String> words) {
        int before = words.size();
        String name = now.name() + ": ";
        if (!was.name().equals(now.name())) {
            words.add(was.name() + " is now called " + now.name());
        }
        if (!was.kind().equals(now.kind())) {
            words.add(changed(
                    name + "kind",
                    was.kind().toLowerCase(Locale.ROOT),
                    now.kind().toLowerCase(Locale.ROOT)));
        }
        if (was.getClass() == now.getClass()) {
            fields(was, now, name, words);
            was.only(Run.class).ifPresent(r -> run(r, now.only(Run.class).orElseThrow(), name, words));
        }
        if (words.size() == before) {
            words.add(now.name() + " differs");
        }
    }

    private static void fields(Item was, Item now, String name, List<String> words) {
        List<Field> fields = FieldSheet.of(was);
        for (Field f : fields) {
            Optional<Field> other = FieldSheet.of(now, f.key());
            other.ifPresentOrElse(
                    o -> figure(
                            name + f.label().toLowerCase(Locale.ROOT),
                            f.get().apply(was),
                            o.get().apply(now),
                            words),
                    () -> words.add(name + f.label().toLowerCase(Locale.ROOT) + " was "
                            + shown(f.get().apply(was)) + ", now there is none"));
        }
        FieldSheet.of(now).stream()
                .filter(f -> fields.stream().noneMatch(o -> o.key().equals(f.key())))
                .forEach(f -> words.add(name + f.label().toLowerCase(Locale.ROOT) + " is new: "
                        + shown(f.get().apply(now))));
    }

    private static void run(Run was, Run now, String name, List<String> words) {
        choice(name + "size", was.size(), now.size(), z -> ((LineSize) z).shortName(), words);
        choice(name + "start", was.from(), now.from(), String::valueOf, words);
        choice(name + "end", was.to(), now.to(), String::valueOf, words);
        if (!was.fittings().equals(now.fittings())) {
            words.add(changed(name + "fittings", fittings(was), fittings(now)));
        }
        if (!was.build().equals(now.build())) {
            words.add(name + "its make-up differs");
        }
    }

    private static String fittings(Run run) {
        return run.fittings().isEmpty()
                ? "none"
                : String.join(", ", run.fittings().stream().map(Fitting::label).toList());
    }
}
