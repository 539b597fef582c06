package ration.desktop.find;

import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.answer.find.Explanation;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.publish.drawing.Ink;

/** What explains the readings, the likeliest first: share of belief, and how each reading fits. */
final class CauseTable extends ColumnBox {

    private static final int SHOWN = 14;
    private static final double[] WIDE = {182, 72, 72};
    private static final double FIT = 44;
    private static final double BAR = 68;

    private final Consumer<Explanation> chosen;

    /** @param chosen told the cause of a row that is pressed */
    CauseTable(Consumer<Explanation> chosen) {
        this.chosen = chosen;
        setPadding(new Insets(0, 12, 8, 12));
        addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(this, e));
    }

    void fill(List<Explanation> ranked, int readings) {
        getChildren().clear();
        if (ranked.isEmpty()) {
            return;
        }
        getChildren().add(heads(readings));
        int n = 0;
        for (Explanation e :
                ranked.stream().filter(e -> !e.ruledOut()).limit(SHOWN).toList()) {
            getChildren().add(row(e, n++));
        }
        List<Explanation> rest =
                ranked.stream().filter(Explanation::ruledOut).limit(SHOWN).toList();
        if (!rest.isEmpty()) {
            HBox title = new RowBox(
                    8,
                    Ui.label("Ruled out", "group-title"),
                    Ui.label("each contradicts a reading by more than three errors", "soft"));
            title.getStyleClass().add("fault-group");
            getChildren().add(title);
        }
        for (Explanation e : rest) {
            getChildren().add(row(e, n++));
        }
        HBox key = new RowBox(
                12,
                Ui.label("\u25cf fits within one error", "soft"),
                Ui.label("\u25cb poor fit", "soft"),
                Ui.label("\u25c0 \u25b6 contradicts", "soft"));
        key.setPadding(new Insets(4, 8, 4, 8));
        getChildren().add(key);
    }

    private static HBox heads(int readings) {
        HBox box = new RowBox(
                6,
                Ui.wide(Ui.label("Cause", "soft"), WIDE[0]),
                Ui.wide(Ui.label("Probability", "soft"), WIDE[1]),
                Ui.wide(Ui.label("", "soft"), WIDE[2]));
        for (int i = 1; i <= readings; i++) {
            box.getChildren().add(Ui.wide(Ui.label(String.valueOf(i), "soft"), FIT));
        }
        box.setPadding(new Insets(6, 8, 4, 8));
        return box;
    }

    private Button row(Explanation e, int n) {
        VBox cause = new ColumnBox(Ui.label(e.name(), "bold"), Ui.label(e.how(), "soft"));
        Region bar = new Region();
        bar.setStyle("-fx-background-color: " + (e.belief() >= 0.1 ? Ink.INK : Ink.EDGE).hex() + ";");
        bar.setMaxSize(Math.max(1, BAR * e.belief()), 7);
        bar.setMinSize(Math.max(1, BAR * e.belief()), 7);
        VBox share = new ColumnBox(2, Ui.label(e.word(), "soft"), bar);
        share.setAlignment(Pos.CENTER_LEFT);
        HBox box = new RowBox(
                6,
                Ui.wide(cause, WIDE[0]),
                Ui.wide(Ui.label(FindWords.percent(e.belief()), "figure"), WIDE[1]),
                Ui.wide(share, WIDE[2]));
        box.setAlignment(Pos.CENTER_LEFT);
        for (Explanation.Fit f : e.fits()) {
            box.getChildren()
                    .add(Ui.wide(
                            Ui.label(
                                    FindWords.sign(f),
                                    f.match() == Explanation.Match.CONTRADICTS
                                            ? "wrong-text"
                                            : f.match() == Explanation.Match.FITS ? "figure" : "soft"),
                            FIT));
        }
        Button row = Ui.button("", "cause-" + n, () -> chosen.accept(e));
        row.setGraphic(box);
        row.getStyleClass().setAll("button", "fault-row");
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(FindWords.spoken(e));
        return row;
    }
}
