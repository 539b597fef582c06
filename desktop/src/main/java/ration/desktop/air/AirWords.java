package ration.desktop.air;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import ration.aircraft.model.Item;
import ration.aircraft.model.VentPlenum;
import ration.answer.assess.AirAnswer;
import ration.answer.assess.Assessment;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.physics.breathing.SamplingCard;
import ration.physics.breathing.VentSearch;
import ration.record.project.Brief;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;

/**
 * What the card of the page says, before any of it is a node.
 *
 * @param a what was assessed
 * @param blocked ids of tanks and plenums whose vent is shut in the picture
 * @param units results are shown in
 */
record AirWords(Assessment a, Set<String> blocked, UnitSystem units) {

    /** Air through a vent, and what that costs. */
    record Row(String what, String air, String cost) {}

    /**
     * A tank or plenum that breathes.
     *
     * @param rows what its vent costs; none of a plenum, and none where nobody said what it is
     * @param said whether bore and length are said
     * @param blocked what comes of it where its vent is shut
     */
    record Vent(Item item, List<Row> rows, boolean said, Optional<String> blocked) {}

    /** In the order of the layout: tanks, then what they share. */
    List<Vent> vents() {
        return Stream.concat(
                        a.air().stream()
                                .map(x -> new Vent(
                                        x.tank(),
                                        x.line().isPresent() ? rows(x) : List.of(),
                                        x.line().isPresent(),
                                        stopped(x.tank()))),
                        a.project().system().all(VentPlenum.class).map(p -> new Vent(p, List.of(), true, stopped(p))))
                .toList();
    }

    private List<Row> rows(AirAnswer x) {
        List<Row> rows = new ArrayList<>(List.of(
                row("feeding", x.feeding(), x),
                row("descending", x.descending(), x),
                new Row(
                        "filling, " + units.text(x.drop(x.filling()) / weight(), Dimension.LENGTH) + " of fuel",
                        units.text(x.filling(), Dimension.FLOW) + " of air",
                        units.small(x.drop(x.filling())))));
        if (x.returning() > 0) {
            rows.add(row("return flow", x.returning(), x));
        }
        return rows;
    }

    /** Of fuel, Pa a meter of height. */
    private double weight() {
        Brief brief = a.project().brief();
        return brief.fuel().density(brief.fuelKelvin()) * GRAVITY;
    }

    private static final double GRAVITY = 9.80665;

    /**
     * What to do in a search for what keeps a tank from filling.
     *
     * @param title what is asked, or found
     * @param words how
     * @param asks whether something is to be heard
     */
    record Look(String title, String words, boolean asks) {}

    /** The next look of a search, or what it found. */
    Look look(VentSearch search) {
        return search.next()
                .map(s -> new Look(
                        "Joint before: " + s.name(),
                        "Engine off, cap off. Open this joint, hold branches beyond it shut, blow toward the vent"
                                + " outlet with a squeeze bulb: " + air(search.expected())
                                + " expected at 10 inH2O. Never shop air. Possible: "
                                + search.left().size() + " of "
                                + search.places().size() + " places.",
                        true))
                .orElseGet(() -> {
                    VentSearch.Spot s = search.found().orElseThrow();
                    return new Look(
                            "Look at: " + s.name(),
                            "By itself it passes " + air(s.breath()) + " at 10 inH2O. A one-way valve passes one way"
                                    + " only: try both. If it is free, the vent is not the cause: neck, flap, or"
                                    + " filling too fast. Note either for Troubleshoot.",
                            false);
                });
    }

    private static String air(double flow) {
        return UnitSystem.figure(flow * 60_000, 1) + " L/min";
    }

    private Row row(String what, double flow, AirAnswer x) {
        return new Row(what, units.text(flow, Dimension.FLOW) + " of air", units.small(x.drop(flow)));
    }

    private Optional<String> stopped(Item item) {
        return blocked.contains(item.id())
                ? Optional.of(a.findings().stream()
                        .filter(f -> f.check() == Check.AIR_BLOCKED && f.item().equals(item.id()))
                        .findFirst()
                        .map(f -> f.detail().in(units))
                        .orElse("Effect not computed."))
                : Optional.empty();
    }

    /** Drains in walk-round order, numbered; a sentence where there is none. */
    List<String> samples() {
        List<String> names = SamplingCard.of(a.project().system()).stream()
                .map(SamplingCard.Drain::name)
                .toList();
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            lines.add(i + 1 + "  " + names.get(i));
        }
        return lines.isEmpty() ? List.of("No drain in the layout.") : lines;
    }

    /** What the checks say, but for those of a blocked vent, which stand with the vent. */
    List<Finding> findings() {
        return a.findings().stream()
                .filter(f -> f.topic() == Check.Topic.AIR && f.check() != Check.AIR_BLOCKED)
                .toList();
    }
}
