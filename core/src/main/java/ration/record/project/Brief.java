package ration.record.project;

import java.util.List;
import ration.aircraft.condition.Attitude;
import ration.base.fluid.FuelGrade;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.verdict.standard.Standard;
import ration.verdict.standard.Subject;

/**
 * The job: engine and demand, the attitudes flown, fuel, and what it is judged by.
 *
 * @param engine how the builder calls it
 * @param delivery what brings the fuel to the engine; decides the factor
 * @param power take-off power
 * @param consumption specific consumption at take-off, full rich
 * @param envelope attitudes
 * @param fuel grade
 * @param fuelTemperature of the fuel in the tanks
 * @param lowFuel what each tank holds above its unusable fuel in the low-fuel cases
 * @param choices basis and practice
 */
public record Brief(
        String engine,
        Delivery delivery,
        Measured power,
        Measured consumption,
        Envelope envelope,
        FuelGrade fuel,
        Measured fuelTemperature,
        Measured lowFuel,
        Choices choices) {

    /** What brings the fuel to the engine. */
    public enum Delivery {
        GRAVITY("Gravity", Subject.GRAVITY_FLOW),
        PUMP("Pump", Subject.PUMP_FLOW);

        private final String label;
        private final Subject flow;

        Delivery(String label, Subject flow) {
            this.label = label;
            this.flow = flow;
        }

        public String label() {
            return label;
        }

        /** What asks for its flow. */
        public Subject flow() {
            return flow;
        }
    }

    /**
     * Attitudes flown and parked, as angles.
     *
     * @param slip most tilt of the fuel in level flight, either way
     * @param climbSlip most in the climb
     * @param glideSlip most in the glide
     */
    public record Envelope(
            Measured climb, Measured glide, Measured slip, Measured parked, Measured climbSlip, Measured glideSlip) {

        /** Half the slip in climb and glide; common practice, no source. */
        public Envelope(Measured climb, Measured glide, Measured slip, Measured parked) {
            this(climb, glide, slip, parked, half(slip), half(slip));
        }

        private static Measured half(Measured slip) {
            return new Measured(
                    Quantity.of(slip.quantity().value() / 2, slip.quantity().unit()), "estimate");
        }

        public Envelope withClimb(Measured other) {
            return new Envelope(other, glide, slip, parked, climbSlip, glideSlip);
        }

        public Envelope withGlide(Measured other) {
            return new Envelope(climb, other, slip, parked, climbSlip, glideSlip);
        }

        public Envelope withSlip(Measured other) {
            return new Envelope(climb, glide, other, parked, climbSlip, glideSlip);
        }

        public Envelope withParked(Measured other) {
            return new Envelope(climb, glide, slip, other, climbSlip, glideSlip);
        }

        public Envelope withClimbSlip(Measured other) {
            return new Envelope(climb, glide, slip, parked, other, glideSlip);
        }

        public Envelope withGlideSlip(Measured other) {
            return new Envelope(climb, glide, slip, parked, climbSlip, other);
        }

        /** Corners of the region flown, pitch and tilt, in order round it: climb, level and glide with their slips. */
        public List<Attitude> corners() {
            double c = degrees(climb);
            double g = degrees(glide);
            double s = degrees(slip);
            double cs = degrees(climbSlip);
            double gs = degrees(glideSlip);
            return List.of(
                    Attitude.ofDegrees("Climb", c, -cs),
                    Attitude.ofDegrees("Climb", c, cs),
                    Attitude.ofDegrees("Slip right", 0, s),
                    Attitude.ofDegrees("Glide", g, gs),
                    Attitude.ofDegrees("Glide", g, -gs),
                    Attitude.ofDegrees("Slip left", 0, -s));
        }

        /** Every preset, in the order of the buttons. */
        public List<Attitude> attitudes() {
            double slipDeg = degrees(slip);
            return List.of(
                    parkedAttitude(),
                    Attitude.ofDegrees("Level", 0, 0),
                    climbing(),
                    gliding(),
                    Attitude.ofDegrees("Slip left", 0, -slipDeg),
                    Attitude.ofDegrees("Slip right", 0, slipDeg));
        }

        /** The presets with the engine at work. */
        public List<Attitude> flown() {
            List<Attitude> all = attitudes();
            return all.subList(1, all.size());
        }

        public Attitude parkedAttitude() {
            return Attitude.ofDegrees("Parked", degrees(parked), 0);
        }

        public Attitude climbing() {
            return Attitude.ofDegrees("Climb", degrees(climb), 0);
        }

        public Attitude gliding() {
            return Attitude.ofDegrees("Glide", degrees(glide), 0);
        }

        private static double degrees(Measured angle) {
            return Math.toDegrees(angle.si());
        }
    }

    /** Written standard and practice the result is judged by. */
    public record Choices(Standard basis, Friction friction, Practice practice) {

        /** With practice as usual. */
        public Choices(Standard basis, Friction friction) {
            this(basis, friction, Practice.USUAL);
        }

        public Choices with(Standard other) {
            return new Choices(other, friction, practice);
        }

        public Choices with(Friction other) {
            return new Choices(basis, other, practice);
        }

        public Choices with(Practice other) {
            return new Choices(basis, friction, other);
        }
    }

    /** Which branch friction takes between laminar and turbulent. */
    public enum Friction {
        CONSERVATIVE("Turbulent branch", ration.solver.network.FrictionLaw.CONSERVATIVE),
        TEXTBOOK("Textbook blend", ration.solver.network.FrictionLaw.TEXTBOOK);

        private final String label;
        private final ration.solver.network.FrictionLaw law;

        Friction(String label, ration.solver.network.FrictionLaw law) {
            this.label = label;
            this.law = law;
        }

        public String label() {
            return label;
        }

        public ration.solver.network.FrictionLaw law() {
            return law;
        }
    }

    /** Fuel weight the demand is worked out with, kg/m3: the grade's at 15 C. */
    public double demandDensity() {
        return fuel.density(288.15);
    }

    /** Take-off demand, m3/s: power x specific consumption / fuel weight (AC 90-89, from memory). */
    public double demand() {
        return power.si() * consumption.si() / demandDensity();
    }

    public Practice practice() {
        return choices.practice();
    }

    /** Flow wanted over take-off consumption, by the basis. */
    public double factor() {
        return factor(delivery);
    }

    /** The same where fuel comes so. */
    public double factor(Delivery how) {
        return choices.basis().figure(how.flow(), "factor");
    }

    /** Where a requirement comes from under this basis. */
    public String cite(Subject subject) {
        return choices.basis().cite(subject);
    }

    /** Flow wanted, m3/s. */
    public double needed() {
        return demand() * factor();
    }

    public double fuelKelvin() {
        return fuelTemperature.si();
    }

    /** A usual starting point: gravity, avgas, and a demand that is only assumed: 100 hp at 0.55 lb/hp/h. */
    public static Brief usual() {
        return new Brief(
                "",
                Delivery.GRAVITY,
                Measured.assumed(100, Unit.HORSEPOWER),
                Measured.assumed(0.55, Unit.POUND_PER_HORSEPOWER_HOUR),
                new Envelope(
                        Measured.of(15, Unit.DEGREE),
                        Measured.of(-6, Unit.DEGREE),
                        Measured.of(6, Unit.DEGREE),
                        Measured.of(0, Unit.DEGREE)),
                FuelGrade.AVGAS_100LL,
                Measured.of(15, Unit.CELSIUS),
                Measured.of(1, Unit.GALLON),
                new Choices(Standard.PART_23, Friction.CONSERVATIVE));
    }

    public Brief withEngine(String other) {
        return new Brief(other, delivery, power, consumption, envelope, fuel, fuelTemperature, lowFuel, choices);
    }

    public Brief withDelivery(Delivery other) {
        return new Brief(engine, other, power, consumption, envelope, fuel, fuelTemperature, lowFuel, choices);
    }

    /** Take-off power and specific consumption confirmed by the builder on a day, as they stand. */
    public Brief demandSaid(java.time.LocalDate day) {
        return new Brief(
                engine,
                delivery,
                power.confirmed(day),
                consumption.confirmed(day),
                envelope,
                fuel,
                fuelTemperature,
                lowFuel,
                choices);
    }

    public Brief withPower(Quantity q) {
        return new Brief(
                engine, delivery, power.said(q), consumption, envelope, fuel, fuelTemperature, lowFuel, choices);
    }

    public Brief withConsumption(Quantity q) {
        return new Brief(
                engine, delivery, power, consumption.said(q), envelope, fuel, fuelTemperature, lowFuel, choices);
    }

    /** With who said it. */
    public Brief withPower(Measured m) {
        return new Brief(engine, delivery, m, consumption, envelope, fuel, fuelTemperature, lowFuel, choices);
    }

    /** With who said it. */
    public Brief withConsumption(Measured m) {
        return new Brief(engine, delivery, power, m, envelope, fuel, fuelTemperature, lowFuel, choices);
    }

    public Brief withEnvelope(Envelope other) {
        return new Brief(engine, delivery, power, consumption, other, fuel, fuelTemperature, lowFuel, choices);
    }

    public Brief withFuel(FuelGrade other) {
        return new Brief(engine, delivery, power, consumption, envelope, other, fuelTemperature, lowFuel, choices);
    }

    public Brief withFuelTemperature(Quantity q) {
        return new Brief(
                engine, delivery, power, consumption, envelope, fuel, fuelTemperature.with(q), lowFuel, choices);
    }

    public Brief withLowFuel(Quantity q) {
        return new Brief(
                engine, delivery, power, consumption, envelope, fuel, fuelTemperature, lowFuel.with(q), choices);
    }

    public Brief withChoices(Choices other) {
        return new Brief(engine, delivery, power, consumption, envelope, fuel, fuelTemperature, lowFuel, other);
    }
}
