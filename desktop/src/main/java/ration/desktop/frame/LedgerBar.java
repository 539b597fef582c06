package ration.desktop.frame;

import java.util.ArrayList;
import java.util.List;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import ration.answer.assess.Ledger;
import ration.answer.fault.FaultSum;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Figure;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.record.upkeep.Due;
import ration.verdict.check.Verdict;
import ration.verdict.words.Term;

/** The four figures that are always in view. */
final class LedgerBar extends RowBox {

    private static final Duration EFFECT = Duration.seconds(4);
    private static final List<String> IDS = List.of("ledger-flow", "ledger-unusable", "ledger-vapor", "ledger-open");

    private static final List<List<Term>> TERMS = List.of(
            List.of(Term.FLOW_MARGIN, Term.NEEDED_FACTOR),
            List.of(Term.UNUSABLE),
            List.of(Term.VAPOR_MARGIN),
            List.of(Term.NOT_SHOWN));

    private static final int OPEN = 3;

    private final Session session;
    private final List<Cell> cells = new ArrayList<>();
    private final PauseTransition effect = new PauseTransition(EFFECT);

    LedgerBar(Session session, Runnable openFlow, Runnable openTanks, Runnable openVapor, Runnable openFindings) {
        this.session = session;
        List<Runnable> actions = java.util.Arrays.asList(openFlow, openTanks, openVapor, openFindings);
        for (int i = 0; i < IDS.size(); i++) {
            Cell cell = new Cell(IDS.get(i), actions.get(i), TERMS.get(i));
            cells.add(cell);
            HBox.setHgrow(cell, Priority.ALWAYS);
            cell.setMaxWidth(Double.MAX_VALUE);
            getChildren().add(cell);
        }
        effect.setOnFinished(e -> update(false));
        session.shown().addListener((o, was, now) -> {
            boolean more = was != null && was.assessment().answersAs(now.assessment());
            boolean edited = was != null && !more && session.before().get() != null;
            // what comes later of the same answer takes nothing away: what was stays until its time is over
            update(edited || more && effect.getStatus() == Animation.Status.RUNNING);
            if (edited) {
                effect.playFromStart();
            }
        });
        session.early().addListener((o, was, now) -> {
            if (now != null) {
                Ledger.Entry entry = Ledger.early(
                        session.shown().get().assessment(), now, session.units().get());
                cells.get(0)
                        .show(
                                entry,
                                Ledger.of(
                                                session.shown().get().assessment(),
                                                session.units().get())
                                        .entries()
                                        .get(0)
                                        .figure());
            }
        });
        session.units().addListener((o, was, now) -> update(false));
        session.faults().addListener((o, was, now) -> showOpen());
        session.hidden().addListener((o, was, now) -> showOpen());
        update(false);
    }

    /** In the colors that hold now. */
    void drawAnew() {
        update(false);
    }

    private void showOpen() {
        Ledger.Entry open = Ledger.of(
                        session.shown().get().assessment(), session.units().get())
                .entries()
                .get(OPEN);
        cells.get(OPEN).show(withFaults(open), open.figure());
    }

    /** Marks the figure whose page is shown. */
    void current(Page page) {
        List<Page> pages = java.util.Arrays.asList(Page.FLOW, Page.TANKS, Page.VAPOR, null);
        for (int i = 0; i < cells.size(); i++) {
            cells.get(i).getStyleClass().remove("current");
            if (page == pages.get(i)) {
                cells.get(i).getStyleClass().add("current");
            }
        }
    }

    /** How the figure of a page came about; the flow's where the page has none. */
    void ask(Page page) {
        int at = page == Page.TANKS ? 1 : page == Page.VAPOR ? 2 : 0;
        cells.get(at).figure.ask();
    }

    private void update(boolean withEffect) {
        List<Ledger.Entry> now = Ledger.of(
                        session.shown().get().assessment(), session.units().get())
                .entries();
        List<Ledger.Entry> before = withEffect && session.before().get() != null
                ? Ledger.of(session.before().get(), session.units().get()).entries()
                : now;
        for (int i = 0; i < cells.size(); i++) {
            cells.get(i)
                    .show(
                            i == OPEN ? withFaults(now.get(i)) : now.get(i),
                            before.get(i).figure());
        }
    }

