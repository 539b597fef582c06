package ration.desktop.control;

import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.function.Predicate;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.scene.Node;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TablePosition;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import ration.desktop.style.Tokens;
import ration.publish.drawing.TextMeasure;

/**
 * A table worked by keyboard like a sheet of paper: type to write over a cell, Enter or F2 to change it, Enter goes on
 * to the next row, Tab to the next cell, Delete clears, Escape gives up. Values are set by whoever owns the rows; text
 * that cannot be read stays in the cell, open, and is said by the owner.
 *
 * @param <R> a row
 */
public final class Sheet<R> extends TableView<R> {

    /**
     * A column.
     *
     * @param label its head
     * @param width pixels
     * @param text of a row
     * @param node shown in place of the text, or null
     * @param mayEdit whether the cell of a row can be written
     */
    public record Column<R>(
            String label, double width, Function<R, String> text, Function<R, Node> node, Predicate<R> mayEdit) {
        /** A column of words to read. */
        public static <R> Column<R> reading(String label, double width, Function<R, String> text) {
            return new Column<>(label, width, text, null, r -> false);
        }

        /** A column of words to write. */
        public static <R> Column<R> writing(String label, double width, Function<R, String> text) {
            return new Column<>(label, width, text, null, r -> true);
        }
    }

    /** Takes what was written in a cell; false if it cannot be read. */
    @FunctionalInterface
    public interface Writer<R> {
        boolean write(R row, int column, String text);
    }

    private final List<Column<R>> columns;
    private final TextMeasure measure = Tokens.measure();
    private final ObservableList<R> rows = FXCollections.observableArrayList();
    private Writer<R> writer = (r, c, t) -> false;
    private BiConsumer<Integer, Integer> onPaste = (r, c) -> {};
    /** Typed before there is a field to take it; given to the next one that opens, and to no other. */
    private String typed = "";
    /** Rows to show once the open cell is shut; null where none wait. */
    private List<R> later;
    /** What is open; null where nothing is. */
    private TextField open;

    private int tabStart = -1;

    public Sheet(String id, List<Column<R>> columns) {
        this.columns = List.copyOf(columns);
        setId(id);
        getStyleClass().add("sheet");
        setItems(rows);
        setEditable(true);
        setFixedCellSize(27);
        getSelectionModel().setCellSelectionEnabled(true);
        for (int i = 0; i < columns.size(); i++) {
            Column<R> c = columns.get(i);
            TableColumn<R, R> column = new TableColumn<>(c.label());
            column.setPrefWidth(c.width());
            column.setSortable(false);
            column.setReorderable(false);
            column.setEditable(true);
            column.setCellValueFactory(d -> new javafx.beans.property.SimpleObjectProperty<>(d.getValue()));
            int at = i;
            column.setCellFactory(col -> new Cell(at));
            getColumns().add(column);
        }
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        addEventHandler(KeyEvent.KEY_TYPED, this::typed);
        // a cell opened on rows that are shown but not laid out yet would be shut by their layout
        addEventFilter(javafx.scene.input.MouseEvent.MOUSE_PRESSED, e -> layout());
    }

    public Sheet<R> onWrite(Writer<R> action) {
        writer = action;
        return this;
    }

    /** Told row and column when a table is pasted. */
    public Sheet<R> onPaste(BiConsumer<Integer, Integer> action) {
        onPaste = action;
        return this;
    }

    /** Told whenever another cell is chosen. */
    public void onMove(Runnable action) {
        javafx.beans.InvalidationListener moved = o -> action.run();
        getFocusModel().focusedCellProperty().addListener(moved);
    }

    /** Columns are as wide as what stands in them; what was wide enough keeps its width. */
    private void fit() {
        for (int i = 0; i < columns.size(); i++) {
            Column<R> c = columns.get(i);
            double widest = rows.stream()
                    .mapToDouble(r -> measure.width(c.text().apply(r), FONT, false))
                    .max()
                    .orElse(0);
            TableColumn<R, ?> column = getColumns().get(i);
            double wanted = Math.min(MOST, Math.ceil(widest) + PADDING);
            if (wanted > column.getPrefWidth()) {
                column.setPrefWidth(wanted);
            }
        }
    }

    private static final double FONT = 12;
    private static final double PADDING = 16;
    private static final double MOST = 480;

    /**
     * Shows these rows; the chosen cell stays chosen. While a cell is open they wait until it is shut: it would be lost
     * with its text.
     */
    public void show(List<R> now) {
        if (editing()) {
            later = List.copyOf(now);
            return;
        }
        later = null;
        TablePosition<?, ?> at = getFocusModel().getFocusedCell();
        if (rows.equals(now)) {
            refresh();
            return;
        }
        rows.setAll(now);
        fit();
        if (at != null && at.getRow() >= 0 && at.getColumn() >= 0) {
            choose(Math.min(at.getRow(), now.size() - 1), at.getColumn());
        }
    }

    /** Chooses a cell. */
    public void choose(int row, int column) {
        if (row < 0 || row >= rows.size() || column < 0 || column >= columns.size()) {
            return;
        }
        getSelectionModel().clearAndSelect(row, getColumns().get(column));
        getFocusModel().focus(row, getColumns().get(column));
        scrollTo(Math.max(0, row - 3));
        scrollToColumnIndex(column);
    }

    /** The row chosen, or -1. */
    public int row() {
        return getFocusModel().getFocusedCell() == null
                ? -1
                : getFocusModel().getFocusedCell().getRow();
    }

