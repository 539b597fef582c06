package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Samples;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Firewall;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.answer.assess.AirMoves;
import ration.answer.assess.Assessment;
import ration.answer.assess.Regime;
import ration.answer.assess.StartingCase;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.project.Project;

/**
 * Whatever figure is typed over another, the drawing is of what is there now: it never stays as it was, and never takes
 * the whole sheet away.
 */
class DrawnAnywayTest {

    private record Typed(Item item, Field field, double si) {}

    private static void drawn(Project p, String as) {
        Assessment a = Assessment.ahead(p, Optional.empty());
        Condition c = StartingCase.of(p);
        Picture picture = Schematic.draw(
                new SchematicSubject(
                        p.system(), p.brief().envelope().attitudes(), c, a.look(c), "", UnitSystem.US, Regime.AT_MOST),
                SchematicView.of(860, 612),
                Collisions.MEASURE);
        assertThat(picture.pieces()).as(as).isNotEmpty();
        Picture air = AirPicture.draw(
                a,
                c,
                Optional.empty(),
                new AirPicture.Shown(AirMoves.of(a, Optional.empty(), AirMoves.Kind.DESCENDING, Set.of()), Set.of()),
                UnitSystem.US,
                860,
                500,
                Collisions.MEASURE);
        assertThat(air.pieces()).as(as).isNotEmpty();
    }

    /** Every figure of every card: nothing, less than nothing, a thousand times as much. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "tansy-l3"})
    void anyFigureIsDrawn(String demo) {
        Project p = Systems.demo(demo);
        List<Typed> all = new ArrayList<>();
        for (Item item : p.system().items()) {
            for (Field f : FieldSheet.of(item)) {
                double is = f.get().apply(item).si();
                all.add(new Typed(item, f, 0));
                all.add(new Typed(item, f, -Math.abs(is)));
                all.add(new Typed(item, f, 1000 * is));
            }
        }
        for (Typed t : Samples.some(all, 12)) {
            Item changed;
            try {
                Measured was = t.field.get().apply(t.item);
                changed = t.field
                        .with()
                        .apply(
                                t.item,
                                was.with(Quantity.ofSi(t.si, was.quantity().unit())));
            } catch (IllegalArgumentException e) {
                // refused as it is typed
                continue;
            }
            drawn(p.with(p.system().replace(changed)), t.item.name() + " " + t.field.label() + " " + t.si);
        }
    }

    /** A firewall that was typed to stand, or to reach, as far as the moon is drawn as quickly as any. */
    @ParameterizedTest
    @ValueSource(doubles = {-99_999_999, 99_999_999, 1e300})
    void aFirewallAnywhereIsDrawn(double inches) {
        Project p = Systems.corrie();
        Firewall f = p.system().firewall().orElseThrow();
        Measured far = Measured.of(inches, Unit.INCH, "tape");
        for (Firewall odd : List.of(
                new Firewall(far, f.top(), f.foot()),
                new Firewall(f.station(), far, f.foot()),
                new Firewall(f.station(), f.top(), far))) {
            FuelSystem s = p.system().with(Optional.of(odd));
            Picture picture = Schematic.draw(
                    new SchematicSubject(
                            s,
                            p.brief().envelope().attitudes(),
                            StartingCase.of(p),
                            Optional.empty(),
                            "",
                            UnitSystem.US),
                    SchematicView.of(860, 612),
                    Collisions.MEASURE);
            assertThat(picture.pieces().stream().mapToInt(x -> x.marks().size()).sum())
                    .isLessThan(1000);
        }
    }

    /** A pane is small before it is laid out: the drawing is small then, and comes to an end. */
    @ParameterizedTest
    @ValueSource(doubles = {1, 40, 60, 110, 200})
    void aSmallPaneIsDrawn(double size) {
        Project p = Systems.assessedCorrie().project();
        Condition c = StartingCase.of(p);
        Picture picture = Schematic.draw(
                new SchematicSubject(
                        p.system(),
                        p.brief().envelope().attitudes(),
                        c,
                        Systems.assessedCorrie().look(c),
                        "",
                        UnitSystem.US,
                        Regime.AT_MOST),
                SchematicView.of(size, size),
                Collisions.MEASURE);
        assertThat(picture.pieces().stream().mapToInt(x -> x.marks().size()).sum())
                .isBetween(1, 5000);
    }

    /** A tank that does not close is drawn as a box that says so, and all else as it is. */
    @Test
    void aTankThatDoesNotCloseIsMarked() {
        Project p = Systems.corrie();
        Tank t = p.system().tanks().get(0);
        Measured none = Measured.of(0, Unit.INCH, "tape");
        Project open = p.with(p.system()
                .replace(t.withShape(new TankShape.Box(t.outlets().get(0).place(), none, none, none))));
        drawn(open, "open");
        List<String> texts = Schematic.draw(
                        new SchematicSubject(
                                open.system(),
                                open.brief().envelope().attitudes(),
                                StartingCase.of(open),
                                Optional.empty(),
                                "",
                                UnitSystem.US),
                        SchematicView.of(860, 612),
                        Collisions.MEASURE)
                .texts();
        assertThat(String.join(" ", texts))
                .contains(
                        t.name() + ", outline not closed",
                        p.system().tanks().get(1).name());
    }
}
