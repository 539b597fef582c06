package ration.answer.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.record.evidence.AsBuilt;
import ration.record.evidence.Form;
import ration.record.evidence.Inputs;
import ration.record.evidence.Known;
import ration.record.evidence.Named;
import ration.record.evidence.Standing;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.record.project.Project;
import ration.record.upkeep.Part;

/**
 * What a change of one part would have to be shown again.
 *
 * @param ended tests on record that count and rest on it
 * @param asked tests asked for that would rest on it
 */
public record Touched(List<String> ended, List<String> asked) {

    public Touched {
        ended = List.copyOf(ended);
        asked = List.copyOf(asked);
    }

    /** Of a part that is laid out. */
    public static Touched by(Project project, String item) {
        AsBuilt built = project.asBuilt();
        List<String> ended = project.tests().stream()
                .filter(t -> Standing.of(t, built).counts() && rests(built, t.subject(), t.work(), item))
                .map(t -> Named.of(project.system(), t))
                .distinct()
                .toList();
        List<String> asked = TestProgram.wanted(project).stream()
                .filter(Wanted::asked)
                .filter(w -> rests(built, w, item))
                .map(Wanted::name)
                .distinct()
                .toList();
        return new Touched(ended, asked);
    }

    /**
     * One thing to be shown again.
     *
     * @param words what it is called
     * @param test key of the test; empty where there is none of its own
     */
    public record Again(String words, Optional<String> test) {
        static Again words(String words) {
            return new Again(words, Optional.empty());
        }
    }

    /**
     * What has to be shown again once a part was replaced: the tests asked for that rest on it, those that its kind
     * brings with it whether asked for or not, and the leaks last.
     */
    public static List<Again> renewed(Project project, Part part) {
        FuelSystem system = project.system();
        Optional<Item> item = system.item(part.item());
        if (part.kind() == Part.Kind.CAP_SEAL) {
            return List.of(Again.words("Cap dry under a hose, then a sample of "
                    + item.map(Item::name).orElse("the tank")));
        }
        AsBuilt built = project.asBuilt();
        Set<TestKind> always = EnumSet.of(TestKind.OVERNIGHT, TestKind.FIRST_RUN);
        always.addAll(byKind(part.kind()));
        item.map(i -> i.as(BY_ITEM)).ifPresent(always::addAll);
        List<Again> all = new ArrayList<>();
        TestProgram.wanted(project).stream()
                .filter(w -> always.contains(w.kind())
                        ? w.subject().isEmpty() || w.subject().equals(part.item())
                        : w.asked() && item.isPresent() && rests(built, w, part.item()))
                .sorted(Comparator.comparing((Wanted w) -> LEAKS_LAST.indexOf(w.kind())))
                .map(w -> new Again(w.name(), Optional.of(w.key())))
                .distinct()
                .forEach(all::add);
        if (item.flatMap(i -> i.only(Run.class))
                .filter(Topology.of(system)::returns)
                .isPresent()) {
            all.add(0, Again.words("Return flow and pressure at idle"));
        }
        return List.copyOf(all);
    }

    /** The same of many parts replaced in one act: each thing once, the leaks last. */
    public static List<Again> renewed(Project project, List<Part> parts) {
        Map<String, Again> all = new LinkedHashMap<>();
        Map<String, Again> leaks = new LinkedHashMap<>();
        for (Part p : parts) {
            for (Again a : renewed(project, p)) {
                boolean last = a.test()
                        .filter(t -> LEAKS_LAST.stream().anyMatch(k -> k.key().equals(t)))
                        .isPresent();
                (last ? leaks : all).putIfAbsent(a.words(), a);
            }
        }
        all.putAll(leaks);
        return List.copyOf(all.values());
    }

    private static final List<TestKind> LEAKS_LAST = List.of(TestKind.OVERNIGHT, TestKind.FIRST_RUN);

    private static Set<TestKind> byKind(Part.Kind kind) {
        return switch (kind) {
            case VENT -> Set.of(TestKind.VENTS);
            case SENDER -> Set.of(TestKind.LEVEL_SENDER, TestKind.FLOW_SENDER, TestKind.GAUGE_CHECK);
            case SIGHT_TUBE -> Set.of(TestKind.FILL);
            case RUBBER_HOSE, PTFE_HOSE -> Set.of(TestKind.LINE_PRESSURE);
            case PLATE, SEALANT -> Set.of(TestKind.TANK_PRESSURE, TestKind.CLEAN);
            case SCREEN, FILTER_ELEMENT, SEALS, PUMP, CAP_SEAL, TEMPORARY, FUNCTION, PREFLIGHT, OTHER -> Set.of();
        };
    }

    private static final SomeKinds<Set<TestKind>> BY_ITEM = new SomeKinds<>() {
        @Override
        public Set<TestKind> otherwise(Item item) {
            return Set.of();
        }

        @Override
        public Set<TestKind> run(Run run) {
            return Set.of(TestKind.LINE_PRESSURE);
        }

        @Override
        public Set<TestKind> tank(Tank tank) {
            return Set.of(TestKind.TANK_PRESSURE);
        }

        @Override
        public Set<TestKind> selector(Selector selector) {
            return Set.of(TestKind.SELECTOR_OFF);
        }

        @Override
        public Set<TestKind> pump(Pump pump) {
            return Set.of(TestKind.PUMP_FLOW, TestKind.DEAD_HEAD);
        }

        @Override
        public Set<TestKind> regulator(Regulator regulator) {
            return Set.of(TestKind.REGULATOR);
        }

        @Override
        public Set<TestKind> jetPump(JetPump jetPump) {
            return Set.of(TestKind.JET);
        }
    };

    private static boolean rests(AsBuilt built, Wanted w, String item) {
        return Form.of(w.kind()).isPresent()
                ? rests(built, w.subject(), w.begun(), item)
                : w.subject().equals(item);
    }

    private static boolean rests(AsBuilt built, String subject, Work work, String item) {
        if (work.onTank()) {
            return subject.equals(item);
        }
        Inputs rests = Standing.restsOn(built, subject, work);
        return subject.equals(item) || rests.lines().keySet().stream().anyMatch(l -> l.startsWith(item + ": "));
    }

    /** What tests rest on, asked of many. */
    public static final class Resting {
        private final FuelSystem system;
        private final Known known;

        private Resting(Project project) {
            system = project.system();
            known = Known.of(project.asBuilt(), Optional.empty());
        }

        /** The parts and lines a test rests on, in layout order. */
        public List<Item> on(Wanted w) {
            if (Form.of(w.kind()).isEmpty()) {
                return system.item(w.subject()).stream().toList();
            }
            Set<String> lines =
                    Standing.restsOn(known, w.subject(), w.begun()).lines().keySet();
            return system.items().stream()
                    .filter(i ->
                            i.id().equals(w.subject()) || lines.stream().anyMatch(l -> l.startsWith(i.id() + ": ")))
                    .toList();
        }
    }

    public static Resting resting(Project project) {
        return new Resting(project);
    }

    /** In a sentence or two. */
    public String words(String name) {
        String first = ended.isEmpty()
                ? "No recorded test depends on " + name + "."
                : "Changing " + name + " invalidates " + (ended.size() == 1 ? "1 test" : ended.size() + " tests") + ": "
                        + String.join(", ", ended) + ".";
        return asked.isEmpty()
                ? first
                : first + " Retest: " + asked.stream().limit(MOST).collect(Collectors.joining(", "))
                        + (asked.size() > MOST ? " and " + (asked.size() - MOST) + " more" : "") + ".";
    }

    private static final int MOST = 8;
}
