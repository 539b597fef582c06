package ration.publish.paper;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.assertj.core.data.Offset;

/** Columns of a table: they fill the room they have and no more, and no word is cut where all words have room. */
class WidthsTest {

    @Property(tries = 200)
    void columnsFillTheirRoomAndCutNoWord(@ForAll long seed) {
        Random random = new Random(seed);
        int columns = 1 + random.nextInt(8);
        int rows = random.nextInt(20);
        double[] least = random.doubles(columns, 5, 50).toArray();
        double[] heads =
                Arrays.stream(least).map(l -> l * (1 + random.nextDouble())).toArray();
        boolean[] figures = new boolean[columns];
        boolean[] fixed = new boolean[columns];
        for (int c = 0; c < columns; c++) {
            figures[c] = random.nextInt(3) == 0;
            fixed[c] = !figures[c] && random.nextInt(4) == 0;
        }
        double[][][] cells = new double[rows][columns][2];
        for (double[][] row : cells) {
            for (int c = 0; c < columns; c++) {
                row[c][0] = least[c] * (1 + 6 * random.nextDouble() * random.nextDouble());
                row[c][1] = random.nextInt(3) == 0 ? least[c] * (1 + 4 * random.nextDouble()) : 0;
            }
        }
        double room = 520;
        double[] widths = Widths.of(cells, heads, least, figures, fixed, room);
        double inside = room - Widths.GAP * (columns - 1);
        assertThat(Arrays.stream(widths).sum()).isLessThanOrEqualTo(inside + 1e-6);
        if (Arrays.stream(least).sum() <= inside) {
            for (int c = 0; c < columns; c++) {
                assertThat(widths[c]).isGreaterThanOrEqualTo(least[c] - 1e-6);
            }
        } else {
            assertThat(Arrays.stream(widths).sum()).isCloseTo(inside, Offset.offset(1e-6));
        }
    }
}
