package ration.answer.ask;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Pump;
import ration.aircraft.topology.Topology;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * What is said of which pump will do.
 *
 * @param system the layout asked of
 * @param which what every case needs
 */
public record PumpWords(FuelSystem system, WhichPump which, UnitSystem units) {

    /** Needs nearer than this are told once. */
    private static final double NEAR = 0.97;

    /**
     * A pump held against the needs.
     *
     * @param ratio what it gives over what is needed, for a bar
     */
    public record Row(String name, Verdict verdict, double ratio, String detail) {}

    /** What the least curve gives, and what no pump mends. */
    public String needs() {
        List<String> apart = new ArrayList<>();
        List<WhichPump.Need> told = new ArrayList<>();
        for (WhichPump.Need n : which.needs()) {
            if (n.rise() > 0
                    && told.stream().noneMatch(o -> o.flow() >= NEAR * n.flow() && o.rise() >= NEAR * n.rise())) {
                told.add(n);
                apart.add(units.text(n.rise(), Dimension.PRESSURE) + " at " + units.text(n.flow(), Dimension.FLOW)
                        + " (" + where(n) + ")");
            }
        }
        String least =
                apart.isEmpty() ? "No case needs pressure of it." : "Required: " + String.join("; ", apart) + ".";
        return least
                + (which.never().isEmpty()
                        ? ""
                        : " " + which.never().size() + (which.never().size() == 1 ? " case holds" : " cases hold")
                                + " with no pump up to 120 psi: something else is in the way.");
    }

    private String where(WhichPump.Need n) {
        String positions = Topology.named(system, n.condition().positions());
        return n.condition().attitude().label() + (positions.isEmpty() ? "" : ", " + positions);
    }

    /** The pump that is fitted. */
    public Row fitted(Pump pump) {
        return row(pump.name() + " (fitted)", which.fit(pump));
    }

    /** The same at the voltage its wire leaves it; empty where wire or current are not known. */
    public Optional<Row> wired(Pump pump) {
        return WhichPump.Speed.wired(pump)
                .map(s ->
                        row(pump.name() + " as wired, " + UnitSystem.figure(s.volts(), 2) + " V", which.fit(pump, s)));
    }

    /** How much comes back unburned; empty where nothing does. */
    public String returned() {
        String said = which.returned().entrySet().stream()
                .map(e -> UnitSystem.figure(100 * e.getValue(), 0) + "% at "
                        + e.getKey().label().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
        return which.returned().values().stream().allMatch(s -> s < SPOONFUL)
                ? ""
                : "With this pump alone, " + said + " of what it moves comes back unburned.";
    }

    private static final double SPOONFUL = 0.01;

    /** A curve by its name. */
    public Row row(String name, List<Pump.CurvePoint> curve) {
        return row(name, which.fit(curve));
    }

    private Row row(String name, WhichPump.Fit fit) {
        boolean none = Double.isInfinite(fit.share());
        Verdict verdict = none ? Verdict.HOLDS : Verdict.atLeast(fit.share(), 1);
        String detail = fit.worst()
                .map(n -> "gives " + UnitSystem.figure(fit.share(), 2) + "\u00d7 the pressure needed at "
                        + units.text(n.flow(), Dimension.FLOW) + ", "
                        + where(n).toLowerCase(Locale.ROOT))
                .orElse(none ? "no case needs it" : "some cases hold with no pump");
        return new Row(name, verdict, none ? Finding.MET : Math.min(Finding.MET, fit.share()), detail);
    }
}
