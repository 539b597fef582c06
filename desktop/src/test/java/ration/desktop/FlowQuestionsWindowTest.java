package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import ration.aircraft.model.FieldSheet;
import ration.record.project.Pattern;

/** How steep, and which tank: asked on the Flow page, answered for the case looked at. */
class FlowQuestionsWindowTest extends WindowHarness {

    @Test
    void howSteepAndWhichTankAreAnsweredForTheCase() {
        robot.clickOn("#rail-flow");
        until(() -> robot.lookup("#flow-how-steep").tryQuery().isPresent());
        press("#flow-how-steep");
        until(() -> label("#ask-state").startsWith("Climb 17\u00b0 OK from "));
        String upper = label("#ask-state");
        robot.clickOn("#position-selector-fuselage");
        until(() -> label("#ask-state").startsWith("Climb 17\u00b0 OK from ")
                && !label("#ask-state").equals(upper));
        assertThat(node("#how-steep").getAccessibleText()).startsWith("Climb 17\u00b0 OK from ");
        press("#flow-which-tank");
        until(() -> label("#ask-state").contains("Only one tank feeds"));
        robot.interact(() -> session.show(Pattern.GRAVITY_TEED.project(), null));
        robot.clickOn("#rail-flow");
        until(() -> robot.lookup("#flow-which-tank").tryQuery().isPresent());
        press("#flow-which-tank");
        until(() ->
                label("#ask-state").contains(", line ") && label("#ask-state").contains("Equal at "));
        assertThat(everyText()).contains("lost to Tee", "its vent adds");
        press("#flow-along-the-path");
        until(() ->
                robot.lookup("#path-profile").tryQuery().filter(Node::isVisible).isPresent());
    }

    /** A pump is chosen out of a table: too small a one is told, one that will do is tried, and undone. */
    @Test
    void aPumpIsChosenFromCandidates() throws Exception {
        robot.interact(() -> {
            try {
                session.show(ration.record.file.ProjectFile.demo("brindle-a2"), null);
            } catch (ration.record.file.ProjectFileException e) {
                throw new IllegalStateException(e);
            }
        });
        robot.clickOn("#rail-flow");
        until(() -> robot.lookup("#flow-which-pump").tryQuery().isPresent());
        press("#flow-which-pump");
        until(() -> label("#pump-state").startsWith("Required: "));
        assertThat(node("#pump-row-lift-pump-fitted-").getAccessibleText()).contains(", Holds, gives ");
        answers.open = folder.resolve("pumps.csv");
        java.nio.file.Files.writeString(
                answers.open, "pump,flow,pressure\nFaint,0,1\nFaint,30,0\nStout,0,4\nStout,40,3\n");
        press("#pump-candidates");
        until(() -> robot.lookup("#pump-row-faint").tryQuery().isPresent());
        assertThat(node("#pump-row-faint").getAccessibleText()).contains(", Fails, gives 0.");
        press("#pump-row-stout");
        until(() -> node("#pump-picture").getAccessibleText().contains("Stout fits"));
        press("#pump-try");
        until(() -> session.project()
                .system()
                .item("lift")
                .flatMap(x -> x.only(ration.aircraft.model.Pump.class))
                .filter(x -> x.curve().size() == 2)
                .isPresent());
        until(() -> label("#pump-state").startsWith("Required: "));
        robot.interact(session::undo);
    }

