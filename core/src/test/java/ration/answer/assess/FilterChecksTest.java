package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import ration.RandomEdits;
import ration.Systems;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FingerScreen;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Mesh;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Reach;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.Standing;
import ration.record.file.ProjectFileException;
import ration.record.project.Pattern;
import ration.record.project.Practice;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Standard;

/** The filters and the valves in every way from tank to engine, against every way walked one by one. */
class FilterChecksTest {

    private static Optional<Finding> first(List<Finding> all, Check check) {
        return all.stream().filter(f -> f.check() == check).findFirst();
    }

    private static Measured microns(double m) {
        return Measured.of(m, Unit.MICROMETRE, "maker");
    }

    private static Optional<Measured> grain(Random r) {
        return r.nextInt(3) == 0 ? Optional.empty() : Optional.of(microns(5 + r.nextInt(200)));
    }

    /** Any document, a few edits on, its filters of any fineness or none, its valves in reach or not. */
    private static FuelSystem any(Random r) throws ProjectFileException {
        Project p = RandomEdits.start(r);
        for (int i = r.nextInt(4); i > 0; i--) {
            p = RandomEdits.edited(p, r);
        }
        FuelSystem s = p.system();
        for (Item i : s.items()) {
            if (i instanceof Strainer x) {
                s = s.replace(x.with(new Mesh(grain(r), Optional.empty())));
            } else if (i instanceof Filter x) {
                s = s.replace(x.with(new Mesh(grain(r), Optional.empty())));
            } else if (i instanceof EngineInlet x) {
                s = s.replace(x.withGrain(Optional.of(microns(20 + r.nextInt(120)))));
            } else if (i instanceof Pump x) {
                s = s.replace(x.withBuild(x.build().withGrain(Optional.of(microns(20 + r.nextInt(200))))));
            } else if (i instanceof ShutOff x) {
                s = s.replace(x.with(Reach.values()[r.nextInt(3)]));
            } else if (i instanceof Selector x) {
                s = s.replace(x.with(Reach.values()[r.nextInt(3)]));
            }
        }
        return s;
    }

    private static Optional<OptionalDouble> opening(FuelSystem s, PortRef port) {
        Item i = s.item(port.item()).orElseThrow();
        if (i instanceof Tank t) {
            Outlet o = t.outlets().stream()
                    .filter(x -> x.name().equals(port.port()))
                    .findFirst()
                    .orElseThrow();
            return o.finger().map(f -> OptionalDouble.of(f.opening())).or(() -> o.screen()
                    .map(x -> OptionalDouble.empty()));
        }
        Optional<Mesh> mesh = i instanceof Strainer x
                ? Optional.of(x.mesh())
                : i instanceof Filter x ? Optional.of(x.mesh()) : Optional.empty();
        return mesh.map(m -> m.opening().map(o -> OptionalDouble.of(o.si())).orElse(OptionalDouble.empty()));
    }

    /** The worst way decides: one through nothing known fine enough never holds. */
    private static Verdict worst(FuelSystem s, PortRef to, double limit) {
        Verdict worst = Verdict.HOLDS;
        for (List<PortRef> way : EveryPath.of(s, to)) {
            boolean fine = false;
            boolean maybe = false;
            for (PortRef p : way) {
                Optional<OptionalDouble> o = opening(s, p);
                fine |= o.filter(x -> x.isPresent() && x.getAsDouble() <= limit * (1 + 1e-9))
                        .isPresent();
                maybe |= o.filter(OptionalDouble::isEmpty).isPresent();
            }
            worst = worst.worse(fine ? Verdict.HOLDS : maybe ? Verdict.NOT_SHOWN : Verdict.FAILS);
        }
        return worst;
    }

    private static boolean filtered(FuelSystem s, List<PortRef> way) {
        return EveryPath.items(s, way).anyMatch(i -> i instanceof Strainer || i instanceof Filter);
    }

