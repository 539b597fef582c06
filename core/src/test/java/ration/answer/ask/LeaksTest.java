package ration.answer.ask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.aircraft.plumbing.SealingPlaces;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.task.Task;
import ration.record.project.Project;

/** Places that seal, and what runs out of them; figures of the handbook of the trade (7, section 7, from memory). */
class LeaksTest {

    private static final double GPH = Unit.GALLON_PER_HOUR.toSi(1);

    private static Leaks leaks(Project p) {
        return Leaks.of(Assessment.ahead(p, Optional.empty()), Task.QUIET).orElseThrow();
    }

    @Test
    void every_line_end_valve_bowl_and_drain_is_a_place() {
        for (String demo : List.of("corrie-b1", "tansy-l3", "brindle-a2")) {
            FuelSystem s = Systems.demo(demo).system();
            List<SealingPlaces.Place> all = SealingPlaces.of(s);
            assertThat(all.stream().map(SealingPlaces.Place::key)).doesNotHaveDuplicates();
            assertThat(all.stream().filter(p -> p.kind() == SealingPlaces.Kind.LINE_END))
                    .hasSize(2 * s.runs().size());
            for (Item i : s.items()) {
                List<SealingPlaces.Kind> kinds = all.stream()
                        .filter(p -> p.item().equals(i.id()))
                        .map(SealingPlaces.Place::kind)
                        .toList();
                if (i instanceof Selector || i instanceof ShutOff) {
                    assertThat(kinds).containsExactly(SealingPlaces.Kind.STEM);
                } else if (i instanceof Strainer x) {
                    assertThat(kinds).contains(SealingPlaces.Kind.BOWL);
                    assertThat(kinds.contains(SealingPlaces.Kind.DRAIN)).isEqualTo(x.drain());
                } else if (i instanceof Tank t) {
                    assertThat(kinds.contains(SealingPlaces.Kind.DRAIN))
                            .isEqualTo(t.drain().isPresent());
                    assertThat(kinds.contains(SealingPlaces.Kind.CAP))
                            .isEqualTo(t.fitout().filler().isPresent());
                }
            }
        }
    }

    /** 360 in2, 16 in of fuel over a broken quarter-inch sight tube: 52.72 gph, 4.200 gal in 5 min, empty in 56.76. */
    @Test
    void a_broken_sight_tube_empties_a_box_as_torricelli_says() {
        Measured width = Systems.in(18);
        Tank box = new Tank(
                "box",
                "Box",
                new TankShape.Box(Place.inches(100, 0, 50), Systems.in(20), width, Systems.in(16)),
                List.of(new Outlet("outlet", Place.inches(105, 2, 50), Systems.in(0.375), Optional.empty())),
                List.of(),
                Optional.of(Place.inches(110, 5, 70)),
                Optional.empty(),
                Measured.of(0.3, Unit.GALLON, "can"),
                Fitout.NONE.withGauge(Optional.of(Place.inches(105, 2, 50))));
        FuelSystem s = Systems.oneLine();
        Tank old = s.tanks().get(0);
        Project p = Systems.project(s.replace(new Tank(
                old.id(),
                old.name(),
                box.shape(),
                List.of(new Outlet(
                        old.outlets().get(0).name(), Place.inches(105, 2, 50), Systems.in(0.375), Optional.empty())),
                List.of(),
                box.vent(),
                Optional.empty(),
                box.unusable(),
                box.fitout())));
        Leaks.Row row = leaks(p).byKey().get(old.id() + ".sight-tube");
        double area = 20 * 18 * 0.0254 * 0.0254;
        // how high the program fills it: full is less than the brim
        double h = row.head();
        double a = Math.PI * Leaks.OPEN_BORE * Leaks.OPEN_BORE / 4;
        double rate = 0.62 * a * Math.sqrt(2 * 9.80665 * h);
        Leaks.Open open = row.open().orElseThrow();
        assertThat(open.rate()).isCloseTo(rate, within(rate * 1e-6));
        double seconds = 2 * area * Math.sqrt(h) / (0.62 * a * Math.sqrt(2 * 9.80665));
        assertThat(open.empties().orElseThrow()).isCloseTo(seconds, within(seconds * 0.01));
        double root = Math.sqrt(h) - 300 * 0.62 * a * Math.sqrt(2 * 9.80665) / (2 * area);
        double five = area * (h - root * root);
        assertThat(open.five()).isCloseTo(five, within(five * 0.01));
        // the handbook's own figures, at 16 in
        assertThat(0.62 * a * Math.sqrt(2 * 9.80665 * 16 * 0.0254) / GPH).isCloseTo(52.72, within(0.02));
    }

    /** The line between a tank and the valve gives what the network says, and no valve stops it. */
    @Test
    void an_open_joint_pours_and_its_valve_is_named() {
        Project p = Systems.corrie();
        Leaks all = leaks(p);
        Selector s = p.system().selectors().get(0);
        for (Run r : p.system().runs()) {
            Leaks.Row end = all.byKey().get(r.id() + ".end");
            boolean before = r.to().item().equals(s.id());
            assertThat(end.stopped()).startsWith(before ? "no valve" : "shutting ");
            Leaks.Open open = end.open().orElseThrow();
            assertThat(open.rate() / GPH).isBetween(20.0, 400.0);
            assertThat(open.five()).isPositive().isLessThanOrEqualTo(open.rate() * 300 * 1.0001);
            assertThat(open.from()).isNotEmpty();
        }
    }

    /** 12 drops a minute are 0.1141 gal a day; 4 drops under 6 in are 10.00 under 15 as a seep, 6.325 as a hole. */
    @Test
    void drops_are_converted_and_taken_to_a_full_tank() {
        assertThat(Leaks.drops(12) * 86400 / Unit.GALLON.toSi(1)).isCloseTo(0.1141, within(5e-5));
        assertThat(Leaks.atFull(4, 6, 15)).isCloseTo(10.00, within(5e-3));
        assertThat(4 * Math.sqrt(15.0 / 6)).isCloseTo(6.325, within(5e-4));
        assertThat(Leaks.atFull(4, 15, 6)).isCloseTo(4 * Math.sqrt(6.0 / 15), within(1e-9));
        assertThatThrownBy(() -> Leaks.atFull(4, 0, 15)).hasMessageContaining("above 0");
    }
}
