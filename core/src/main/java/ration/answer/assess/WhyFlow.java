package ration.answer.assess;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.QuickDisconnect;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Strainer;
import ration.base.fluid.Fluid;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.breathing.AirLine;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.PathStep;
import ration.record.project.Project;
import ration.solver.network.Element;
import ration.solver.network.FrictionLaw;
import ration.verdict.why.Show;
import ration.verdict.why.Term;
import ration.verdict.why.Why;

/** How the figures of one case came about: margin, demand, what is left at the inlet, what each item costs. */
public final class WhyFlow {

    private static final String DARCY =
            "Darcy and Weisbach; friction by Colebrook, local losses by Hooper and Crane TP-410, all from" + " memory";
    private static final String BALANCE = "Bernoulli along the fuel path; the network solved by Newton steps";
    private static final Show FUEL_WEIGHT = Show.per(Dimension.PRESSURE, Dimension.LENGTH);

    private final Project project;
    private final FuelSystem system;
    private final CaseAnswer look;
    private final Function<UnitSystem, String> words;

    private WhyFlow(Project project, CaseAnswer look) {
        this.project = project;
        this.system = project.system();
        this.look = look;
        this.words = u -> look.label(system, u);
    }

    /** Of the margin of a case. */
    public static Why margin(Project project, CaseAnswer look) {
        WhyFlow w = new WhyFlow(project, look);
        Term flow = Term.of(look.capacity().inletFlow(), Dimension.FLOW);
        Term need = Term.of(look.need(), Dimension.FLOW);
        List<Why> from = new ArrayList<>(w.atLeastPressure().stream().toList());
        from.add(w.demand());
        return Why.by(
                        "Flow margin",
                        Term.of(look.margin()),
                        flow.over(need),
                        "Available flow at minimum inlet pressure ÷ engine demand.",
                        project.brief().cite(project.brief().delivery().flow()))
                .about(w.words)
                .from(from);
    }

    /** The figures that can be explained of a case, by what they are called; each is worked out when asked. */
    public static Map<String, Supplier<Why>> ofCase(Project project, CaseAnswer look) {
        WhyFlow w = new WhyFlow(project, look);
        Map<String, Supplier<Why>> all = new LinkedHashMap<>();
        if (look.capacity().inletFlow() > 0) {
            all.put("Available flow, at minimum inlet pressure", () -> w.atLeastPressure()
                    .orElseThrow());
        }
        all.put("Needed", w::needed);
        all.put("Margin", () -> margin(project, look));
        all.put("Takeoff demand", w::demand);
        all.put("Engine demand", w::demand);
        if (!look.demand().path().isEmpty() && look.demand().headLeft().isPresent()) {
            Supplier<Why> left = () ->
                    w.left(look.demand(), "Pressure at the inlet at demand").orElseThrow();
            all.put("Pressure at demand", left);
            all.put("Pressure at the inlet", left);
        }
        return all;
    }

    /**
     * The figures that can be explained of an item in one answer of a case, by what they are called; each is worked out
     * when asked.
     */
    public static Map<String, Supplier<Why>> ofItem(Project project, CaseAnswer look, Regime regime, Item item) {
        if (item.only(EngineInlet.class).isPresent()) {
            return ofCase(project, look);
        }
        WhyFlow w = new WhyFlow(project, look);
        Map<String, Supplier<Why>> all = new LinkedHashMap<>();
        FlowAnswer flow = regime.of(look);
        item.only(Run.class)
                .filter(r -> Math.abs(flow.flow(r.id())) > FlowAnswer.NO_FLOW)
                .ifPresent(r -> all.put("Reynolds number", () -> w.reynolds(flow, r)));
        flow.path().stream()
                .filter(s -> s.item().equals(item.id()))
                .findFirst()
                .ifPresent(s -> all.put("Head lost", () -> w.head(flow, s)));
        return all;
    }

    /** Of what an item on the path costs in one answer of a case. */
    public static Why loss(Project project, CaseAnswer look, Regime regime, PathStep step) {
        return new WhyFlow(project, look).loss(regime.of(look), step);
    }

