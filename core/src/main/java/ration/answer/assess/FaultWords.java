package ration.answer.assess;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.physics.flow.WaysToFail;

/**
 * A failed part as it is written: {@code pump-dead:boost-pump}, {@code outlet-clogged:upper=4},
 * {@code fuel-leak:r3.to=0.0005}.
 */
public final class FaultWords {

    private FaultWords() {}

    /** The word of a way to fail. */
    public static String word(Fault.Kind kind) {
        return kind.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * The fault meant.
     *
     * @throws IllegalArgumentException with a sentence that says what may be written
     */
    public static Fault parse(FuelSystem system, String written) {
        int colon = written.indexOf(':');
        String name =
                (colon < 0 ? written : written.substring(0, colon)).strip().toLowerCase(Locale.ROOT);
        Fault.Kind kind = Arrays.stream(Fault.Kind.values())
                .filter(k -> word(k).equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("\u201c" + name
                        + "\u201d is not a known failure. Use: "
                        + Arrays.stream(Fault.Kind.values())
                                .map(FaultWords::word)
                                .collect(Collectors.joining(", ")) + "."));
        String rest = colon < 0 ? "" : written.substring(colon + 1).strip();
        int equals = rest.indexOf('=');
        String where = equals < 0 ? rest : rest.substring(0, equals).strip();
        int dot = where.indexOf('.');
        String id = dot < 0 ? where : where.substring(0, dot);
        if (kind != Fault.Kind.SUPPLY_DEAD && system.item(id).isEmpty()) {
            throw new IllegalArgumentException("No item \u201c" + id + "\u201d. Use one of: "
                    + system.items().stream().map(Item::id).collect(Collectors.joining(", ")) + ".");
        }
        if (system.item(id).filter(i -> !WaysToFail.of(i).contains(kind)).isPresent()) {
            throw new IllegalArgumentException(
                    system.item(id).orElseThrow().name() + " does not fail in this way. It can: "
                            + WaysToFail.of(system.item(id).get()).stream()
                                    .map(FaultWords::word)
                                    .collect(Collectors.joining(", "))
                            + ".");
        }
        if (equals < 0 && !kind.severity().isEmpty()) {
            throw new IllegalArgumentException(
                    "Add a severity with =: " + kind.severity() + ", e.g. " + word(kind) + ":" + id + "=0.5.");
        }
        return new Fault(
                kind,
                id,
                dot < 0 ? "" : where.substring(dot + 1),
                equals < 0 ? 1 : severity(rest.substring(equals + 1).strip()));
    }

    private static double severity(String written) {
        if (written.equalsIgnoreCase("shut")) {
            return Double.POSITIVE_INFINITY;
        }
        try {
            return Double.parseDouble(written);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("\u201c" + written + "\u201d is not a number. Use 4 or 0.5, or shut.");
        }
    }
}
