package ration.answer.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.JointEnd;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.aircraft.plumbing.Portname;
import ration.answer.proof.TestProgram;
import ration.answer.proof.Touched;
import ration.record.build.Build;
import ration.record.build.Stage;
import ration.record.build.Step;
import ration.record.build.StepKey;
import ration.record.evidence.TestKind;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/**
 * The build on a day.
 *
 * @param today the day
 * @param tasks each after all it waits for
 * @param round steps that wait for one another in a circle, named; empty where none do
 * @param path when each can begin; empty where they go round
 * @param weekly hours of work a week; empty where nobody said: nothing is told in days then
 */
public record Plan(
        LocalDate today,
        List<Task> tasks,
        List<String> round,
        Optional<CriticalPath<StepKey>> path,
        Optional<Double> weekly) {

    private static final double WEEK = 7;

    public Plan {
        tasks = List.copyOf(tasks);
        round = List.copyOf(round);
    }

    /** What can be made of a step today. */
    public enum State {
        /** All it waits for is done, and what it takes is on hand. */
        TODAY,
        TO_BUY,
        /** Ordered, not here. */
        ORDERED,
        /** For other steps. */
        WAITING,
        DONE
    }

    /**
     * A step.
     *
     * @param name of it, for eyes
     * @param step what is kept of it; how far it is
     * @param needs all it waits for
     * @param open of those what is not done
     * @param earliest hours from now at which it can begin; NaN where steps go round
     * @param slack by how many hours it may begin later without moving the end; NaN where steps go round
     */
    public record Task(
            StepKey key,
            String name,
            Step step,
            State state,
            Set<StepKey> needs,
            Set<StepKey> open,
            double earliest,
            double slack) {

        public boolean done() {
            return state == State.DONE;
        }

        /** Whether its delivery should have come. */
        public boolean late(LocalDate today) {
            return step.stage().awaited()
                    && step.expected().filter(d -> d.isBefore(today)).isPresent();
        }
    }

    /** A step before it is known when it can begin. */
    private record Bare(StepKey key, String name, Step step, boolean done, Set<StepKey> needs) {}

    /** Of a document on a day. */
    public static Plan of(Project project, TestProgram program, LocalDate today) {
        Map<StepKey, Bare> all = new LinkedHashMap<>();
        new Gathering(project, program, all).gather();
        Build build = project.build();
        List<CriticalPath.Step<StepKey>> left = all.values().stream()
                .map(b -> new CriticalPath.Step<>(
                        b.key,
                        b.done ? 0 : b.step.hours().orElse(0.0),
                        b.done ? 0 : ready(b.step, today, build),
                        b.needs))
                .toList();
        Optional<List<StepKey>> round = CriticalPath.round(left);
        Optional<CriticalPath<StepKey>> path =
                round.isPresent() ? Optional.empty() : Optional.of(CriticalPath.of(left));
        List<StepKey> order = path.map(CriticalPath::order).orElse(List.copyOf(all.keySet()));
        List<Task> tasks = new ArrayList<>();
        for (StepKey k : order) {
            Bare b = all.get(k);
            Set<StepKey> open = new TreeSet<>();
            b.needs.stream().filter(n -> !all.get(n).done).forEach(open::add);
            tasks.add(new Task(
                    k,
                    b.name,
                    b.step,
                    state(b, open),
                    b.needs,
                    open,
                    path.map(p -> p.earliest(k)).orElse(Double.NaN),
                    path.map(p -> p.slack(k)).orElse(Double.NaN)));
        }
        return new Plan(
                today,
                tasks,
                round.map(r -> r.stream().map(k -> all.get(k).name).toList()).orElse(List.of()),
                path,
                build.weekly());
    }

    private static State state(Bare b, Set<StepKey> open) {
        return b.done
                ? State.DONE
                : b.step.stage() == Stage.TO_BUY
                        ? State.TO_BUY
                        : b.step.stage() == Stage.ORDERED
                                ? State.ORDERED
                                : open.isEmpty() ? State.TODAY : State.WAITING;
    }

    /** Hours of work from today until a delivery; none where it is here, nobody said a day, or hours a week. */
    private static double ready(Step step, LocalDate today, Build build) {
        return !step.stage().awaited()
                        || step.expected().isEmpty()
                        || build.weekly().isEmpty()
                ? 0
                : Math.max(0, ChronoUnit.DAYS.between(today, step.expected().get()))
                        * build.weekly().get()
                        / WEEK;
    }

    public Optional<Task> task(StepKey key) {
        return tasks.stream().filter(t -> t.key().equals(key)).findFirst();
    }

    public List<Task> in(State state) {
        return tasks.stream().filter(t -> t.state() == state).toList();
    }

    private List<Task> left(Predicate<Task> which) {
        return tasks.stream().filter(t -> !t.done()).filter(which).toList();
    }

    /** Hours entered of what is not done. */
    public double hoursLeft() {
        return tasks.stream()
                .filter(t -> !t.done())
                .mapToDouble(t -> t.step().hours().orElse(0.0))
                .sum();
    }

    /** Steps not done whose hours nobody entered. */
    public int withoutHours() {
        return left(t -> t.step().hours().isEmpty()).size();
    }

    /** Parts and lines not here whose delivery has no day. */
    public int withoutDay() {
        return left(t -> t.step().stage().awaited() && t.step().expected().isEmpty())
                .size();
    }

    /**
     * The day one pair of hands is done at the earliest; empty where it cannot be told: steps go round, hours a week
     * are not said, or no hours are entered.
     */
    public Optional<LocalDate> ends() {
        return hoursLeft() == 0 ? Optional.empty() : path.flatMap(p -> day(p.alone()));
    }

    /** The day so many hours of work from now; empty where hours a week are not said. */
    public Optional<LocalDate> day(double hours) {
        return weekly.map(w -> today.plusDays((long) Math.ceil(hours / w * WEEK - 1e-9)));
    }

    /**
     * What a late delivery does.
     *
     * @param moved steps that begin later, in order
     * @param end by how many hours of work the end moves, with as many hands as can be used
     */
    public record Delay(List<Task> moved, double end) {
        public Delay {
            moved = List.copyOf(moved);
        }
    }

    /** If what a step takes comes so many days after it is expected, or after today where no day is said. */
    public Optional<Delay> delayed(StepKey key, int days) {
        if (path.isEmpty() || weekly.isEmpty() || task(key).isEmpty()) {
            return Optional.empty();
        }
        Step step = task(key).get().step();
        long due = step.expected()
                .map(d -> Math.max(0, ChronoUnit.DAYS.between(today, d)))
                .orElse(0L);
        CriticalPath<StepKey> then = path.get().delayed(key, (due + days) * weekly.get() / WEEK);
        return Optional.of(new Delay(
                tasks.stream()
                        .filter(t -> !t.done() && then.earliest(t.key()) > t.earliest() + 1e-9)
                        .sorted(Comparator.comparingDouble(t -> then.earliest(t.key())))
                        .toList(),
                then.end() - path.get().end()));
    }

    /** What a step may wait for without going round, in the order of the plan: not itself, nor what waits for it. */
    public List<Task> mayWaitFor(StepKey key) {
        Set<StepKey> behind = path.map(p -> p.blocks(key)).orElse(Set.of());
        Set<StepKey> already = task(key).map(Task::needs).orElse(Set.of());
        return tasks.stream()
                .filter(t -> !t.key().equals(key) && !behind.contains(t.key()) && !already.contains(t.key()))
                .toList();
    }

    /** Makes the steps of a document. */
    private record Gathering(Project project, TestProgram program, Map<StepKey, Bare> all) {

        void gather() {
            FuelSystem system = project.system();
            for (Item item : system.items()) {
                if (item.only(Run.class).isEmpty()
                        && item.only(EngineInlet.class).isEmpty()) {
                    add(StepKey.part(item.id()), item.name(), Set.of());
                }
            }
            for (Run run : system.runs()) {
                add(StepKey.line(run.id()), run.name() + ", " + run.size().shortName(), Set.of());
                joint(run, StepKey.start(run.id()), run.from(), run.build().start());
                joint(run, StepKey.end(run.id()), run.to(), run.build().end());
            }
            project.build().own().forEach((n, name) -> add(StepKey.own(n), name, Set.of()));
            tests();
            // what is no longer a step is not waited for
            all.replaceAll((k, b) -> {
                Set<StepKey> needs = new TreeSet<>(b.needs);
                needs.retainAll(all.keySet());
                return new Bare(b.key, b.name, b.step, b.done, needs);
            });
        }

        private void joint(Run run, StepKey key, ration.aircraft.model.PortRef port, RunBuild.End end) {
            Set<StepKey> needs = new LinkedHashSet<>(List.of(StepKey.line(run.id())));
            needs.add(StepKey.part(port.item()));
            String at = run.name() + " at " + Portname.text(project.system(), port);
            Step step = project.build().step(key);
            // a barb under a clamp takes no torque
            boolean pushed =
                    end.fitting().filter(f -> f.way() == JointEnd.Way.BARB).isPresent();
            Stage enough = pushed ? Stage.FINAL : key.kind().done();
            put(key, at, step, step.stage().compareTo(enough) >= 0, needs);
        }

        private void add(StepKey key, String name, Set<StepKey> needs) {
            Step step = project.build().step(key);
            boolean temporary = project.system()
                    .item(key.of())
                    .flatMap(i -> i.only(Run.class))
                    .filter(r -> r.build().marks().temporary())
                    .isPresent();
            Step now = temporary ? step.with(Stage.TEMPORARY) : step;
            put(key, name, now, now.stage().compareTo(key.kind().done()) >= 0, needs);
        }

        private void put(StepKey key, String name, Step step, boolean done, Set<StepKey> needs) {
            Set<StepKey> waits = new LinkedHashSet<>(needs);
            waits.addAll(step.after());
            all.put(key, new Bare(key, name, step, done, waits));
        }

        /** Those asked for: after the parts, lines and joints they rest on, and after each other as is usual. */
        private void tests() {
            List<TestProgram.Proof> asked =
                    program.tests().stream().filter(p -> p.wanted().asked()).toList();
            Touched.Resting resting = Touched.resting(project);
            for (TestProgram.Proof p : asked) {
                StepKey key = StepKey.test(p.wanted().key());
                Set<StepKey> needs = new LinkedHashSet<>();
                for (Item item : resting.on(p.wanted())) {
                    if (item.only(Run.class).isPresent()) {
                        needs.add(StepKey.line(item.id()));
                        needs.add(StepKey.start(item.id()));
                        needs.add(StepKey.end(item.id()));
                    } else {
                        needs.add(StepKey.part(item.id()));
                    }
                }
                for (TestProgram.Proof other : asked) {
                    if (before(other.wanted().kind(), p.wanted().kind())) {
                        needs.add(StepKey.test(other.wanted().key()));
                    }
                }
                Verdict shown = p.verdict();
                // a record of what is not there any more, or not yet, says nothing of the aircraft as it stands
                boolean stands = needs.stream()
                        .filter(n -> n.kind() != StepKey.Kind.TEST)
                        .allMatch(n -> !all.containsKey(n) || all.get(n).done);
                boolean done = stands && (shown == Verdict.HOLDS || shown == Verdict.THIN);
                put(
                        key,
                        p.wanted().name(),
                        project.build().step(key).with(done ? Stage.INSPECTED : Stage.OPEN),
                        done,
                        needs);
            }
        }

        /** Which test comes before which: air before fuel, dry before running. Common practice, no source. */
        private static boolean before(TestKind first, TestKind then) {
            return switch (then) {
                case DRAIN,
                        FILL,
                        TOP_OFF,
                        EMPTYING,
                        FLOW,
                        PUMP_FLOW,
                        PRIMING,
                        JET,
                        RETURN,
                        HOLD,
                        TANK_RETURN,
                        DRAINS,
                        SELECTOR_OFF -> first == TestKind.TANK_PRESSURE || first == TestKind.CLEAN;
                case LINE_PRESSURE -> first == TestKind.ASSEMBLY;
                case REGULATOR -> first == TestKind.OVERNIGHT || first == TestKind.TANK_PRESSURE;
                case OVERNIGHT ->
                    first == TestKind.TANK_PRESSURE || first == TestKind.LINE_PRESSURE || first == TestKind.ASSEMBLY;
                case FIRST_RUN ->
                    first == TestKind.OVERNIGHT
                            || first == TestKind.LINE_PRESSURE
                            || first == TestKind.FLOW
                            || first == TestKind.PUMP_FLOW
                            || first == TestKind.VENTS
                            || first == TestKind.SELECTOR_OFF;
                case RUN_LOG -> first == TestKind.FIRST_RUN;
                case HOT_RESTART -> first == TestKind.RUN_LOG || first == TestKind.FIRST_RUN;
                case ASSEMBLY -> first == TestKind.BENCH;
                case BENCH,
                        CLEAN,
                        TANK_PRESSURE,
                        DEAD_HEAD,
                        CHECK_HOLDS,
                        VENTS,
                        LEVEL_SENDER,
                        FLOW_SENDER,
                        GAUGE_CHECK -> false;
            };
        }
    }
}
