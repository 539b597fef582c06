package ration.record.evidence;

import static ration.record.evidence.Form.Pieces.DRAINS;
import static ration.record.evidence.Form.Pieces.FORWARD_JOINTS;
import static ration.record.evidence.Form.Pieces.JOINTS;
import static ration.record.evidence.Form.Pieces.NONE;
import static ration.record.evidence.Form.Pieces.REPEATS;
import static ration.record.evidence.Form.Pieces.RUNS;
import static ration.record.evidence.Form.Pieces.SEAMS;
import static ration.record.evidence.Form.Pieces.START;
import static ration.record.evidence.Form.Pieces.VENTS;

import java.util.List;
import java.util.Optional;
import ration.base.quantity.Unit;
import ration.record.evidence.Form.Ask;

/**
 * The form of each kind of test. Common practice, no source, but for pressures of a tank: 14 CFR 23.965, from memory.
 */
final class Forms {

    static final String PITCH = "pitch";
    static final String CONTENTS = "contents";

    private Forms() {}

    static Optional<Form> of(TestKind kind) {
        return switch (kind) {
            case DRAIN, FILL, TOP_OFF -> Optional.empty();
            case FLOW ->
                Optional.of(new Form(
                        List.of(pitch(), contents(), open(), warm()),
                        List.of(volume(), time()),
                        REPEATS,
                        List.of(),
                        3));
            case PUMP_FLOW ->
                Optional.of(new Form(
                        List.of(
                                pitch(),
                                contents(),
                                open(),
                                warm(),
                                volts(true),
                                ask("pressure", "Pressure in the line", Unit.PSI, -5, 100, false)),
                        List.of(volume(), time()),
                        REPEATS,
                        List.of(),
                        3));
            case DEAD_HEAD ->
                Optional.of(new Form(
                        List.of(
                                volts(true),
                                psi("idle", "Engine idling", true),
                                psi("full", "Full power", true),
                                psi("shut", "Dead-headed", true)),
                        List.of(),
                        NONE,
                        List.of(),
                        1));
            case BENCH -> Optional.of(new Form(List.of(), List.of(), Form.Pieces.BENCH, Grade.CHECKED, 1));
            case ASSEMBLY -> Optional.of(new Form(List.of(), List.of(), Form.Pieces.ASSEMBLY, Grade.CHECKED, 1));
            case CLEAN -> Optional.of(new Form(List.of(), List.of(), Form.Pieces.CLEAN, Grade.CHECKED, 1));
            case EMPTYING ->
                Optional.of(new Form(
                        List.of(
                                new Ask(CONTENTS, "Fuel in the tank before", Unit.GALLON, 1e-6, 2, true),
                                ask("seconds", "Time until the stream breaks", Unit.SECOND, 1, 36_000, true),
                                new Ask("rest", "Left in the tank", Unit.GALLON, 0, 2, true),
                                ask("bore", "Bore of the drain", Unit.INCH, 0.02, 2, false)),
                        List.of(),
                        NONE,
                        List.of(),
                        1));
            case REGULATOR ->
                Optional.of(new Form(
                        List.of(
                                volts(false),
                                psi("idle", "Engine idling", true),
                                psi("full", "Full power", true),
                                psi("off", "Idling, reference hose off", false),
                                psi("creep", "Pumps on, engine off, after 1 min", true)),
                        List.of(),
                        NONE,
                        List.of(),
                        1));
            case PRIMING ->
                Optional.of(new Form(
                        List.of(
                                volts(false),
                                ask("seconds", "Pump on until pressure is steady", Unit.SECOND, 0.1, 3600, true)),
                        List.of(),
                        NONE,
                        List.of(),
                        1));
            case JET ->
                Optional.of(new Form(
                        List.of(contents(), volts(false), warm()),
                        List.of(new Ask("volume", "Drawn from the can", Unit.GALLON, 1e-6, 0.5, true), time()),
                        REPEATS,
                        List.of(),
                        3));
            case RETURN ->
                Optional.of(new Form(
                        List.of(minutes("minutes", "Pumps on, engine off, for", true)),
                        List.of(),
                        Form.Pieces.TANKS,
                        Grade.LEVEL,
                        1));
            case HOLD ->
                Optional.of(new Form(
                        List.of(
                                psi("start", "Pressure at shutoff", true),
                                minutes("minutes", "Observed for", true),
                                psi("end", "Pressure at the end", true)),
                        List.of(),
                        NONE,
                        List.of(),
                        1));
            case TANK_RETURN ->
                Optional.of(new Form(
                        List.of(
                                ask("pressure", "Tank over outside air", Unit.INCH_OF_WATER, -30, 150, true),
                                volts(false)),
                        List.of(),
                        NONE,
                        List.of(),
                        1));
            case OVERNIGHT ->
                Optional.of(new Form(
                        List.of(ask("hours", "Hours wrapped", Unit.ONE, 0.5, 200, true)),
                        List.of(),
                        JOINTS,
                        Grade.LEAKS,
                        1));
            case TANK_PRESSURE ->
                Optional.of(new Form(
                        List.of(
                                psi("pressure", "Test pressure", true),
                                minutes("minutes", "Hold time", true),
                                psi("end", "Pressure at the end", true),
                                warm("warm", "Air temperature, start", false),
                                warm("cool", "Air temperature, end", false)),
                        List.of(),
                        SEAMS,
                        Grade.SOAP,
                        1));
            case LINE_PRESSURE ->
                Optional.of(new Form(
                        List.of(
                                psi("pressure", "Test pressure", true),
                                minutes("minutes", "Hold time", true),
                                psi("end", "Pressure at the end", true)),
                        List.of(),
                        RUNS,
                        Grade.SOAP,
                        1));
            case SELECTOR_OFF ->
                Optional.of(new Form(
                        List.of(minutes("minutes", "Observed for", true), drops()), List.of(), NONE, List.of(), 1));
            case CHECK_HOLDS ->
                Optional.of(new Form(
                        List.of(minutes("minutes", "Observed for", true), drops()), List.of(), NONE, List.of(), 1));
            case FIRST_RUN ->
                Optional.of(new Form(
                        List.of(minutes("minutes", "Engine run for", true)),
                        List.of(),
                        FORWARD_JOINTS,
                        Grade.LEAKS,
                        1));
            case VENTS -> Optional.of(new Form(List.of(), List.of(), VENTS, Grade.BLOWN, 1));
            case DRAINS -> Optional.of(new Form(List.of(pitch()), List.of(), DRAINS, Grade.WATER, 1));
            case LEVEL_SENDER ->
                Optional.of(new Form(
                        List.of(pitch()),
                        List.of(volume(), ask("shows", "Sender output, ohms or volts", Unit.ONE, -1e5, 1e5, true)),
                        REPEATS,
                        List.of(),
                        5));
            case FLOW_SENDER ->
                Optional.of(new Form(
                        List.of(),
                        List.of(volume(), ask("pulses", "Pulses", Unit.ONE, 1, 1e6, true)),
                        REPEATS,
                        List.of(),
                        3));
            case GAUGE_CHECK ->
                Optional.of(new Form(
                        List.of(warm()),
                        List.of(
                                ask("height", "Fuel height above sender", Unit.INCH, 0, 5, true),
                                psi("shows", "Gauge reading", true)),
                        REPEATS,
                        List.of(),
                        2));
            case RUN_LOG ->
                Optional.of(new Form(
                        List.of(warm("air", "OAT", true), minutes("soak", "Logged after shutdown", true)),
                        List.of(),
                        NONE,
                        List.of(),
                        1));
            case HOT_RESTART ->
                Optional.of(new Form(
                        List.of(
                                minutes("soak", "After shutdown", true),
                                ask("seconds", "Cranked for", Unit.SECOND, 0, 600, true),
                                psi("pressure", "Pressure in the line", false)),
                        List.of(),
                        START,
                        Grade.START,
                        1));
        };
    }

