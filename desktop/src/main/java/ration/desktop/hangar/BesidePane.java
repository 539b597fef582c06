package ration.desktop.hangar;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.assess.Assessment;
import ration.check.Verdict;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.evidence.HangarTest;
import ration.evidence.Named;
import ration.evidence.Readout;
import ration.evidence.Standing;
import ration.evidence.TestKind;
import ration.evidence.Work;
import ration.file.Attachments;
import ration.proof.Outcome;
import ration.proof.Programme;
import ration.quantity.Dimension;

/** Beside the test in hand: what is asked and predicted, its runs, what is on record, what it closes. */
final class BesidePane extends VBox {

    private final Session session;
    private final Consumer<HangarTest> open;
    private final Consumer<HangarTest> fit;
    private final Consumer<Path> over;

    /**
     * @param open told which record to open
     * @param fit  told which flow test to fit a loss to
     * @param over told which logger's table to lay over the Vapor page
     */
    BesidePane(Session session, Consumer<HangarTest> open, Consumer<HangarTest> fit, Consumer<Path> over) {
        this.over = over;
        this.session = session;
        this.open = open;
        this.fit = fit;
        setSpacing(8);
        setId("beside");
    }

    void show(Optional<Programme.Proof> picked, Optional<HangarTest> test, Assessment a) {
        getChildren().clear();
        test.ifPresent(t -> runs(t, a));
        picked.ifPresent(p -> asked(p, a));
        List<HangarTest> mine = session.project().tests().stream().filter(t -> picked.map(p -> p.wanted().is(t)).orElseGet(() -> a.programme().tests().stream().noneMatch(p -> p
                .wanted().is(t)))).toList();
        if (!mine.isEmpty()) {
            getChildren().addAll(Ui.rule(), Ui.label(picked.isPresent() ? "On record" : "On record, of what is no longer laid out", "group-title"));
            mine.forEach(t -> getChildren().add(record(t, a, test.filter(t::equals).isPresent())));
        }
    }

    private void asked(Programme.Proof p, Assessment a) {
        getChildren().addAll(Ui.rule(), Ui.label("What it closes", "group-title"), Ui.wrapped(p.wanted().kind().closes() + ": " + p.wanted().asks() + "."), Ui.wrapped(p.wanted().source()
                + (p.wanted().asked() ? "" : ". Advised, not asked for."), "soft"));
        Label now = Ui.wrapped("Now " + p.verdict().word() + ": " + p.state() + ".", p.verdict() == Verdict.SHORT ? "wrong-text" : "plain-text");
        now.setId("wanted-now");
        getChildren().add(now);
    }

    private void runs(HangarTest t, Assessment a) {
        if (!(t.work() instanceof Work.Sheet sheet) || sheet.form().least() < 2) {
            return;
        }
        Optional<Outcome> outcome = a.programme().outcome(t.id());
        getChildren().addAll(Ui.rule(), new HBox(6, Ui.label("Runs", "group-title"), Ui.spring(), Ui.label(Readout.flow(sheet, sheet.rows().isEmpty() ? Work.Row.of(java.util.Map.of())
                : sheet.rows().get(0)) > 0 ? "the smallest counts" : "", "soft")));
        boolean open = !t.progress().done() && !t.by().beside().standIn();
        double limit = open || Standing.of(t, session.project().asBuilt()).counts() ? outcome.flatMap(Outcome::measure).map(m -> m.limit()).orElse(0.0) : 0;
        int n = 0;
        for (Work.Row r : sheet.rows()) {
            n++;
            double flow = Readout.flow(sheet, r);
            NotchBar bar = new NotchBar(24, 7);
            Label verdict = Ui.label("", "verdict");
            if (flow > 0 && limit > 0) {
                bar.show(flow / limit, Verdict.atLeast(flow, limit));
                Ui.verdict(verdict, Verdict.atLeast(flow, limit));
            }
            VBox name = new VBox(Ui.label("Run " + n, "bold"), Ui.label(Readout.row(sheet, r, java.util.Map.of(), session.units().get()).replaceAll(", [^,]*$", flow > 0 ? "" : "$0"),
                    "soft"));
            HBox line = new HBox(8, bar, name, Ui.spring(), Ui.label(flow > 0 ? session.units().get().text(flow, Dimension.FLOW) : "", "bold"), verdict);
            line.setAlignment(Pos.CENTER_LEFT);
            getChildren().add(line);
        }
        for (int i = n + 1; i <= sheet.form().least(); i++) {
            HBox line = new HBox(8, new NotchBar(24, 7), Ui.label("Run " + i, "soft"), Ui.spring(), Ui.label("to do", "soft"));
            line.setAlignment(Pos.CENTER_LEFT);
            getChildren().add(line);
        }
        if (n > 0 && Readout.flow(sheet, sheet.rows().get(0)) > 0 && t.progress().done()) {
            getChildren().add(Ui.button("Fit a part to this\u2026", "test-fit", () -> fit.accept(t), "chip"));
        }
    }

    /** A file beside the document: whether it is what was recorded; a logger's table can be laid over the Vapor page. */
    private HBox beside(HangarTest t, HangarTest.Photo p) {
        Path document = session.file().get();
        Attachments.State state = document == null ? Attachments.State.MISSING : Attachments.state(document, p);
        HBox row = new HBox(6, Ui.label(p.file() + ", " + state.words(), state == Attachments.State.AS_RECORDED ? "soft" : "wrong-text"));
        if (t.work().kind() == TestKind.RUN_LOG && state == Attachments.State.AS_RECORDED) {
            row.getChildren().add(Ui.button("Over Vapor", "lay-over-" + t.id(), () -> over.accept(document.resolveSibling(p.file())), "chip"));
        }
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private VBox record(HangarTest t, Assessment a, boolean shown) {
        Standing standing = Standing.of(t, session.project().asBuilt());
        Button go = Ui.button(Named.of(session.project().system(), t), "test-" + t.id(), () -> open.accept(t), "plain");
        go.getStyleClass().add("test-row");
        go.setMaxWidth(Double.MAX_VALUE);
        go.setAlignment(Pos.CENTER_LEFT);
        go.setMinWidth(0);
        Optional<Outcome> outcome = a.programme().outcome(t.id());
        String result = t.work() instanceof Work.Sheet ? outcome.map(o -> o.measured().in(session.units().get())).filter(s -> s.length() < 18).orElse("") : TankEntry.result(t, session
                .units().get());
        Label figure = Ui.label(result, "bold");
        figure.setMinWidth(Region.USE_PREF_SIZE);
        HBox first = new HBox(4, go, figure);
        HBox.setHgrow(go, Priority.ALWAYS);
        first.setAlignment(Pos.CENTER_LEFT);
        String state = !t.progress().done() ? "interrupted at step " + (t.progress().step() + 1) : standing.counts() ? "counts" : (standing.state() == Standing.State.STALE
                ? "no longer counts: " : "") + standing.words();
        Label words = Ui.wrapped(t.by().date() + (t.by().who().isBlank() ? "" : ", " + t.by().who()) + ", " + state, standing.counts() || !t.progress().done() ? "soft" : "wrong-text");
        words.setPadding(new javafx.geometry.Insets(0, 0, 2, 6));
        VBox box = new VBox(0, first, words);
        t.by().beside().photos().forEach(p -> box.getChildren().add(beside(t, p)));
        box.getStyleClass().addAll("remedy", shown ? "test-open" : "test-shut");
        return box;
    }
}
