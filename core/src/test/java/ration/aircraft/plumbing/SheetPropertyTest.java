package ration.aircraft.plumbing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Run;
import ration.aircraft.model.Validation;
import ration.answer.assess.Assessment;
import ration.record.project.Pattern;

/** Whatever is written or pasted into the sheet, the layout under it stays whole. */
class SheetPropertyTest {

    private static final String[] WORDS = {
        "",
        "yes",
        "no",
        "3/8",
        "17 1/2",
        "-4",
        "1e9",
        "3/8 x 0.035 tube",
        "-6 hose",
        "alu",
        "ptfe",
        "Selector out",
        "Strainer in",
        "tank",
        "2 x 90",
        "1 x 45 elbow",
        "-6 flare female",
        "1/4 NPT male",
        "60 lb-in",
        "12 mm",
        "\u0000",
        "\"",
        "R1",
        "R9",
        "from",
        "To",
        "Length",
        "\u00e9\u00df\u2192",
        "999999999999"
    };

    private static String cell(Random random) {
        return WORDS[random.nextInt(WORDS.length)];
    }

    @Property(tries = 100)
    void anyCellIsTakenOrRefusedWithASentence(@ForAll long seed) {
        Random random = new Random(seed);
        FuelSystem s = Systems.corrie().system();
        for (int i = 0; i < 25; i++) {
            List<Run> runs = s.runs();
            Run run = runs.get(random.nextInt(runs.size()));
            SheetColumn column = SheetColumn.values()[random.nextInt(SheetColumn.values().length)];
            try {
                s = column.set(s, run, cell(random));
            } catch (IllegalArgumentException e) {
                assertThat(e.getMessage()).endsWith(".").hasSizeGreaterThan(15);
            }
        }
        assertThat(s.runs()).hasSize(4);
        assertThat(Validation.of(s)).noneMatch(Problem::breaksLayout);
        assertThat(Joints.of(s)).hasSize(8);
        assertThat(ShoppingList.of(s)).isNotEmpty();
    }

    @Property(tries = 60)
    void anyTableIsPastedOrRefusedAndTheLayoutStaysWhole(@ForAll long seed) {
        Random random = new Random(seed);
        StringBuilder text = new StringBuilder();
        String by = random.nextBoolean() ? "\t" : ";";
        for (int r = 1 + random.nextInt(5); r > 0; r--) {
            List<String> row = new ArrayList<>();
            for (int c = 1 + random.nextInt(7); c > 0; c--) {
                row.add(cell(random));
            }
            text.append(String.join(by, row)).append('\n');
        }
        FuelSystem s = Systems.corrie().system();
        try {
            RunSheet.Outcome out = RunSheet.paste(
                    s,
                    RunSheet.table(text.toString()),
                    random.nextInt(5),
                    SheetColumn.values()[random.nextInt(SheetColumn.values().length)]);
            assertThat(Validation.of(out.system())).noneMatch(Problem::breaksLayout);
            out.problems().forEach(p -> assertThat(p).isNotBlank());
            assertThat(Assessment.of(Systems.project(out.system())).findings()).isNotEmpty();
        } catch (IllegalArgumentException e) {
            assertThat(e.getMessage()).isNotBlank();
        }
    }

    /** Every port has a name of its own that finds it again. */
    @ParameterizedTest
    @EnumSource
    void everyPortIsFoundByTheNameItIsShownUnder(Pattern pattern) {
        FuelSystem s = pattern.project().system();
        for (Item item : s.items()) {
            for (String port : item.ports()) {
                PortRef ref = new PortRef(item.id(), port);
                assertThat(Portname.parse(s, Portname.text(s, ref), List.of())).isEqualTo(ref);
                assertThat(Portname.parse(s, ref.toString().toUpperCase(java.util.Locale.ROOT), List.of()))
                        .isEqualTo(ref);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Run,Length\nR1,60",
                "Run;Length\nR1;60,5",
                "\ufeffRun\tLength\nR1\t60",
                "\"Run\",\"Length\"\n\"R1\",\"60 in\"",
                "Length , Run\r\n 60 in , r1 \r\n"
            })
    void tablesComeWithCommasSemicolonsTabsQuotesAndMarks(String text) {
        RunSheet.Outcome out = RunSheet.paste(Systems.corrie().system(), RunSheet.table(text), 0, SheetColumn.RUN);
        assertThat(out.problems()).isEmpty();
        assertThat(((Run) out.system().item("r1").orElseThrow())
                        .length()
                        .orElseThrow()
                        .quantity()
                        .value())
                .isBetween(60.0, 60.5);
    }

    @Test
    void theShoppingListAddsUpLinesFittingsAndClamps() {
        List<ShoppingList.Line> list = ShoppingList.of(Systems.corrie().system());
        assertThat(list)
                .anyMatch(l -> l.what().equals("Aluminum tube, 3/8 x 0.035 tube")
                        && l.amount().equals("7.9 ft")
                        && l.detail().startsWith("R1, R2"));
        assertThat(list)
                .anyMatch(l -> l.what().equals("Nut and sleeve, -6 flare female")
                        && l.amount().equals("4 pcs"));
        assertThat(list).anyMatch(l -> l.what().equals("Fire sleeve"));
        assertThat(list)
                .anyMatch(l -> l.what().equals("Cushioned clamp for 3/8 tube")
                        && l.amount().equals("4 pcs"));
    }

    /** Each column of the runs is filled by some job, and each job shows which run it fills. */
    @org.junit.jupiter.api.Test
    void everyColumnBelongsToAJob() {
        assertThat(java.util.Arrays.stream(SheetJob.values())
                        .flatMap(j -> j.columns().stream())
                        .distinct())
                .containsExactlyInAnyOrderElementsOf(SheetColumn.ofRuns());
        assertThat(SheetJob.values())
                .allSatisfy(
                        j -> assertThat(j.columns()).startsWith(SheetColumn.RUN).doesNotHaveDuplicates());
    }
}