    private Why demand() {
        var brief = project.brief();
        double share = look.condition().engine().power().demandShare();
        Term formula = Term.of(brief.power().si(), Dimension.POWER)
                .times(Term.of(brief.consumption().si(), Dimension.SPECIFIC_CONSUMPTION))
                .over(Term.of(brief.demandDensity(), Dimension.DENSITY));
        return Why.by(
                        "Demand",
                        Term.of(look.need(), Dimension.FLOW),
                        share == 1 ? formula : formula.times(Term.of(share)),
                        "Power × BSFC ÷ fuel density" + (share == 1 ? "." : ", × the share at this power."),
                        "AC 90-89 (from memory)")
                .given(Why.Given.of("Power", brief.power()), Why.Given.of("BSFC", brief.consumption()));
    }

    private Why needed() {
        return Why.by(
                        "Flow needed",
                        Term.of(look.need() * look.factor(), Dimension.FLOW),
                        Term.of(look.need(), Dimension.FLOW).times(Term.of(look.factor())),
                        "Demand × factor in the standard.",
                        project.brief().cite(project.brief().delivery().flow()))
                .about(words)
                .from(List.of(demand()));
    }

    /** What arrives: the flow at which the inlet has just its least pressure, or its seat's. */
    private Optional<Why> atLeastPressure() {
        double arrives = look.capacity().inletFlow();
        if (arrives <= 0) {
            return Optional.empty();
        }
        Why found = Why.found(
                        "Flow at minimum inlet pressure",
                        Term.of(arrives, Dimension.FLOW),
                        "The flow at which the inlet has exactly its minimum pressure.",
                        BALANCE)
                .about(words);
        return Optional.of(left(look.capacity(), "Pressure at the inlet at that flow")
                .map(l -> found.from(List.of(l)))
                .orElse(found));
    }

    /** What is left at the inlet: head, what pumps add, less each loss. */
    private Optional<Why> left(FlowAnswer flow, String figure) {
        List<PathStep> path = flow.path();
        if (path.isEmpty() || flow.headAvailable().isEmpty() || flow.headLeft().isEmpty()) {
            return Optional.empty();
        }
        Term formula =
                Term.of(flow.headAvailable().getAsDouble(), Dimension.LENGTH).times(weight(flow));
        List<Why> parts = new ArrayList<>(List.of(whyWeight(flow)));
        for (PathStep step : path) {
            formula = step.loss() < 0
                    ? formula.plus(Term.of(-step.loss(), Dimension.PRESSURE))
                    : formula.minus(Term.of(step.loss(), Dimension.PRESSURE));
            parts.add(loss(flow, step));
        }
        double left = flow.headLeft().getAsDouble() * flow.weight();
        return Optional.of(Why.by(
                        figure,
                        Term.of(left, Dimension.PRESSURE),
                        formula,
                        "Fuel head above the inlet + pump pressure − losses along the path.",
                        BALANCE)
                .about(words)
                .from(parts));
    }

    private static Term weight(FlowAnswer flow) {
        return Term.of(flow.weight(), FUEL_WEIGHT);
    }

    private Why whyWeight(FlowAnswer flow) {
        double felt = flow.weight() / flow.fluid().density();
        return Why.by(
                "Weight of the fuel",
                weight(flow),
                Term.of(flow.fluid().density(), Unit.KILOGRAM_PER_CUBIC_METRE).times(Term.of(felt)),
                "Density × gravity as felt, m/s\u00b2: pressure of a fuel column.",
                "Density of the grade by temperature (from memory)");
    }

    private String name(String id) {
        return system.item(id).map(Item::name).orElse(id);
    }

    private Why head(FlowAnswer flow, PathStep step) {
        return Why.by(
                        "Head lost in " + name(step.item()),
                        Term.of(step.headIn() - step.headOut(), Dimension.LENGTH),
                        Term.of(step.loss(), Dimension.PRESSURE).over(weight(flow)),
                        "Loss as fuel head.",
                        BALANCE)
                .about(words)
                .from(List.of(loss(flow, step), whyWeight(flow)));
    }

