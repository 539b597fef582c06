package ration.solver.network;

import java.util.List;
import ration.base.fluid.Fluid;

/**
 * What lies between two nodes. Every element loses no less pressure when more flows through it; that is what makes the
 * answer unique. Sizes in metres, flows in m3/s, pressures in Pa.
 */
public sealed interface Element {

    /** Prepares loss against flow for a fluid and a friction law. */
    Characteristic prepare(Fluid fluid, FrictionLaw law);

    /** Whether the element never passes flow from its end back to its start. */
    default boolean oneWay() {
        return false;
    }

    /** Whether the element passes nothing at all. */
    default boolean shut() {
        return false;
    }

    /** Pressure lost from start to end at a flow, Pa; negative for a pump that adds pressure. */
    default double loss(double flow, Fluid fluid, FrictionLaw law) {
        Drop out = new Drop();
        prepare(fluid, law).at(flow, out);
        return out.loss;
    }

    /**
     * A round line with friction and local losses.
     *
     * @param bore inside diameter, m
     * @param length m, zero or more
     * @param roughness absolute, m
     * @param minor local losses on the velocity in this bore
     * @param checkValve passes from start to end only
     */
    record Pipe(double bore, double length, double roughness, Minor minor, boolean checkValve) implements Element {

        public Pipe {
            require(bore > 0 && bore < 100 && length >= 0 && length < 1e6, "A pipe needs a bore and a length");
            require(roughness >= 0 && roughness < bore, "Roughness must lie between zero and the bore");
        }

        @Override
        public boolean oneWay() {
            return checkValve;
        }

        /** Reynolds number at a flow. */
        public double reynolds(double flow, Fluid fluid) {
            return 4 * Math.abs(flow) / (Math.PI * bore * fluid.viscosity());
        }

        @Override
        public Characteristic prepare(Fluid fluid, FrictionLaw law) {
            double area = Math.PI * bore * bore / 4;
            double perRe = reynolds(1, fluid);
            Roughness rr = new Roughness(roughness / bore);
            double velocityHead = fluid.density() / (2 * area * area);
            double frictional = velocityHead * length / bore;
            double laminar = velocityHead * (64 * length / bore + minor.perReynolds()) / perRe;
            double floor = laminar < Characteristic.LEAST_SLOPE ? Characteristic.LEAST_SLOPE : 0;
            double viscous = laminar + floor;
            double local = velocityHead * minor.constant();
            double minorViscous = velocityHead * minor.perReynolds() / perRe + floor;
            return (q, out) -> {
                double re = perRe * Math.abs(q);
                if (re <= FrictionLaw.LAMINAR_END || frictional == 0) {
                    out.loss = viscous * q;
                    out.slope = viscous;
                } else {
                    law.at(re, rr, out);
                    double f = out.friction;
                    out.loss = frictional * f * q * Math.abs(q) + minorViscous * q;
                    out.slope = frictional * Math.abs(q) * (2 * f + out.frictionRise) + minorViscous;
                }
                if (local > 0) {
                    Characteristic.addSquare(local, q, out);
                }
            };
        }
    }

    /** Local losses K = perReynolds / Re + constant (the two-K form; perReynolds zero for a plain K). */
    record Minor(double constant, double perReynolds) {
        public static final Minor NONE = new Minor(0, 0);

        public Minor {
            require(
                    constant >= 0 && constant < 1e9 && perReynolds >= 0 && perReynolds < 1e9,
                    "Local losses are zero or more");
        }

        public static Minor k(double constant) {
            return new Minor(constant, 0);
        }

        public Minor plus(Minor other) {
            return new Minor(constant + other.constant, perReynolds + other.perReynolds);
        }

        public Minor times(double n) {
            return new Minor(n * constant, n * perReynolds);
        }
    }

    /** A screen, strainer, filter or valve by its own figures: {@code dp = linear q + square q |q|}. */
    record Resistance(double linear, double square) implements Element {
        public Resistance {
            require(linear >= 0 && square >= 0 && linear < 1e20 && square < 1e25, "Resistances are zero or more");
        }

