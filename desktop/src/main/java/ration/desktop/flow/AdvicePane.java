package ration.desktop.flow;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import ration.answer.assess.Assessment;
import ration.answer.assess.Draws;
import ration.answer.remedy.Chance;
import ration.answer.remedy.Remedies;
import ration.answer.remedy.Remedy;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.verdict.check.Verdict;

/** What would buy margin, each with Try, and how sure the margin is; found in the background and stoppable. */
final class AdvicePane extends ColumnBox {

    private final Session session;
    private final LongWork work;
    private final VBox rows = new ColumnBox();
    private final Label state = Ui.label("", "soft");
    private final Label chance = Ui.wrapped("");
    private final Label chanceVerdict = Ui.label("", "verdict");
    private final ProgressBar progress = new ProgressBar();
    private final Button stop = Ui.button("Stop", "advice-stop", this::stopped, "chip");
    private final Button again = Ui.button("Run analysis", "advice-again", () -> start(assessment()), "chip");
    private Assessment done;

    AdvicePane(Session session) {
        super(6);
        this.session = session;
        work = session.whileOpen().work("advice");
        setId("advice");
        HBox head = new RowBox(
                8, Ui.whole(Ui.label("Ways to add margin", "page-title")), Ui.spring(), state, progress, stop, again);
        head.setAlignment(Pos.CENTER_LEFT);
        progress.setPrefWidth(70);
        progress.setId("advice-progress");
        progress.progressProperty().bind(work.progress());
        for (javafx.scene.Node n : List.of(progress, stop)) {
            n.visibleProperty().bind(work.running());
            n.managedProperty().bind(work.running());
        }
        again.setVisible(false);
        again.managedProperty().bind(again.visibleProperty());
        ScrollPane scroll = new Scroll(rows);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        chance.setId("chance");
        chanceVerdict.setId("chance-verdict");
        Label title = Ui.label("Confidence", "bold");
        title.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        chanceVerdict.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        HBox sure = new RowBox(8, title, chance, chanceVerdict);
        HBox.setHgrow(chance, Priority.ALWAYS);
        getChildren().addAll(head, scroll, Ui.rule(), sure);
    }

    private Assessment assessment() {
        return session.shown().get().assessment();
    }

    /** Works for the present assessment, unless that was done already. */
    void update() {
        Assessment a = assessment();
        if (a != done) {
            start(a);
        }
    }

    private void start(Assessment a) {
        done = a;
        again.setVisible(false);
        rows.getChildren().clear();
        state.setText("");
        chance.setText("");
        chanceVerdict.setText("");
        if (a.governing().isEmpty()) {
            work.cancel();
            rows.getChildren().add(Ui.wrapped("Nothing is computed yet.", "soft"));
            return;
        }
        work.start(
                task -> Remedies.of(a, task),
                remedies -> {
                    show(remedies);
                    work.start(
                            task -> Chance.of(a, Draws.SEED, Draws.USUAL_SAMPLES, task),
                            c -> c.ifPresent(this::show),
                            this::failed);
                },
                this::failed);
    }

    private void failed(String why) {
        Ui.verdict(chanceVerdict, Verdict.NOT_SHOWN);
        chance.setText(why);
        again.setVisible(true);
    }

    private void stopped() {
        work.cancel();
        state.setText("Stopped");
        again.setVisible(true);
    }

    private void show(List<Remedy> remedies) {
        state.setText(words().now());
        if (remedies.isEmpty()) {
            rows.getChildren().add(Ui.wrapped("No single change on the governing path adds margin.", "soft"));
        }
        for (Remedy r : remedies) {
            rows.getChildren().add(row(r, rows.getChildren().size()));
        }
    }

    private HBox row(Remedy r, int n) {
        NotchBar bar = new NotchBar(60, 8);
        bar.show(r.after().ratio(), r.after().verdict());
        Label figure = Ui.label(FlowWords.gives(r), "name");
        figure.setMinWidth(46);
        Label verdict = Ui.label("", "verdict", "small");
        Ui.verdict(verdict, r.after().verdict());
        Button take = Ui.button("Try", "try-" + n, () -> session.apply(r.edit()), "chip");
        take.setAccessibleText("Try: " + r.title() + ", gives " + figure.getText());
        VBox words = new ColumnBox(0, Ui.wrapped(r.title(), "bold"), Ui.wrapped(words().then(r), "soft"));
        HBox.setHgrow(words, Priority.ALWAYS);
        VBox result = new ColumnBox(-1, figure, verdict);
        HBox row = new RowBox(10, words, bar, result, take);
        row.setId("remedy-" + n);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("remedy");
        return row;
    }

    private void show(Chance c) {
        Ui.verdict(chanceVerdict, words().sureVerdict(c));
        chance.setText(FlowWords.sure(c));
    }

    private FlowWords words() {
        return new FlowWords(done, session.shown().get().look(), session.units().get());
    }
}
