package ration.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import ration.answer.ask.HoseOrder;
import ration.answer.assess.Assessment;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/** {@code ration hoses FILE}: what a hose shop is told. */
@Command(
        name = "hoses",
        mixinStandardHelpOptions = true,
        description =
                "Lists every hose as a shop makes it: construction, cut length, seat to seat, end fittings, clocking,"
                        + " proof pressure. Exit code 0: all can be made; 1: one cannot; 2: the file cannot be used.")
final class HosesCommand implements Callable<Integer> {

    @Mixin
    private Asked asked;

    @Override
    public Integer call() {
        Optional<Assessment> found = asked.assess();
        if (found.isEmpty()) {
            return 2;
        }
        List<HoseOrder.Row> rows = HoseOrder.of(found.get());
        asked.out().print(asked.json() ? asJson(found.get(), rows) : asText(found.get(), rows));
        return rows.stream().allMatch(r -> r.made().trouble().isEmpty()) ? 0 : 1;
    }

    private static String asText(Assessment a, List<HoseOrder.Row> rows) {
        StringBuilder out = new StringBuilder(a.project().name() + "\n" + HoseOrder.CLOCKING + "\n\n");
        if (rows.isEmpty()) {
            out.append("  No hose in the layout.\n");
        }
        for (HoseOrder.Row r : rows) {
            out.append(String.format(
                    Locale.ROOT,
                    "  %-6s %-34s cut %-12s seat to seat %-12s %s / %s, clocking %s, proof %s%s%n",
                    r.run().name(),
                    r.of(),
                    r.cut(),
                    r.seats(),
                    r.end(true),
                    r.end(false),
                    r.clockingText(),
                    UnitSystem.US.text(r.proof(), Dimension.PRESSURE),
                    r.made().trouble().isEmpty() ? "" : ". " + r.made().trouble()));
        }
        return out.toString();
    }

    private static String asJson(Assessment a, List<HoseOrder.Row> rows) {
        ObjectNode root = Json.answer().put("aircraft", a.project().name());
        ArrayNode hoses = root.putArray("hoses");
        for (HoseOrder.Row r : rows) {
            ObjectNode node = hoses.addObject()
                    .put("line", r.run().id())
                    .put("name", r.run().name())
                    .put("of", r.of());
            Json.figure(node, "cutIn", Unit.INCH.fromSi(r.made().cut()));
            Json.figure(node, "seatToSeatIn", Unit.INCH.fromSi(r.made().seatToSeat()));
            node.put("start", r.end(true)).put("end", r.end(false));
            Json.figure(node, "clockingDegrees", r.clocking().orElse(Double.NaN));
            Json.figure(node, "proofPsi", Unit.PSI.fromSi(r.proof()));
            node.put("trouble", r.made().trouble());
        }
        return Json.text(root);
    }
}