    /** What an item on the path costs or adds. */
    private Why loss(FlowAnswer flow, PathStep step) {
        Item item = system.item(step.item()).orElse(null);
        boolean failed = look.condition().faults().all().stream()
                .anyMatch(f -> f.item().equals(step.item()) && f.kind() != Fault.Kind.INDICATION_FROZEN);
        Optional<Why> own = item == null || failed
                ? Optional.empty()
                : item.as(new SomeKinds<Optional<Why>>() {
                    @Override
                    public Optional<Why> otherwise(Item other) {
                        return Optional.empty();
                    }

                    @Override
                    public Optional<Why> run(Run run) {
                        return Optional.of(friction(flow, run));
                    }

                    @Override
                    public Optional<Why> strainer(Strainer s) {
                        double q = through(flow, s.id());
                        return q > FlowAnswer.NO_FLOW
                                        && !look.condition().engine().fouled()
                                ? Optional.of(screen(s, s.loss(), q))
                                : Optional.empty();
                    }

                    @Override
                    public Optional<Why> selector(Selector s) {
                        return rated(s, s.loss());
                    }

                    @Override
                    public Optional<Why> shutOff(ShutOff s) {
                        return rated(s, s.loss());
                    }

                    @Override
                    public Optional<Why> flowSender(FlowSender s) {
                        return rated(s, s.loss());
                    }

                    @Override
                    public Optional<Why> bulkhead(Bulkhead s) {
                        return rated(s, s.loss());
                    }

                    @Override
                    public Optional<Why> quickDisconnect(QuickDisconnect s) {
                        return rated(s, s.loss());
                    }

                    private Optional<Why> rated(Item other, Rated rated) {
                        double q = through(flow, other.id());
                        return q > FlowAnswer.NO_FLOW ? Optional.of(openBore(other, rated, q)) : Optional.empty();
                    }
                });
        return own.orElseGet(() -> Why.by(
                (step.loss() < 0 ? "Added by " : "Lost in ") + name(step.item()),
                Term.of(Math.abs(step.loss()), Dimension.PRESSURE),
                Term.of(
                                step.loss() < 0 ? step.headOut() - step.headIn() : step.headIn() - step.headOut(),
                                Dimension.LENGTH)
                        .times(weight(flow)),
                "Hydraulic grade line before and after.",
                BALANCE));
    }

    private double through(FlowAnswer flow, String item) {
        List<PathStep> path = flow.path();
        for (int i = 0; i < path.size(); i++) {
            if (path.get(i).item().equals(item)) {
                for (int k : new int[] {i - 1, i + 1}) {
                    if (k >= 0
                            && k < path.size()
                            && system.item(path.get(k).item())
                                    .flatMap(x -> x.only(Run.class))
                                    .isPresent()) {
                        return Math.abs(flow.flow(path.get(k).item()));
                    }
                }
            }
        }
        return 0;
    }

    private static Why openBore(Item item, Rated rated, double q) {
        Term share = Term.of(q, Dimension.FLOW).over(Term.of(rated.flow().si(), Dimension.FLOW));
        double value = rated.loss().si() * Math.pow(q / rated.flow().si(), 2);
        return Why.by(
                        "Lost in " + item.name(),
                        Term.of(value, Dimension.PRESSURE),
                        Term.of(rated.loss().si(), Dimension.PRESSURE).times(share.squared()),
                        "Its rated loss; in an open bore it grows with the square of the flow.",
                        "Common practice, no source")
                .given(Why.Given.of("Rated loss", rated.loss()), Why.Given.of("at", rated.flow()));
    }

    private static Why screen(Item item, Rated rated, double q) {
        Term share = Term.of(q, Dimension.FLOW).over(Term.of(rated.flow().si(), Dimension.FLOW));
        double r = q / rated.flow().si();
        return Why.by(
                        "Lost in " + item.name(),
                        Term.of(rated.loss().si() * (0.25 * r + 0.75 * r * r), Dimension.PRESSURE),
                        Term.of(rated.loss().si(), Dimension.PRESSURE)
                                .times(Term.of(0.25)
                                        .times(share)
                                        .plus(Term.of(0.75).times(share.squared()))),
                        "Its" + " rated loss; mesh: one quarter linear in flow, the rest with flow squared.",
                        "Common practice, no source")
                .given(Why.Given.of("Rated loss", rated.loss()), Why.Given.of("at", rated.flow()));
    }