    private static Ask ask(String key, String label, Unit unit, double least, double most, boolean needed) {
        return new Ask(key, label, unit, unit.toSi(least), unit.toSi(most), needed);
    }

    private static Ask pitch() {
        return new Ask(PITCH, "Pitch, nose up", Unit.DEGREE, Math.toRadians(-45), Math.toRadians(45), true);
    }

    private static Ask contents() {
        return new Ask(CONTENTS, "Fuel in feeding tank", Unit.GALLON, 0, 2, true);
    }

    private static Ask open() {
        return new Ask("open", "Open end above inlet", Unit.INCH, -1, 1, true);
    }

    private static Ask warm() {
        return warm("fuel", "Fuel temperature", false);
    }

    private static Ask warm(String key, String label, boolean needed) {
        return new Ask(key, label, Unit.CELSIUS, 230, 345, needed);
    }

    private static Ask volts(boolean needed) {
        return ask("volts", "Voltage at the pump", Unit.VOLT, 1, 60, needed);
    }

    private static Ask psi(String key, String label, boolean needed) {
        return ask(key, label, Unit.PSI, -5, 150, needed);
    }

    private static Ask minutes(String key, String label, boolean needed) {
        return ask(key, label, Unit.MINUTE, 0.1, 3000, needed);
    }

    private static Ask drops() {
        return ask("drops", "Drops", Unit.ONE, 0, 10_000, true);
    }

    private static Ask volume() {
        return new Ask("volume", "Into the can", Unit.GALLON, 1e-6, 0.5, true);
    }

    private static Ask time() {
        return ask("time", "Time", Unit.SECOND, 1, 7200, true);
    }
}
