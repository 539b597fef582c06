package ration.answer.find;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.answer.drawdown.Course;
import ration.answer.drawdown.Look;
import ration.base.quantity.Unit;
import ration.physics.flow.FlowAnswer;
import ration.record.reading.Reading;

/**
 * Plays the aircraft: answers readings as a real one would, with the errors of instruments, and something failed that
 * it does not tell. What it says is never evidence. One asks it at a time.
 */
public final class Rig {

    /** The first line of what it writes. */
    public static final String HEAD = "# ration readings 1";

    private static final double PRESSURE = Unit.PSI.toSi(0.15);
    private static final double SHARE = 0.01;
    private static final double VOLUME = Unit.GALLON.toSi(0.05);

    private final Assessment assessment;
    private final Search search;
    private final Set<Fault> hidden;
    private final Random random;

    private Rig(Assessment assessment, Search search, Set<Fault> hidden, Random random) {
        this.assessment = assessment;
        this.search = search;
        this.hidden = Set.copyOf(hidden);
        this.random = random;
    }

    /** With these parts failed; none of them is a sound aircraft. */
    public static Rig with(Assessment a, Set<Fault> failed, long seed) {
        return new Rig(a, Search.of(a, List.of()), failed, new Random(seed));
    }

    /** With something hidden, drawn as often as such parts fail, that moves at least one reading that can be taken. */
    public static Rig hiding(Assessment a, long seed) {
        Random random = new Random(seed);
        Search search = Search.of(a, List.of());
        List<Cause> causes = Search.causes(a.project().system(), List.of()).stream()
                .filter(c -> c.sort() == CauseKind.FAULT)
                .toList();
        List<NextReading> asked = search.next(StartingCase.of(a.project()));
        for (int tries = 0; tries < MOST_TRIES; tries++) {
            double left = random.nextDouble()
                    * causes.stream().mapToDouble(Cause::prior).sum();
            for (Cause c : causes) {
                left -= c.prior();
                if (left <= 0) {
                    Set<Fault> drawn =
                            Set.of(c.faults().get(random.nextInt(c.faults().size())));
                    if (asked.stream().map(NextReading::asked).anyMatch(r -> felt(search, drawn, r))) {
                        return new Rig(a, search, drawn, random);
                    }
                    break;
                }
            }
        }
        throw new IllegalStateException("Nothing that fails here would show in a reading.");
    }

    private static final int MOST_TRIES = 500;

    private static boolean felt(Search search, Set<Fault> failed, Reading r) {
        double sound = search.predicted(Set.of(), r);
        if (r.what().sign()) {
            return Math.abs(search.predicted(failed, r) - sound) > 0.5;
        }
        return Math.abs(search.predicted(failed, r) - sound) > 3 * Search.error(r, sound);
    }

    /** What is hidden. */
    public Set<Fault> hidden() {
        return hidden;
    }

    /** Minutes the readings took together. */
    public int minutes(List<Reading> taken) {
        Condition now = StartingCase.of(assessment.project());
        int sum = 0;
        for (Reading r : taken) {
            sum += search.minutes(r, now);
            now = r.setting().condition();
        }
        return sum;
    }

    /** Whether an explanation names it: part and way, whatever the degree. */
    public boolean names(Explanation e) {
        return hidden.isEmpty()
                ? e.kind() == CauseKind.SOUND
                : e.fault()
                        .filter(f -> hidden.stream()
                                .anyMatch(h -> h.kind() == f.kind()
                                        && h.item().equals(f.item())
                                        && h.port().equals(f.port())))
                        .isPresent();
    }

    /** A reading as it is asked for, taken. */
    public synchronized Reading read(Reading asked) {
        return taken(asked, search.predicted(hidden, asked), asked.error(), random);
    }

    /**
     * What is read where so much is real: off by the errors of the instrument; a sign shows as often as it is said to.
     */
    static Reading taken(Reading asked, double real, double error, Random random) {
        double value = asked.what().sign() ? random.nextDouble() < real ? 1 : 0 : real + random.nextGaussian() * error;
        return new Reading(asked.place(), asked.what(), value, asked.error(), asked.setting());
    }

