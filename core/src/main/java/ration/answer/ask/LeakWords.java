package ration.answer.ask;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/**
 * What is said of places that seal.
 *
 * @param system the layout asked of
 */
public record LeakWords(FuelSystem system, UnitSystem units) {

    /** How it is looked for, and what is never waited for. */
    public static final String SEARCH =
            "Dry everything, begin at the top, wait, look and feel: fuel runs along tubes, the highest wet place is the"
                    + " source. Tighten one thing, dry again. Over electrics, exhaust or in the cabin any wet"
                    + " place fails."
                    + " No ignition source near, ventilate, extinguisher at hand.";

    /**
     * A place in words.
     *
     * @param opens what runs out where it opens; a dash of places that only weep
     */
    public record Row(
            String key,
            String name,
            String kind,
            String head,
            String pressure,
            String opens,
            String empty,
            String stopped) {

        /** For those who do not see it. */
        public String spoken() {
            return name + ", " + head + " of fuel over it, " + pressure
                    + (opens.equals(NONE) ? "" : ", opened " + opens + ", " + empty) + ", stopped by " + stopped;
        }
    }

    private static final String NONE = "\u2013";

    /** The highest first, as one looks for a leak. */
    public List<Row> rows(Leaks leaks) {
        return leaks.rows().stream()
                .sorted(Comparator.comparingDouble(
                                (Leaks.Row r) -> r.place().at().z())
                        .reversed())
                .map(this::row)
                .toList();
    }

    private Row row(Leaks.Row r) {
        return new Row(
                r.place().key(),
                r.place().name(),
                r.place().kind().label(),
                r.head() > 0 ? units.text(r.head(), Dimension.LENGTH) : "none",
                Double.isNaN(r.pressure()) ? "not solved" : units.text(r.pressure(), Dimension.PRESSURE),
                r.open()
                        .map(o -> Double.isNaN(o.rate())
                                ? "not solved"
                                : o.rate() <= 0
                                        ? "nothing"
                                        : units.text(o.rate(), Dimension.FLOW) + ", "
                                                + units.text(o.five(), Dimension.VOLUME) + " in 5 min")
                        .orElse(NONE),
                r.open().map(this::empties).orElse(NONE),
                r.stopped());
    }

    private String empties(Leaks.Open o) {
        if (!(o.rate() > 0)) {
            return NONE;
        }
        String from = o.from().stream()
                .map(id -> system.item(id).map(Item::name).orElse(id))
                .collect(Collectors.joining(", "));
        return o.empties().isPresent()
                ? UnitSystem.figure(o.empties().getAsDouble() / 60, 0) + " min, " + from
                : "goes on, " + from;
    }

    /** A weep measured under some fuel, at a full tank: drops a minute and gallons a day. */
    public String weep(double aMinute, double headThen, Leaks.Row place) {
        if (!(place.head() > 0)) {
            return "No fuel stands over it, level and full.";
        }
        double full = Leaks.atFull(aMinute, headThen, place.head());
        return UnitSystem.figure(full, 1) + " drops a minute with full tanks, "
                + UnitSystem.figure(units.unit(Dimension.VOLUME).fromSi(Leaks.drops(full) * 86400), 2) + " "
                + units.unit(Dimension.VOLUME).symbol() + " a day; measured " + UnitSystem.figure(aMinute, 1)
                + " under "
                + units.text(headThen, Dimension.LENGTH) + ".";
    }

    /** Reads a height of fuel. */
    public double height(String text) {
        return ration.base.quantity.Quantity.parse(text, units == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE)
                .si();
    }
}
