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
import ration.answer.assess.Assessment;
import ration.answer.proof.TestProgram;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.record.evidence.HangarTest;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.record.file.Attachments;
import ration.verdict.check.Verdict;

/** Beside the test in hand: what is asked and predicted, its runs, what is on record, what it closes. */
final class BesidePane extends ColumnBox {

    private final Session session;
    private final LongWork comparing;
    private final Consumer<HangarTest> open;
    private final Consumer<HangarTest> fit;
    private final Consumer<Path> over;

    /**
     * @param open told which record to open
     * @param fit told which flow test to fit a loss to
     * @param over told which logger's table to lay over the Vapor page
     */
    BesidePane(Session session, Consumer<HangarTest> open, Consumer<HangarTest> fit, Consumer<Path> over) {
        this.over = over;
        this.session = session;
        this.open = open;
        comparing = session.whileOpen().work("comparing");
        this.fit = fit;
        setSpacing(8);
        setId("beside");
    }

    void show(Optional<TestProgram.Proof> picked, Optional<HangarTest> test, Assessment a) {
        List<HangarTest.Photo> unread = shown(picked, test, a);
        Path document = session.file().get();
        if (!unread.isEmpty()) {
            // once: what somebody is writing on just now stays as being compared
            comparing.start(
                    task -> {
                        unread.forEach(p -> Attachments.state(document, p));
                        return unread;
                    },
                    read -> shown(picked, test, a),
                    session::trouble);
        }
    }

    /** Shows it; files that have to be gone through first are given back. */
    private List<HangarTest.Photo> shown(Optional<TestProgram.Proof> picked, Optional<HangarTest> test, Assessment a) {
        getChildren().clear();
        BesideWords words =
                new BesideWords(session.project(), a, session.units().get());
        test.ifPresent(t -> runs(t, words));
        picked.ifPresent(p -> asked(p, words));
        List<HangarTest> mine = words.records(picked);
        if (!mine.isEmpty()) {
            getChildren()
                    .addAll(
                            Ui.rule(),
                            Ui.label(
                                    picked.isPresent() ? "On record" : "On record, items no longer in the layout",
                                    "group-title"));
            mine.forEach(t -> getChildren()
                    .add(record(t, words.record(t), test.filter(t::equals).isPresent())));
        }
        Path document = session.file().get();
        return document == null
                ? List.of()
                : mine.stream()
                        .flatMap(t -> t.by().beside().photos().stream())
                        .filter(p -> Attachments.known(document, p).isEmpty())
                        .toList();
    }

    private void asked(TestProgram.Proof p, BesideWords words) {
        getChildren()
                .addAll(
                        Ui.rule(),
                        Ui.label("Requirement verified", "group-title"),
                        Ui.wrapped(words.asks(p)),
                        Ui.wrapped(words.source(p), "soft"));
        Label now = Ui.wrapped(words.now(p), p.verdict() == Verdict.FAILS ? "wrong-text" : "plain-text");
        now.setId("wanted-now");
        getChildren().add(now);
    }

    private void runs(HangarTest t, BesideWords words) {
        List<BesideWords.Run> runs = words.runs(t);
        if (runs.isEmpty()) {
            return;
        }
        getChildren()
                .addAll(
                        Ui.rule(),
                        new RowBox(
                                6,
                                Ui.label("Runs", "group-title"),
                                Ui.spring(),
                                Ui.label(
                                        BesideWords.smallest((Work.Sheet) t.work()) ? "lowest is the result" : "",
                                        "soft")));
        for (BesideWords.Run r : runs) {
            NotchBar bar = new NotchBar(24, 7);
            Label verdict = Ui.label("", "verdict");
            r.verdict().ifPresent(v -> {
                bar.show(r.ratio().orElseThrow(), v);
                Ui.verdict(verdict, v);
            });
            HBox line = r.done()
                    ? new RowBox(
                            8,
                            bar,
                            new ColumnBox(Ui.label(r.name(), "bold"), Ui.label(r.under(), "soft")),
                            Ui.spring(),
                            Ui.label(r.flow(), "bold"),
                            verdict)
                    : new RowBox(8, bar, Ui.label(r.name(), "soft"), Ui.spring(), Ui.label("to do", "soft"));
            line.setAlignment(Pos.CENTER_LEFT);
            getChildren().add(line);
        }
        if (BesideWords.fits(t)) {
            getChildren().add(Ui.button("Fit a loss to this result\u2026", "test-fit", () -> fit.accept(t), "chip"));
        }
    }

    /**
     * A file beside the document: whether it is what was recorded; a logger's table can be laid over the Vapor page.
     */
    private HBox beside(HangarTest t, HangarTest.Photo p) {
        Path document = session.file().get();
        Optional<Attachments.State> known =
                document == null ? Optional.of(Attachments.State.MISSING) : Attachments.known(document, p);
        HBox row = new RowBox(6);
        row.setAlignment(Pos.CENTER_LEFT);
        known.ifPresentOrElse(state -> beside(row, t, p, state), () -> row.getChildren()
                .setAll(Ui.label(p.file() + ", being compared with the record", "soft")));
        return row;
    }

    private void beside(HBox row, HangarTest t, HangarTest.Photo p, Attachments.State state) {
        Path document = session.file().get();
        row.getChildren()
                .setAll(Ui.label(
                        p.file() + ", " + state.words(),
                        state == Attachments.State.AS_RECORDED ? "soft" : "wrong-text"));
        if (t.work().kind() == TestKind.RUN_LOG && state == Attachments.State.AS_RECORDED) {
            row.getChildren()
                    .add(Ui.button(
                            "Overlay on Vapor",
                            "lay-over-" + t.id(),
                            () -> over.accept(document.resolveSibling(p.file())),
                            "chip"));
        }
    }

    private VBox record(HangarTest t, BesideWords.Record said, boolean shown) {
        Button go = Ui.button(said.name(), "test-" + t.id(), () -> open.accept(t), "plain");
        go.getStyleClass().add("test-row");
        go.setMaxWidth(Double.MAX_VALUE);
        go.setAlignment(Pos.CENTER_LEFT);
        go.setMinWidth(0);
        Label figure = Ui.label(said.result(), "bold");
        figure.setMinWidth(Region.USE_PREF_SIZE);
        HBox first = new RowBox(4, go, figure);
        HBox.setHgrow(go, Priority.ALWAYS);
        first.setAlignment(Pos.CENTER_LEFT);
        Label words = Ui.wrapped(said.words(), said.good() ? "soft" : "wrong-text");
        words.setPadding(new javafx.geometry.Insets(0, 0, 2, 6));
        VBox box = new ColumnBox(0, first, words);
        t.by().beside().photos().forEach(p -> box.getChildren().add(beside(t, p)));
        box.getStyleClass().addAll("remedy", shown ? "test-open" : "test-shut");
        return box;
    }
}
