package ration.answer.assess;

import java.util.List;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Tank;
import ration.base.fluid.VaporPressure;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.vapor.Gap;
import ration.physics.vapor.ReturnVapor;
import ration.physics.vapor.Trapped;
import ration.record.project.Project;
import ration.verdict.why.Term;
import ration.verdict.why.Why;

/** How far from boiling, and how that came about. */
public final class WhyVapor {

    private static final String API =
            "API 2517 as in AP-42 (from memory), 0 to 10% on the safe side of an equation of state";

    private WhyVapor() {}

    /** Of the degrees left at the point that governs. */
    public static Why gap(Project project, VaporAnswer v) {
        Gap gap = v.gap();
        VaporPressure vapor = v.heat().vapor();
        double boils = vapor.boilingKelvin(Math.max(1, gap.pressure()));
        double ambient = Heat.ambient(v.air().altitudeM());
        Why pressure = Why.by(
                        "Pressure there, absolute",
                        Term.of(gap.pressure(), Dimension.PRESSURE),
                        Term.of(ambient, Dimension.PRESSURE).plus(Term.of(gap.gauge(), Dimension.PRESSURE)),
                        "Air at " + UnitSystem.figure(Unit.FOOT.fromSi(v.air().altitudeM()), 0)
                                + " ft, and the gauge pressure the network gives.",
                        "Standard atmosphere; Bernoulli along the path")
                .about(u -> v.look().label(project.system(), u));
        Term rankine = Term.of(vapor.lineB())
                .over(Term.of(vapor.lineA())
                        .minus(Term.of(gap.pressure(), Dimension.PRESSURE)
                                .over(Term.of(Unit.PSI.toSi(1), Unit.PSI))
                                .ln()));
        Why boiling = Why.by(
                        "It boils there at",
                        Term.of(boils, Dimension.TEMPERATURE),
                        rankine.minus(Term.of(459.6))
                                .minus(Term.of(32))
                                .over(Term.of(1.8))
                                .plus(Term.of(273.15)),
                        "The line ln P = A \u2212 B/T of this fuel, turned round; degrees Rankine made" + " kelvin.",
                        API)
                .given(new Why.Given(
                        "Reid vapor pressure",
                        UnitSystem.figure(vapor.reidPsi(), 1) + " psi",
                        v.heat().volatility().label()))
                .from(List.of(pressure));
        Why warm = Why.found(
                        "Fuel there",
                        Term.of(gap.kelvin(), Dimension.TEMPERATURE),
                        "As warm as the tank's fuel and what pumps, zones" + " and lines add on the way.",
                        "Heat balance along the path; zones by practice")
                .given(Why.Given.of("Fuel in the tank", v.heat().figure(HeatFigure.TANK_FUEL)));
        return Why.by(
                        "Vapor margin",
                        Term.of(v.degrees(), Unit.KELVIN),
                        Term.of(boils, Dimension.TEMPERATURE).minus(Term.of(gap.kelvin(), Dimension.TEMPERATURE)),
                        "Boiling temperature − fuel temperature. " + v.label(project, UnitSystem.US) + ".",
                        API)
                .about(u -> v.look().label(project.system(), u))
                .from(List.of(boiling, warm));
    }

    /** Rise of pressure a degree where fuel is shut in. */
    static Why trapped() {
        return Why.by(
                "Rise of pressure a degree C",
                Term.of(Trapped.perDegree(), Dimension.PRESSURE),
                Term.of(Trapped.BULK_MODULUS, Dimension.PRESSURE).times(Term.of(Trapped.EXPANSION)),
                "Rigid line: blocked expansion becomes pressure.",
                "Bulk modulus of gasoline (Munson) and expansion (API 54B), from memory");
    }

    /** Vapor that a return gives off in a tank. */
    static Why returned(ReturnVaporChecks.Met m) {
        return Why.by(
                        "Vapor from the return",
                        Term.of(m.vapor(), Dimension.FLOW),
                        Term.of(m.density(), Unit.KILOGRAM_PER_CUBIC_METRE)
                                .times(Term.of(m.back(), Dimension.FLOW))
                                .times(Term.of(ReturnVapor.SPECIFIC_HEAT))
                                .times(Term.of(m.over(), Unit.KELVIN))
                                .over(Term.of(ReturnVapor.HEAT))
                                .times(Term.of(ReturnVapor.GAS))
                                .times(Term.of(m.kelvin()))
                                .over(Term.of(ReturnVapor.MOLAR).times(Term.of(m.pascal(), Dimension.PRESSURE))),
                        "Heat over boiling, all of it into vapor: \u03c1QcΔT/h, then as a gas, RT/(Mp); in J, kg, mol"
                                + " and K.",
                        "Upper bound; heat of vapor and molar mass from memory")
                .about(u -> m.look().label(m.look().system(), u));
    }

    /** What a tank may hold while a pump in it stands clear. */
    static Why covered(Pump pump, Tank tank, double volume) {
        return Why.found(
                "Fuel below " + pump.name(),
                Term.of(volume, Dimension.VOLUME),
                "The part of " + tank.name()
                        + " below a level surface through the pump's place, in the attitude in which" + " it is most.",
                "Shape of the tank, its measured fills where there are any");
    }
}
