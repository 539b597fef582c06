package ration.record.project;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tag;
import ration.answer.assess.StartingCase;
import ration.answer.drawdown.UsualFlight;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.acceptance.SignOff;
import ration.record.evidence.HangarTest;
import ration.record.reading.Reading;
import ration.record.reading.Setting;

/** What a builder reads before another's work is written over: everything that differs is named, nothing else is. */
class DifferenceTest {

    private static final Project CORRIE = Systems.corrie();

    @Test
    void nothingIsSaidOfTheSame() {
        assertThat(Difference.between(CORRIE, Systems.corrie())).isEmpty();
    }

    @Test
    void whatChangedIsNamed() {
        assertThat(Difference.between(
                        CORRIE,
                        CORRIE.with(CORRIE.system()
                                .change("r3", Run.class, r -> r.withLength(Measured.of(17, Unit.INCH))))))
                .satisfiesExactly(
                        w -> assertThat(w).startsWith("R3: length was ").endsWith("now 17 in"));
        assertThat(Difference.between(
                        CORRIE,
                        CORRIE.with(CORRIE.system()
                                .change("r3", Run.class, r -> r.withSize(LineSize.parse("3/8 x 0.035 tube"))))))
                .containsExactly("R3: size was 5/16, now 3/8");
        assertThat(Difference.between(
                        CORRIE,
                        CORRIE.with(CORRIE.system()
                                .change(
                                        "strainer",
                                        ration.aircraft.model.Strainer.class,
                                        s -> s.withBowl(Optional.of(Measured.of(7, Unit.CUBIC_INCH)))))))
                .containsExactly("Strainer: bowl capacity was 4 in³, now 7 in³");
        assertThat(Difference.between(
                        CORRIE, CORRIE.with(CORRIE.heat().with(HeatFigure.CEILING, Measured.of(9000, Unit.FOOT)))))
                .satisfiesExactly(w -> assertThat(w)
                        .startsWith("Highest pressure altitude flown was ")
                        .endsWith("now 9000 ft"));
        assertThat(Difference.between(CORRIE, CORRIE.with(CORRIE.brief().withDelivery(Brief.Delivery.PUMP))))
                .containsExactly("Delivery was gravity, now pump");
        assertThat(Difference.between(
                        CORRIE,
                        CORRIE.with(new ration.aircraft.model.FuelSystem(
                                CORRIE.system().items(), Optional.empty()))))
                .containsExactly("the firewall differs");
    }

    @Test
    void testsAreComparedOneByOne() {
        Project fewer =
                CORRIE.withTests(CORRIE.tests().subList(0, CORRIE.tests().size() - 1));
        String last = CORRIE.tests().get(CORRIE.tests().size() - 1).id();
        assertThat(Difference.between(CORRIE, fewer)).containsExactly("test " + last + " was removed");
        assertThat(Difference.between(fewer, CORRIE)).containsExactly("test " + last + " is new");
    }

    /** Whatever a document holds beside the layout: what is otherwise is named, and nothing beside it. */
    @Test
    void everyOtherPartOfADocumentIsNamed() {
        Brief b = CORRIE.brief();
        Map<Project, String> changes = new LinkedHashMap<>();
        changes.put(CORRIE.withName("Corrie B2"), "named Corrie B2");
        changes.put(CORRIE.withNote(CORRIE.note() + "!"), "another note");
        changes.put(CORRIE.with(UsualFlight.of(CORRIE)), "the flight differs");
        changes.put(
                CORRIE.withReadings(List.of(new Reading(
                        "strainer", Reading.What.PRESSURE, 4000, 300, new Setting(StartingCase.of(CORRIE), Set.of())))),
                "readings differ");
        changes.put(CORRIE.with(CORRIE.upkeep().withHours(CORRIE.upkeep().hours() + 1)), "maintenance differs");
        changes.put(
                CORRIE.with(CORRIE.signOff().with(new SignOff.Point("flow.margin", "builder", "tube ordered"))),
                "notes on open items differ");
        changes.put(
                CORRIE.with(CORRIE.signOff()
                        .with(new SignOff.Issued(LocalDate.of(2026, 3, 9), "0000 1111 2222 3333", "packet.pdf"))),
                "another packet was issued");
        changes.put(CORRIE.with(CORRIE.heat().withZone("strainer", Zone.SHROUD)), "zones differ");
        Measured climb = b.envelope().climb();
        changes.put(
                CORRIE.with(b.withEnvelope(b.envelope().withClimb(new Measured(climb.quantity(), "level")))),
                "Climb: source now level");
        changes.put(
                CORRIE.with(b.withEnvelope(b.envelope().withClimb(new Measured(climb.quantity(), "")))),
                "Climb: source now unknown");
        changes.put(CORRIE.with(b.withEngine("another")), "Engine was " + b.engine() + ", now another");
        changes.forEach((other, words) ->
                assertThat(Difference.between(CORRIE, other)).as(words).containsExactly(words));
    }