    /**
     * How many readings are needed by who always takes the one that tells most, until one cause has nine tenths of
     * belief or nothing parts the rest; at most ten.
     */
    public synchronized List<Reading> shortestWay() {
        Rig again = new Rig(assessment, search, hidden, new Random(1));
        List<Reading> taken = new ArrayList<>();
        Search now = search;
        while (taken.size() < 10 && now.explanations().get(0).belief() < 0.9) {
            List<NextReading> next = now.next(StartingCase.of(assessment.project()));
            if (next.isEmpty()) {
                break;
            }
            taken.add(again.read(next.get(0).asked()));
            now = search.with(taken);
        }
        return taken;
    }

    /**
     * A line a channel: seconds,channel,value,unit. Pressures at the engine and behind pumps and filters, flow at
     * senders, contents.
     */
    public final class Lines {

        private final Course course;
        private Condition condition;
        private double demand;

        private Lines(Condition set) {
            set(set);
            course = new Course(assessment.basis().orElseThrow(), condition);
        }

        /** Attitude, handles, pumps and power from now on; the tanks are as they are. */
        public void set(Condition set) {
            condition = hidden.stream().reduce(set, Condition::with, (a, b) -> b);
            demand =
                    assessment.project().brief().demand() * set.engine().power().demandShare();
        }

        /** Since it runs, minutes. */
        public double minutes() {
            return course.minutes();
        }

        /** Those of the moment so many seconds later, as they are written. */
        public List<String> after(double seconds) {
            return needles(seconds).stream()
                    .map(n -> String.format(
                            Locale.ROOT,
                            "%.1f,%s.%s,%.3f,%s",
                            60 * course.minutes(),
                            n.item(),
                            n.quantity(),
                            n.unit().fromSi(n.value()),
                            n.unit().symbol()))
                    .toList();
        }

        /** What the needles show so many seconds later. */
        public List<Needle> needles(double seconds) {
            Look look = course.on(condition, demand, seconds / 60);
            FlowAnswer a = look.answer();
            boolean runs = look.delivered();
            List<Needle> all = new ArrayList<>();
            assessment
                    .project()
                    .system()
                    .inlet()
                    .ifPresent(i -> all.add(
                            new Needle(i.id(), "pressure", pressure(a, new PortRef(i.id(), Item.IN)), Unit.PSI)));
            for (Item i : assessment.project().system().items()) {
                if (i.only(GaugePort.class)
                                .filter(g -> g.shows() != GaugePort.Shows.TEMPERATURE)
                                .isPresent()
                        || i.only(Pump.class).isPresent()
                        || i.only(Strainer.class).isPresent()
                        || i.only(Filter.class).isPresent()) {
                    all.add(new Needle(i.id(), "pressure", pressure(a, new PortRef(i.id(), Item.OUT)), Unit.PSI));
                }
                i.only(FlowSender.class).ifPresent(s -> assessment.project().system().runs().stream()
                        .filter(r -> r.to().item().equals(s.id()))
                        .findFirst()
                        .ifPresent(r -> {
                            double flow = runs && a.usable() ? Math.abs(a.flow(r.id())) : 0;
                            all.add(new Needle(
                                    s.id(),
                                    "flow",
                                    Math.max(0, flow * (1 + SHARE * random.nextGaussian())),
                                    Unit.GALLON_PER_HOUR));
                        }));
            }
            for (Tank t : assessment.project().system().tanks()) {
                all.add(new Needle(
                        t.id(),
                        "contents",
                        Math.max(0, look.holding().tank(t.id()) + VOLUME * random.nextGaussian()),
                        Unit.GALLON));
            }
            return all;
        }

        private double pressure(FlowAnswer a, PortRef port) {
            double p = a.pressure(port).orElse(0);
            return p * (1 + SHARE * random.nextGaussian()) + PRESSURE * random.nextGaussian();
        }
    }

    /**
     * What one instrument shows.
     *
     * @param item id of the part
     * @param quantity pressure, flow, contents
     * @param value SI
     * @param unit it is written in
     */
    public record Needle(String item, String quantity, double value, Unit unit) {}

    /** Runs with everything as it is set, from now on. */
    public Lines run(Condition set) {
        return new Lines(set);
    }
}
