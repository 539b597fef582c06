package ration.record.project;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.condition.Attitude;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * What else must hold beside steady flight on clean filters, each with its figure and whether it is asked or only
 * reported.
 *
 * @param fouled flow wanted over take-off consumption with every filter fouled
 * @param takeOff acceleration along the runway on the take-off run, g, at the parked angle
 * @param light load factor held in a push-over at the climb's angle
 * @param gust load factor for a moment in a gust, at the climb's angle
 * @param coldFuel fuel on the coldest day
 * @param asks which of them must hold
 */
public record Practice(Measured fouled, Measured takeOff, Measured light, Measured gust, Measured coldFuel, Asks asks) {

    /**
     * Which load cases must hold; the others are computed and only reported. And whether a joint with a smear passes,
     * with a day to look again, whether a vent's size counts beside what it costs, whether a fine filter is asked where
     * the engine's maker gives no figure, and whether a leak check counts only once the assembly sheets of all parts
     * that are opened are done.
     */
    public record Asks(
            boolean takeOff,
            boolean light,
            boolean gust,
            boolean smear,
            boolean ventSize,
            boolean fineFilter,
            boolean assembly) {

        /** Assembly sheets are recommended. */
        public Asks(boolean takeOff, boolean light, boolean gust, boolean smear, boolean ventSize, boolean fineFilter) {
            this(takeOff, light, gust, smear, ventSize, fineFilter, false);
        }

        /** A fine filter is asked; one school takes a strainer's screen alone: nothing fine to clog. */
        public Asks(boolean takeOff, boolean light, boolean gust, boolean smear, boolean ventSize) {
            this(takeOff, light, gust, smear, ventSize, true);
        }

        /** A vent's size is asked by rule of thumb beside its drop. */
        public Asks(boolean takeOff, boolean light, boolean gust, boolean smear) {
            this(takeOff, light, gust, smear, true);
        }

        /** A smear passes until it is looked at again. */
        public Asks(boolean takeOff, boolean light, boolean gust) {
            this(takeOff, light, gust, true);
        }

        public Asks withSmear(boolean passes) {
            return new Asks(takeOff, light, gust, passes, ventSize, fineFilter, assembly);
        }

        public Asks withVentSize(boolean asked) {
            return new Asks(takeOff, light, gust, smear, asked, fineFilter, assembly);
        }

        public Asks withAssembly(boolean asked) {
            return new Asks(takeOff, light, gust, smear, ventSize, fineFilter, asked);
        }

        public Asks withFineFilter(boolean asked) {
            return new Asks(takeOff, light, gust, smear, ventSize, asked, assembly);
        }
    }

    /**
     * The engine runs on fouled filters; the run and a held push-over count, a gust passes. Common practice, no source.
     */
    public static final Practice USUAL = new Practice(
            Measured.of(1, Unit.ONE, "usual"),
            Measured.of(0.25, Unit.ONE, "usual"),
            Measured.of(0.8, Unit.ONE, "usual"),
            Measured.of(0.5, Unit.ONE, "usual"),
            Measured.of(-10, Unit.CELSIUS, "usual"),
            new Asks(true, true, false));

    public Practice {
        range(fouled, 0.1, 2, "Flow with dirty filters: 0.1 to 2 × takeoff demand.");
        range(takeOff, 0, 1.5, "Acceleration on the takeoff run lies between 0 and 1.5 g.");
        range(light, 0.1, 1, "The load factor of a pushover lies between 0.1 and 1.");
        range(gust, 0, 1, "The load factor in a gust lies between 0 and 1.");
        range(coldFuel, 220, 300, "Cold fuel lies between \u221253 and 27 \u00b0C.");
    }

    private static void range(Measured m, double least, double most, String words) {
        if (!(m.si() >= least - 1e-9 && m.si() <= most + 1e-9)) {
            throw new IllegalArgumentException(words);
        }
    }

    public Practice withFouled(Measured m) {
        return new Practice(m, takeOff, light, gust, coldFuel, asks);
    }

    public Practice withTakeOff(Measured m) {
        return new Practice(fouled, m, light, gust, coldFuel, asks);
    }

    public Practice withLight(Measured m) {
        return new Practice(fouled, takeOff, m, gust, coldFuel, asks);
    }

    public Practice withGust(Measured m) {
        return new Practice(fouled, takeOff, light, m, coldFuel, asks);
    }

    public Practice withColdFuel(Measured m) {
        return new Practice(fouled, takeOff, light, gust, m, asks);
    }

    public Practice withAsks(Asks other) {
        return new Practice(fouled, takeOff, light, gust, coldFuel, other);
    }

    /**
     * A load case.
     *
     * @param attitude with what the fuel feels
     * @param asked whether it must hold
     */
    public record Load(Attitude attitude, boolean asked) {}

    /** Every load case of an envelope; one that is like steady flight is left out. */
    public List<Load> loads(Brief.Envelope envelope) {
        Attitude parked = envelope.attitudes().get(0);
        Attitude climb =
                Attitude.ofDegrees("Climb", Math.toDegrees(envelope.climb().si()), 0);
        List<Load> all = new ArrayList<>();
        if (takeOff.si() > 0) {
            all.add(new Load(parked.under("Takeoff run", 1, takeOff.si()), asks.takeOff()));
        }
        if (light.si() < 1) {
            all.add(new Load(climb.under("Pushover", light.si(), 0), asks.light()));
        }
        if (gust.si() < 1) {
            all.add(new Load(climb.under("Gust", gust.si(), 0), asks.gust()));
        }
        return all;
    }
}
