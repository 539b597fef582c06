package ration.answer.improve;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.TankAnswer;
import ration.answer.remedy.BuildChanges;
import ration.answer.remedy.Change;
import ration.answer.remedy.FlowChanges;
import ration.answer.remedy.LessLeft;
import ration.answer.remedy.MoreDegrees;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.task.Task;
import ration.physics.flow.FlowAnswer;
import ration.record.cost.Part;
import ration.record.cost.Takes;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Single changes that bear on what Fails, from every room that knows some. */
final class Candidates {

    /** Placards tried beside the one that what is left asks for, as shares of the present one. */
    private static final double[] PLACARDS = {1.25, 1.5, 2};
    /** Placards are written in tenths. */
    private static final double TENTHS = 10;

    private final Assessment assessment;
    private final Project project;
    private final Set<Check> failing;
    private final List<Change> all = new ArrayList<>();

    private Candidates(Assessment assessment, List<Finding> failing) {
        this.assessment = assessment;
        this.project = assessment.project();
        this.failing = failing.stream().map(Finding::check).collect(Collectors.toSet());
    }

    /** Of what Fails; what changes nothing of the project, or the same as another, is not among them. */
    static List<Change> of(Assessment a, List<Finding> failing, Set<Change.Sort> leave) {
        Candidates c = new Candidates(a, failing);
        c.flow();
        c.vapor();
        failing.forEach(c::at);
        Map<Project, Change> distinct = new LinkedHashMap<>();
        c.all.stream()
                .filter(x -> !leave.contains(x.sort()))
                .forEach(x -> distinct.putIfAbsent(x.on().apply(a.project()), x));
        distinct.remove(a.project());
        return List.copyOf(distinct.values());
    }

    /** Along the worst case of each position that Fails; a higher placard leaves more head over the outlet. */
    private void flow() {
        if (!failing.contains(Check.FLOW_MARGIN)) {
            return;
        }
        Map<Map<String, String>, CaseAnswer> worst = new LinkedHashMap<>();
        assessment.cases().stream()
                .filter(c -> c.judged() && c.answered() && c.ratio() < 1)
                .forEach(c -> worst.merge(c.condition().positions(), c, (x, y) -> x.ratio() <= y.ratio() ? x : y));
        for (CaseAnswer c : worst.values()) {
            all.addAll(FlowChanges.of(project.system(), c));
            project.system().tanks().stream()
                    .filter(t -> c.capacity().outflow(t) > FlowAnswer.NO_FLOW)
                    .forEach(t -> {
                        for (double times : PLACARDS) {
                            placard(t, times * t.unusable().si());
                        }
                    });
        }
    }

    private void vapor() {
        if (failing.stream().anyMatch(c -> c.topic() == Check.Topic.VAPOR)) {
            all.addAll(MoreDegrees.changes(assessment));
        }
    }

    /** At the part a finding is of. */
    private void at(Finding f) {
        all.addAll(BuildChanges.of(assessment, f));
        tank(f);
    }

    private void tank(Finding f) {
        Optional<Tank> tank = project.system().item(f.item()).flatMap(i -> i.only(Tank.class));
        if (tank.isEmpty()) {
            return;
        }
        Tank t = tank.get();
        Optional<TankAnswer> answer = assessment.tanks().stream()
                .filter(x -> x.tank().id().equals(t.id()))
                .findFirst();
        if (f.check() == Check.TANK_UNUSABLE) {
            answer.ifPresent(x -> placard(t, x.unusable()));
        }
        if (f.check() == Check.TANK_UNUSABLE || f.check() == Check.TANK_SUMP) {
            answer.ifPresent(x -> LessLeft.of(project, x, Task.QUIET)
                    .forEach(row -> all.add(new Change(
                            t.id(),
                            "outlet",
                            Change.Sort.TANKS,
                            t.name() + ": " + FlowChanges.inSentence(row.title()),
                            "",
                            row.edit().change(),
                            List.of(Takes.one(row.takes()))))));
        }
    }

    /** The next tenth of its unit at or over a volume, m3; nothing where it stands higher already. */
    private void placard(Tank t, double least) {
        Measured now = t.unusable();
        double figure = Math.ceil(now.quantity().unit().fromSi(least) * TENTHS - 1e-9) / TENTHS;
        Measured then = now.with(Quantity.of(figure, now.quantity().unit()));
        if (!(then.si() > now.si())) {
            return;
        }
        all.add(new Change(
                t.id(),
                "placard",
                Change.Sort.PLACARD,
                t.name() + ": placard " + then.quantity().shown() + " unusable",
                "was " + now.quantity().shown(),
                p -> p.with(p.system().change(t.id(), Tank.class, x -> x.withUnusable(then))),
                List.of(Takes.one(Part.PLACARD))));
    }

    /** Whether a verdict is one that has to go. */
    static List<Finding> failing(Assessment a) {
        return a.findings().stream().filter(f -> f.verdict() == Verdict.FAILS).toList();
    }
}
