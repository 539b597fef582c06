package ration.record.project;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.model.Validation;
import ration.aircraft.topology.Topology;
import ration.base.geometry.Point3;

/** Runs between ports that are open already: what may be joined, and that nothing else is changed by it. */
class JoiningTest {

    /** A whole layout with one of its runs taken out: what was joined can be joined again, the way it was. */
    @ParameterizedTest
    @EnumSource
    void aRunTakenOutCanBeLaidAgain(Pattern pattern) {
        FuelSystem whole = pattern.project().system();
        Set<String> ways = new HashSet<>();
        for (Run run : whole.runs()) {
            FuelSystem open = whole.minus(run.id());
            List<Joining.Join> joins = Joining.of(open, run.from().item());
            Optional<Joining.Join> same = joins.stream()
                    .filter(j -> j.from().equals(run.from()) && j.to().equals(run.to())
                            || j.from().equals(run.to()) && j.to().equals(run.from()))
                    .findFirst();
            assertThat(same).as("%s of %s", run.id(), pattern).isPresent();
            LayoutEdits.Outcome laid = Joining.join(open, same.get()).orElseThrow();
            Run again = laid.system()
                    .item(laid.picked())
                    .flatMap(i -> i.only(Run.class))
                    .orElseThrow();
            assertThat(Set.of(again.from(), again.to())).isEqualTo(Set.of(run.from(), run.to()));
            assertThat(laid.system().minus(again.id())).isEqualTo(open);
            assertThat(Validation.of(laid.system())).noneMatch(Problem::blocks);
            ways.add(again.from().equals(run.from()) ? "as it was" : "turned");
        }
        assertThat(ways).contains("as it was");
    }

    /** No run leads from an outlet to an outlet, or from one port of a part to another of it. */
    @ParameterizedTest
    @EnumSource
    void whatIsOfferedLeavesOnePartAndArrivesAtAnother(Pattern pattern) {
        FuelSystem whole = pattern.project().system();
        for (Run run : whole.runs()) {
            FuelSystem open = whole.minus(run.id());
            for (Item item : open.items()) {
                assertThat(Joining.of(open, item.id())).allSatisfy(j -> {
                    assertThat(j.from().item()).isNotEqualTo(j.to().item());
                    assertThat(j.near().item()).isEqualTo(item.id());
                    assertThat(Set.of(j.near(), j.far())).isEqualTo(Set.of(j.from(), j.to()));
                    assertThat(open.openPorts()).contains(j.from(), j.to());
                    assertThat(open.item(j.to().item())
                                    .flatMap(i -> i.only(Tank.class))
                                    .filter(t -> t.outlet(j.to().port()).isPresent()))
                            .as("no outlet takes fuel")
                            .isEmpty();
                });
            }
        }
    }

    @Test
    void aPortThatWasTakenMeanwhileIsLeftAlone() {
        FuelSystem corrie = Systems.corrie().system();
        Run run = corrie.runs().get(0);
        FuelSystem open = corrie.minus(run.id());
        Joining.Join join = Joining.between(open, run.from(), run.to()).orElseThrow();
        FuelSystem taken = Joining.join(open, join).orElseThrow().system();
        assertThat(Joining.join(taken, join)).isEmpty();
        assertThat(Joining.of(corrie, run.id())).as("nothing for a run").isEmpty();
        assertThat(Joining.between(open, run.from(), run.from()))
                .as("not to itself")
                .isEmpty();
    }

    /** Which way fuel can go at a port decides which end is the start, whatever is picked first. */
    @Test
    void theStartIsWhereFuelLeaves() {
        FuelSystem corrie = Systems.corrie().system();
        Run run = corrie.runs().get(0);
        FuelSystem open = corrie.minus(run.id());
        assertThat(Joining.between(open, run.to(), run.from()).orElseThrow().from())
                .isEqualTo(run.from());
        Selector duplex = corrie.selectors().get(0);
        Header header = (Header) NewItem.HEADER.make(corrie, new Point3(0, 0, 0));
        FuelSystem with = corrie.plus(header);
        PortRef filled = new PortRef(header.id(), header.inlets().get(0));
        PortRef drawn = new PortRef(header.id(), Item.OUT);
        assertThat(Joining.between(with, filled, new PortRef(duplex.id(), Item.OUT))
                        .orElseThrow()
                        .to())
                .isEqualTo(filled);
        assertThat(Joining.between(
                                with,
                                drawn,
                                new PortRef(duplex.id(), duplex.inlets().get(0)))
                        .orElseThrow()
                        .from())
                .isEqualTo(drawn);
        assertThat(Joining.between(with, drawn, new PortRef(duplex.id(), Item.OUT)))
                .as("both give")
                .isEmpty();
        assertThat(Joining.between(
                        with, filled, new PortRef(duplex.id(), duplex.inlets().get(0))))
                .as("both take")
                .isEmpty();
        PortRef gone = new PortRef("no-such-part", "in");
        assertThat(Joining.between(with, drawn, gone))
                .as("what is not known takes or gives")
                .isPresent();
    }

