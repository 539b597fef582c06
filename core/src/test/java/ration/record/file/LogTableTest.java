package ration.record.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import ration.base.quantity.Unit;

/** Whatever loggers write is read, or refused with a reason. */
class LogTableTest {

    private static LogTable read(String text) {
        return LogTable.read(text, s -> {}, () -> false);
    }

    @Test
    void commasWithUnits() {
        LogTable t = read("time (s),pump [\u00b0F],bowl_C\n0,112,31.5\n60,118,33\n120,125,35\n");
        assertThat(t.columns())
                .extracting(LogTable.Column::name)
                .containsExactly("time (s)", "pump [\u00b0F]", "bowl_C");
        assertThat(t.columns().get(0).unit()).contains(Unit.SECOND);
        assertThat(t.columns().get(1).unit()).contains(Unit.FAHRENHEIT);
        assertThat(t.columns().get(2).unit()).contains(Unit.CELSIUS);
        assertThat(t.columns().get(2).values()).containsExactly(31.5, 33, 35);
    }

    @Test
    void semicolonsDecimalCommasAndGaps() {
        LogTable t = read("Zeit;T1;T2\n0;20,5;\n1,5;21,25;30\n3;;31,5\n\n4,5;23;32\n");
        assertThat(t.rows()).isEqualTo(4);
        assertThat(t.columns().get(1).values()[1]).isEqualTo(21.25);
        assertThat(t.columns().get(1).values()[2]).isNaN();
        assertThat(t.columns().get(2).count()).isEqualTo(3);
    }

    @Test
    void linesBeforeTheNamesClockTimesAndNoUnits() {
        LogTable t = read("\ufeffLogger 4\nserial,none\nclock\tT\n09:59:30\t40\n10:00:00\t41.5\n10:00:30\t43\n");
        assertThat(t.columns().get(0).clock()).isTrue();
        assertThat(t.columns().get(0).values()[1]).isEqualTo(36_000);
        assertThat(t.columns().get(1).name()).isEqualTo("T");
        assertThat(t.columns().get(1).unit()).isEmpty();
    }

    /** Elapsed minutes and seconds, said, begun at nothing or past any hour; and a time of day, which stays one. */
    @Test
    void minutesAndSeconds() {
        assertThat(read("mm:ss;T\n12:30;40,5\n12:31;41\n12:32;42\n")
                        .columns()
                        .get(0)
                        .values())
                .containsExactly(750, 751, 752);
        assertThat(read("t,T\n0:00,40\n0:30,41\n1:15,42\n").columns().get(0).values())
                .containsExactly(0, 30, 75);
        assertThat(read("t,T\n90:00,40\n90:30,41\n91:00,42\n").columns().get(0).values())
                .containsExactly(5400, 5430, 5460);
        assertThat(read("clock,T\n09:30,40\n09:31,41\n09:32,42\n")
                        .columns()
                        .get(0)
                        .values())
                .containsExactly(34_200, 34_260, 34_320);
        assertThat(read("t,T\n0:00:00,40\n0:00:30,41\n1:00:00,42\n")
                        .columns()
                        .get(0)
                        .values())
                .containsExactly(0, 30, 3600);
    }

    @Test
    void shortRowsAndWordsBetweenAreSurvived() {
        LogTable t = read("t,a,b\n0,1,2\n1,2\noverrange,fault,fault\n2,3,4\n3,4,ERR\n");
        assertThat(t.rows()).isEqualTo(4);
        assertThat(t.skipped()).isEqualTo(1);
        assertThat(t.columns().get(2).count()).isEqualTo(2);
    }

    @Test
    void twoHundredThousandRowsWithProgressAndAStop() {
        StringBuilder text = new StringBuilder("t_s,pump_C\n");
        for (int i = 0; i < 200_000; i++) {
            text.append(i).append(',').append(20 + i % 40).append('\n');
        }
        List<Double> shares = new ArrayList<>();
        assertThat(LogTable.read(text.toString(), shares::add, () -> false).rows())
                .isEqualTo(200_000);
        assertThat(shares).hasSizeGreaterThan(50).isSorted();
        assertThat(LogTable.read(text.toString(), s -> {}, () -> true).columns())
                .isEmpty();
    }

    @Test
    void rubbishIsRefusedInWords() {
        assertThatThrownBy(() -> read("")).hasMessageContaining("No table");
        assertThatThrownBy(() -> read("a\nb\nc\nd\n")).hasMessageContaining("readings");
        assertThatThrownBy(() -> read("name,place\nfoo,bar\nbaz,1\nqux,x\n")).hasMessageContaining("a column of times");
        assertThatThrownBy(() -> read("a,b\n1,2\n\"3,4\n5,6\n")).isInstanceOf(IllegalArgumentException.class);
    }

    @Property(tries = 300)
    void anythingIsReadOrRefused(@ForAll @StringLength(max = 200) String text, @ForAll long seed) {
        Random random = new Random(seed);
        StringBuilder mixed = new StringBuilder("t,x\n");
        for (int i = 0; i < 5; i++) {
            mixed.append(random.nextInt(100))
                    .append(",;\t".charAt(random.nextInt(3)))
                    .append(random.nextGaussian())
                    .append('\n');
        }
        for (String s : List.of(text, mixed + text, mixed.toString())) {
            try {
                assertThat(read(s).rows()).isGreaterThanOrEqualTo(3);
            } catch (IllegalArgumentException e) {
                assertThat(e.getMessage()).isNotBlank();
            }
        }
    }
}
