package ration.record.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import ration.aircraft.model.FuelSystem;
import ration.record.file.ProjectFile;

class CostListTest {

    @Test
    void theListThatShipsHasEveryPartAndSaysThatItIsMadeUp() {
        CostList list = CostList.shipped();
        for (Part p : Part.values()) {
            assertThat(list.of(p, "")).as(p.key()).isPresent();
        }
        assertThat(list.sources()).containsExactly("made up");
        assertThat(CostList.read(list.text()).of(Part.LINE, "3/8")).isEqualTo(list.of(Part.LINE, "3/8"));
    }

    @Test
    void aSizeOfItsOwnGoesBeforeAll() {
        CostList list =
                CostList.read("\ufeffPart,Size,Price,Hours,Weight,Source,Date\nline,,3,0.1,0.05,shop,2026-11-02\n"
                        + "line,3/8,2.5,0.2,,\"shop, by phone\",\n");
        assertThat(list.of(Part.LINE, "3/8").orElseThrow().price()).isEqualTo(2.5);
        assertThat(list.of(Part.LINE, "3/8").orElseThrow().source()).isEqualTo("shop, by phone");
        assertThat(list.of(Part.LINE, "1/2").orElseThrow().price()).isEqualTo(3);
        assertThat(list.of(Part.PUMP, "")).isEmpty();
    }

    @Test
    void aBillAddsUpAndNamesWhatIsMissing() {
        CostList list = CostList.read("part,price,hours,weight\nline,2,0.1,0.05\nend,8,0.3,0.02\n");
        Bill bill = Bill.of(
                list,
                List.of(
                        new Takes(Part.LINE, "3/8", 1.5),
                        new Takes(Part.END, "3/8", 2),
                        Takes.one(Part.PUMP),
                        Takes.one(Part.PUMP)));
        assertThat(bill.price()).isEqualTo(19);
        assertThat(bill.hours()).isCloseTo(0.75, org.assertj.core.api.Assertions.within(1e-12));
        assertThat(bill.weightKg()).isCloseTo(0.115, org.assertj.core.api.Assertions.within(1e-12));
        assertThat(bill.missing()).containsExactly("pump");
    }

    @Test
    void whatCannotBeReadSaysWhereAndWhatToWrite() {
        assertThatThrownBy(() -> CostList.read("part,hours\nline,1\n")).hasMessageContaining("price");
        assertThatThrownBy(() -> CostList.read("part,price,hours\nwing,1,1\n"))
                .hasMessageContaining("Row 1")
                .hasMessageContaining("wing")
                .hasMessageContaining("tank-mount");
        assertThatThrownBy(() -> CostList.read("part,price,hours\nline,2\u20ac,1\n"))
                .hasMessageContaining("Row 1, line")
                .hasMessageContaining("12.50");
        assertThatThrownBy(() -> CostList.read("part,price,hours\nline,-2,1\n")).hasMessageContaining("0 or above");
        assertThatThrownBy(() -> CostList.read("part,price,hours\nline,2,1\nline,3,1\n"))
                .hasMessageContaining("twice");
        assertThatThrownBy(() -> CostList.read("part,price,hours\n")).hasMessageContaining("no row");
        assertThatThrownBy(() -> CostList.read("part,price,hours\n\"line,2,1\n"))
                .hasMessageContaining("quotation");
    }

    /**
     * Made by hand of the Corrie: four lines with eight ends, one selector, one strainer; nothing has a price of its
     * own.
     */
    @Test
    void aLayoutAddsUpByTheFootAndThePiece() throws Exception {
        FuelSystem corrie = ProjectFile.demo("corrie-b1").system();
        CostList feet = CostList.read("part,price,hours\nline,1,0\n");
        CostList ends = CostList.read("part,price,hours\nend,1,0\n");
        CostList rest = CostList.read("part,price,hours,weight\nselector,100,2,0.3\nstrainer,10,1,0.2\n");
        double run = corrie.runs().stream()
                .mapToDouble(r -> r.lengthM(
                        corrie.point(r.from()).orElseThrow(),
                        corrie.point(r.to()).orElseThrow()))
                .sum();
        assertThat(Bill.of(feet, LayoutParts.of(corrie)).price())
                .isCloseTo(run / 0.3048, org.assertj.core.api.Assertions.within(1e-9));
        assertThat(Bill.of(ends, LayoutParts.of(corrie)).price())
                .isEqualTo(2 * corrie.runs().size());
        Bill parts = Bill.of(rest, LayoutParts.of(corrie));
        assertThat(parts.price()).isEqualTo(110);
        assertThat(parts.weightKg()).isEqualTo(0.5);
        assertThat(LayoutParts.words(CostList.shipped(), corrie)).contains("prices made up", "without tanks");
    }
}
