package ration.answer.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import ration.base.quantity.UnitSystem;
import ration.record.build.Stage;
import ration.record.build.StepKey;

/** The build in words: every sentence the page, the printed list and the command line say of it. */
public final class PlanWords {

    /** Named of what a step waits for; the rest is counted. */
    private static final int NAMED = 2;

    private final Plan plan;

    public PlanWords(Plan plan) {
        this.plan = plan;
    }

    /** What a group of steps is called. */
    public static String group(Plan.State state) {
        return switch (state) {
            case TODAY -> "Can be done today";
            case TO_BUY -> "To buy";
            case ORDERED -> "On order";
            case WAITING -> "Waiting for other steps";
            case DONE -> "Done";
        };
    }

    /** How many are done, what is left, and what that does not count. */
    public String sum() {
        long done = plan.in(Plan.State.DONE).size();
        return done + " of " + plan.tasks().size() + " steps done, "
                + plan.in(Plan.State.TODAY).size() + " can be done today";
    }

    /** Hours that are left, and when that ends. */
    public String left() {
        if (!plan.round().isEmpty()) {
            return "These wait for one another: " + String.join(", then ", plan.round())
                    + ", then the first again. Take one of them out: no order is possible.";
        }
        List<String> parts = new ArrayList<>();
        parts.add(hours(plan.hoursLeft()) + " of work entered");
        if (plan.withoutHours() > 0) {
            parts.add(many(plan.withoutHours(), "step") + " without hours");
        }
        if (plan.withoutDay() > 0) {
            parts.add(many(plan.withoutDay(), "delivery", "deliveries") + " without a date");
        }
        String counted = String.join(", ", parts) + ".";
        String end = plan.ends()
                .map(d -> " One person at " + hours(plan.weekly().orElseThrow()) + " a week: not before " + d
                        + (plan.withoutHours() + plan.withoutDay() > 0 ? ", what is missing not counted." : "."))
                .orElse(plan.weekly().isEmpty() ? " An end date: Not shown until hours a week are entered." : "");
        return counted + end;
    }

    /** What is to be done of a step now, or what it waits for. */
    public String now(Plan.Task t) {
        Stage stage = t.step().stage();
        return switch (t.state()) {
            case DONE -> stage.label();
            case TO_BUY -> "to buy" + expected(t);
            case ORDERED -> "ordered" + expected(t);
            case WAITING -> "waits for " + waits(t);
            case TODAY ->
                switch (t.key().kind()) {
                    case PART, LINE -> stage == Stage.TEMPORARY ? "temporary: install the final one" : "install";
                    case JOINT ->
                        switch (stage) {
                            case TEMPORARY -> "temporary: make the final joint";
                            case FINAL -> "torque";
                            default -> "make up and torque";
                        };
                    case TEST -> "run the test";
                    case OWN -> "do it";
                };
        };
    }

    /** Its float, where it stands alone: float 12 days. */
    public String slackSaid(Plan.Task t) {
        String slack = slack(t);
        return slack.isEmpty() ? "" : slack.equals("none") ? "no float" : "float " + slack;
    }

    private String expected(Plan.Task t) {
        return t.step()
                .expected()
                .map(d -> t.late(plan.today()) ? ", was expected " + d : ", expected " + d)
                .orElse(", no date");
    }

    /** The first of what is not done that it waits for, and how many more. */
    public String waits(Plan.Task t) {
        List<String> names = t.open().stream()
                .map(k -> plan.task(k).map(Plan.Task::name).orElse(k.text()))
                .toList();
        return names.size() > NAMED
                ? String.join(", ", names.subList(0, NAMED)) + " and " + (names.size() - NAMED) + " more"
                : String.join(" and ", names);
    }

    /** How much later it may begin: in days where hours a week are said. */
    public String slack(Plan.Task t) {
        if (t.done() || Double.isNaN(t.slack())) {
            return "";
        }
        return t.slack() < 1e-9
                ? "none"
                : plan.weekly()
                        .map(w -> many((int) Math.floor(t.slack() / w * 7 + 1e-9), "day"))
                        .orElse(hours(t.slack()));
    }

    /** What waits for a step, at once or through others. */
    public String blocks(Plan.Task t) {
        List<Plan.Task> behind = plan.path()
                .map(p -> p.blocks(t.key()).stream()
                        .map(k -> plan.task(k).orElseThrow())
                        .filter(x -> !x.done())
                        .sorted(Comparator.comparingDouble(Plan.Task::earliest))
                        .toList())
                .orElse(List.of());
        long tests =
                behind.stream().filter(x -> x.key().kind() == StepKey.Kind.TEST).count();
        return behind.isEmpty()
                ? "Nothing waits for it."
                : many(behind.size(), "step") + " wait for it"
                        + (tests > 0 ? ", " + many((int) tests, "test") + " among them" : "") + ": "
                        + behind.stream().limit(4).map(Plan.Task::name).collect(Collectors.joining(", "))
                        + (behind.size() > 4 ? " ..." : ".");
    }

    /** What a delivery late by so many days does. */
    public String delay(Plan.Task t, int days) {
        if (plan.weekly().isEmpty()) {
            return "Not shown until hours a week are entered.";
        }
        return plan.delayed(t.key(), days)
                .map(d -> d.end() > 1e-9
                        ? "Moves the end by " + hours(d.end()) + " of work, and "
                                + many(d.moved().size(), "step") + "."
                        : d.moved().isEmpty()
                                ? "Moves nothing."
                                : "Moves " + many(d.moved().size(), "step") + ", not the end.")
                .orElse("Not shown while steps wait for one another in a circle.");
    }

    public static String hours(double h) {
        int decimals = whole(h) ? 0 : whole(10 * h) || h >= 10 ? 1 : 2;
        return UnitSystem.figure(h, decimals) + " h";
    }

    private static boolean whole(double x) {
        return Math.abs(x - Math.rint(x)) < 1e-9;
    }

    /** The day a step can begin, where that can be told. */
    public String begins(Plan.Task t) {
        return t.done() || Double.isNaN(t.earliest())
                ? ""
                : plan.day(t.earliest()).map(LocalDate::toString).orElse("");
    }

    private static String many(int n, String one) {
        return many(n, one, one + "s");
    }

    private static String many(int n, String one, String more) {
        return n + " " + (n == 1 ? one : more);
    }
}