    private Why friction(FlowAnswer flow, Run run) {
        double q = Math.abs(flow.flow(run.id()));
        Element.Pipe pipe = flow.pipe(run);
        Why loss = friction(
                        "Lost in " + run.name(),
                        q,
                        pipe,
                        flow.fluid(),
                        project.brief().choices().friction().law(),
                        "bends, and the drilled bore of two end fittings")
                .about(words)
                .from(List.of(reynolds(flow, run)));
        return run.length()
                .map(l -> loss.given(
                        Why.Given.of("Length", l),
                        new Why.Given("Size", run.size().label(), "")))
                .orElseGet(() -> loss.given(
                        new Why.Given("Length", "by its measured points", ""),
                        new Why.Given("Size", run.size().label(), "")));
    }

    /** Friction and local losses of a line: (f L/D + K) rho v2/2. */
    static Why friction(String figure, double q, Element.Pipe pipe, Fluid fluid, FrictionLaw law, String local) {
        double speed = 4 * q / (Math.PI * pipe.bore() * pipe.bore());
        double re = speed * pipe.bore() / fluid.viscosity();
        double f = re < 1e-9 ? 0 : law.factor(re, pipe.roughness() / pipe.bore());
        double k = pipe.minor().constant() + (re < 1e-9 ? 0 : pipe.minor().perReynolds() / re);
        Term formula = Term.of(f)
                .times(Term.of(pipe.length(), Dimension.LENGTH))
                .over(Term.of(pipe.bore(), Dimension.LENGTH))
                .plus(Term.of(k))
                .times(Term.of(fluid.density(), Unit.KILOGRAM_PER_CUBIC_METRE))
                .times(Term.of(speed, Unit.METRE_PER_SECOND).squared())
                .over(Term.of(2));
        return Why.by(
                figure,
                Term.of(
                        pipe.loss(q, fluid, law),
                        fluid.density() < 10 ? Show.in(Unit.PASCAL) : Show.as(Dimension.PRESSURE)),
                formula,
                "Friction factor " + Term.number(f) + " at Re " + UnitSystem.figure(re, 0) + ", local losses K "
                        + Term.number(k) + ": " + local + ".",
                DARCY);
    }

    private Why reynolds(FlowAnswer flow, Run run) {
        double q = Math.abs(flow.flow(run.id()));
        double speed = 4 * q / (Math.PI * run.size().bore() * run.size().bore());
        Term bore = Term.of(run.size().bore(), Unit.MILLIMETRE);
        return Why.by(
                        "Reynolds number in " + run.name(),
                        Term.of(flow.reynolds(run)),
                        Term.of(speed, Unit.METRE_PER_SECOND)
                                .times(bore)
                                .over(Term.of(flow.fluid().viscosity(), Unit.SQUARE_MILLIMETRE_PER_SECOND)),
                        "Velocity times bore over viscosity.",
                        "Viscosity of the grade by temperature (from memory)")
                .from(List.of(Why.by(
                        "Velocity in " + run.name(),
                        Term.of(speed, Unit.METRE_PER_SECOND),
                        Term.of(4)
                                .times(Term.of(q, Dimension.FLOW))
                                .over(Term.pi().times(bore.squared())),
                        "Flow over the area of the bore.",
                        "Continuity")));
    }

    /** What a vent line full of air costs. */
    static Why vent(String figure, AirLine line, double flow) {
        return friction(
                figure,
                flow,
                line.pipe(),
                new Fluid(AirLine.DENSITY, AirLine.VISCOSITY / AirLine.DENSITY),
                FrictionLaw.CONSERVATIVE,
                "both ends" + (line.ball() ? " and the ball" : ""));
    }
}
