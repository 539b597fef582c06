package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Mesh;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Subject;

/**
 * The filters in the ways of the fuel: fine enough for the engine and each pump on every way, coarse before fine. A
 * filter of unknown fineness stops nothing until it is known, and might stop all.
 */
final class FilterChecks {

    /** Finer than the one behind it by more than this share is the wrong order. */
    private static final double FINER = 0.8;

    private final Project project;
    private final FuelSystem system;
    private final Ways ways;
    private final Map<PortRef, OptionalDouble> screens =
            new TreeMap<>(java.util.Comparator.comparing(PortRef::toString));
    private final Map<String, OptionalDouble> meshes = new TreeMap<>();
    private final List<Finding> findings = new ArrayList<>();

    private FilterChecks(Project project) {
        this.project = project;
        system = project.system();
        ways = new Ways(system);
        for (Tank t : system.tanks()) {
            for (Outlet o : t.outlets()) {
                if (o.finger().isPresent() || o.screen().isPresent()) {
                    screens.put(
                            new PortRef(t.id(), o.name()),
                            o.finger().map(f -> OptionalDouble.of(f.opening())).orElse(OptionalDouble.empty()));
                }
            }
        }
        system.all(Strainer.class).forEach(s -> meshes.put(s.id(), opening(s.mesh())));
        system.all(Filter.class).forEach(f -> meshes.put(f.id(), opening(f.mesh())));
    }

    static List<Finding> of(Project project) {
        FilterChecks checks = new FilterChecks(project);
        Optional<EngineInlet> inlet = project.system().inlet();
        if (inlet.isPresent() && !project.system().tanks().isEmpty()) {
            checks.engine(inlet.get());
            project.system().all(Pump.class).forEach(checks::pump);
            checks.order();
        }
        return checks.findings;
    }

    private static OptionalDouble opening(Mesh mesh) {
        return mesh.opening()
                .filter(m -> !m.assumed())
                .map(m -> OptionalDouble.of(m.si()))
                .orElse(OptionalDouble.empty());
    }

    /** A tank from which fuel comes to a port through nothing that stops such grains. */
    private Optional<Tank> past(PortRef to, double grain, boolean unknownStops) {
        return ways.past(
                to,
                port -> Optional.ofNullable(screens.get(port))
                        .filter(o -> stops(o, grain, unknownStops))
                        .isPresent(),
                item -> Optional.ofNullable(meshes.get(item.id()))
                        .filter(o -> stops(o, grain, unknownStops))
                        .isPresent());
    }

    private static boolean stops(OptionalDouble opening, double grain, boolean unknownStops) {
        return opening.isEmpty() ? unknownStops : opening.getAsDouble() <= grain * (1 + 1e-9);
    }

    /** The largest grain that comes to a port on some way, of filters that are known; empty where anything does. */
    private OptionalDouble comes(PortRef to) {
        return java.util.stream.Stream.concat(screens.values().stream(), meshes.values().stream())
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .sorted()
                .filter(g -> past(to, g, false).isEmpty())
                .findFirst();
    }

    private Verdict verdict(PortRef to, double limit) {
        return past(to, limit, false).isEmpty()
                ? Verdict.HOLDS
                : past(to, limit, true).isPresent() ? Verdict.FAILS : Verdict.NOT_SHOWN;
    }

    private String unknown() {
        List<String> names = meshes.entrySet().stream()
                .filter(e -> e.getValue().isEmpty())
                .map(e -> system.item(e.getKey()).map(Item::name).orElse(e.getKey()))
                .collect(Collectors.toCollection(ArrayList::new));
        screens.entrySet().stream()
                .filter(e -> e.getValue().isEmpty())
                .map(e -> "screen of "
                        + system.item(e.getKey().item()).map(Item::name).orElse(""))
                .distinct()
                .forEach(names::add);
        return String.join(", ", names);
    }

    private void engine(EngineInlet inlet) {
        PortRef to = new PortRef(inlet.id(), Item.IN);
        // with no filter at all on a way, that is the finding
        if (ways.past(to, p -> false, i -> meshes.containsKey(i.id())).isPresent()) {
            return;
        }
        Optional<Measured> said = inlet.grain().filter(g -> !g.assumed());
        boolean asked = project.brief().practice().asks().fineFilter();
        if (said.isEmpty() && !asked) {
            return;
        }
        double usual = project.brief()
                .choices()
                .basis()
                .figure(Subject.FILTRATION, inlet.style() == EngineInlet.Style.FLOAT ? "carburetor" : "injection");
        double limit = said.map(Measured::si).orElse(usual);
        add(
                Check.FILTER_ENGINE,
                "",
                inlet.id(),
                to,
                limit,
                "Filtered finely enough for the engine",
                inlet.name(),
                said.isPresent() ? "its manufacturer's figure" : project.brief().cite(Subject.FILTRATION));
    }

