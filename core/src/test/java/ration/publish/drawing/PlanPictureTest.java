package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.base.geometry.Point3;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;
import ration.record.project.Pattern;

/** The system from above: to scale, the right side below, nothing forgotten, nothing off the sheet. */
class PlanPictureTest {

    private static Picture draw(FuelSystem s) {
        return PlanPicture.draw(s, "", UnitSystem.US, TextMeasure.approximate(), 850, 590);
    }

    private static Mark.Spot center(Picture p, Item item) {
        return p.pieces().stream()
                .filter(x -> x.item().equals(item.id()) && x.kind() == Kind.SYMBOL)
                .flatMap(x -> x.marks().stream())
                .filter(Mark.Disc.class::isInstance)
                .map(m -> ((Mark.Disc) m).centre())
                .findFirst()
                .orElseThrow();
    }

    /** Distances on the sheet are those of the aircraft by one scale; forward is right, the right side is down. */
    @Test
    void partsLieWhereTheyWereMeasured() {
        FuelSystem s = Systems.demo("tansy-l3").system();
        Picture p = draw(s);
        List<Fitted> parts = s.all(Fitted.class).toList();
        Fitted a = parts.get(0);
        double scale = 0;
        for (Fitted b : parts.subList(1, parts.size())) {
            Point3 d = b.place().point().minus(a.place().point());
            double far = Math.hypot(d.x(), d.y());
            Mark.Spot m = center(p, a);
            Mark.Spot n = center(p, b);
            assertThat(m.x() - n.x()).as("forward is right").isCloseTo(d.x() * scale(scale, m, n, far), within(1e-6));
            assertThat(n.y() - m.y()).as("right is down").isCloseTo(d.y() * scale(scale, m, n, far), within(1e-6));
            scale = scale(scale, m, n, far);
        }
    }

    private static double scale(double known, Mark.Spot m, Mark.Spot n, double far) {
        return known > 0 || far < 1e-9 ? known : Math.hypot(n.x() - m.x(), n.y() - m.y()) / far;
    }

    @ParameterizedTest
    @EnumSource(Pattern.class)
    void everyPartIsNamedOnTheSheet(Pattern pattern) {
        everything(pattern.project().system());
    }

    @Test
    void everyPartOfTheDemosIsNamedOnTheSheet() {
        Stream.of("corrie-b1", "brindle-a2", "tansy-l3")
                .forEach(d -> everything(Systems.demo(d).system()));
    }

    private static void everything(FuelSystem s) {
        Picture p = draw(s);
        s.items().forEach(i -> assertThat(p.texts()).contains(i.name()));
        for (Piece piece : p.pieces()) {
            for (Mark m : piece.marks()) {
                if (m instanceof Mark.Label l) {
                    assertThat(l.x()).as(l.text()).isBetween(0.0, 850.0);
                    assertThat(l.y()).as(l.text()).isBetween(0.0, 590.0);
                }
            }
        }
    }

    /** A box covers its rectangle; a tank that does not close is drawn by its outlets, and the rest stays. */
    @Test
    void aTankIsTheGroundItCovers() {
        Tank box = Systems.tank("t", 40, 10, 0);
        assertThat(PlanPicture.outline(box)).hasSize(4).allSatisfy(c -> assertThat(Math.abs(c.x() - 40 * 0.0254))
                .isCloseTo(10 * 0.0254, within(1e-9)));
        FuelSystem s = Systems.twoTanks(10, 10);
        Tank open = s.tanks().get(0);
        FuelSystem broken = s.replace(
                open.withShape(new TankShape.Box(Place.inches(0, 0, 0), Systems.in(0), Systems.in(0), Systems.in(0))));
        assertThat(draw(broken).texts()).contains(open.name(), s.tanks().get(1).name());
        assertThat(draw(new FuelSystem(List.of(), Optional.empty())).texts()).contains("from above, nose right");
    }
}
