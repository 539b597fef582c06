package ration.desktop.flow;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Item;
import ration.answer.ask.HowSteep;
import ration.answer.ask.WhichTank;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.SteepPicture;
import ration.record.project.Project;

/** What the answers to the page's questions say, before any of it is a node. */
record AskWords(Project project, Condition condition, UnitSystem units) {

    /** A logarithm of flows so small that they are alike. */
    private static final double ALIKE = 0.005;

    /** A tank in words: what it gives, its share, and the heights that make it. */
    record Row(String tank, String gives, String share, String height, String vent, String lost) {}

    String steep(Optional<HowSteep> found) {
        return found.map(s -> SteepPicture.words(s, project.brief().envelope(), units) + " Wings level, "
                        + condition.engine().power().label().toLowerCase(Locale.ROOT)
                        + " power, the other tanks as they are.")
                .orElse("Not shown: no tank feeds in this selector position.");
    }

    List<Row> rows(WhichTank w) {
        return w.tanks().stream()
                .map(s -> new Row(
                        name(s.tank()),
                        units.text(s.flow(), Dimension.FLOW),
                        UnitSystem.figure(100 * s.share(), 0) + " %",
                        units.text(s.height(), Dimension.LENGTH),
                        units.text(s.vent(), Dimension.LENGTH),
                        units.text(s.loss(), Dimension.LENGTH)))
                .toList();
    }

    /** Why the first gives more than the second, by shares, and what lean evens them. */
    String which(Optional<WhichTank> found) {
        if (found.isEmpty()) {
            return "Only one tank feeds in this selector position.";
        }
        WhichTank w = found.get();
        String a = name(w.tanks().get(0).tank());
        String b = name(w.tanks().get(1).tank());
        String lead = w.shares()
                .map(s -> Math.abs(s.all()) < ALIKE
                        ? "Equal feed from " + a + " and " + b
                        : a + " feeds " + percent(s.all()) + " more than " + b + ": fuel level " + percent(s.height())
                                + ", vent " + percent(s.vent()) + ", line " + percent(s.line()))
                .orElse("Fuel flows from " + a + " into " + b);
        return lead + ". "
                + (w.evens().isPresent()
                        ? "Equal at " + lean(w.evens().getAsDouble()) + "."
                        : "No tilt within " + WhichTank.MOST_LEAN + "\u00b0 equalizes them.");
    }

    /** By how much more, of a logarithm of a ratio. */
    static String percent(double logarithm) {
        return UnitSystem.figure(100 * (Math.exp(logarithm) - 1), 0) + " %";
    }

    static String lean(double degrees) {
        return (Math.abs(degrees) < 0.1 ? "Less than 0.1" : UnitSystem.figure(Math.abs(degrees), 1)) + "\u00b0 more "
                + (degrees > 0 ? "right" : "left") + " wing low";
    }

    private String name(String tank) {
        return project.system().item(tank).map(Item::name).orElse(tank);
    }
}
