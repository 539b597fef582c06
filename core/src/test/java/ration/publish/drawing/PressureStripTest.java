package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Regime;
import ration.answer.assess.StartingCase;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Picture.Piece;
import ration.record.project.Project;

/** What the strip under a drawing with pumps says, and the two answers of a case the drawing can show. */
class PressureStripTest {

    private static Picture draw(Project p, Condition c, Regime regime, SchematicView view) {
        return Schematic.draw(
                new SchematicSubject(
                        p.system(),
                        p.brief().envelope().attitudes(),
                        c,
                        Assessment.of(p).look(c),
                        "",
                        UnitSystem.US,
                        regime),
                view,
                TextMeasure.approximate());
    }

    private static Optional<String> said(Picture picture) {
        return picture.pieces().stream()
                .map(Piece::words)
                .filter(w -> w.startsWith("Pressure along the path"))
                .findFirst();
    }

    /** Every pressure told is the one the network has at that port. */
    @ParameterizedTest
    @EnumSource
    void tellsThePressuresOfTheAnswerShown(Regime regime) {
        Project p = Systems.demo("tansy-l3");
        CaseAnswer look = Assessment.of(p).look(StartingCase.of(p)).orElseThrow();
        Picture picture = draw(p, look.condition(), regime, SchematicView.of(860, 612));
        double inlet = regime.of(look)
                .pressure(new PortRef(p.system().inlet().orElseThrow().id(), Item.IN))
                .orElseThrow();
        double boost = regime.of(look).pressure(new PortRef("boost", Item.OUT)).orElseThrow();
        assertThat(picture.texts())
                .contains(
                        "Pressure along the path",
                        UnitSystem.US.figure(inlet, Dimension.PRESSURE),
                        UnitSystem.US.figure(boost, Dimension.PRESSURE));
        assertThat(said(picture))
                .hasValueSatisfying(w -> assertThat(w).startsWith("Pressure along the path, Left tank 0.00 psi"));
    }

    /** As it runs the engine takes its demand and no more; the margin's figure stands beside it. */
    @Test
    void asItRunsTheEngineTakesItsDemand() {
        Project p = Systems.demo("tansy-l3");
        Condition c = StartingCase.of(p);
        CaseAnswer look = Assessment.of(p).look(c).orElseThrow();
        List<String> runs =
                draw(p, c, Regime.AS_IT_RUNS, SchematicView.of(860, 612)).texts();
        List<String> most =
                draw(p, c, Regime.AT_MOST, SchematicView.of(860, 612)).texts();
        String demand = UnitSystem.figure(UnitSystem.US.unit(Dimension.FLOW).fromSi(look.need()), 1);
        String capacity = UnitSystem.figure(
                UnitSystem.US.unit(Dimension.FLOW).fromSi(look.capacity().inletFlow()), 1);
        assertThat(runs).contains(demand, "max " + capacity).doesNotContain(capacity);
        assertThat(most).contains(capacity).doesNotContain(demand);
        assertThat(Regime.usual(p.brief())).isEqualTo(Regime.AS_IT_RUNS);
        assertThat(Regime.usual(Systems.corrie().brief())).isEqualTo(Regime.AT_MOST);
    }

    /** Gravity systems need none, and a low window has no room for one: the drawing has the whole height then. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1 612", "tansy-l3 512"})
    void onlyWherePumpsAndRoomAre(String what) {
        Project p = Systems.demo(what.split(" ")[0]);
        Picture picture = draw(
                p, StartingCase.of(p), Regime.AT_MOST, SchematicView.of(860, Double.parseDouble(what.split(" ")[1])));
        assertThat(said(picture)).isEmpty();
    }

    /**
     * With the selector off nothing reaches the engine: the strip says so, or why there is no answer, and draws no
     * line.
     */
    @Test
    void saysWhereNothingFlows() {
        Project p = Systems.demo("tansy-l3");
        Condition off = StartingCase.of(p).withPositions(java.util.Map.of("selector", "OFF"));
        assertThat(said(draw(p, off, Regime.AT_MOST, SchematicView.of(860, 612))))
                .hasValueSatisfying(w ->
                        assertThat(w).startsWith("Pressure along the path: N").doesNotContain("psi"));
    }
}