    /**
     * A branch puts one tee into the run and one run to the open port; the tee's branch is the start where the port
     * takes.
     */
    @Test
    void aBranchOffARunLeadsToAnOpenPort() {
        FuelSystem corrie = Systems.corrie().system();
        Run run =
                Topology.of(corrie).arriving(corrie.inlet().orElseThrow().id()).get(0);
        Tank tank = corrie.tanks().get(0);
        FuelSystem open = corrie.replace(tank.withReturns(
                List.of(new Tank.Entry("return", tank.outlets().get(0).place().raised(0.1)))));
        PortRef port = new PortRef(tank.id(), "return");
        assertThat(Joining.branches(open, run)).contains(port).doesNotContain(run.from(), run.to());
        LayoutEdits.Outcome made = Joining.branch(open, run.id(), port).orElseThrow();
        Run branch = made.system()
                .item(made.picked())
                .flatMap(i -> i.only(Run.class))
                .orElseThrow();
        assertThat(branch.to()).isEqualTo(port);
        assertThat(branch.from().port()).isEqualTo(Tee.BRANCH);
        assertThat(made.system().items()).hasSize(open.items().size() + 3);
        assertThat(Validation.of(made.system())).noneMatch(Problem::blocks);
        assertThat(Joining.branch(open, "no-such-run", port)).isEmpty();
    }

    @Test
    void theFreeLegOfATeeTakesOrGives() {
        Tee tee = new Tee(new Tag("tee", "Tee", Place.inches(0, 0, 0)), Systems.in(0.3));
        FuelSystem with = Systems.corrie().system().plus(tee);
        PortRef leg = new PortRef("tee", Tee.BRANCH);
        Header header = (Header) NewItem.HEADER.make(with, new Point3(0, 0, 0));
        FuelSystem both = with.plus(header);
        assertThat(Joining.between(both, leg, new PortRef(header.id(), Item.OUT))
                        .orElseThrow()
                        .to())
                .isEqualTo(leg);
        assertThat(Joining.between(
                                both,
                                leg,
                                new PortRef(header.id(), header.inlets().get(0)))
                        .orElseThrow()
                        .from())
                .isEqualTo(leg);
    }

    /**
     * Where a return may go is asked, nearest first, a header's free inlet among it; each way is the one that is then
     * laid.
     */
    @Test
    void whereAReturnGoesIsAsked() {
        FuelSystem s = Systems.said(Pattern.HEADER_TWO_PUMPS.project()).system();
        EngineInlet rail = s.inlet().orElseThrow();
        FuelSystem open = s.runAt(new PortRef(rail.id(), EngineInlet.RETURN))
                .map(r -> s.minus(r.id()))
                .orElse(s);
        Header header = open.all(Header.class).findFirst().orElseThrow();
        FuelSystem free = open.replace(header.withInlets(
                java.util.stream.Stream.concat(header.inlets().stream(), java.util.stream.Stream.of("spare"))
                        .toList()));
        List<Returns.To> ways = Returns.of(free, rail.id());
        assertThat(ways)
                .extracting(Returns.To::port)
                .contains(new PortRef(header.id(), "spare"))
                .anyMatch(p -> free.item(p.item()).orElseThrow() instanceof Tank);
        for (Returns.To to : ways) {
            LayoutEdits.Outcome led = Returns.lead(free, rail.id(), to).orElseThrow();
            assertThat(led.system().runAt(to.port()).orElseThrow().from())
                    .isEqualTo(new PortRef(rail.id(), EngineInlet.RETURN));
            assertThat(Returns.lead(led.system(), rail.id(), to)).as("once").isEmpty();
        }
        assertThat(Returns.of(free, "nothing")).isEmpty();
    }

    /**
     * A bypass regulator put in the line to the rail goes on a tee, its spill free to be led back; in the return it
     * goes in line.
     */
    @Test
    void aBypassRegulatorNeverSpillsIntoTheRail() {
        FuelSystem s = Systems.said(Pattern.TWO_PUMPS_PARALLEL.project()).system();
        EngineInlet rail = s.inlet().orElseThrow();
        Run feed = s.runAt(new PortRef(rail.id(), Item.IN)).orElseThrow();
        LayoutEdits.Outcome added = LayoutEdits.add(s, feed.id(), LayoutEdits.Spot.IN_RUN, NewItem.BYPASS_REGULATOR)
                .orElseThrow();
        FuelSystem with = added.system();
        Regulator regulator =
                with.item(added.picked()).flatMap(i -> i.only(Regulator.class)).orElseThrow();
        assertThat(with.runAt(new PortRef(regulator.id(), Item.OUT)))
                .as("its spill is free")
                .isEmpty();
        assertThat(Topology.of(with).upstream(rail.id(), i -> false))
                .as("nothing reaches the rail through it")
                .doesNotContain(regulator.id());
        assertThat(Returns.of(with, regulator.id())).isNotEmpty();
    }
}
