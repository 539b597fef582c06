package ration.answer.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import ration.aircraft.condition.Faults;
import ration.base.quantity.Unit;
import ration.physics.flow.FlowBasis;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.record.project.Brief;

/**
 * The aircraft played in the hangar: what the instruments would show while a test is done, as the document's system
 * would answer, a little off as a real one is, with the noise of instruments. It writes the lines a logger writes. What
 * it feeds never closes anything.
 */
public final class StandIn {

    /** The first line it writes. */
    public static final String HEAD = "# ration readings 1";
    /** Real lines differ from the model by so much, of one standard deviation; common practice, no source. */
    private static final double OFF = 0.03;

    private static final double CAN = Unit.GALLON.toSi(0.004);
    private static final double WARMTH = 0.2;
    private static final double PRESSURE = Unit.PSI.toSi(0.05);

    private final TestKind kind;
    private final Optional<OpenLine> line;
    private final double off;
    private final double kelvin;
    private final double dead;
    private final Random random;
    /** What the figures of a test with the pumps on read, SI. */
    private final Map<String, Double> reads;

    private double poured;

    private StandIn(
            TestKind kind,
            Optional<OpenLine> line,
            double kelvin,
            double dead,
            Map<String, Double> reads,
            Random random) {
        this.reads = reads;
        this.kind = kind;
        this.line = line;
        this.kelvin = kelvin;
        this.dead = dead;
        this.random = random;
        off = 1 + OFF * random.nextGaussian();
    }

    /** For a test as far as it is entered, of a sound aircraft. */
    public static StandIn of(FlowBasis basis, Brief brief, String subject, Work.Sheet sheet, long seed) {
        return of(basis, brief, subject, sheet, Faults.NONE, seed);
    }

    /** The same with something failed in it, as far as the pumps are on in the test. */
    public static StandIn of(FlowBasis basis, Brief brief, String subject, Work.Sheet sheet, Faults failed, long seed) {
        double dead = basis.system()
                .item(subject)
                .flatMap(i -> i.only(ration.aircraft.model.Pump.class))
                .map(p -> p.curve().stream()
                        .mapToDouble(c -> c.pressure().si())
                        .max()
                        .orElse(0))
                .orElse(0.0);
        return new StandIn(
                sheet.kind(),
                OpenLine.of(basis, brief, sheet),
                sheet.figure("fuel").orElse(brief.fuelKelvin()),
                dead,
                new PumpsOn(basis, brief, failed).plays(sheet.kind(), subject, sheet),
                new Random(seed));
    }

    /** What is written so many seconds after it began. */
    public List<String> at(double seconds, double since) {
        List<String> lines = new ArrayList<>();
        if (kind == TestKind.FLOW || kind == TestKind.PUMP_FLOW) {
            line.ifPresent(l -> {
                poured += Math.max(0, l.pours() * off * since);
                lines.add(line(
                        seconds,
                        "can",
                        Unit.GALLON.fromSi(Math.max(0, poured + CAN * random.nextGaussian())),
                        Unit.GALLON));
            });
        }
        if (kind == TestKind.PUMP_FLOW || kind == TestKind.DEAD_HEAD) {
            lines.add(line(seconds, "volts", 12.6 + 0.05 * random.nextGaussian(), Unit.VOLT));
        }
        if (kind == TestKind.DEAD_HEAD) {
            lines.add(line(seconds, "rail", Unit.PSI.fromSi(dead * off + PRESSURE * random.nextGaussian()), Unit.PSI));
        }
        reads.forEach((key, si) -> play(seconds, since, key, si).ifPresent(lines::add));
        lines.add(line(seconds, "fuel", Unit.CELSIUS.fromSi(kelvin) + WARMTH * random.nextGaussian(), Unit.CELSIUS));
        return lines;
    }

    /** A pressure, a time, or what has run by now. */
    private Optional<String> play(double seconds, double since, String key, double si) {
        return switch (kind) {
            case REGULATOR, HOLD ->
                Optional.of(line(seconds, key, Unit.PSI.fromSi(si * off + PRESSURE * random.nextGaussian()), Unit.PSI));
            case TANK_RETURN ->
                Optional.of(line(seconds, key, Unit.INCH_OF_WATER.fromSi(si * off), Unit.INCH_OF_WATER));
            case PRIMING -> Optional.of(line(seconds, key, si * off, Unit.SECOND));
            case JET -> {
                poured += si * off * since;
                double can = Math.max(0, poured + CAN * random.nextGaussian());
                yield Optional.of(line(seconds, key, Unit.GALLON.fromSi(can), Unit.GALLON));
            }
            case RETURN -> Optional.of(line(seconds, key, Unit.GALLON.fromSi(si * seconds), Unit.GALLON));
            default -> Optional.empty();
        };
    }

    private static String line(double seconds, String channel, double value, Unit unit) {
        return String.format(Locale.ROOT, "%.1f,%s,%.4f,%s", seconds, channel, value, unit.symbol());
    }
}
