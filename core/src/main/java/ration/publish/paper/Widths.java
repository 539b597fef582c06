package ration.publish.paper;

import java.util.Arrays;

/**
 * How wide the columns of a table are. Where everything fits on one line the words share what is left over; else room
 * goes step by step to the column that saves the most lines by it.
 */
final class Widths {

    /** Between two columns, points. */
    static final double GAP = 9;

    private static final double STEP = 4;
    /** One step often saves no line where some do. */
    private static final int[] AHEAD = {1, 3, 8, 20};
    /** A column of figures moves no further from its neighbour than by this share. */
    private static final double FIGURES = 0.25;

    private Widths() {}

    /**
     * @param rows widths of the cells on one line: words and what stands under them
     * @param heads of each column, on one line
     * @param least of each column, its longest word
     * @param figures which columns hold figures
     * @param fixed which hold bars or lines, and are no better for being wider
     * @param room for all, points
     */
    static double[] of(
            double[][][] rows, double[] heads, double[] least, boolean[] figures, boolean[] fixed, double room) {
        int columns = least.length;
        double inside = room - GAP * (columns - 1);
        double[] natural = least.clone();
        for (double[][] row : rows) {
            for (int c = 0; c < columns; c++) {
                natural[c] = Math.max(natural[c], Math.max(row[c][0], row[c][1]));
            }
        }
        double[] whole = natural.clone();
        for (int c = 0; c < columns; c++) {
            whole[c] = Math.max(whole[c], heads[c]);
        }
        // a head is broken sooner than a row
        for (double[] some : new double[][] {whole, natural}) {
            double spare = inside - Arrays.stream(some).sum();
            if (spare >= 0) {
                return spread(some, figures, fixed, spare);
            }
        }
        return fitted(rows, natural, least, inside);
    }

    private static double[] spread(double[] natural, boolean[] figures, boolean[] fixed, double spare) {
        double[] widths = natural.clone();
        double words = 0;
        for (int c = 0; c < widths.length; c++) {
            if (figures[c] && c < widths.length - 1) {
                double more = Math.min(spare / widths.length, Math.max(8, FIGURES * natural[c]));
                widths[c] += more;
                spare -= more;
            }
            words += figures[c] || fixed[c] ? 0 : natural[c] + 12;
        }
        for (int c = 0; c < widths.length; c++) {
            if (words > 0) {
                widths[c] += figures[c] || fixed[c] ? 0 : spare * (natural[c] + 12) / words;
            } else if (c < widths.length - 1) {
                widths[c] += spare / (widths.length - 1);
            }
        }
        return widths;
    }

    private static double[] fitted(double[][][] rows, double[] natural, double[] least, double inside) {
        double[] widths = least.clone();
        double left = inside - Arrays.stream(widths).sum();
        if (left < 0) {
            for (int c = 0; c < widths.length; c++) {
                widths[c] *= inside / (inside - left);
            }
            return widths;
        }
        while (left > 0.01) {
            int best = -1;
            double step = 0;
            double most = 0;
            for (int c = 0; c < widths.length; c++) {
                for (int steps : AHEAD) {
                    double more = Math.min(left, steps * STEP);
                    double saved = widths[c] >= natural[c] ? 0 : saved(rows, widths, c, more) / more;
                    if (saved > most) {
                        most = saved;
                        best = c;
                        step = more;
                    }
                }
            }
            if (best < 0) {
                // no line is saved any more: the rest goes where words stand
                best = longest(natural);
                step = left;
            }
            widths[best] += step;
            left -= step;
        }
        return widths;
    }

    private static int longest(double[] natural) {
        int best = 0;
        for (int c = 1; c < natural.length; c++) {
            best = natural[c] > natural[best] ? c : best;
        }
        return best;
    }

    /** Lines a table has fewer when a column is wider, and a little for each cell that overflows still. */
    private static double saved(double[][][] rows, double[] widths, int c, double step) {
        double sum = 0;
        for (double[][] row : rows) {
            double over = Math.max(row[c][0], row[c][1]) - widths[c];
            if (over <= 0) {
                continue;
            }
            double others = 1;
            for (int o = 0; o < widths.length; o++) {
                if (o != c) {
                    others = Math.max(others, lines(row[o], widths[o]));
                }
            }
            double now = lines(row[c], widths[c]);
            double then = lines(row[c], widths[c] + step);
            sum += Math.max(others, now) - Math.max(others, then) + 0.02 * Math.max(0, now - others);
            sum += 0.001 * (now - 1);
        }
        return sum;
    }

    private static double lines(double[] cell, double width) {
        // words do not fill a line to its end
        double usable = Math.max(1, width);
        return cell[0] <= usable && cell[1] <= usable
                ? (cell[1] > 0 ? 1.85 : 1)
                : Math.ceil(1.08 * cell[0] / usable) + (cell[1] > 0 ? 0.85 * Math.ceil(1.08 * cell[1] / usable) : 0);
    }
}
