package ration.evidence;

import java.util.ArrayList;
import java.util.List;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.Selector;

/** What tests are called. */
public final class Named {

    private Named() {}

    /** A test with what it was done on: Nose-up flow, UPPER. */
    public static String of(FuelSystem system, HangarTest test) {
        return of(system, test.work().kind(), test.subject(), test.work());
    }

    /** The same of a test that is still to run. */
    public static String of(FuelSystem system, TestKind kind, String subject, Work work) {
        if (kind == TestKind.SELECTOR_OFF && system.selectors().size() == 1) {
            return kind.title();
        }
        String on = on(system, subject, work);
        if (kind == TestKind.PUMP_FLOW) {
            return on.replaceFirst(",|$", " alone,").replaceAll(",$", "");
        }
        String title = kind == TestKind.DRAIN ? "Drain test" : kind.title();
        return on.isEmpty()
                ? title
                : title
                        + (kind == TestKind.DRAIN || kind == TestKind.FILL || kind == TestKind.TOP_OFF ? " of " : ", ")
                        + on;
    }

    /** What it is done on, in words; empty of the whole aircraft. */
    static String on(FuelSystem system, String subject, Work work) {
        List<String> parts = new ArrayList<>();
        if (!subject.isEmpty()) {
            parts.add(system.item(subject).map(Item::name).orElse(subject));
        }
        if (work instanceof Work.Sheet sheet) {
            for (Selector s : system.selectors()) {
                String p = sheet.handles().positions().get(s.id());
                if (p != null) {
                    parts.add(p);
                }
            }
        }
        return String.join(", ", parts);
    }
}
