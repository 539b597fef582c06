package ration.desktop.signoff;

import javafx.geometry.Insets;
import javafx.scene.control.Label;
import ration.answer.assess.Comparison;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;

/** Two states side by side: what was changed in words, the ledger then and now, what turned, which tests ended. */
final class ComparisonView extends ColumnBox {

    private static final double[] WIDE = {150, 150, 150};

    ComparisonView(Comparison c, Runnable close) {
        super(6);
        setId("comparison");
        setPadding(new Insets(10, 4, 8, 4));
        getChildren()
                .add(new RowBox(
                        10,
                        Ui.label("Since the last packet", "page-title"),
                        Ui.spring(),
                        Ui.button("Back to the requirements", "comparison-close", close, "chip")));
        part("What was changed");
        if (c.changes().isEmpty()) {
            getChildren().add(Ui.wrapped("Nothing.", "soft"));
        }
        c.changes().forEach(w -> getChildren().add(Ui.wrapped(w)));
        part("Ledger, then and now");
        for (Comparison.Figure f : c.ledger()) {
            Label now = Ui.label(f.after() + " " + f.is().word(), f.changed() ? "bold" : "soft");
            getChildren()
                    .add(new RowBox(
                            8,
                            Ui.wide(Ui.label(f.title()), WIDE[0]),
                            Ui.wide(Ui.label(f.before() + " " + f.was().word(), "soft"), WIDE[1]),
                            Ui.wide(now, WIDE[2])));
        }
        part("What turned");
        if (c.findings().isEmpty()) {
            getChildren().add(Ui.wrapped("Nothing.", "soft"));
        }
        c.findings().forEach(t -> getChildren()
                .add(Ui.wrapped(t.title() + ": " + t.was().map(v -> v.word()).orElse("not there") + ", now "
                        + t.is().map(v -> v.word()).orElse("not there"))));
        part("Tests that ended");
        if (c.ended().isEmpty()) {
            getChildren().add(Ui.wrapped("None.", "soft"));
        }
        c.ended().forEach(e -> getChildren()
                .add(Ui.wrapped(e.title() + ": " + String.join("; ", e.causes()), "wrong-text")));
    }

    private void part(String title) {
        getChildren().addAll(Ui.rule(), Ui.label(title, "group-title"));
    }
}
