package ration.publish.paper;

import java.util.function.Function;

/**
 * A column of a table: as wide as what it holds, text from the left, figures to the right.
 *
 * @param head of it
 * @param figures whether it holds figures
 * @param cell of a row
 */
public record Column<R>(String head, boolean figures, Function<R, Cell> cell) {

    public static <R> Column<R> text(String head, Function<R, String> words) {
        return new Column<>(head, false, r -> Cell.of(words.apply(r)));
    }

    public static <R> Column<R> strong(String head, Function<R, String> words) {
        return new Column<>(head, false, r -> Cell.strong(words.apply(r)));
    }

    public static <R> Column<R> figure(String head, Function<R, String> words) {
        return new Column<>(head, true, r -> Cell.of(words.apply(r)));
    }

    public static <R> Column<R> cell(String head, Function<R, Cell> cell) {
        return new Column<>(head, false, cell);
    }
}
