package ration.aircraft.plumbing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import ration.aircraft.model.Construction;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.base.quantity.Unit;

/** What the runs sheet adds up to: line by size, end fittings, adapters, clamps, sleeve, sealant. */
public final class ShoppingList {

    /** Cut-offs and a spoilt piece; common practice, no source. */
    private static final double WASTE = 0.10;

    /**
     * One line of it.
     *
     * @param what to buy
     * @param amount how much, in words
     * @param detail for what
     */
    public record Line(String what, String amount, String detail) {}

    private ShoppingList() {}

    /** Lines first, then fittings, adapters, clamps, sleeve and sealant. */
    public static List<Line> of(FuelSystem system) {
        Map<String, double[]> lines = new TreeMap<>();
        Map<String, List<String>> uses = new TreeMap<>();
        Map<String, Integer> fittings = new TreeMap<>();
        Map<String, Integer> adapters = new TreeMap<>();
        Map<String, Integer> clamps = new TreeMap<>();
        Map<String, Integer> sealants = new TreeMap<>();
        double sleeve = 0;
        for (Run run : system.runs()) {
            Construction made = LineRules.construction(run);
            double cut = CutLength.of(system, run).length();
            String line = made.label() + ", " + run.size().label();
            lines.computeIfAbsent(line, k -> new double[1])[0] += cut;
            uses.computeIfAbsent(line, k -> new ArrayList<>()).add(run.name());
            for (RunBuild.End end : List.of(run.build().start(), run.build().end())) {
                end.fitting()
                        .ifPresent(f -> fittings.merge(
                                (made.hose() ? made.label() + " end, " : "Nut and sleeve, ") + f.text(),
                                1,
                                Integer::sum));
                if (!end.adapter().isEmpty()) {
                    adapters.merge(end.adapter(), 1, Integer::sum);
                }
                if (!end.sealant().isEmpty()) {
                    sealants.merge(end.sealant(), 1, Integer::sum);
                }
            }
            int supports = supports(system, run);
            if (supports > 0) {
                clamps.merge(
                        "Cushioned clamp for "
                                + (run.size().kind() == LineSize.Kind.HOSE
                                        ? "-" + run.size().dash() + " hose"
                                        : run.size().shortName() + " tube"),
                        supports,
                        Integer::sum);
            }
            sleeve += run.build().marks().sleeved() ? cut : 0;
        }
        List<Line> list = new ArrayList<>();
        lines.forEach((what, sum) -> list.add(
                new Line(what, feet(sum[0] * (1 + WASTE)), String.join(", ", uses.get(what)) + "; +10% for waste")));
        count(list, fittings, "on the lines");
        count(list, adapters, "between lines and ports");
        if (!system.cappedPorts().isEmpty()) {
            list.add(new Line(
                    "Cap or plug",
                    system.cappedPorts().size() + " pcs",
                    system.cappedPorts().stream()
                            .map(p -> Portname.text(system, p))
                            .collect(java.util.stream.Collectors.joining(", "))));
        }
        count(list, clamps, "by the spacing entered, else the table's");
        if (sleeve > 0) {
            list.add(new Line("Fire sleeve", feet(sleeve * (1 + WASTE)), "ends sealed and banded"));
        }
        count(list, sealants, "joints");
        return list;
    }

    private static void count(List<Line> list, Map<String, Integer> counts, String detail) {
        counts.forEach((what, n) -> list.add(new Line(what, n + " pcs", detail)));
    }

    /** Supports along a run: one less than the stretches between them. */
    static int supports(FuelSystem system, Run run) {
        double span = run.build()
                .spacing()
                .map(m -> m.si())
                .orElse(LineRules.farthestSupports(run).orElse(0));
        double length = run.lengthM(
                system.point(run.from()).orElseThrow(), system.point(run.to()).orElseThrow());
        return span <= 0 ? 0 : (int) Math.max(0, Math.ceil(length / span - 1e-9) - 1);
    }

    private static String feet(double metres) {
        return String.format(java.util.Locale.ROOT, "%.1f ft", Unit.FOOT.fromSi(metres));
    }
}
