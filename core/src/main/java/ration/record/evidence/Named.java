package ration.record.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.topology.Topology;

/** What tests are called. */
public final class Named {

    private Named() {}

    /** A test with what it was done on: Nose-up flow, UPPER. */
    public static String of(FuelSystem system, HangarTest test) {
        return of(system, test.work().kind(), test.subject(), positions(test.work()));
    }

    /** The same of a test that is still to run. */
    public static String of(FuelSystem system, TestKind kind, String subject, Map<String, String> positions) {
        boolean volume = kind == TestKind.DRAIN || kind == TestKind.FILL || kind == TestKind.TOP_OFF;
        return of(system, kind, subject, positions, kind.title(), volume ? " of " : ", ");
    }

    /** The same where its group stands beside it, short enough for a narrow column. */
    public static String brief(FuelSystem system, TestKind kind, String subject, Map<String, String> positions) {
        return of(system, kind, subject, positions, kind.brief(), ", ").replaceAll(" tank$", "");
    }

    private static String of(
            FuelSystem system,
            TestKind kind,
            String subject,
            Map<String, String> positions,
            String title,
            String between) {
        if (kind == TestKind.SELECTOR_OFF && system.selectors().size() == 1) {
            return title;
        }
        String on = on(system, subject, positions);
        if (kind == TestKind.PUMP_FLOW) {
            return on.replaceFirst(",|$", " alone,").replaceAll(",$", "");
        }
        return on.isEmpty() ? title : title + between + on;
    }

    /** A line that a record rests on, for eyes: R3: length, of r3: length. */
    public static String line(FuelSystem system, String line) {
        int at = line.indexOf(": ");
        Optional<Item> item = at < 0 ? Optional.empty() : system.item(line.substring(0, at));
        if (item.isEmpty()) {
            return line;
        }
        String key = line.substring(at + 2);
        return item.get().name() + ": "
                + FieldSheet.of(item.get()).stream()
                        .filter(f -> f.key().equals(key))
                        .map(f -> f.label().toLowerCase(Locale.ROOT))
                        .findFirst()
                        .orElse(key);
    }

    private static Map<String, String> positions(Work work) {
        return work.sheet().map(s -> s.handles().positions()).orElse(Map.of());
    }

    /** What a test is done on, in words; empty of the whole aircraft. */
    static String on(FuelSystem system, HangarTest test) {
        return on(system, test.subject(), positions(test.work()));
    }

    private static String on(FuelSystem system, String subject, Map<String, String> positions) {
        List<String> parts = new ArrayList<>();
        if (!subject.isEmpty()) {
            parts.add(system.item(subject).map(Item::name).orElse(subject));
        }
        String at = Topology.named(system, positions);
        if (!at.isEmpty()) {
            parts.add(at);
        }
        return String.join(", ", parts);
    }
}
