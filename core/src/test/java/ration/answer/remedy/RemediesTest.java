package ration.answer.remedy;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Method;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.task.Task;
import ration.record.project.ItemFigures;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;
import ration.record.project.Pattern;
import ration.record.project.Project;

class RemediesTest {

    private static final Project CORRIE = Systems.corrie();
    private static final Assessment NOW = Assessment.of(CORRIE);

    /** What each row promises is what the whole assessment finds once the change is made. */
    @Test
    void everyPromiseIsKept() {
        List<Remedy> remedies = Remedies.of(NOW, Task.QUIET);
        assertThat(remedies).hasSizeGreaterThan(4);
        for (Remedy r : remedies) {
            Assessment after = Assessment.of(r.edit().change().apply(CORRIE));
            assertThat(after.governing().orElseThrow().margin())
                    .as(r.title())
                    .isCloseTo(r.after().margin(), Offset.offset(1e-9))
                    .isGreaterThan(NOW.governing().orElseThrow().margin());
            assertThat(after.governing().get().condition()).isEqualTo(r.after().condition());
        }
    }

    @Test
    void theLargestLossIsTheBestSingleChangeAndTwoAreSolvedTogether() {
        List<Remedy> remedies = Remedies.of(NOW, Task.QUIET);
        assertThat(remedies.get(0).detail()).startsWith("both changes together");
        assertThat(remedies.get(1).title()).startsWith("Line R3, 5/16 \u2192 3/8");
        List<Double> ratios = remedies.stream().map(r -> r.after().ratio()).toList();
        assertThat(ratios).isSortedAccordingTo(Collections.reverseOrder());
        double now = NOW.governing().orElseThrow().margin();
        double first = remedies.get(1).after().margin() - now;
        double second = remedies.get(2).after().margin() - now;
        assertThat(remedies.get(0).after().margin() - now).isNotCloseTo(first + second, Offset.offset(1e-4));
    }

    @Test
    void aCancelledSearchGivesNothingAndStops() {
        AtomicInteger asked = new AtomicInteger();
        List<Double> shares = new ArrayList<>();
        assertThat(Remedies.of(NOW, new Task(shares::add, () -> asked.incrementAndGet() > 2)))
                .isEmpty();
        assertThat(shares).hasSize(2).isSorted();
    }

    /**
     * A part that costs much in the one line to the engine is offered larger, in its own words, and keeps the promise.
     */
    @ParameterizedTest
    @EnumSource(
            value = NewItem.class,
            names = {
                "STRAINER",
                "SHUT_OFF",
                "CHECK_VALVE",
                "FILTER",
                "FLOW_SENDER",
                "BULKHEAD",
                "QUICK_DISCONNECT",
                "ORIFICE"
            })
    void whatCostsMostInTheLineIsOfferedLarger(NewItem kind) {
        LayoutEdits.Outcome in = LayoutEdits.add(Systems.oneLine(), "r1", LayoutEdits.Spot.IN_RUN, kind)
                .orElseThrow();
        FuelSystem costly = in.system();
        Item part = costly.item(in.picked()).orElseThrow();
        for (Field f : FieldSheet.of(part)) {
            double factor = f.key().endsWith(".loss") ? 8 : f.key().equals("bore") ? 0.8 : 1;
            costly = costly.replace(f.with()
                    .apply(
                            costly.item(in.picked()).orElseThrow(),
                            f.get()
                                    .apply(part)
                                    .with(Quantity.of(
                                            factor
                                                    * f.get()
                                                            .apply(part)
                                                            .quantity()
                                                            .value(),
                                            f.get().apply(part).quantity().unit()))));
        }
        Project project = Systems.project(costly);
        Assessment now = Assessment.of(project);
        List<Remedy> remedies = Remedies.of(now, Task.QUIET);
        Remedy own = remedies.stream()
                .filter(r -> !r.detail().startsWith("both changes together")
                        && r.title().startsWith(part.name()))
                .findFirst()
                .orElseThrow(() -> new AssertionError(part.name() + " is not offered larger: "
                        + remedies.stream().map(Remedy::title).toList()));
        Project after = own.edit().change().apply(project);
        assertThat(after.system().item(part.id()))
                .isPresent()
                .isNotEqualTo(project.system().item(part.id()));
        assertThat(Assessment.of(after).governing().orElseThrow().margin())
                .isCloseTo(own.after().margin(), Offset.offset(1e-9))
                .isGreaterThan(now.governing().orElseThrow().margin());
    }

