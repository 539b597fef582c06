package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Samples;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.answer.assess.Assessment;
import ration.answer.assess.Regime;
import ration.answer.assess.StartingCase;
import ration.base.quantity.UnitSystem;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** Nothing in the drawing lies on what it does not belong to: texts, lines and symbols, in every attitude. */
class CollisionsTest {

    /** The drawing in a window of 1280 x 800, and of 1024 x 700. */
    private static final SchematicView WIDE = SchematicView.of(860, 612);

    private static final SchematicView NARROW = SchematicView.of(892, 500);

    /** Random layouts drawn. */
    static final int RANDOM = Samples.of(8, 500);

    /** The windows one of several documents is drawn in: each in one, and in both in the long build. */
    private static List<SchematicView> windows(int which) {
        return Samples.some(which % 2 == 0 ? List.of(WIDE, NARROW) : List.of(NARROW, WIDE), 1);
    }

    private static List<Set<String>> drawn(Project p, SchematicView view, boolean solved) {
        List<Set<String>> all = new ArrayList<>();
        Assessment a = solved ? Assessment.of(p) : null;
        for (Attitude at : p.brief().envelope().attitudes()) {
            Condition c = StartingCase.of(p).with(at);
            Picture picture = Schematic.draw(
                    new SchematicSubject(
                            p.system(),
                            p.brief().envelope().attitudes(),
                            c,
                            a == null ? Optional.empty() : a.look(c),
                            "",
                            UnitSystem.US,
                            Regime.usual(p.brief())),
                    view,
                    Collisions.MEASURE);
            Set<String> found = Collisions.of(picture);
            found.addAll(solved ? unnamed(p, picture) : Set.of());
            all.add(found);
        }
        return all;
    }

    /** Items whose name stands nowhere. */
    private static Set<String> unnamed(Project p, Picture picture) {
        List<String> texts = picture.texts();
        return p.system().items().stream()
                .filter(i -> texts.stream().noneMatch(t -> t.startsWith(i.name())))
                .map(i -> "without its name: " + i.name())
                .collect(java.util.stream.Collectors.toSet());
    }

    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void demosHaveNoneInEitherWindow(String demo) {
        assertThat(drawn(Systems.demo(demo), WIDE, true))
                .allSatisfy(found -> assertThat(found).isEmpty());
        assertThat(drawn(Systems.demo(demo), NARROW, true))
                .allSatisfy(found -> assertThat(found).isEmpty());
    }

    @ParameterizedTest
    @EnumSource(Pattern.class)
    void startingLayoutsHaveNoneInEitherWindow(Pattern pattern) {
        for (SchematicView view : windows(pattern.ordinal())) {
            assertThat(drawn(pattern.project(), view, true))
                    .allSatisfy(found -> assertThat(found).isEmpty());
        }
    }

    /** Whole systems as people build them. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "two-outlets",
                "collector-sump",
                "collectors-duplex",
                "twin-pumps-six-port",
                "header-bleed",
                "jet-siphon",
                "pump-modules"
            })
    void wholeSystemsHaveNone(String name) {
        Project p = Systems.demo(name);
        assertThat(Assessment.of(p).problems()).isEmpty();
        for (SchematicView view : windows(name.length())) {
            assertThat(drawn(p, view, true))
                    .allSatisfy(found -> assertThat(found).isEmpty());
        }
    }

    /** What the program offers, put in at random: at most one picture in a hundred has a collision at all. */
    @Test
    void randomLayoutsSeldomHaveOne() {
        int pictures = 0;
        int wrong = 0;
        Map<String, Integer> words = new TreeMap<>();
        for (int seed = 0; seed < RANDOM; seed++) {
            Project p = random(new Random(seed));
            for (Set<String> found : drawn(p, seed % 2 == 0 ? WIDE : NARROW, false)) {
                pictures++;
                wrong += found.isEmpty() ? 0 : 1;
                found.forEach(f -> words.merge(f.replaceAll("\\d+", "n"), 1, Integer::sum));
            }
        }
        assertThat(wrong).as("of " + pictures + ": " + words).isLessThanOrEqualTo(Math.max(1, pictures / 100));
    }

