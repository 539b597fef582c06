package ration.record.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.base.quantity.Unit;

/** Lines as a logger writes them: values with their age, what was steady, and what could not be read. */
class LiveTest {

    private static final Offset<Double> TINY = Offset.offset(1e-12);

    @Test
    void theNewestValueHasAnAgeAndTheLastSecondsAMean() {
        Live live = new Live();
        live.line("# ration readings 1", 0);
        live.line("seconds,channel,value,unit", 0);
        for (int t = 0; t <= 60; t++) {
            live.line(t + ",rail," + (t < 50 ? 30 : t % 2 == 0 ? 40.1 : 39.9) + ",psi", t);
            live.line(String.format(Locale.ROOT, "%d,can,%.4f,gal", t, 0.005 * t), t);
        }
        assertThat(live.trouble()).isEmpty();
        assertThat(live.shown(63)).extracting(Live.Shown::name).containsExactly("rail", "can");
        assertThat(live.shown(63).get(0).age()).isCloseTo(3, TINY);
        Live.Steady steady = live.steady("rail", 9.5).orElseThrow();
        assertThat(Unit.PSI.fromSi(steady.mean())).isCloseTo(40, Offset.offset(0.011));
        assertThat(Unit.PSI.fromSi(steady.scatter())).isCloseTo(0.1, Offset.offset(0.01));
        assertThat(Unit.GALLON_PER_HOUR.fromSi(live.rise("can", 30).orElseThrow()))
                .as("0.005 gal a second")
                .isCloseTo(18, Offset.offset(1e-6));
        assertThat(live.steady("oil", 10)).isEmpty();
        assertThat(live.rise("oil", 10)).isEmpty();
    }

    @Test
    void whatCannotBeReadIsCountedAndTheFirstIsTold() {
        Live live = new Live();
        live.line("1,rail,30,psi", 1);
        for (String bad : new String[] {
            "2,rail,thirty,psi",
            "2,rail,30,furlongs",
            "2,rail,30",
            "2,,30,psi",
            "2,rail,30,gal",
            "x,rail,30,psi",
            "2,rail,1e300,psi"
        }) {
            live.line(bad, 2);
        }
        assertThat(live.trouble())
                .startsWith("7 lines could not be read, the first")
                .contains("thirty", "a number is expected");
        assertThat(live.samples("rail")).hasSize(1);
        live.line("0,rail,12,psi", 3);
        assertThat(live.samples("rail"))
                .as("a clock that goes back was started anew")
                .hasSize(1);
        assertThat(Unit.PSI.fromSi(live.shown(3).get(0).value())).isCloseTo(12, Offset.offset(1e-9));
    }

    @Test
    void onlyTheLastMinutesAndSoManyChannelsAreKept() {
        Live live = new Live();
        for (int t = 0; t < 3000; t++) {
            live.line(t + ",rail,30,psi", t);
        }
        assertThat(live.samples("rail")).hasSize(601);
        for (int c = 0; c < 100; c++) {
            live.line("1,c" + c + ",30,psi", 1);
        }
        assertThat(live.shown(1)).hasSize(64);
        assertThat(live.trouble()).contains("too many channels");
    }

    /**
     * A unit cut off in the middle would be another unit: psi is not ps, inHg is not in. Letters cut between two reads
     * stay letters.
     */
    @Test
    void onlyAWholeLineIsALine() {
        java.util.List<String> lines = new java.util.ArrayList<>();
        int[] dropped = new int[1];
        LineCutter cutter = new LineCutter(lines::add, () -> dropped[0]++);
        byte[] bytes = "1,rail \u00b0,30,psi\r\n2,rail,31,inH".getBytes(java.nio.charset.StandardCharsets.UTF_8);
        for (byte b : bytes) {
            cutter.take(new byte[] {b}, 1);
        }
        assertThat(lines).containsExactly("1,rail \u00b0,30,psi");
        cutter.take("g\n".getBytes(java.nio.charset.StandardCharsets.UTF_8), 2);
        assertThat(lines).last().isEqualTo("2,rail,31,inHg");
        cutter.take("3,rail,3".getBytes(java.nio.charset.StandardCharsets.UTF_8), 8);
        cutter.begin();
        cutter.take("4,rail,4,psi\n".getBytes(java.nio.charset.StandardCharsets.UTF_8), 13);
        assertThat(lines).last().isEqualTo("4,rail,4,psi");
        assertThat(dropped[0]).isZero();
    }

    /** A line without an end takes no memory: a gigabyte of it is dropped, told once, and what follows is read. */
    @Test
    void aLineWithoutAnEndIsDroppedAndTold() {
        Live live = new Live();
        LineCutter cutter = new LineCutter(l -> live.line(l, 0), live::tooLong);
        byte[] some = new byte[1 << 20];
        java.util.Arrays.fill(some, (byte) 'x');
        for (int n = 0; n < ration.Samples.of(64, 1024); n++) {
            cutter.take(some, some.length);
        }
        cutter.take("\n1,rail,30,psi\n".getBytes(java.nio.charset.StandardCharsets.UTF_8), 15);
        assertThat(live.samples("rail")).hasSize(1);
        assertThat(live.trouble()).isEqualTo("1 line was longer than 4096 letters and dropped.");
    }

    /** A sender that never lets its clock go on, or sends as fast as it can, is bounded by count. */
    @Test
    void samplesAreBoundedByCount() {
        Live live = new Live();
        for (int n = 0; n < 15_000; n++) {
            live.line("1,rail,30,psi", 1);
        }
        assertThat(live.samples("rail")).hasSize(12_000);
        assertThat(live.trouble()).contains("3000 older readings were let go");
    }
}