    private void pump(Pump pump) {
        PortRef to = new PortRef(pump.id(), Item.IN);
        if (ways.past(to, p -> false, i -> false).isEmpty()) {
            return;
        }
        Optional<Measured> limit = pump.build().grain().filter(g -> !g.assumed());
        String title = "Filtered finely enough for " + pump.name();
        if (limit.isEmpty()) {
            findings.add(new Finding(
                    Check.FILTER_PUMP,
                    pump.id(),
                    title,
                    pump.id(),
                    Verdict.NOT_SHOWN,
                    Finding.MISSED,
                    u -> "What its manufacturer allows before it is not entered"
                            + (comes(to).isPresent() ? "; " + microns(comes(to).getAsDouble()) + " comes to it." : "."),
                    Checks.PRACTICE,
                    "Enter the coarsest filter allowed on the card of " + pump.name() + "."));
            return;
        }
        add(
                Check.FILTER_PUMP,
                pump.id(),
                pump.id(),
                to,
                limit.get().si(),
                title,
                pump.name(),
                "its manufacturer's figure");
    }

    private void add(
            Check check, String of, String item, PortRef to, double limit, String title, String name, String source) {
        Verdict verdict = verdict(to, limit);
        OptionalDouble comes = comes(to);
        findings.add(new Finding(
                check,
                of,
                title,
                item,
                verdict,
                comes.isPresent()
                        ? Math.min(Finding.MET, limit / comes.getAsDouble())
                        : verdict == Verdict.HOLDS ? Finding.MET : Finding.MISSED,
                u -> switch (verdict) {
                    case HOLDS ->
                        "Nothing coarser than " + microns(comes.orElse(limit)) + " comes to " + name + "; "
                                + microns(limit) + " allowed.";
                    case NOT_SHOWN ->
                        "Whether grains over " + microns(limit) + " are kept from " + name
                                + ": fineness not entered of " + unknown() + ".";
                    default ->
                        "From " + past(to, limit, true).map(Tank::name).orElse("a tank") + " grains up to "
                                + (comes.isPresent() ? microns(comes.getAsDouble()) : "any size") + " come to " + name
                                + "; "
                                + microns(limit) + " allowed.";
                },
                source,
                switch (verdict) {
                    case HOLDS -> "";
                    case NOT_SHOWN -> "Enter the fineness on the card of each strainer and filter.";
                    default -> "A finer filter, on the pressure side of the pump where there is one.";
                }));
    }

    /** Each filter against those behind it on a way. */
    private void order() {
        List<String> wrong = new ArrayList<>();
        String first = "";
        int known = 0;
        for (Map.Entry<String, OptionalDouble> fine : meshes.entrySet()) {
            known += fine.getValue().isPresent() ? 1 : 0;
            Set<String> behind = ways.behind(fine.getKey());
            for (Map.Entry<String, OptionalDouble> coarse : meshes.entrySet()) {
                if (!coarse.getKey().equals(fine.getKey())
                        && behind.contains(coarse.getKey())
                        && fine.getValue().isPresent()
                        && coarse.getValue().isPresent()
                        && fine.getValue().getAsDouble()
                                < FINER * coarse.getValue().getAsDouble()) {
                    first = first.isEmpty() ? fine.getKey() : first;
                    wrong.add(name(fine.getKey()) + " ("
                            + microns(fine.getValue().getAsDouble()) + ") before " + name(coarse.getKey()) + " ("
                            + microns(coarse.getValue().getAsDouble()) + ")");
                }
            }
        }
        if (known < 2) {
            return;
        }
        findings.add(new Finding(
                Check.FILTER_ORDER,
                "",
                "Coarse filters before fine ones",
                first,
                wrong.isEmpty() ? Verdict.HOLDS : Verdict.THIN,
                wrong.isEmpty() ? Finding.MET : 1.05,
                u -> wrong.isEmpty()
                        ? "No filter stands before a coarser one."
                        : String.join("; ", wrong) + ": the fine one clogs first, the coarse one keeps nothing back.",
                project.brief().cite(Subject.FILTRATION),
                wrong.isEmpty() ? "" : "Put the coarse one nearer the tank."));
    }

    private String name(String id) {
        return system.item(id).map(Item::name).orElse(id);
    }

    static String microns(double metres) {
        return UnitSystem.figure(Unit.MICROMETRE.fromSi(metres), 0) + " " + Unit.MICROMETRE.symbol();
    }
}