    static Project random(Random random) {
        Project demo = Systems.demo(random.nextBoolean() ? "corrie-b1" : "brindle-a2");
        FuelSystem system = demo.system();
        for (int i = 1 + random.nextInt(4); i > 0; i--) {
            Run run = system.runs().get(random.nextInt(system.runs().size()));
            NewItem kind = NewItem.values()[random.nextInt(NewItem.values().length)];
            system = LayoutEdits.add(
                            system,
                            run.id(),
                            random.nextInt(4) == 0 ? LayoutEdits.Spot.BRANCH : LayoutEdits.Spot.IN_RUN,
                            kind)
                    .map(LayoutEdits.Outcome::system)
                    .orElse(system);
        }
        return demo.with(system);
    }

    /** The counter sees what is wrong: the same drawing with a symbol's line led through another, a text on a text. */
    @Test
    void theCounterFindsWhatIsPutThere() {
        Picture good = Schematic.draw(
                new SchematicSubject(
                        Systems.corrie().system(),
                        Systems.corrie().brief().envelope().attitudes(),
                        StartingCase.of(Systems.corrie()),
                        Optional.empty(),
                        "",
                        UnitSystem.US),
                WIDE,
                Collisions.MEASURE);
        assertThat(Collisions.of(good)).isEmpty();
        List<Picture.Piece> pieces = new ArrayList<>(good.pieces());
        pieces.add(new Picture.Piece(
                "x",
                Picture.Kind.TEXT,
                "",
                List.of(
                        new Mark.Label(400, 300, "one", 12, false, Ink.INK, Mark.Anchor.START),
                        new Mark.Label(404, 302, "two", 12, false, Ink.INK, Mark.Anchor.START))));
        pieces.add(new Picture.Piece(
                "y",
                Picture.Kind.RUN,
                "",
                List.of(new Mark.Path(
                        List.of(new Mark.Spot(60, 300), new Mark.Spot(800, 300)),
                        false,
                        Ink.NONE,
                        Mark.Pen.of(Ink.FUEL, 5),
                        0))));
        pieces.add(new Picture.Piece(
                "z",
                Picture.Kind.RUN,
                "",
                List.of(new Mark.Path(
                        List.of(new Mark.Spot(60, 301), new Mark.Spot(300, 301)),
                        false,
                        Ink.NONE,
                        Mark.Pen.of(Ink.FUEL, 5),
                        0))));
        assertThat(Collisions.of(new Picture(860, 612, pieces)))
                .contains("text on text: one / two")
                .anyMatch(f -> f.startsWith("lines y and z in one place"))
                .anyMatch(f -> f.startsWith("line y through text: two"));
    }

    /** What does not move a thing on the drawing moves no line: another case, another size, another figure. */
    @ParameterizedTest
    @CsvSource({"r3,0.2", "r1,0.35"})
    void sizesAndCasesMoveNoLine(String id, double bore) {
        Project p = Systems.corrie();
        Condition level = StartingCase.of(p);
        Arrangement before = arrangement(p.system(), p, level);
        FuelSystem other = p.system()
                .change(id, Run.class, r -> r.withSize(ration.aircraft.model.LineSize.parse(bore + " in bore")));
        Arrangement after = arrangement(
                other, p, level.with(p.brief().envelope().attitudes().get(2)));
        for (Item item : p.system().runs()) {
            Run run = (Run) item;
            if (!run.id().equals(id)) {
                assertThat(after.way(run))
                        .extracting(s -> Math.round(s.x()))
                        .containsSubsequence(before.way(run).stream()
                                .map(s -> Math.round(s.x()))
                                .distinct()
                                .toList());
            }
        }
    }

    private static Arrangement arrangement(FuelSystem system, Project p, Condition c) {
        return new Arrangement(
                new SchematicSubject(system, p.brief().envelope().attitudes(), c, Optional.empty(), "", UnitSystem.US),
                WIDE);
    }
}
