package ration.record.project;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.record.build.Access;
import ration.record.build.Build;
import ration.record.build.Stage;
import ration.record.build.Step;
import ration.record.build.StepKey;

/**
 * What is done to the schedule of the build. Whether a line is temporary is said once, on the line itself: its stage is
 * read from there and written there.
 */
public final class BuildEdits {

    private BuildEdits() {}

    /** How far a step is; a test is as far as its record. */
    public static Stage stage(Project project, StepKey key) {
        return temporary(project.system(), key)
                ? Stage.TEMPORARY
                : project.build().step(key).stage();
    }

    private static boolean temporary(FuelSystem system, StepKey key) {
        return key.kind() == StepKey.Kind.LINE
                && system.item(key.of())
                        .flatMap(i -> i.only(Run.class))
                        .filter(r -> r.build().marks().temporary())
                        .isPresent();
    }

    /** With a step as far as that. */
    public static Project staged(Project project, StepKey key, Stage stage) {
        Build build = project.build();
        if (key.kind() != StepKey.Kind.LINE) {
            return project.with(build.with(key, build.step(key).with(stage)));
        }
        boolean temporary = stage == Stage.TEMPORARY;
        Project marked = temporary == temporary(project.system(), key)
                ? project
                : project.with(project.system().change(key.of(), Run.class, r -> marked(r, temporary)));
        // a temporary line is here: what else it is, its mark says
        Stage kept = temporary ? Stage.ON_HAND : stage;
        return marked.with(marked.build().with(key, marked.build().step(key).with(kept)));
    }

    private static Run marked(Run run, boolean temporary) {
        RunBuild.Marks m = run.build().marks();
        return run.with(run.build().with(new RunBuild.Marks(m.sleeved(), m.moving(), temporary)));
    }

    /** With many steps as far as that, in one act. */
    public static Project staged(Project project, Collection<StepKey> keys, Stage stage) {
        Project now = project;
        for (StepKey k : keys) {
            now = staged(now, k, stage);
        }
        return now;
    }

    /** With every part, line and joint as in an aircraft that is built; what is temporary stays so. */
    public static Project built(Project project) {
        Project now = project;
        for (Item item : project.system().items()) {
            if (item.only(Run.class).isEmpty()) {
                now = staged(now, StepKey.part(item.id()), Stage.FINAL);
            } else {
                StepKey line = StepKey.line(item.id());
                if (!temporary(project.system(), line)) {
                    now = staged(now, line, Stage.FINAL);
                    now = staged(now, StepKey.start(item.id()), Stage.TORQUED);
                    now = staged(now, StepKey.end(item.id()), Stage.TORQUED);
                }
            }
        }
        return now;
    }

    public static Project hours(Project project, StepKey key, Optional<Double> hours) {
        Build build = project.build();
        return project.with(build.with(key, build.step(key).withHours(hours)));
    }

    public static Project expected(Project project, StepKey key, Optional<LocalDate> day) {
        Build build = project.build();
        return project.with(build.with(key, build.step(key).withExpected(day)));
    }

    /** With another way to get at a part. */
    public static Project access(Project project, StepKey key, UnaryOperator<Access> change) {
        Build build = project.build();
        Step step = build.step(key);
        return project.with(build.with(key, step.with(change.apply(step.access()))));
    }

    /** With a step that waits for another, or no longer. */
    public static Project after(Project project, StepKey key, StepKey other, boolean waits) {
        Build build = project.build();
        return project.with(build.with(key, build.step(key).withAfter(other, waits)));
    }

    /**
     * What is kept of the build once the layout is another: what is gone is forgotten, and what became another thing
     * (another kind of part, another line, a joint with another fitting or at another port) has to be got and made
     * again. Hours and what it waits for stay.
     */
    static Build carried(Build build, FuelSystem was, FuelSystem now) {
        if (build.steps().isEmpty() || was == now) {
            return build;
        }
        Map<StepKey, Step> steps = new TreeMap<>();
        build.steps().forEach((k, s) -> {
            if (k.kind() == StepKey.Kind.TEST || k.kind() == StepKey.Kind.OWN) {
                steps.put(k, s);
            } else {
                String id = item(k);
                Optional<Item> old = was.item(id);
                now.item(id)
                        .ifPresent(i -> steps.put(
                                k,
                                old.filter(o -> o == i || same(k, o, i)).isPresent()
                                        ? s
                                        : s.with(k.kind().first())));
            }
        });
        return new Build(steps, build.own(), build.weekly());
    }

    private static String item(StepKey key) {
        return key.kind() == StepKey.Kind.JOINT ? key.of().substring(0, key.of().lastIndexOf('.')) : key.of();
    }

    private static boolean same(StepKey key, Item was, Item now) {
        if (was.getClass() != now.getClass()) {
            return false;
        }
        Optional<Run> a = was.only(Run.class);
        Optional<Run> b = now.only(Run.class);
        if (a.isEmpty() || b.isEmpty()) {
            return true;
        }
        Run x = a.get();
        Run y = b.get();
        boolean made = x.size().equals(y.size())
                && x.build().construction().equals(y.build().construction());
        return key.kind() == StepKey.Kind.LINE
                ? made
                : made
                        && (key.of().endsWith(StepKey.START)
                                ? x.from().equals(y.from())
                                        && x.build().start().equals(y.build().start())
                                : x.to().equals(y.to())
                                        && x.build().end().equals(y.build().end()));
    }
}
