package ration.physics.breathing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.answer.assess.Assessment;
import ration.base.fluid.Fluid;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Fuel that leaves by a vent: closed forms, and heights moved on a laid-out tank. */
class VentSpillTest {

    private static final Point3 UP = new Point3(0, 0, 1);
    private static final Fluid FUEL = new Fluid(720, 6e-7);

    private static Point3 inches(double x, double z) {
        return new Point3(Unit.INCH.toSi(x), 0, Unit.INCH.toSi(z));
    }

    /** Worked example of the trade: 10 in of head, bore 0.180 in, losses 6: 13.17 gph. Common practice, no source. */
    @Test
    void a_siphon_by_hand() {
        double bore = Unit.INCH.toSi(0.180);
        double flow = VentSpill.speed(Unit.INCH.toSi(10), 6) * Math.PI * bore * bore / 4;
        assertThat(flow / Unit.GALLON.toSi(1) * 3600).isCloseTo(13.17, within(0.005));
    }

    @ParameterizedTest
    @CsvSource({"0.180, 24, 10", "0.305, 48, 16", "0.120, 80, 2", "0.250, 0, 1"})
    void what_runs_loses_just_its_head(double bore, double length, double head) {
        VentLine line = new VentLine(
                Measured.of(bore, Unit.INCH),
                Measured.of(length, Unit.INCH),
                Measured.of(0, Unit.ONE),
                false,
                List.of());
        double h = Unit.INCH.toSi(head);
        double l = Unit.INCH.toSi(length);
        double q = VentSpill.flow(line, l, h, FUEL);
        double area = Math.PI * Math.pow(Unit.INCH.toSi(bore), 2) / 4;
        double speed = q / area;
        assertThat((1 + VentSpill.loss(line, l, q, FUEL)) * speed * speed / 2 / 9.80665)
                .isCloseTo(h, within(1e-6 * h));
    }

    @ParameterizedTest
    @CsvSource({
        // surface, over the hump at 14 by itself; over the inner end at 10 and the outlet at 2 once pushed; else not
        "15, true, true",
        "13.9, true, false",
        "10.1, true, false",
        "9.9, false, false",
    })
    void it_runs_by_itself_once_pushed_or_not(double surface, boolean runs, boolean byItself) {
        List<Point3> way = List.of(inches(0, 10), inches(1, 14), inches(2, 2));
        var spill = VentSpill.of(way, UP, Unit.INCH.toSi(surface));
        assertThat(spill.isPresent()).isEqualTo(runs);
        spill.ifPresent(s -> {
            assertThat(s.byItself()).isEqualTo(byItself);
            assertThat(s.head()).isCloseTo(Unit.INCH.toSi(surface - 2), within(1e-12));
            assertThat(s.hump()).isCloseTo(Unit.INCH.toSi(14 - surface), within(1e-12));
        });
    }

    @Test
    void an_outlet_over_the_fuel_spills_nothing() {
        assertThat(VentSpill.of(List.of(inches(0, 10), inches(2, 16)), UP, Unit.INCH.toSi(15)))
                .isEmpty();
    }

    private static Finding spill(Project p, String tank) {
        return Assessment.of(p).findings().stream()
                .filter(f -> f.check() == Check.AIR_SPILL && f.item().equals(tank))
                .findFirst()
                .orElseThrow();
    }

    /** The upper tank of the Corrie with a vent from its roof over a hump of so many inches to so many under it. */
    private static Project vented(double into, double hump, double under, boolean measured) {
        Project p = Systems.demo("corrie-b1");
        Tank tank = p.system().tanks().get(0);
        Point3 lowest = tank.solid().faces().stream()
                .flatMap(List::stream)
                .min(java.util.Comparator.comparingDouble(Point3::z))
                .orElseThrow();
        double roof = tank.solid().highest(UP);
        List<Place> points = new ArrayList<>();
        if (measured) {
            points.add(place(lowest.x(), roof - into));
            points.add(place(lowest.x(), roof + hump));
        }
        Tank vented = tank.with(tank.fitout().withVent(tank.fitout().vent().map(v -> v.withPoints(points))))
                .withVent(Optional.of(place(lowest.x(), roof - under)));
        return p.with(p.system().replace(vented));
    }

    private static Place place(double x, double z) {
        return new Place(
                Measured.of(Unit.INCH.fromSi(x), Unit.INCH, "tape"),
                Measured.of(0, Unit.INCH, "tape"),
                Measured.of(Unit.INCH.fromSi(z), Unit.INCH, "level"));
    }

    @Test
    void an_outlet_under_the_tank_wants_its_way_measured() {
        String tank = Systems.demo("corrie-b1").system().tanks().get(0).id();
        Finding bare = spill(vented(0, 0, 0.5, false), tank);
        assertThat(bare.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        Finding into = spill(vented(0.08, 0.2, 0.5, true), tank);
        assertThat(into.verdict()).isEqualTo(Verdict.THIN);
        Finding down = spill(vented(0.12, -0.1, 0.5, true), tank);
        assertThat(down.verdict()).isEqualTo(Verdict.FAILS);
    }

    /** Turns of a coil that lies on its side add up; an open way and one that only falls hold nothing back. */
    @Test
    void turns_full_of_liquid_add_up() {
        assertThat(LowPoints.opens(List.of(inches(0, 10), inches(1, 14), inches(2, 2)), UP))
                .isZero();
        List<Point3> coil = List.of(
                inches(0, 10),
                inches(1, 6),
                inches(2, 9),
                inches(3, 7),
                inches(4, 12),
                inches(5, 11),
                inches(6, 11.5),
                inches(7, 0));
        // 9 over 6, 9 over 7, 11.5 over 11
        assertThat(LowPoints.opens(coil, UP)).isCloseTo(Unit.INCH.toSi(3 + 2 + 0.5), within(1e-12));
    }
}
