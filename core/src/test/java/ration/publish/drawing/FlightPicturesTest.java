package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Item;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightRun;
import ration.answer.drawdown.FlightVapor;
import ration.answer.drawdown.Lasting;
import ration.answer.drawdown.UsualFlight;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.record.project.Project;
import ration.record.upkeep.Due;
import ration.verdict.check.Verdict;

/** Pictures in time: a flight, the minutes after a fault, what falls due; and the places of readings. */
class FlightPicturesTest {

    private static final TextMeasure MEASURE = TextMeasure.approximate();
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 1);

    private static Stream<Mark> marks(Picture p) {
        return p.pieces().stream().flatMap(x -> x.marks().stream());
    }

    private static void staysOnItsSheet(Picture p) {
        assertThat(marks(p).filter(Mark.Path.class::isInstance)
                        .map(Mark.Path.class::cast)
                        .flatMap(m -> m.spots().stream()))
                .isNotEmpty()
                .allSatisfy(s -> {
                    assertThat(s.x()).isBetween(-1.0, p.width() + 1);
                    assertThat(s.y()).isBetween(-1.0, p.height() + 1);
                });
        assertThat(marks(p).filter(Mark.Label.class::isInstance).map(Mark.Label.class::cast))
                .allSatisfy(l -> {
                    assertThat(l.x()).isBetween(-1.0, p.width() + 1);
                    assertThat(l.y()).isBetween(0.0, p.height() + 1);
                });
    }

    private static Flight flown(Assessment a) {
        return FlightRun.of(a, UsualFlight.of(a.project()));
    }

    @ParameterizedTest
    @CsvSource({"corrie-b1, US", "brindle-a2, METRIC", "tansy-l3, US"})
    void aFlightIsDrawnWholeAndNothingLeavesTheSheet(String demo, UnitSystem units) {
        Assessment a = Systems.assessed(demo);
        Flight f = flown(a);
        for (double[] size : new double[][] {{960, 560}, {700, 470}}) {
            Picture p = FlightPicture.draw(
                    a.project(), f, Optional.of(FlightVapor.of(a, f)), 20, units, Collisions.MEASURE, size[0], size[1]);
            staysOnItsSheet(p);
            assertThat(p.texts())
                    .contains("Phase", "Altitude", units.unit(Dimension.VOLUME).symbol());
            assertThat(Collisions.of(p))
                    .filteredOn(c -> c.startsWith("outside"))
                    .isEmpty();
        }
    }

    /** A curve of what is in a tank begins at what was filled and never rises without fuel coming in. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "tansy-l3"})
    void everyTankThatIsFlownIsNamedBesideItsCurve(String demo) {
        Assessment a = Systems.assessed(demo);
        Flight f = flown(a);
        Picture p = FlightPicture.draw(
                a.project(), f, Optional.empty(), f.landing().minutes(), UnitSystem.US, MEASURE, 960, 560);
        String all = String.join("\n", p.texts())
                + String.join(
                        "\n", p.pieces().stream().map(Picture.Piece::words).toList());
        assertThat(a.project().system().tanks()).allSatisfy(t -> assertThat(all).contains(t.name()));
        f.plan().phases().forEach(phase -> assertThat(p.texts())
                .contains(phase.kind().label().toLowerCase(java.util.Locale.ROOT)));
    }

    /** Where the mouse is, the minute is; beyond the ends it is the end. */
    @Test
    void aPlaceAcrossThePictureIsATime() {
        Flight f = flown(Systems.assessedCorrie());
        double before = -1;
        for (double px = 0; px <= 960; px += 5) {
            double now = FlightPicture.minutes(f, px, 960);
            assertThat(now).isGreaterThanOrEqualTo(before);
            before = now;
        }
        assertThat(FlightPicture.minutes(f, 0, 960)).isZero();
        assertThat(FlightPicture.minutes(f, 960, 960))
                .isCloseTo(
                        Math.max(
                                f.samples().get(f.samples().size() - 1).minutes(),
                                f.plan().landing()),
                        within(1e-9));
    }

    @Test
    void theMinutesAfterAFaultEndWhereItIsShort() {
        List<Lasting.Point> course = List.of(
                new Lasting.Point(0, 4000, 0.02), new Lasting.Point(5, 2500, 0.015), new Lasting.Point(9.4, 0, 0.01));
        Picture p = LastingPicture.draw(new Lasting(9.4, 0.01, 0, Map.of(), course), UnitSystem.US, 260, 150);
        staysOnItsSheet(p);
        assertThat(p.texts()).contains("flow fails at 9.4", "min", "Inlet pressure over its least, psi");
        assertThat(p.pieces().get(0).words()).endsWith("flow fails after 9.4 minutes");
    }

    @Test
    void whatDoesNotGetShortIsNotSaidToBe() {
        List<Lasting.Point> course = List.of(new Lasting.Point(0, 4000, 0.02), new Lasting.Point(30, 4000, 0.015));
        Picture p = LastingPicture.draw(
                new Lasting(Double.POSITIVE_INFINITY, 0.01, 0, Map.of(), course), UnitSystem.METRIC, 260, 150);
        staysOnItsSheet(p);
        assertThat(p.texts()).noneMatch(t -> t.contains("fails"));
        assertThat(p.pieces().get(0).words()).isEqualTo("Flow does not fail in the 30 minutes checked");
        List<Lasting.Point> nothing =
                List.of(new Lasting.Point(0, Double.NaN, 0.02), new Lasting.Point(1, Double.NaN, 0.02));
        assertThat(LastingPicture.draw(new Lasting(0, 0, 0, Map.of(), nothing), UnitSystem.US, 260, 150)
                        .pieces())
                .as("where nothing arrives nothing is drawn")
                .isEmpty();
    }

    /** What is over stands at today, what comes later further right, and what is left out is counted. */
    @Test
    void whatFallsDueStandsInOrder() {
        Project p = Systems.corrie();
        List<Due> due = Due.of(p.upkeep(), TODAY);
        assertThat(due).isNotEmpty();
        Picture picture = DuePicture.draw(due, TODAY, MEASURE, 900, 130);
        staysOnItsSheet(picture);
        List<Due> shown = due.stream()
                .filter(d -> picture.texts().contains(d.part().name()))
                .toList();
        assertThat(shown).isNotEmpty();
        double left = 24;
        for (Due d : shown) {
            double x = marks(picture)
                            .filter(Mark.Label.class::isInstance)
                            .map(Mark.Label.class::cast)
                            .filter(l -> l.text().equals(d.part().name()))
                            .findFirst()
                            .orElseThrow()
                            .x()
                    - 4;
            if (d.verdict() == Verdict.FAILS || d.verdict() == Verdict.NOT_SHOWN) {
                assertThat(x).as(d.part().name()).isCloseTo(left, within(1e-9));
            } else {
                assertThat(x).as(d.part().name()).isGreaterThan(left);
            }
        }
        long soon = due.stream()
                .filter(d -> d.verdict() == Verdict.FAILS
                        || d.verdict() == Verdict.NOT_SHOWN
                        || d.on().filter(o -> o.isBefore(TODAY.plusMonths(24))).isPresent())
                .count();
        long missing = soon - shown.size();
        assertThat(picture.texts())
                .as("%s of %s shown", shown.size(), soon)
                .matches(t -> missing == 0
                        ? t.stream().noneMatch(x -> x.startsWith("and "))
                        : t.contains("and " + missing + " more in the list"));
        assertThat(DuePicture.draw(List.of(), TODAY, MEASURE, 900, 130)
                        .pieces()
                        .get(0)
                        .words())
                .isEqualTo("Nothing due in two years");
    }

    /** Readings are numbered where they were taken, two at one part beside each other, and what is next is ringed. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void readingsStandWhereTheyWereTaken(String demo) {
        Project p = Systems.demo(demo);
        Condition c = StartingCase.of(p);
        Picture layout = ReadPlaces.layout(
                new SchematicSubject(
                        p.system(), p.brief().envelope().attitudes(), c, Optional.empty(), "", UnitSystem.US),
                320,
                360,
                MEASURE);
        assertThat(layout.texts()).as("the layout has no words of its own").isEmpty();
        List<ReadPlaces.Number> numbers = new ArrayList<>();
        List<String> ids = p.system().items().stream().map(Item::id).toList();
        for (int i = 0; i < ids.size(); i++) {
            numbers.add(new ReadPlaces.Number(ids.get(i), i + 1, i % 2 == 0, "Reading " + (i + 1)));
        }
        numbers.add(new ReadPlaces.Number(ids.get(0), ids.size() + 1, false, "again"));
        Picture drawn = ReadPlaces.draw(layout, numbers, Map.of(), Optional.of(ids.get(1)));
        staysOnItsSheet(drawn);
        Set<String> bodies =
                layout.pieces().stream().map(Picture.Piece::item).collect(java.util.stream.Collectors.toSet());
        assertThat(numbers)
                .filteredOn(n -> bodies.contains(n.item()))
                .isNotEmpty()
                .allSatisfy(n -> assertThat(drawn.texts()).contains("" + n.number()));
        List<Mark.Label> firstTwo = marks(drawn)
                .filter(Mark.Label.class::isInstance)
                .map(Mark.Label.class::cast)
                .filter(l -> l.text().equals("1") || l.text().equals("" + (ids.size() + 1)))
                .toList();
        assertThat(firstTwo).hasSize(2);
        assertThat(Math.abs(firstTwo.get(0).x() - firstTwo.get(1).x()))
                .as("beside each other")
                .isGreaterThan(8);
        Picture open = ReadPlaces.draw(
                layout, List.of(), Map.of(ids.get(0), "p", "no-such-item", "f"), Optional.of("no-such-item"));
        assertThat(open.texts()).containsExactly("p");
    }
}