        /** From one rated point, with this share of the loss growing linearly and the rest with the square. */
        public static Resistance rated(double flow, double loss, double linearShare) {
            require(flow > 0 && loss >= 0 && linearShare >= 0 && linearShare <= 1, "A rated point needs a flow");
            return new Resistance(linearShare * loss / flow, (1 - linearShare) * loss / (flow * flow));
        }

        @Override
        public Characteristic prepare(Fluid fluid, FrictionLaw law) {
            return Characteristic.polynomial(linear, square);
        }
    }

    /** A local loss K on the velocity in a bore, without length. */
    record Orifice(double bore, double dischargeCoefficient) implements Element {
        public Orifice {
            require(bore > 0 && bore < 10, "An orifice needs a bore");
            require(dischargeCoefficient > 0 && dischargeCoefficient <= 1, "A discharge coefficient is 0 to 1");
        }

        /** {@code dp = rho/2 (Q / (Cd A))^2}. */
        @Override
        public Characteristic prepare(Fluid fluid, FrictionLaw law) {
            double effective = dischargeCoefficient * Math.PI * bore * bore / 4;
            return Characteristic.polynomial(0, fluid.density() / (2 * effective * effective));
        }
    }

    /** Opens at the cracking pressure, then loses as its resistance says on top; never reverse. */
    record Check(double crackingPressure, Resistance resistance) implements Element {
        public Check {
            require(crackingPressure >= 0 && crackingPressure < 1e8, "A cracking pressure is zero or more");
        }

        @Override
        public boolean oneWay() {
            return true;
        }

        @Override
        public Characteristic prepare(Fluid fluid, FrictionLaw law) {
            Characteristic flow = resistance.prepare(fluid, law);
            return (q, out) -> {
                flow.at(q, out);
                out.loss += crackingPressure;
            };
        }
    }

    /**
     * An engine inlet held open: needs at least its minimum pressure, and the pressure the open needle seat takes.
     *
     * @param minimumPressure gauge, Pa
     * @param seat the needle seat as an orifice to a vented bowl
     */
    record NeedleSeat(double minimumPressure, Orifice seat) implements Element {
        public NeedleSeat {
            require(minimumPressure >= 0 && minimumPressure < 1e8, "A minimum pressure is zero or more");
        }

        @Override
        public boolean oneWay() {
            return true;
        }

        @Override
        public Characteristic prepare(Fluid fluid, FrictionLaw law) {
            Characteristic open = seat.prepare(fluid, law);
            return (q, out) -> {
                open.at(q, out);
                if (out.loss < minimumPressure) {
                    out.loss = minimumPressure + Characteristic.LEAST_SLOPE * q;
                    out.slope = Characteristic.LEAST_SLOPE;
                }
            };
        }
    }

    /** A running pump: adds the pressure of its curve; passes nothing backwards. */
    record Pump(PumpCurve curve) implements Element {
        @Override
        public boolean oneWay() {
            return true;
        }

        @Override
        public Characteristic prepare(Fluid fluid, FrictionLaw law) {
            return (q, out) -> {
                curve.at(q, out);
                out.loss = -out.loss + Characteristic.LEAST_SLOPE * q;
                out.slope = Math.max(-out.slope, 0) + Characteristic.LEAST_SLOPE;
            };
        }
    }

    /**
     * A pressure regulator. A bypass regulator stands between the line it holds and a return: it opens as far as it
     * must so that the pressure before it does not rise over its setting. An in-line regulator closes as far as it must
     * so that the pressure behind it does not. Neither passes backwards. Open to the stop, it costs its resistance.
     *
     * @param holds the end whose pressure it holds
     * @param gauge pressure held there, Pa; the reference (ambient or manifold) already added
     * @param open resistance when open to the stop
     */
    record Regulator(Holds holds, double gauge, Resistance open) implements Element {

        /** Which end is held. */
        public enum Holds {
            UPSTREAM,
            DOWNSTREAM
        }

        public Regulator {
            require(Double.isFinite(gauge) && Math.abs(gauge) < 1e8, "A regulator holds a finite pressure");
        }

        @Override
        public boolean oneWay() {
            return true;
        }

        @Override
        public Characteristic prepare(Fluid fluid, FrictionLaw law) {
            return open.prepare(fluid, law);
        }
    }

