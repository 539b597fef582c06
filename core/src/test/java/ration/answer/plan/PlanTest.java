package ration.answer.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.answer.assess.Assessment;
import ration.answer.plan.Plan.State;
import ration.record.build.Access;
import ration.record.build.Build;
import ration.record.build.Stage;
import ration.record.build.Step;
import ration.record.build.StepKey;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.BuildEdits;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Verdict;

/** The build as work still to be done, on the starting layouts and demos. */
class PlanTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 9);

    private static Plan plan(Project p) {
        return Plan.of(p, Assessment.ahead(p, Optional.empty()).program(), DAY);
    }

    private static Project bare() {
        return Pattern.values()[0].project();
    }

    private static Run run(Project p) {
        return p.system().runs().get(0);
    }

    @Test
    void every_part_line_joint_and_test_asked_for_is_a_step_and_at_first_all_is_to_buy() {
        Project p = bare();
        Plan plan = plan(p);
        assertThat(plan.round()).isEmpty();
        assertThat(plan.tasks().stream().filter(t -> t.key().kind() == StepKey.Kind.LINE))
                .hasSameSizeAs(p.system().runs());
        assertThat(plan.tasks().stream().filter(t -> t.key().kind() == StepKey.Kind.JOINT))
                .hasSize(2 * p.system().runs().size());
        assertThat(plan.in(State.TODAY)).isEmpty();
        assertThat(plan.in(State.DONE)).isEmpty();
        assertThat(plan.in(State.TO_BUY))
                .allMatch(t -> t.key().kind() == StepKey.Kind.PART || t.key().kind() == StepKey.Kind.LINE);
        assertThat(plan.ends()).isEmpty();
    }

    @Test
    void a_joint_waits_for_its_line_and_its_part_and_a_test_for_its_joints() {
        Project p = bare();
        Run r = run(p);
        StepKey line = StepKey.line(r.id());
        StepKey joint = StepKey.start(r.id());
        StepKey part = StepKey.part(r.from().item());
        p = BuildEdits.staged(p, line, Stage.ON_HAND);
        assertThat(plan(p).task(line).orElseThrow().state()).isEqualTo(State.TODAY);
        p = BuildEdits.staged(p, line, Stage.FINAL);
        assertThat(plan(p).task(joint).orElseThrow().state()).isEqualTo(State.WAITING);
        assertThat(plan(p).task(joint).orElseThrow().open()).containsExactly(part);
        p = BuildEdits.staged(p, part, Stage.FINAL);
        assertThat(plan(p).task(joint).orElseThrow().state()).isEqualTo(State.TODAY);
        StepKey overnight = StepKey.test("overnight");
        assertThat(plan(p).task(overnight).orElseThrow().open()).contains(joint);
        p = BuildEdits.built(p);
        assertThat(plan(p).task(joint).orElseThrow().done()).isTrue();
        assertThat(plan(p).task(overnight).orElseThrow().open()).allMatch(k -> k.kind() == StepKey.Kind.TEST);
    }

    /** The Corrie's tests are on record: they are done once what they rest on is, and no longer when a line is out. */
    @Test
    void a_test_on_record_is_done_only_while_what_it_rests_on_is_there() {
        Project p = Systems.corrie();
        StepKey flow = StepKey.test("flow.selector:UPPER");
        StepKey r1 = StepKey.line(run(p).id());
        assertThat(plan(p).task(flow).orElseThrow().done()).isFalse();
        Project built = BuildEdits.built(p);
        List<StepKey> done = plan(built).in(State.DONE).stream()
                .map(Plan.Task::key)
                .filter(k -> k.kind() == StepKey.Kind.TEST)
                .toList();
        assertThat(done).isNotEmpty();
        Plan out = plan(BuildEdits.staged(built, r1, Stage.ORDERED));
        assertThat(done)
                .anyMatch(k -> out.task(k).orElseThrow().open().contains(r1)
                        && !out.task(k).orElseThrow().done());
    }

    @Test
    void temporary_is_never_done_and_a_line_says_so_itself() {
        Project p = BuildEdits.built(bare());
        Run r = run(p);
        StepKey line = StepKey.line(r.id());
        Project mocked = BuildEdits.staged(p, line, Stage.TEMPORARY);
        assertThat(((Run) mocked.system().item(r.id()).orElseThrow())
                        .build()
                        .marks()
                        .temporary())
                .isTrue();
        assertThat(BuildEdits.stage(mocked, line)).isEqualTo(Stage.TEMPORARY);
        assertThat(plan(mocked).task(line).orElseThrow().done()).isFalse();
        assertThat(plan(mocked).task(StepKey.test("overnight")).orElseThrow().open())
                .contains(line);
        Project last = BuildEdits.staged(mocked, line, Stage.FINAL);
        assertThat(((Run) last.system().item(r.id()).orElseThrow())
                        .build()
                        .marks()
                        .temporary())
                .isFalse();
        assertThat(plan(last).task(line).orElseThrow().done()).isTrue();
    }

    @Test
    void a_temporary_part_or_joint_fails_as_a_temporary_line_does() {
        Project p = Systems.corrie();
        StepKey joint = StepKey.end(run(p).id());
        Project so = BuildEdits.staged(
                BuildEdits.staged(p, StepKey.part(run(p).to().item()), Stage.TEMPORARY), joint, Stage.TEMPORARY);
        assertThat(Assessment.ahead(so, Optional.empty()).findings().stream()
                        .filter(f -> f.check() == Check.BUILD_TEMPORARY))
                .hasSize(2)
                .allMatch(f -> f.verdict() == Verdict.FAILS);
    }

    @Test
    void a_delivery_that_comes_late_moves_what_waits_for_it() {
        Project p = bare();
        for (var i : p.system().items()) {
            StepKey k = i instanceof Run ? StepKey.line(i.id()) : StepKey.part(i.id());
            p = BuildEdits.staged(p, k, Stage.ON_HAND);
        }
        Run r = run(p);
        StepKey line = StepKey.line(r.id());
        p = BuildEdits.staged(p, line, Stage.ORDERED);
        p = BuildEdits.expected(p, line, Optional.of(DAY.plusDays(7)));
        p = BuildEdits.hours(p, line, Optional.of(2.0));
        p = BuildEdits.hours(p, StepKey.start(r.id()), Optional.of(0.5));
        assertThat(plan(p).delayed(line, 7)).isEmpty();
        p = p.with(p.build().withWeekly(Optional.of(14.0)));
        Plan plan = plan(p);
        assertThat(plan.task(line).orElseThrow().earliest()).isCloseTo(14, within(1e-9));
        assertThat(plan.hoursLeft()).isCloseTo(2.5, within(1e-9));
        Plan.Delay late = plan.delayed(line, 7).orElseThrow();
        assertThat(late.moved()).extracting(Plan.Task::key).contains(line, StepKey.start(r.id()), StepKey.end(r.id()));
        assertThat(late.end()).isCloseTo(14, within(1e-9));
        assertThat(plan.ends()).contains(DAY.plusDays(9));
        assertThat(plan.task(line).orElseThrow().late(DAY.plusDays(8))).isTrue();
    }

    @Test
    void a_step_of_ones_own_stands_before_and_after_others_and_what_goes_round_is_named() {
        Project p = bare();
        StepKey tank = StepKey.part(p.system().tanks().get(0).id());
        StepKey line = StepKey.line(run(p).id());
        p = p.with(p.build().plus("Left wing panel closed"));
        StepKey panel = StepKey.own(1);
        p = BuildEdits.after(p, panel, line, true);
        p = BuildEdits.after(p, tank, panel, true);
        assertThat(plan(p).task(panel).orElseThrow().open()).containsExactly(line);
        assertThat(plan(p).mayWaitFor(line)).extracting(Plan.Task::key).doesNotContain(panel, tank, line);
        Project round = BuildEdits.after(p, line, tank, true);
        Plan plan = plan(round);
        assertThat(plan.round()).hasSize(3).contains("Left wing panel closed");
        assertThat(plan.path()).isEmpty();
        assertThat(plan.ends()).isEmpty();
        assertThat(plan.tasks()).hasSameSizeAs(plan(p).tasks());
        Build without = p.build().without(1);
        assertThat(without.step(tank).after()).isEmpty();
    }

    @Test
    void is_kept_in_the_document_and_what_cannot_be_is_said() throws ProjectFileException {
        Project p = Systems.corrie();
        assertThat(ProjectFile.text(p)).doesNotContain("\"build\" : {\n    \"own\"");
        Run r = run(p);
        p = BuildEdits.staged(p, StepKey.start(r.id()), Stage.TORQUED);
        p = BuildEdits.hours(p, StepKey.part("upper"), Optional.of(3.5));
        p = BuildEdits.expected(p, StepKey.part("upper"), Optional.of(DAY));
        p = p.with(p.build().plus("Panel closed").withWeekly(Optional.of(12.0)));
        p = BuildEdits.after(p, StepKey.own(1), StepKey.start(r.id()), true);
        String text = ProjectFile.text(p);
        assertThat(ProjectFile.read(text.getBytes(StandardCharsets.UTF_8), "here"))
                .isEqualTo(p);
        for (String[] wrong : List.of(
                new String[] {"\"stage\" : \"torqued\"", "\"stage\" : \"welded\""},
                new String[] {"\"stage\" : \"torqued\"", "\"stage\" : \"ordered\""},
                new String[] {"\"hours\" : 3.5", "\"hours\" : -3.5"},
                new String[] {"\"hoursPerWeek\" : 12.0", "\"hoursPerWeek\" : 0"},
                new String[] {"joint:" + r.id() + ".start", "seam:" + r.id()})) {
            assertThat(text).contains(wrong[0]);
            assertThatThrownBy(() ->
                            ProjectFile.read(text.replace(wrong[0], wrong[1]).getBytes(StandardCharsets.UTF_8), "here"))
                    .as(wrong[1])
                    .isInstanceOf(ProjectFileException.class);
        }
    }

    @Test
    void what_becomes_another_thing_is_to_be_made_again_and_what_is_gone_is_forgotten() {
        Project p = BuildEdits.built(bare());
        Run r = run(p);
        StepKey line = StepKey.line(r.id());
        StepKey start = StepKey.start(r.id());
        p = BuildEdits.hours(p, line, Optional.of(2.0));
        Project resized =
                p.with(p.system().change(r.id(), Run.class, x -> x.resized(LineSize.parse("5/16 x 0.035 tube"))));
        assertThat(resized.build().step(line))
                .isEqualTo(new Step(Stage.TO_BUY, Optional.of(2.0), Optional.empty(), Set.of(), Access.NONE));
        assertThat(resized.build().step(start).stage()).isEqualTo(Stage.OPEN);
        Project moved = p.with(p.system().change(r.id(), Run.class, x -> x.between(x.from(), x.from())));
        assertThat(moved.build().step(start).stage()).isEqualTo(Stage.TORQUED);
        assertThat(moved.build().step(StepKey.end(r.id())).stage()).isEqualTo(Stage.OPEN);
        Project gone = p.with(p.system().minus(r.id()));
        assertThat(gone.build().steps()).doesNotContainKeys(line, start);
        assertThat(gone.build().step(StepKey.part(r.from().item())).stage()).isEqualTo(Stage.FINAL);
    }

    @Test
    void the_demos_have_a_plan_that_comes_round_nowhere() {
        for (String demo : List.of("corrie-b1", "tansy-l3", "brindle-a2")) {
            Plan plan = plan(Systems.demo(demo));
            assertThat(plan.round()).as(demo).isEmpty();
            for (Plan.Task t : plan.tasks()) {
                assertThat(plan.tasks().indexOf(t))
                        .isGreaterThan(t.needs().stream()
                                .mapToInt(n -> plan.tasks().indexOf(plan.task(n).orElseThrow()))
                                .max()
                                .orElse(-1));
            }
        }
    }
}
