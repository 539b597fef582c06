package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.base.fluid.Fluid;
import ration.base.geometry.ApparentGravity;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.physics.breathing.AirLine;
import ration.physics.breathing.VentSpill;
import ration.physics.breathing.Vents;
import ration.record.project.Project;
import ration.verdict.why.Term;
import ration.verdict.why.Why;

/** How the figures of the air side came about. */
public final class WhyAir {

    private static final String LINES =
            "Darcy and Weisbach for air of the standard sea level; ends 1.5, a ball 10 (from memory)";

    private WhyAir() {}

    /** What the vents of a tank cost in flight, feeding and descending at once; empty while the line is not known. */
    public static Optional<Why> inFlight(Project project, AirAnswer a) {
        if (a.line().isEmpty()) {
            return Optional.empty();
        }
        double flow = a.feeding() + a.descending();
        List<Why> lines =
                new ArrayList<>(List.of(WhyFlow.vent("Own vent", a.line().get(), flow)));
        for (AirAnswer.Beyond b : a.through()) {
            flow += b.descending();
            lines.add(WhyFlow.vent("Next vent", b.line(), flow));
        }
        List<Term> each = lines.stream().map(Why::value).toList();
        List<Why> from = new ArrayList<>(lines);
        from.add(descending(project, a));
        return Optional.of(Why.by(
                        "Drop in the vents of " + a.tank().name(),
                        Term.of(a.inFlight(), Unit.PASCAL),
                        Term.sum(each),
                        "Each line" + " with all the air that passes it, feeding and descending at once.",
                        LINES)
                .from(from));
    }

    /** Air that comes in on the way down. */
    public static Why descending(Project project, AirAnswer a) {
        double capacity = a.tank().solid().volume();
        double sink = project.heat().si(HeatFigure.DESCENT);
        return Why.by(
                        "Air on the way down, " + a.tank().name(),
                        Term.of(Vents.descending(capacity, sink), Dimension.FLOW),
                        Term.of(capacity, Dimension.VOLUME)
                                .times(Term.of(AirLine.DENSITY, Unit.KILOGRAM_PER_CUBIC_METRE))
                                .times(Term.of(ApparentGravity.STANDARD))
                                .times(Term.of(sink, Unit.FOOT_PER_MINUTE))
                                .over(Term.of(101_325, Unit.PASCAL)),
                        "An empty tank fills up as the air outside" + " thickens: V/p dp/dt; gravity in m/s\u00b2.",
                        "Isothermal, at sea level")
                .given(Why.Given.of("Descent", project.heat().figure(HeatFigure.DESCENT)));
    }

    /** How long a shut vent lets a tank feed. */
    public static Why blocked(Project project, AirAnswer.Blocked b) {
        return Why.by(
                "Minutes until flow fails",
                Term.of(b.soonest().seconds(), Dimension.TIME),
                Term.of(b.soonest().volume(), Dimension.VOLUME)
                        .over(Term.of(project.brief().demand(), Dimension.FLOW)),
                "Fuel used until trapped-air vacuum pulls the inlet to its minimum pressure, ÷ demand; on the ground,"
                        + " in the attitude and filling in which that is soonest.",
                "Trapped air by p V^n, n 1.4; common practice, no source");
    }

    /** How fast fuel leaves by a vent. */
    static Why spill(Tank tank, VentLine line, VentSpill spill, Fluid fuel, double flow) {
        double loss = VentSpill.loss(line, Math.max(0, line.length().si()), flow, fuel);
        return Why.by(
                        "Fuel out of the vent of " + tank.name(),
                        Term.of(flow, Dimension.FLOW),
                        Term.pi()
                                .over(Term.of(4))
                                .times(Term.of(line.bore().si(), Unit.INCH).squared())
                                .times(Term.of(2)
                                        .times(Term.of(ApparentGravity.STANDARD))
                                        .times(Term.of(spill.head(), Dimension.LENGTH))
                                        .over(Term.of(1 + loss))
                                        .power(Term.of(0.5))),
                        "The head of the fuel over the outlet, all of it lost in speed, entrance and friction;"
                                + " gravity in m/s\u00b2.",
                        "Siphon, textbook; air in the line and the rise over the hump left out")
                .given(Why.Given.of("Vent bore", line.bore()), Why.Given.of("Vent length", line.length()));
    }
}
