package ration.project;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.geometry.Point3;
import ration.model.FuelSystem;
import ration.model.Header;
import ration.model.Item;
import ration.model.Place;
import ration.model.PortRef;
import ration.model.Problem;
import ration.model.Run;
import ration.model.Selector;
import ration.model.Tag;
import ration.model.Tank;
import ration.model.Tee;
import ration.model.Validation;
import ration.topology.Topology;

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
            Optional<Joining.Join> same = joins.stream().filter(j -> j.from().equals(run.from()) && j.to().equals(run.to()) || j.from().equals(run.to()) && j.to().equals(run.from()))
                    .findFirst();
            assertThat(same).as("%s of %s", run.id(), pattern).isPresent();
            LayoutEdits.Outcome laid = Joining.join(open, same.get()).orElseThrow();
            Run again = laid.system().item(laid.picked()).flatMap(i -> i.only(Run.class)).orElseThrow();
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
                    assertThat(open.item(j.to().item()).flatMap(i -> i.only(Tank.class)).filter(t -> t.outlet(j.to().port()).isPresent())).as("no outlet takes fuel").isEmpty();
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
        assertThat(Joining.between(open, run.from(), run.from())).as("not to itself").isEmpty();
    }

    /** Which way fuel can go at a port decides which end is the start, whatever is picked first. */
    @Test
    void theStartIsWhereFuelLeaves() {
        FuelSystem corrie = Systems.corrie().system();
        Run run = corrie.runs().get(0);
        FuelSystem open = corrie.minus(run.id());
        assertThat(Joining.between(open, run.to(), run.from()).orElseThrow().from()).isEqualTo(run.from());
        Selector duplex = corrie.selectors().get(0);
        Header header = (Header) NewItem.HEADER.make(corrie, new Point3(0, 0, 0));
        FuelSystem with = corrie.plus(header);
        PortRef filled = new PortRef(header.id(), header.inlets().get(0));
        PortRef drawn = new PortRef(header.id(), Item.OUT);
        assertThat(Joining.between(with, filled, new PortRef(duplex.id(), Item.OUT)).orElseThrow().to()).isEqualTo(filled);
        assertThat(Joining.between(with, drawn, new PortRef(duplex.id(), duplex.inlets().get(0))).orElseThrow().from()).isEqualTo(drawn);
        assertThat(Joining.between(with, drawn, new PortRef(duplex.id(), Item.OUT))).as("both give").isEmpty();
        assertThat(Joining.between(with, filled, new PortRef(duplex.id(), duplex.inlets().get(0)))).as("both take").isEmpty();
        PortRef gone = new PortRef("no-such-part", "in");
        assertThat(Joining.between(with, drawn, gone)).as("what is not known takes or gives").isPresent();
    }

    /** A branch puts one tee into the run and one run to the open port; the tee's branch is the start where the port takes. */
    @Test
    void aBranchOffARunLeadsToAnOpenPort() {
        FuelSystem corrie = Systems.corrie().system();
        Run run = Topology.of(corrie).arriving(corrie.inlet().orElseThrow().id()).get(0);
        Tank tank = corrie.tanks().get(0);
        FuelSystem open = corrie.replace(tank.withReturns(List.of(new Tank.Entry("return", tank.outlets().get(0).place().raised(0.1)))));
        PortRef port = new PortRef(tank.id(), "return");
        assertThat(Joining.branches(open, run)).contains(port).doesNotContain(run.from(), run.to());
        LayoutEdits.Outcome made = Joining.branch(open, run.id(), port).orElseThrow();
        Run branch = made.system().item(made.picked()).flatMap(i -> i.only(Run.class)).orElseThrow();
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
        assertThat(Joining.between(both, leg, new PortRef(header.id(), Item.OUT)).orElseThrow().to()).isEqualTo(leg);
        assertThat(Joining.between(both, leg, new PortRef(header.id(), header.inlets().get(0))).orElseThrow().from()).isEqualTo(leg);
    }
}