    /** A part renamed, made of something else, given or rid of a figure, a run led elsewhere. */
    @Test
    void whatAPartIsBesideItsFiguresIsNamed() {
        FuelSystem s = CORRIE.system();
        Strainer strainer =
                s.item("strainer").flatMap(i -> i.only(Strainer.class)).orElseThrow();
        FuelSystem without = s.replace(strainer.withBowl(Optional.empty()));
        assertThat(Difference.between(CORRIE, CORRIE.with(without)))
                .containsExactly("Strainer: bowl capacity was 4 in\u00b3, now there is none");
        assertThat(Difference.between(CORRIE.with(without), CORRIE))
                .containsExactly("Strainer: bowl capacity is new: 4 in\u00b3");
        assertThat(Difference.between(
                        CORRIE,
                        CORRIE.with(s.replace(strainer.with(new Tag("strainer", "Gascolator", strainer.place()))))))
                .containsExactly("Strainer is now called Gascolator");
        assertThat(Difference.between(CORRIE, CORRIE.with(s.replace(new ShutOff(strainer.tag(), strainer.loss())))))
                .contains("Strainer: kind was strainer, now shutoff valve");
        Run run = s.runs().get(0);
        FuelSystem bent = s.replace(run.withFittings(List.of(Fitting.values()[0], Fitting.values()[0])));
        assertThat(Difference.between(CORRIE, CORRIE.with(bent)))
                .singleElement()
                .asString()
                .startsWith(run.name() + ": fittings was ")
                .endsWith(Fitting.values()[0].label() + ", " + Fitting.values()[0].label());
        FuelSystem straight = s.replace(run.withFittings(List.of()));
        assertThat(Difference.between(CORRIE.with(bent), CORRIE.with(straight)))
                .singleElement()
                .asString()
                .endsWith("now none");
        FuelSystem sleeved = s.replace(run.with(
                run.build().with(new RunBuild.Marks(!run.build().marks().sleeved(), false, false))));
        assertThat(Difference.between(CORRIE, CORRIE.with(sleeved)))
                .containsExactly(run.name() + ": its make-up differs");
    }

    @Test
    void aTestTakenAgainIsNamed() {
        HangarTest last = CORRIE.tests().get(CORRIE.tests().size() - 1);
        HangarTest again = last.with(new HangarTest.Progress(
                last.progress().step(),
                last.progress().seconds() + 60,
                last.progress().done()));
        List<HangarTest> tests =
                CORRIE.tests().stream().map(t -> t == last ? again : t).toList();
        assertThat(Difference.between(CORRIE, CORRIE.withTests(tests)))
                .containsExactly("test " + last.id() + " differs");
    }

    /** One way or the other, the same places are named. */
    @Test
    void bothWaysNameTheSame() {
        Project other = CORRIE.with(CORRIE.system()
                .minus("strainer")
                .change("r2", Run.class, r -> r.withLength(Measured.of(1, Unit.FOOT))));
        List<String> there = Difference.between(CORRIE, other);
        assertThat(there).contains("Strainer was removed").anyMatch(w -> w.startsWith("R2: length was "));
        assertThat(Difference.between(other, CORRIE))
                .contains("Strainer is new")
                .anyMatch(w -> w.startsWith("R2: length was "))
                .hasSameSizeAs(there);
    }
}