    @Property(tries = 20)
    void every_way_is_filtered_as_finely_as_the_worst_of_them(@ForAll long seed) throws ProjectFileException {
        FuelSystem s = any(new Random(seed));
        Project p = Systems.project(s);
        List<Finding> found = FilterChecks.of(p);
        if (s.inlet().isEmpty() || s.tanks().isEmpty()) {
            assertThat(found).isEmpty();
            return;
        }
        PortRef engine = new PortRef(s.inlet().get().id(), Item.IN);
        boolean all = EveryPath.of(s, engine).stream().allMatch(w -> filtered(s, w));
        assertThat(first(PathChecks.of(s, Standard.PRACTICE), Check.BUILD_FILTERED)
                                .orElseThrow()
                                .verdict()
                        == Verdict.HOLDS)
                .isEqualTo(all);
        if (all) {
            assertThat(first(found, Check.FILTER_ENGINE).orElseThrow().verdict())
                    .isEqualTo(worst(
                            s, engine, s.inlet().get().grain().orElseThrow().si()));
        }
        for (Pump pump : s.all(Pump.class).toList()) {
            PortRef to = new PortRef(pump.id(), Item.IN);
            Optional<Finding> f = found.stream()
                    .filter(x -> x.check() == Check.FILTER_PUMP && x.item().equals(pump.id()))
                    .findFirst();
            if (EveryPath.of(s, to).isEmpty()) {
                assertThat(f).isEmpty();
            } else {
                assertThat(f.orElseThrow().verdict())
                        .isEqualTo(
                                worst(s, to, pump.build().grain().orElseThrow().si()));
            }
        }
    }

    @Property(tries = 20)
    void a_valve_the_pilot_reaches_stands_in_every_way_or_it_does_not_hold(@ForAll long seed)
            throws ProjectFileException {
        FuelSystem s = any(new Random(seed));
        if (s.inlet().isEmpty()) {
            return;
        }
        Verdict worst = Verdict.HOLDS;
        for (List<PortRef> way : EveryPath.of(s, new PortRef(s.inlet().get().id(), Item.IN))) {
            List<Reach> reached = EveryPath.items(s, way)
                    .filter(i -> i instanceof ShutOff
                            || i instanceof Selector x && x.positions().stream().anyMatch(Selector.Position::off))
                    .filter(i -> s.firewall().isEmpty() || aft(s, i))
                    .map(i -> i instanceof ShutOff v ? v.reach() : ((Selector) i).reach())
                    .toList();
            worst = worst.worse(
                    reached.contains(Reach.PILOT)
                            ? Verdict.HOLDS
                            : reached.contains(Reach.UNSAID) ? Verdict.NOT_SHOWN : Verdict.FAILS);
        }
        assertThat(first(PathChecks.of(s, Standard.PART_23), Check.BUILD_SHUTS)
                        .orElseThrow()
                        .verdict())
                .isEqualTo(worst);
    }

    private static boolean aft(FuelSystem s, Item i) {
        double wall = s.firewall().orElseThrow().station().si();
        double at = ((ration.aircraft.model.Fitted) i).place().point().x();
        double engine = s.inlet().orElseThrow().place().point().x();
        return engine < wall ? at >= wall : at <= wall;
    }

    /**
     * A second way that begins at a tee's branch is a way: a valve behind the tee in the other leg does not shut it.
     */
    @Test
    void a_way_by_the_branch_of_a_tee_counts() {
        Project p = Systems.demo("brindle-a2");
        assertThat(first(Systems.assessed("brindle-a2").findings(), Check.BUILD_SHUTS)
                        .orElseThrow()
                        .verdict())
                .isEqualTo(Verdict.HOLDS);
        ShutOff valve = p.system().all(ShutOff.class).findFirst().orElseThrow();
        Run toLift = p.system().runs().stream()
                .filter(r -> r.to().item().equals("lift"))
                .findFirst()
                .orElseThrow();
        FuelSystem moved = ration.record.project.LayoutEdits.remove(p.system(), valve.id())
                .orElseThrow()
                .system();
        // the valve stands in the lift pump's leg alone now
        moved = moved.plus(valve)
                .change(toLift.id(), Run.class, r -> r.between(r.from(), new PortRef(valve.id(), Item.IN)))
                .plus(new Run(
                        "leg",
                        "Leg",
                        new PortRef(valve.id(), Item.OUT),
                        new PortRef("lift", Item.IN),
                        toLift.size(),
                        Optional.empty(),
                        List.of(),
                        List.of()));
        assertThat(first(PathChecks.of(moved, Standard.PART_23), Check.BUILD_SHUTS)
                        .orElseThrow()
                        .verdict())
                .isEqualTo(Verdict.FAILS);
    }

