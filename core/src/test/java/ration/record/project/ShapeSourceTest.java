package ration.record.project;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.Systems;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.SectionFields;
import ration.aircraft.model.Tank;
import ration.base.quantity.Method;

/** How the corners of a tank were measured. */
class ShapeSourceTest {

    static Stream<Tank> tanks() {
        return Stream.concat(
                Stream.of("corrie-b1", "tansy-l3", "brindle-a2", "two-outlets", "jet-siphon")
                        .flatMap(d -> Systems.demo(d).system().tanks().stream()),
                Stream.of(ShapePattern.values()).flatMap(p -> Systems.demo("corrie-b1").system().tanks().stream()
                        .limit(1)
                        .map(t -> ShapePattern.reshaped(
                                t,
                                p.shape(p.measures().stream()
                                        .map(m -> ration.base.quantity.Measured.of(m.usual(), m.unit(), ""))
                                        .toList())))));
    }

    @ParameterizedTest
    @MethodSource("tanks")
    void itIsSaidOfEveryFigureAndMovesNone(Tank tank) {
        var system = Systems.corrie().system().minus(tank.id()).plus(tank);
        Tank said = ShapeSource.said(system, tank.id(), "caliper")
                .item(tank.id())
                .flatMap(i -> i.only(Tank.class))
                .orElseThrow();
        assertThat(ShapeSource.of(said)).contains("caliper");
        assertThat(Stream.concat(FieldSheet.of(said).stream(), SectionFields.of(said).stream())
                        .filter(f -> f.key().startsWith("shape")))
                .isNotEmpty()
                .allMatch(f -> Method.of(f.get().apply(said)) == Method.CALIPER);
        assertThat(said.solid().volume()).isEqualTo(tank.solid().volume());
        assertThat(said.outlets()).isEqualTo(tank.outlets());
    }
}