    /** What fails is part of what is open; not asked, it is not shown, whatever the checks say. */
    private Ledger.Entry withFaults(Ledger.Entry open) {
        FaultSum sum = FaultSum.of(session.faults().get())
                .with(session.hidden().get(), session.shown().get().project().upkeep());
        List<Due> due = Due.falling(session.shown().get().project().upkeep(), java.time.LocalDate.now());
        long over = due.stream()
                .filter(d -> d.verdict() == Verdict.FAILS || d.verdict() == Verdict.NOT_SHOWN)
                .count();
        Verdict worse = open.verdict()
                .worse(sum.worst())
                .worse(due.isEmpty() ? Verdict.HOLDS : due.get(0).verdict());
        return new Ledger.Entry(
                open.title(),
                sum.shortWords(),
                open.figure(),
                worse,
                worse == open.verdict() ? open.ratio() : sum.ratio(),
                open.detail()
                        + (sum.asked() ? "; " + sum.notShownWords() : "")
                        + (sum.hiddenWords().isEmpty() ? "" : "; " + sum.hiddenWords())
                        + (over > 0 ? "; " + over + (over == 1 ? " part due" : " parts due") : ""),
                open.because());
    }

    /** Of the strip. */
    static final double HEIGHT = 79;

    /** Two lines of the case. */
    private static final double DETAIL = 32;

    private static final double TIP_WIDTH = 460;

    /** One figure; a button where it leads somewhere. */
    private static final class Cell extends Button {

        private final Label title = Ui.label("", "bold");
        private final Label need = Ui.label("", "soft");
        private final Label verdict = Ui.label("", "verdict");
        private final Figure figure;
        private final Label was = Ui.label("", "soft");
        private final NotchBar bar = new NotchBar(86, 10);
        /** In its place while what was before needs the room. */
        private final NotchBar narrow = new NotchBar(48, 10);

        private final Label detail = Ui.wrapped("", "small");
        /** The case in full: a long one is cut off in the cell. */
        private final javafx.scene.control.Tooltip whole = new javafx.scene.control.Tooltip();

        private final List<Term> terms;

        Cell(String id, Runnable action, List<Term> terms) {
            this.terms = terms;
            setId(id);
            whole.setWrapText(true);
            whole.setMaxWidth(TIP_WIDTH);
            figure = new Figure(id + "-figure", "ledger-figure");
            figure.setFocusTraversable(false);
            verdict.setId(id + "-verdict");
            detail.setId(id + "-case");
            need.setId(id + "-need");
            was.setId(id + "-was");
            getStyleClass().setAll("ledger-cell");
            if (action == null) {
                setFocusTraversable(false);
                setMouseTransparent(true);
            } else {
                getStyleClass().add("link");
                setOnAction(e -> action.run());
            }
            HBox top = new RowBox(4, title, need, Ui.spring(), verdict);
            top.setAlignment(Pos.BASELINE_LEFT);
            HBox middle = new RowBox(6, figure, was, Ui.spring(), bar, narrow);
            middle.setAlignment(Pos.CENTER_LEFT);
            for (javafx.scene.layout.Region uncut : List.of(title, verdict, figure, was)) {
                uncut.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
            }
            VBox box = new ColumnBox(-1, top, middle, detail);
            box.setMaxWidth(Double.MAX_VALUE);
            box.prefWidthProperty().bind(widthProperty().subtract(20));
            setGraphic(box);
            detail.setMinHeight(DETAIL);
            detail.setPrefHeight(DETAIL);
            detail.setAlignment(Pos.TOP_LEFT);
            setMinHeight(HEIGHT);
            setPrefHeight(HEIGHT);
            setPrefWidth(255);
            setMinWidth(150);
            setTooltip(whole);
        }

        void show(Ledger.Entry entry, String before) {
            title.setText(entry.title());
            need.setText(entry.need());
            Ui.verdict(verdict, entry.verdict());
            figure.show(entry.figure(), entry.because());
            figure.setFocusTraversable(false);
            boolean moved = !before.equals(entry.figure());
            was.setText(moved ? "previously " + before : "");
            bar.show(entry.ratio(), entry.verdict());
            narrow.show(entry.ratio(), entry.verdict());
            bar.setVisible(!moved);
            bar.setManaged(!moved);
            narrow.setVisible(moved);
            narrow.setManaged(moved);
            detail.setText(entry.detail());
            StringBuilder told = new StringBuilder(entry.detail());
            terms.forEach(t -> told.append("\n\n").append(t.word()).append(": ").append(t.says()));
            whole.setText(told.toString());
            setAccessibleText(entry.title() + ", " + entry.figure() + ", " + entry.need() + ", "
                    + entry.verdict().word() + ". " + entry.detail());
        }
    }
}
