package ration.aircraft.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.topology.Topology;
import ration.base.quantity.Unit;
import ration.solver.network.Element;

class JointsAndSizesTest {

    @ParameterizedTest
    @CsvSource({
        "-6 flare female, FLARE, -6, true",
        "-4 FLARE m, FLARE, -4, false",
        "1/4 npt male, PIPE, 1/4, false",
        "3/8 barb, BARB, 3/8, false",
        "-8 o-ring f, O_RING, -8, true",
        "-5 45 flare female, FLARE_45, -5, true",
        "1/8 in pipe female, PIPE, 1/8, true"
    })
    void jointsAreReadAsPeopleWriteThem(String written, JointEnd.Way way, String size, boolean female) {
        JointEnd end = JointEnd.parse(written);
        assertThat(end).isEqualTo(new JointEnd(way, size, female));
        assertThat(JointEnd.parse(end.text())).isEqualTo(end);
    }

    @ParameterizedTest
    @CsvSource({
        "flare, Use -6 flare",
        "6 flare female, sized by dash",
        "-4 npt male, in inches",
        "1/4 NPT, male or female",
        "-6 welded male, is not a fitting"
    })
    void whatIsNoJointIsToldWithAnExample(String written, String says) {
        assertThatThrownBy(() -> JointEnd.parse(written))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(says);
    }

    @Test
    void halvesMateOnlyInKind() {
        JointEnd nut = JointEnd.parse("-6 flare female");
        assertThat(nut.mates(JointEnd.parse("-6 flare male"))).isTrue();
        assertThat(nut.mates(nut)).isFalse();
        assertThat(nut.mates(JointEnd.parse("-8 flare male"))).isFalse();
        assertThat(JointEnd.adapter(nut, JointEnd.parse("1/4 NPT female"))).isEqualTo("1/4 NPT male to -6 flare male");
    }

    @ParameterizedTest
    @CsvSource({
        "alu, ALUMINIUM",
        "Stainless tube, STEEL",
        "steel, STEEL",
        "ptfe, PTFE",
        "push-on, PUSH_ON",
        "BRAIDED rubber, BRAIDED"
    })
    void constructionsAreReadByTheirBeginning(String written, Construction construction) {
        assertThat(Construction.labelled(written)).contains(construction);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "a", "wood", "tube"})
    void whatIsNoConstructionIsNone(String written) {
        assertThat(Construction.labelled(written)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"3/8 x 0.035 tube, 6", "1/2 x 0.049 tube, 8", "-10 hose, 10", "0.31 in bore, 0"})
    void theDashIsSixteenthsOfTheTube(String size, int dash) {
        assertThat(LineSize.parse(size).dash()).isEqualTo(dash);
    }

    /** One size up and down again is the line that was, but for what was recorded of the old piece. */
    @Test
    void upAndDownAgainIsTheSameLine() {
        Run r1 = (Run) Systems.corrie().system().item("r1").orElseThrow();
        Run back = r1.resized(LineSize.parse("1/2 x 0.035 tube")).resized(r1.size());
        assertThat(back.build().start().fitting()).isEqualTo(r1.build().start().fitting());
        assertThat(back.size()).isEqualTo(r1.size());
        assertThat(back.build().torque()).isEmpty();
        Run hose = r1.resized(LineSize.parse("-6 hose"));
        assertThat(hose.build().construction()).as("no tube is hose").isEmpty();
    }

    /** Whatever two points are given, the filter loses nothing at rest and never less at more flow. */
    @Property(tries = 300)
    void aFilterNeverLosesLessAtMoreFlow(
            @ForAll @DoubleRange(min = 0.01, max = 3) double first,
            @ForAll @DoubleRange(min = 0.01, max = 3) double second) {
        Element.Resistance r =
                ration.physics.flow.Losses.through(List.of(Rated.of(15, first, ""), Rated.of(35, second, "")));
        assertThat(r.linear()).isNotNegative();
        assertThat(r.square()).isNotNegative();
        double low = Unit.GALLON_PER_HOUR.toSi(15);
        double high = Unit.GALLON_PER_HOUR.toSi(35);
        if (second / first >= high / low && second / first <= high * high / (low * low)) {
            assertThat(r.linear() * low + r.square() * low * low)
                    .isCloseTo(Unit.PSI.toSi(first), Offset.offset(1e-3 * Unit.PSI.toSi(first)));
        }
    }

    /** A tank raised keeps its shape and its fuel; its ports, vent and drain go with it. */
    @Property(tries = 60)
    void aRaisedTankHoldsTheSame(@ForAll @DoubleRange(min = -0.5, max = 0.5) double metres) {
        for (Tank tank : Systems.corrie().system().tanks()) {
            Tank raised = tank.raised(metres);
            assertThat(raised.shape().solid().volume())
                    .isCloseTo(tank.shape().solid().volume(), Offset.offset(1e-6));
            assertThat(raised.outlets().get(0).place().point().z())
                    .isCloseTo(tank.outlets().get(0).place().point().z() + metres, Offset.offset(2e-6));
            assertThat(raised.vent().map(Place::point).map(p -> p.z()).orElseThrow())
                    .isCloseTo(tank.vent().orElseThrow().point().z() + metres, Offset.offset(2e-6));
        }
    }

    @Test
    void feedPumpsAreThoseThatLeadToTheEngine() {
        FuelSystem transfer = ration.record.project.Pattern.TRANSFER.project().system();
        assertThat(transfer.hasPump()).isTrue();
        assertThat(Topology.of(transfer).feedPumps())
                .as("a transfer pump feeds a tank")
                .isEmpty();
        FuelSystem parallel =
                ration.record.project.Pattern.TWO_PUMPS_PARALLEL.project().system();
        assertThat(Topology.of(parallel).feedPumps()).extracting(Item::id).containsExactly("pump-one", "pump-two");
        assertThat(parallel.item("nothing")).isEqualTo(Optional.empty());
    }
}
