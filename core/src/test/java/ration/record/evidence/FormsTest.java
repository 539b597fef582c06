package ration.record.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.condition.Handles;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.file.StrictSchema;
import ration.record.file.TestsCsv;
import ration.record.project.Project;

/** Every kind of test with every figure entered: its steps ask all of them, file and table keep all of them. */
class FormsTest {

    private static final Project TANSY = Systems.demo("tansy-l3");

    /** Every figure at a third of its range, every piece with the last grade. */
    private static Work.Sheet full(TestKind kind) {
        Form form = Form.of(kind).orElseThrow();
        Work.Sheet sheet =
                Work.Sheet.begun(kind, new Handles(Map.of("selector", "LEFT"), Set.of(), Set.of("boost-pump")));
        for (Form.Ask a : form.once()) {
            sheet = sheet.with(a.key(), figure(a));
        }
        List<Work.Row> rows = new ArrayList<>();
        if (form.grades().isEmpty()) {
            for (int i = 0; i < form.least(); i++) {
                Map<String, Measured> figures = new HashMap<>();
                form.each().forEach(a -> figures.put(a.key(), figure(a)));
                if (!figures.isEmpty()) {
                    rows.add(Work.Row.of(figures));
                }
            }
        }
        for (String piece : form.pieces(TANSY.system()).keySet()) {
            rows.add(new Work.Row(
                    piece,
                    Map.of(),
                    Optional.of(form.grades().get(form.grades().size() - 1)),
                    piece.isEmpty() ? "" : "2026-12-01"));
        }
        return sheet.withRows(rows);
    }

    private static Measured figure(Form.Ask a) {
        double si = a.least() + (a.most() - a.least()) / 3;
        return Measured.of(Math.round(a.unit().fromSi(si) * 100) / 100.0, a.unit(), "by hand");
    }

    private static HangarTest record(TestKind kind, Work work) {
        HangarTest.Circumstances by = new HangarTest.Circumstances(
                        "2026-11-26",
                        "builder",
                        "can, gauge",
                        Optional.of(Measured.of(12, Unit.CELSIUS, "thermometer")),
                        "calm",
                        "")
                .on(new Inputs(Map.of("r3: size", "3/8 x 0.035")))
                .with(new HangarTest.Beside(
                        "a witness",
                        "0.1 psi, 2026-10-01",
                        true,
                        List.of(new HangarTest.Photo("joint.jpg", "ab".repeat(32)))));
        return new HangarTest(
                "test-9",
                kind.on() == TestKind.On.AIRCRAFT || kind.on() == TestKind.On.POSITION ? "" : "left",
                by,
                work,
                new HangarTest.Progress(3, 12, true));
    }

    @ParameterizedTest
    @EnumSource(TestKind.class)
    void fileAndTableKeepEveryFigure(TestKind kind) throws Exception {
        if (Form.of(kind).isEmpty()) {
            assertThat(kind).isIn(TestKind.DRAIN, TestKind.FILL, TestKind.TOP_OFF);
            return;
        }
        HangarTest t = record(kind, full(kind));
        Project kept = TANSY.withTests(List.of(t));
        Project read = ProjectFile.read(ProjectFile.text(kept).getBytes(StandardCharsets.UTF_8), "kept.ration");
        assertThat(read.tests()).containsExactly(t);
        StrictSchema.describes(kept);
        HangarTest table = TestsCsv.read(TestsCsv.write(List.of(t))).get(0);
        assertThat(table.by()).isEqualTo(t.by().withAmbient(table.by().ambient()));
        assertThat(TestsCsv.write(List.of(table.with(t.progress()))))
                .as("who measured a figure is not in the table")
                .isEqualTo(TestsCsv.write(List.of(t)));
    }