    // how sure

    /** The pressures of a pump's curve are drawn together: a maker's curve is high or low as a whole. */
    @Test
    void aPumpsCurveIsDrawnAsAWhole() {
        Project pumped = Systems.said(Pattern.BOOST_AND_ENGINE_PUMP.project());
        FuelSystem s = pumped.system();
        for (Item item : pumped.system().items()) {
            for (Field f : FieldSheet.of(item)) {
                String by = item.only(Pump.class).isPresent() && f.key().startsWith("curve[0].pressure")
                        ? "bench \u00b15 psi"
                        : "tape \u00b10";
                Item as = s.item(item.id()).orElseThrow();
                s = s.replace(f.with().apply(as, new Measured(f.get().apply(as).quantity(), by)));
            }
        }
        Assessment now = Assessment.of(pumped.with(s));
        Chance chance = Chance.of(now, 5, 40, Task.QUIET).orElseThrow();
        double margin = now.governing().orElseThrow().margin();
        assertThat(chance.low()).isLessThan(margin - 0.01);
        assertThat(chance.high()).isGreaterThan(margin + 0.01);
        assertThat(chance.share()).isEqualTo(chance.shorts() / 40.0);
    }

    @Test
    void nothingIsSureWhereNothingIsComputed() {
        assertThat(Chance.of(Assessment.of(Project.empty()), 1, 10, Task.QUIET)).isEmpty();
        assertThat(Chance.of(NOW, 1, 10, new Task(share -> {}, () -> true))).isEmpty();
        assertThat(Remedies.of(Assessment.of(Project.empty()), Task.QUIET)).isEmpty();
    }

    @Test
    void theSameSeedGivesTheSameChanceHoweverManyThreadsHelp() throws Exception {
        Chance usual = Chance.of(NOW, 7, 60, Task.QUIET).orElseThrow();
        java.util.concurrent.ForkJoinPool alone = new java.util.concurrent.ForkJoinPool(1);
        Chance single = alone.submit(() -> Chance.of(NOW, 7, 60, Task.QUIET).orElseThrow())
                .get();
        alone.shutdown();
        assertThat(single).isEqualTo(usual);
        assertThat(Chance.of(NOW, 8, 60, Task.QUIET).orElseThrow()).isNotEqualTo(usual);
        assertThat(usual.low()).isLessThan(usual.middle());
        assertThat(usual.high()).isGreaterThan(usual.middle());
    }

    /** Figures without any doubt leave no spread: the sampled margin is the margin. */
    @Test
    void withoutToleranceThereIsNoSpread() {
        FuelSystem s = CORRIE.system();
        for (Item item : CORRIE.system().items()) {
            for (int i = 0; i < ItemFigures.of(item, s).size(); i++) {
                Item now = s.item(item.id()).orElseThrow();
                ItemFigures.Figure f = ItemFigures.of(now, s).get(i);
                s = f.set()
                        .apply(new Measured(f.value().quantity(), "tape \u00b10"))
                        .apply(s);
            }
        }
        Assessment exact = Assessment.of(CORRIE.with(s));
        Chance chance = Chance.of(exact, 3, 20, Task.QUIET).orElseThrow();
        double margin = exact.governing().orElseThrow().margin();
        assertThat(chance.low()).isCloseTo(margin, Offset.offset(1e-9));
        assertThat(chance.high()).isCloseTo(margin, Offset.offset(1e-9));
        assertThat(chance.shorts()).isEqualTo(20);
    }

    @Test
    void aToleranceIsReadFromBehindHowItWasMeasured() {
        assertThat(Method.tolerance(Measured.of(40, Unit.INCH, "tape \u00b11/8 in")))
                .isCloseTo(0.003175, Offset.offset(1e-9));
        assertThat(Method.tolerance(Measured.of(40, Unit.INCH, "tape"))).isCloseTo(0.00635, Offset.offset(1e-9));
        assertThat(Method.tolerance(Measured.of(0.1, Unit.PSI, "bench +/- 0.01 psi")))
                .isCloseTo(68.95, Offset.offset(0.01));
        assertThat(Method.tolerance(Measured.of(20, Unit.CELSIUS, "gauge \u00b12 \u00b0C")))
                .isCloseTo(2, Offset.offset(1e-9));
    }
}
