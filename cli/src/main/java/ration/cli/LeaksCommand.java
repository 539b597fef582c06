package ration.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import ration.answer.ask.LeakWords;
import ration.answer.ask.Leaks;
import ration.answer.assess.Assessment;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;

/** {@code ration leaks FILE}: every place that seals, and what runs out where it opens. */
@Command(
        name = "leaks",
        mixinStandardHelpOptions = true,
        description =
                "Lists every place that seals, the highest first: fuel and pressure over it, what runs out where it"
                        + " opens, which valve stops it. Exit code 0: listed; 2: the file cannot be used.")
final class LeaksCommand implements Callable<Integer> {

    @Mixin
    private Asked asked;

    @Override
    public Integer call() {
        Optional<Assessment> found = asked.assess();
        Optional<Leaks> leaks = found.flatMap(a -> Leaks.of(a, Task.QUIET));
        if (found.isEmpty() || leaks.isEmpty()) {
            return 2;
        }
        asked.out().print(asked.json() ? asJson(found.get(), leaks.get()) : asText(found.get(), leaks.get()));
        return 0;
    }

    private static String asText(Assessment a, Leaks leaks) {
        StringBuilder out = new StringBuilder(a.project().name() + "\n" + LeakWords.SEARCH + "\n\n");
        for (LeakWords.Row r : new LeakWords(a.project().system(), UnitSystem.US).rows(leaks)) {
            out.append(String.format(
                    Locale.ROOT,
                    "  %-34s %9s %10s  %-32s %-28s %s%n",
                    r.name(),
                    r.head(),
                    r.pressure(),
                    r.opens(),
                    r.empty(),
                    r.stopped()));
        }
        return out.toString();
    }

    private static String asJson(Assessment a, Leaks leaks) {
        ObjectNode root = Json.answer().put("aircraft", a.project().name());
        ArrayNode places = root.putArray("places");
        for (Leaks.Row r : leaks.rows()) {
            ObjectNode node = places.addObject()
                    .put("place", r.place().key())
                    .put("name", r.place().name())
                    .put(
                            "kind",
                            r.place().kind().name().toLowerCase(Locale.ROOT).replace('_', '-'));
            Json.figure(node, "headIn", Unit.INCH.fromSi(r.head()));
            Json.figure(node, "pressurePsi", Unit.PSI.fromSi(r.pressure()));
            r.open().ifPresent(o -> {
                Json.figure(node, "firstGph", Unit.GALLON_PER_HOUR.fromSi(o.rate()));
                Json.figure(node, "fiveMinutesGal", Unit.GALLON.fromSi(o.five()));
                Json.figure(node, "emptyMinutes", o.empties().orElse(Double.NaN) / 60);
                ArrayNode from = node.putArray("from");
                o.from().forEach(from::add);
            });
            node.put("stoppedBy", r.stopped());
        }
        return Json.text(root);
    }
}