    @ParameterizedTest
    @EnumSource(TestKind.class)
    void stepsAskEveryFigureOnceAndBeginWithACaution(TestKind kind) {
        if (Form.of(kind).isEmpty()) {
            return;
        }
        HangarTest t = record(kind, Work.Sheet.begun(kind, new Handles(Map.of(), Set.of(), Set.of())));
        List<Procedure.Step> steps = Procedure.of(t, TANSY.system());
        Form form = Form.of(kind).get();
        assertThat(steps.stream().flatMap(s -> s.keys().stream()).toList())
                .containsExactlyInAnyOrderElementsOf(
                        form.once().stream().map(Form.Ask::key).toList());
        assertThat(steps.get(0).caution()).isNotBlank();
        assertThat(steps)
                .filteredOn(s -> s.asks() == Procedure.Asks.ROW)
                .hasSize(form.each().isEmpty() ? 0 : 1);
        assertThat(steps)
                .filteredOn(s -> s.asks() == Procedure.Asks.EACH)
                .hasSize(form.grades().isEmpty() ? 0 : 1);
        assertThat(steps.get(steps.size() - 1).asks()).isEqualTo(Procedure.Asks.RESULT);
        assertThat(steps).allSatisfy(s -> assertThat(s.asks() != Procedure.Asks.FIGURES
                                && s.asks() != Procedure.Asks.ROW
                                && s.asks() != Procedure.Asks.EACH
                        || !s.caution().isBlank())
                .as(s.title())
                .isTrue());
    }

    /** What cannot be is told with its place, and never becomes a figure. */
    @Test
    void aSpoiltRecordIsRefused() {
        HangarTest t = record(TestKind.FLOW, full(TestKind.FLOW));
        String good = ProjectFile.text(TANSY.withTests(List.of(t)));
        for (String[] spoil : new String[][] {
            {"\"of\" : \"pitch\"", "\"of\" : \"pitsch\"", "this test has no such figure"},
            {"\"kind\" : \"flow\"", "\"kind\" : \"float\"", "this kind of test is not known"}
        }) {
            assertThat(good).contains(spoil[0]);
            assertThatThrownBy(() -> ProjectFile.read(
                            good.replace(spoil[0], spoil[1]).getBytes(StandardCharsets.UTF_8), "x.ration"))
                    .isInstanceOf(ProjectFileException.class)
                    .satisfies(e ->
                            assertThat(((ProjectFileException) e).fullText()).contains(spoil[2]));
        }
        assertThatThrownBy(() -> TestsCsv.read("id,kind,tank,read\na,flow,,volume = 3 psi\n"))
                .hasMessageContaining("Row 2");
        assertThatThrownBy(() -> TestsCsv.read("id,kind,tank,seen\na,overnight,,damp\n"))
                .hasMessageContaining("one of these is expected: dry");
    }

    @Test
    void leakSheetsListTheJointsOfTheDocument() {
        FuelSystem s = TANSY.system();
        assertThat(Form.of(TestKind.OVERNIGHT).orElseThrow().pieces(s))
                .hasSize(2 * s.runs().size());
        Map<String, String> forward = Form.of(TestKind.FIRST_RUN).orElseThrow().pieces(s);
        assertThat(forward).isNotEmpty().hasSizeLessThan(2 * s.runs().size());
        assertThat(forward.keySet()).allSatisfy(p -> assertThat(Form.item(s, p).flatMap(i -> i.only(Run.class)))
                .isPresent());
        assertThat(Form.of(TestKind.VENTS).orElseThrow().pieces(s)).hasSize(2);
    }

    /**
     * A plate in a tank is a joint too: it is looked at over night, and what was found tight before it was there says
     * nothing of it.
     */
    @Test
    void anAccessPlateIsLookedAtAndEndsWhatWasTightBefore() {
        Project plated = TANSY.with(TANSY.system()
                .change("left", Tank.class, t -> t.with(t.fitout().with(Fitout.Piece.ACCESS_PLATE, true))));
        assertThat(Form.of(TestKind.OVERNIGHT).orElseThrow().pieces(plated.system()))
                .containsEntry("left.plate", "Access plate of Left tank");
        assertThat(Form.item(plated.system(), "left.plate")).map(Item::id).contains("left");
        Handles handles = new Handles(Map.of(), Set.of(), Set.of());
        for (TestKind kind : new TestKind[] {TestKind.TANK_PRESSURE, TestKind.OVERNIGHT}) {
            assertThat(RestsOn.of(Known.of(plated.asBuilt()), kind, "left", handles)
                            .lines())
                    .as(kind.name())
                    .containsEntry("left: access plate", "fitted")
                    .isNotEqualTo(RestsOn.of(Known.of(TANSY.asBuilt()), kind, "left", handles)
                            .lines());
        }
        assertThat(RestsOn.of(Known.of(plated.asBuilt()), TestKind.TANK_PRESSURE, "right", handles))
                .isEqualTo(RestsOn.of(Known.of(TANSY.asBuilt()), TestKind.TANK_PRESSURE, "right", handles));
    }
}