    /**
     * The Corrie made to hold: sets by cost, one opened and tried by keys, undone; what is left alone is not offered.
     */
    @Test
    void aLayoutIsMadeToHold() {
        robot.clickOn("#rail-flow");
        until(() -> robot.lookup("#flow-make-it-hold").tryQuery().isPresent());
        press("#flow-make-it-hold");
        until(() -> robot.lookup("#improve-set-2").tryQuery().isPresent());
        assertThat(label("#improve-state")).contains("sets of up to 4 changes", "the cheapest first");
        assertThat(label("#improve-always")).contains("Vented cap on Upper tank");
        assertThat(label("#improve-prices")).contains("made up", "Not shown until its test is run");
        robot.interact(() -> node("#improve-set-1").requestFocus());
        robot.type(KeyCode.ENTER);
        until(() -> robot.lookup("#improve-opened").tryQuery().isPresent());
        robot.type(KeyCode.DOWN);
        until(() -> node("#improve-set-2").isFocused());
        robot.type(KeyCode.UP);
        until(() -> node("#improve-set-1").isFocused());
        assertThat(everyText()).contains("flow same").anyMatch(t -> t.startsWith("Tests it ends: "));
        until(() -> everyText().stream().anyMatch(t -> t.startsWith("Failures: ") && t.contains(" Fail, ")));
        press("#improve-keep");
        until(() -> session.project().variants().size() == 1);
        robot.clickOn("#rail-variants");
        until(() -> robot.lookup("#variant-make-set-1").tryQuery().isPresent());
        assertThat(label("#variants-state")).isEqualTo("1 of 1 variant has nothing that Fails.");
        assertThat(everyText()).contains("Tests it ends", "Differs by");
        // on one ruler, what differs named in the drawing
        until(() -> drawn("#variant-layout-drawing") > 20 && drawn("#variant-set-1-drawing") > 20);
        assertThat(everyText()).contains("R3 3/8", "R2 1/2");
        press("#variant-make-set-1");
        until(() -> session.project().variants().get(0).name().equals("Former layout"));
        assertThat(session.project().asBuilt().system())
                .isNotEqualTo(session.project().variants().get(0).system());
        robot.interact(session::undo);
        robot.interact(session::undo);
        assertThat(session.project().variants()).isEmpty();
        robot.clickOn("#rail-flow");
        until(() -> robot.lookup("#improve-set-1").tryQuery().isPresent());
        robot.interact(() -> node("#improve-try-1").requestFocus());
        robot.type(KeyCode.SPACE);
        until(() -> label("#improve-state").startsWith("Nothing Fails."));
        assertThat(session.shown().get().assessment().findings())
                .noneMatch(f -> f.verdict() == ration.verdict.check.Verdict.FAILS);
        press("#improve-failures");
        until(() -> label("#improve-of-failures").startsWith("Failures as it is: 8 of 48 Fail, 16 Not shown."));
        press("#improve-failures");
        until(() -> label("#improve-of-failures").isEmpty());
        robot.interact(session::undo);
        until(() -> robot.lookup("#improve-set-1").tryQuery().isPresent());
        press("#improve-leave-vents");
        until(() -> label("#improve-beyond").contains("Blocked vent of Upper tank"));
        robot.interact(session::undo);
        press("#improve-leave-vents");
        press("#flow-cases");
        until(() ->
                robot.lookup("#path-profile").tryQuery().filter(Node::isVisible).isPresent());
    }

    private int drawn(String picture) {
        return robot.lookup(picture)
                .tryQuery()
                .map(n -> ((javafx.scene.Parent) n)
                        .lookupAll("*").stream()
                                .filter(javafx.scene.shape.Shape.class::isInstance)
                                .toList()
                                .size())
                .orElse(0);
    }