    /**
     * 150 mesh of 0.0026 in wire passes 103.3 micron, 37.21 % open (handbook of the trade 7, section 5, from memory).
     */
    @Test
    void a_screens_opening_follows_from_mesh_and_wire() {
        FingerScreen s = new FingerScreen(
                Measured.of(150, Unit.ONE),
                Measured.of(0.0026, Unit.INCH),
                Measured.of(1, Unit.INCH),
                Measured.of(1, Unit.INCH));
        assertThat(Unit.MICROMETRE.fromSi(s.opening())).isCloseTo(103.3, org.assertj.core.api.Assertions.within(0.05));
        assertThat(s.clearArea() / (Math.PI * 0.0254 * 0.0254))
                .isCloseTo(0.3721, org.assertj.core.api.Assertions.within(1e-4));
    }

    @Test
    void nobody_said_is_not_shown_and_one_school_asks_no_fine_filter() {
        for (Pattern pattern : Pattern.values()) {
            Project p = pattern.project();
            Verdict said =
                    first(FilterChecks.of(p), Check.FILTER_ENGINE).orElseThrow().verdict();
            assertThat(said).as(pattern.name()).isEqualTo(Verdict.NOT_SHOWN);
            Practice practice = p.brief().practice();
            Project school = p.with(p.brief()
                    .withChoices(p.brief()
                            .choices()
                            .with(practice.withAsks(practice.asks().withFineFilter(false)))));
            assertThat(first(FilterChecks.of(school), Check.FILTER_ENGINE)).isEmpty();
        }
    }

    @Test
    void a_fine_filter_before_a_coarse_one_is_told() {
        Project p = Systems.demo("collectors-duplex");
        assertThat(first(FilterChecks.of(p), Check.FILTER_ORDER).orElseThrow().verdict())
                .isEqualTo(Verdict.HOLDS);
        FuelSystem s = p.system();
        Strainer strainer = s.all(Strainer.class).findFirst().orElseThrow();
        Finding wrong = first(
                        FilterChecks.of(
                                p.with(s.replace(strainer.with(strainer.mesh().withOpening(Optional.of(microns(5))))))),
                        Check.FILTER_ORDER)
                .orElseThrow();
        assertThat(wrong.verdict()).isEqualTo(Verdict.THIN);
        assertThat(wrong.detail().in(UnitSystem.US)).contains("Strainer (5 \u00b5m) before Filter (10 \u00b5m)");
    }

    /** A bowl behind a pump is held against the pressure dead-headed; one nobody rated is Not shown. */
    @Test
    void a_filter_behind_a_pump_stands_its_pressure() {
        Project p = Systems.demo("collector-sump");
        Filter f = p.system().all(Filter.class).findFirst().orElseThrow();
        assertThat(rating(p)).isEqualTo(Verdict.HOLDS);
        assertThat(rating(p.with(p.system()
                        .replace(f.with(f.mesh().withRating(Optional.of(Measured.of(40, Unit.PSI, "maker"))))))))
                .isEqualTo(Verdict.FAILS);
        assertThat(rating(p.with(p.system().replace(f.with(f.mesh().withRating(Optional.empty()))))))
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(rating(p.with(
                        p.system().replace(f.with(f.mesh().withRating(Optional.of(Measured.assumed(90, Unit.PSI))))))))
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    private static Verdict rating(Project p) {
        return first(Assessment.ahead(p, Optional.empty()).findings(), Check.FILTER_RATING)
                .orElseThrow()
                .verdict();
    }

    /** What a maker allows is nothing a flow test rests on: to enter it ends no record. */
    @Test
    void entering_a_limit_ends_no_test() {
        Project p = Systems.corrie();
        FuelSystem s = p.system();
        for (Item i : s.items()) {
            if (i instanceof Strainer x) {
                s = s.replace(
                        x.with(new Mesh(Optional.of(microns(33)), Optional.of(Measured.of(9, Unit.PSI, "maker")))));
            } else if (i instanceof EngineInlet x) {
                s = s.replace(x.withGrain(Optional.of(microns(50))));
            } else if (i instanceof Selector x) {
                s = s.replace(x.with(Reach.GROUND));
            }
        }
        Project limited = p.with(s);
        assertThat(p.tests())
                .allSatisfy(t -> assertThat(Standing.of(t, limited.asBuilt()).state())
                        .isEqualTo(Standing.of(t, p.asBuilt()).state()));
        assertThat(Arrays.asList(Check.FILTER_ENGINE, Check.BUILD_SHUTS).stream()
                        .map(c -> first(
                                        Assessment.ahead(limited, Optional.empty())
                                                .findings(),
                                        c)
                                .orElseThrow()
                                .verdict())
                        .toList())
                .isEqualTo(new ArrayList<>(List.of(Verdict.HOLDS, Verdict.FAILS)));
    }
}