    /**
     * The suction side of a jet pump: lifts {@code headRatio x nozzle drop} at no suction flow, and nothing at
     * {@code flowRatio x nozzle flow}; in proportion between (the linear law of textbook jet pumps, from memory).
     * Outside that range, and without motive flow, it is a plain passage.
     *
     * @param nozzle id of the link that is the driving nozzle
     * @param flowRatio most suction flow over nozzle flow
     * @param headRatio most lift over the nozzle's pressure drop
     * @param passage what its suction bore costs at any flow
     */
    record Jet(String nozzle, double flowRatio, double headRatio, Resistance passage) implements Element {

        /** Within this share of the end of its line, the line gives way to the plain passage. */
        private static final double JOIN = 0.02;

        public Jet {
            require(flowRatio > 0 && flowRatio < 100 && headRatio > 0 && headRatio < 100, "Jet ratios are above zero");
        }

        /** A jet whose passage costs nothing worth counting. */
        public Jet(String nozzle, double flowRatio, double headRatio) {
            this(nozzle, flowRatio, headRatio, new Resistance(0, 0));
        }

        /**
         * Puts what is left of the lift at a suction flow into {@code out.loss}, as a loss below zero, and its slope
         * into {@code out.slope}: the line to its end, rounded there, and nothing beyond it; nothing without motive
         * flow.
         *
         * @param motive flow of the nozzle, m3/s
         * @param most lift at no suction flow, Pa
         */
        void lift(double motive, double most, double flow, Drop out) {
            double end = flowRatio * Math.max(0, motive);
            out.loss = 0;
            out.slope = 0;
            if (!(end > 0) || !(most > 0)) {
                return;
            }
            double u = flow / end;
            if (u <= 1 - JOIN) {
                out.loss = -most * (1 - u);
                out.slope = most / end;
            } else if (u < 1 + JOIN) {
                double left = 1 + JOIN - u;
                out.loss = -most * left * left / (4 * JOIN);
                out.slope = most * left / (2 * JOIN) / end;
            }
        }

        @Override
        public boolean oneWay() {
            return true;
        }

        @Override
        public Characteristic prepare(Fluid fluid, FrictionLaw law) {
            return passage.prepare(fluid, law);
        }
    }

    /**
     * A vent: air passes it as fuel passes the tank, volume for volume. The lines one after the other, full of air of
     * the standard sea level, which weighs nothing here: the ends may lie at any heights.
     */
    record Vent(List<Pipe> lines) implements Element {

        private static final Fluid AIR = new Fluid(1.225, 1.79e-5 / 1.225);

        public Vent {
            lines = List.copyOf(lines);
        }

        @Override
        public Characteristic prepare(Fluid fluid, FrictionLaw law) {
            List<Characteristic> each =
                    lines.stream().map(l -> l.prepare(AIR, law)).toList();
            return (q, out) -> {
                double loss = 0;
                double slope = 0;
                for (Characteristic c : each) {
                    c.at(q, out);
                    loss += out.loss;
                    slope += out.slope;
                }
                out.loss = loss;
                out.slope = Math.max(slope, Characteristic.LEAST_SLOPE);
            };
        }
    }

    /** A shut valve, a selector port not chosen, a stopped pump that blocks. */
    record Shut() implements Element {
        @Override
        public boolean shut() {
            return true;
        }

        @Override
        public Characteristic prepare(Fluid fluid, FrictionLaw law) {
            return Characteristic.polynomial(0, 0);
        }
    }

    /** An opening that fuel may leave but not enter: a tank outlet that stands clear of the fuel. */
    record Uncovered() implements Element {
        @Override
        public boolean oneWay() {
            return true;
        }

        @Override
        public Characteristic prepare(Fluid fluid, FrictionLaw law) {
            return Characteristic.polynomial(0, 0);
        }
    }

    /** Joins two nodes without loss worth counting. */
    record Joint() implements Element {
        @Override
        public Characteristic prepare(Fluid fluid, FrictionLaw law) {
            return Characteristic.polynomial(0, 0);
        }
    }

    /** A rated curve of pressure rise against flow, as points. */
    static PumpCurve curve(List<PumpCurve.Point> points) {
        return new PumpCurve.Points(points);
    }

    private static void require(boolean holds, String message) {
        if (!holds) {
            throw new IllegalArgumentException(message);
        }
    }
}