    /** What decides is ranked, what would settle it is proposed, ticked and printed, and its reading entered. */
    @Test
    void whatToMeasureNextLeadsToItsFigure() {
        robot.interact(() -> {
            try {
                session.show(ration.record.file.ProjectFile.demo("brindle-a2"), null);
            } catch (ration.record.file.ProjectFileException e) {
                throw new IllegalStateException(e);
            }
        });
        robot.clickOn("#rail-flow");
        until(() -> robot.lookup("#flow-measure-next").tryQuery().isPresent());
        press("#flow-measure-next");
        until(() -> label("#measure-head").startsWith("Sure as entered"));
        press("#measure-unusable");
        until(() -> label("#measure-head").startsWith("Measure 2 things, 35 minutes"));
        assertThat(label("#measure-outcomes")).contains("still open", "never promised");
        assertThat(everyText()).contains("Hull tank shape", "level and tape");
        until(() -> node("#measure-picture").getAccessibleText().startsWith("Unusable fuel: 12 of 100"));
        press("#measure-tick-hull-outlets-outlet-at-waterLine");
        until(() -> label("#measure-head").startsWith("Measure 3 things, 45 minutes"));
        answers.save = folder.resolve("readings.pdf");
        press("#measure-sheet");
        until(() -> java.nio.file.Files.exists(folder.resolve("readings.pdf")));
        press("#measure-tick-hull-outlets-outlet-at-waterLine");
        until(() -> label("#measure-head").startsWith("Measure 2 things, 35 minutes"));
        press("#measure-open-hull-shape");
        until(() -> "hull".equals(session.picked().get()));
        robot.clickOn("#rail-flow");
        until(() -> robot.lookup("#flow-cases").tryQuery().isPresent());
        // a reading is entered where it was asked for, with how it was taken, and is one step to undo
        String field = "#measure-read-hull-outlets-outlet-at-waterLine";
        until(() -> robot.lookup(field).tryQuery().isPresent());
        type(field, "20 1/8");
        press("#measure-enter-hull-outlets-outlet-at-waterLine");
        until(() -> label("#measure-wrong-hull-outlets-outlet-at-waterLine").startsWith("Say how it was measured"));
        assertThat(session.changed().get()).isFalse();
        type("#measure-by-hull-outlets-outlet-at-waterLine", "water");
        keys(KeyCode.ENTER);
        until(() -> session.undoName().equals("Set outlet wl of Hull tank"));
        assertThat(session.project()
                        .system()
                        .tanks()
                        .get(0)
                        .outlets()
                        .get(0)
                        .place()
                        .waterLine())
                .satisfies(m -> {
                    assertThat(m.by()).isEqualTo("water");
                    assertThat(m.si()).isEqualTo(ration.base.quantity.Unit.INCH.toSi(20.125));
                });
        // the walls of the hull have no source: it is asked first, and said of all corners at once
        until(() -> label("#measure-first").contains("Hull tank shape"));
        type("#measure-source-hull-shape", "tape");
        keys(KeyCode.ENTER);
        until(() -> session.undoName().equals("Source of the corners of Hull tank"));
        until(() -> robot.lookup("#measure-first").queryAll().stream().noneMatch(Node::isManaged)
                && robot.lookup("#measure-head").tryQuery().isPresent()
                && !label("#measure-head").startsWith("Moving"));
        // a third, of another answer
        Set<String> read = new HashSet<>(Set.of(field));
        for (String answer : List.of("#measure-vapor")) {
            press(answer);
            until(() -> next(read).isPresent());
            String id = next(read).orElseThrow();
            read.add("#" + id);
            String figure = figure(id.substring("measure-read-".length()));
            type("#" + id, figure);
            type("#" + id.replace("-read-", "-by-"), "caliper");
            String before = session.undoName();
            keys(KeyCode.ENTER);
            until(() -> !session.undoName().equals(before));
            until(() -> session.shown().get().project() == session.project());
        }
        assertThat(read).hasSize(2);
        press("#flow-cases");
    }

    /** A row that takes a reading, and that none was entered in. */
    private Optional<String> next(Set<String> read) {
        return robot.lookup(".text-field").queryAll().stream()
                .map(Node::getId)
                .filter(id -> id != null && id.startsWith("measure-read-") && !read.contains("#" + id))
                .filter(id -> !figure(id.substring("measure-read-".length())).isEmpty())
                .findFirst();
    }

    /** The figure a row is of, as it stands. */
    private String figure(String row) {
        return session.project().system().items().stream()
                .flatMap(i -> FieldSheet.of(i).stream()
                        .filter(f -> row.equals(i.id() + "-"
                                + f.key().replaceAll("\\.loss$", "").replaceAll("[^a-zA-Z0-9]+", "-")))
                        .map(f -> f.get().apply(i).quantity().text()))
                .findFirst()
                .orElse("");
    }

    /**
     * A starting layout knows no engine: the ledger asks which, the Brief tells what is assumed, and one press says
     * that it is so.
     */
    @Test
    void anAssumedEngineShowsNothingUntilItIsSaid() {
        robot.interact(() -> session.show(Pattern.GRAVITY_SELECTOR.project(), null));
        until(() -> everyText().contains("engine assumed"));
        robot.clickOn("#rail-brief");
        until(() -> label("#assumed").contains("takeoff power 100 hp"));
        press("#assumed-so");
        until(() -> everyText().contains("needs 1.50\u00d7")
                && !node("#assumed-so").getParent().isVisible());
        // the engine is said; what nobody measured still keeps the margin from being shown
        until(() -> session.shown()
                .get()
                .assessment()
                .sure()
                .filter(s -> !s.open().isEmpty())
                .isPresent());
        assertThat(session.shown().get().assessment().flowVerdict()).isEqualTo(ration.verdict.check.Verdict.NOT_SHOWN);
        robot.interact(session::undo);
        until(() -> everyText().contains("engine assumed"));
    }
}