    /** The column chosen, or -1. */
    public int column() {
        return getFocusModel().getFocusedCell() == null
                ? -1
                : getFocusModel().getFocusedCell().getColumn();
    }

    /** A cell was shut: what came meanwhile is shown, before anybody goes on to a row that is not there yet. */
    private void shut() {
        if (later != null && !editing()) {
            show(later);
        }
    }

    private boolean editing() {
        return getEditingCell() != null;
    }

    private void pressed(KeyEvent e) {
        if (editing() || row() < 0) {
            return;
        }
        if (e.isShortcutDown() && e.getCode() == KeyCode.V) {
            onPaste.accept(row(), column());
            e.consume();
        } else if (e.isShortcutDown() && e.getCode() == KeyCode.C) {
            ClipboardContent content = new ClipboardContent();
            content.putString(columns.get(column()).text().apply(rows.get(row())));
            Clipboard.getSystemClipboard().setContent(content);
            e.consume();
        } else if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.F2) {
            start("");
            e.consume();
        } else if (e.getCode() == KeyCode.DELETE
                && columns.get(column()).mayEdit().test(rows.get(row()))) {
            writer.write(rows.get(row()), column(), "");
            e.consume();
        } else if (e.getCode() == KeyCode.TAB && !e.isControlDown()) {
            int next = column() + (e.isShiftDown() ? -1 : 1);
            if (next >= 0 && next < columns.size()) {
                choose(row(), next);
                e.consume();
            }
        }
    }

    private void typed(KeyEvent e) {
        String text = e.getCharacter();
        if (row() < 0
                || e.isShortcutDown()
                || e.isAltDown()
                || text.length() != 1
                || text.charAt(0) < ' '
                || text.charAt(0) == 127
                || open != null && e.getTarget() == open && open.getSkin() != null) {
            return;
        }
        if (!editing()) {
            start(text);
        } else if (open == null) {
            typed += text;
        } else {
            // a quick hand: the field is there, but not drawn yet, and takes no keys itself
            open.appendText(text);
        }
        e.consume();
    }

    private void start(String text) {
        if (columns.get(column()).mayEdit().test(rows.get(row()))) {
            typed = text;
            // rows that were just shown get their cells when they are laid out: one opened before that would go, with
            // the keys that come meanwhile
            layout();
            edit(row(), getColumns().get(column()));
        }
    }

    private void goOn(int row, int column, KeyEvent e) {
        if (e.getCode() == KeyCode.TAB) {
            tabStart = tabStart < 0 ? column : tabStart;
            int next = column + (e.isShiftDown() ? -1 : 1);
            choose(row, Math.max(0, Math.min(columns.size() - 1, next)));
        } else {
            choose(Math.min(rows.size() - 1, row + 1), tabStart >= 0 ? tabStart : column);
            tabStart = -1;
        }
        requestFocus();
    }

    /** A cell that turns into a field while it is written. */
    private final class Cell extends TableCell<R, R> {

        private final int at;
        private TextField field;

        Cell(int at) {
            this.at = at;
        }

        @Override
        protected void updateItem(R item, boolean empty) {
            super.updateItem(item, empty);
            if (empty || item == null) {
                setText(null);
                setGraphic(null);
                return;
            }
            Column<R> c = columns.get(at);
            setText(c.node() == null ? c.text().apply(item) : null);
            setGraphic(c.node() == null ? null : c.node().apply(item));
            setAccessibleText(c.label() + " " + c.text().apply(item));
            getStyleClass().remove("reading");
            if (!c.mayEdit().test(item)) {
                getStyleClass().add("reading");
            }
        }

        @Override
        public void startEdit() {
            if (getItem() == null || !columns.get(at).mayEdit().test(getItem())) {
                return;
            }
            super.startEdit();
            String before = columns.get(at).text().apply(getItem());
            String first = typed;
            typed = "";
            field = new TextField(first.isEmpty() ? before : first);
            open = field;
            field.getStyleClass().add("sheet-field");
            field.setAccessibleText(columns.get(at).label());
            setText(null);
            setGraphic(field);
            field.requestFocus();
            if (first.isEmpty()) {
                field.selectAll();
            } else {
                field.positionCaret(field.getLength());
            }
            field.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
                if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.TAB) {
                    e.consume();
                    take(e);
                } else if (e.getCode() == KeyCode.ESCAPE) {
                    e.consume();
                    cancelEdit();
                    shut();
                    Sheet.this.requestFocus();
                }
            });
            field.focusedProperty().addListener((o, was, now) -> {
                if (was && isEditing()) {
                    leave();
                }
            });
        }

        /** Enter or Tab: the value goes in and the next cell is chosen, or the cell stays open. */
        private void take(KeyEvent e) {
            int row = getIndex();
            if (write()) {
                cancelEdit();
                shut();
                goOn(row, at, e);
            }
        }

        /** The pointer went elsewhere: what can be read goes in, the rest is said and the old value stays. */
        private void leave() {
            write();
            cancelEdit();
            shut();
        }

        private boolean write() {
            String text = field.getText();
            return text.equals(columns.get(at).text().apply(getItem())) || writer.write(getItem(), at, text);
        }

        @Override
        public void cancelEdit() {
            super.cancelEdit();
            open = open == field ? null : open;
            field = null;
            updateItem(getItem(), isEmpty());
        }
    }
}
