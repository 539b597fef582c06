package ration.desktop.find;

import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.assess.Assessment;
import ration.condition.Condition;
import ration.desktop.control.LivePage;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.drawing.Ink;
import ration.find.Explanation;
import ration.find.NextReading;
import ration.find.Rig;
import ration.find.Search;
import ration.project.Edit;
import ration.quantity.UnitSystem;
import ration.reading.Reading;

/** Readings in, cause out. */
public final class FindPage extends LivePage {

    private static final int SHOWN = 14;
    private static final double[] WIDE = {232, 50, 74, 66};
    private static final double FIT = 56;

    private final Session session;
    private final Consumer<Condition> set;
    private final LongWork work = new LongWork("find");
    private final VBox rows = new VBox();
    private final VBox card = new VBox(8);
    private final ReadingLog log;
    private final Label mode = Ui.label("readings in, cause out", "soft");
    private final Button practise = Ui.button("Practise: hide a fault", "find-practise", this::practise, "chip");
    private final Label words = Ui.label("", "soft");
    private final Label suspects = Ui.label("", "main-result");
    private Assessment done;
    private List<Reading> read;
    private Condition from;
    private List<Explanation> ranked = List.of();
    private List<NextReading> next = List.of();

    private Practice practice;
    private long seed = System.nanoTime();

    /** What came of weighing. */
    private record Found(Search search, List<NextReading> next) {
    }

    /** @param set shows a case on the layout */
    public FindPage(Session session, Consumer<Condition> set) {
        super(session, "find-page", "Find page");
        this.session = session;
        this.set = set;
        log = new ReadingLog(session);
        ProgressBar progress = new ProgressBar();
        progress.setPrefWidth(90);
        progress.progressProperty().bind(work.progress());
        Button stop = Ui.button("Stop", "find-stop", this::stop, "chip");
        for (javafx.scene.Node n : List.of(progress, stop)) {
            n.visibleProperty().bind(work.running());
            n.managedProperty().bind(work.running());
        }
        Button fresh = Ui.button("New search", "find-new", () -> session.apply(Edit.of("Begin a new search", p -> p.withReadings(List.of()))), "chip");
        practise.managedProperty().bind(practise.visibleProperty());
        HBox head = new HBox(8, Ui.label("Find", "page-title"), mode, Ui.spring(), progress, stop, practise, fresh);
        mode.setId("find-mode");
        head.getStyleClass().add("page-head");
        head.setAlignment(Pos.CENTER_LEFT);
        setTop(head);
        suspects.setId("find-suspects");
        words.setId("find-words");
        HBox result = new HBox(10, suspects, words);
        result.setAlignment(Pos.BASELINE_LEFT);
        result.setPadding(new Insets(8, 16, 4, 16));
        ScrollPane scroll = new ScrollPane(rows);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        scroll.setMinWidth(0);
        rows.setPadding(new Insets(0, 16, 8, 16));
        BorderPane middle = new BorderPane(scroll);
        middle.setTop(result);
        middle.setBottom(log);
        middle.setMinWidth(0);
        setCenter(middle);
        card.getStyleClass().add("card-body");
        setRight(Ui.side(card, 300));
        rows.addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(rows, e));
    }

    @Override
    public void arrive() {
        log.focusFirst();
    }

    @Override
    protected void refresh() {
        Assessment a = session.shown().get().assessment();
        log.refresh();
        if (practice != null && a != done) {
            leave(); // another layout: what was hidden lies in the old one
        }
        if (a != done || !readings(a).equals(read)) {
            start(a);
        } else {
            fill();
        }
    }

    private List<Reading> readings(Assessment a) {
        return practice == null ? a.project().readings() : practice.taken();
    }

    /** Hides a fault in this aircraft, or ends that. */
    private void practise() {
        if (practice != null) {
            leave();
            refresh();
            return;
        }
        Assessment a = session.shown().get().assessment();
        if (a.basis().isEmpty()) {
            return;
        }
        long with = seed++;
        words.setText("Hiding a fault\u2026");
        work.start(task -> Rig.hiding(a, with), rig -> {
            practice = new Practice(rig, () -> start(done));
            log.practise(practice);
            mode.setText("practise: something in this aircraft has failed; ask for readings, then name the cause. Nothing goes into the document");
            practise.setText("End practice");
            start(a);
            log.refresh();
        }, why -> words.setText(why));
    }

    private void leave() {
        practice = null;
        log.practise(null);
        mode.setText("readings in, cause out");
        practise.setText("Practise: hide a fault");
        done = null;
    }

    /** Told which cause it is: right with what it took and the shortest way, or wrong. */
    private void named(Explanation e) {
        Practice p = practice;
        if (!p.rig().names(e)) {
            words.setText("No: it is not " + e.name() + ", " + e.how() + ". " + p.taken().size() + " readings so far.");
            return;
        }
        work.start(task -> p.rig().shortestWay(), way -> words.setText("Right: " + e.name() + ", found in " + p.taken().size() + " readings and about " + p.rig()
                .minutes(p.taken()) + " min. The shortest way takes " + way.size() + " and " + p.rig().minutes(way) + " min."), words::setText);
    }

    private void start(Assessment a) {
        done = a;
        ranked = List.of();
        next = List.of();
        read = readings(a);
        from = read.isEmpty() ? Assessment.start(a.project()) : read.get(read.size() - 1).setting().condition();
        fill();
        if (a.basis().isEmpty()) {
            work.cancel();
            words.setText("Nothing is computed yet: lay out a tank and its line to the engine.");
            return;
        }
        List<Reading> known = read.stream().filter(r -> a.project().system().item(r.place().contains(".") ? r.place().substring(0, r.place().indexOf(
                '.')) : r.place()).isPresent()).toList();
        String gone = known.size() < read.size() ? "; " + (read.size() - known.size()) + " of a place that is no longer laid out are left aside" : "";
        words.setText("Asking the network of every cause\u2026");
        work.start(task -> {
            Search s = Search.of(a, known);
            return new Found(s, s.next(from));
        }, found -> {
            ranked = found.search().explanations();
            next = found.next();
            suspects.setText(known.isEmpty() ? "" : UnitSystem.figure(found.search().suspects(), 1));
            boolean none = !known.isEmpty() && ranked.get(0).name().startsWith("None") && ranked.get(0).belief() > 0.4;
            words.setText(none ? "Nothing that fails by itself explains these readings: read again, or look for two faults" : (known.isEmpty() ? "Enter a reading below, as the conditions bar is set; or begin with the one on the right" : "suspects after " + known.size() + (known.size() == 1
                    ? " reading" : " readings")) + gone);
            fill();
            log.refresh();
        }, why -> words.setText("It failed: " + why));
    }

    private void stop() {
        work.cancel();
        words.setText("Stopped: nothing is shown.");
    }

    private void fill() {
        rows.getChildren().clear();
        if (ranked.isEmpty()) {
            suspects.setText("");
        }
        int n = 0;
        boolean out = false;
        if (!ranked.isEmpty()) {
            rows.getChildren().add(heads());
        }
        List<Explanation> first = ranked.stream().filter(e -> !e.ruledOut()).limit(SHOWN).toList();
        List<Explanation> rest = ranked.stream().filter(Explanation::ruledOut).limit(SHOWN).toList();
        for (Explanation e : first) {
            rows.getChildren().add(row(e, n++));
        }
        for (Explanation e : rest) {
            if (!out) {
                HBox title = new HBox(8, Ui.label("Ruled out", "group-title"), Ui.label("a reading speaks against each by more than three errors", "soft"));
                title.getStyleClass().add("fault-group");
                rows.getChildren().add(title);
                out = true;
            }
            rows.getChildren().add(row(e, n++));
        }
        showCard();
    }

    private HBox heads() {
        HBox box = new HBox(6);
        String[] titles = {"Cause", "Belief", "", ""};
        for (int i = 0; i < WIDE.length; i++) {
            box.getChildren().add(wide(Ui.label(titles[i], "soft"), WIDE[i]));
        }
        for (int i = 0; i < read.size(); i++) {
            box.getChildren().add(wide(Ui.label(String.valueOf(i + 1), "soft"), FIT));
        }
        box.setPadding(new Insets(6, 8, 4, 8));
        return box;
    }

    private static Region wide(Region r, double w) {
        r.setMinWidth(w);
        r.setPrefWidth(w);
        r.setMaxWidth(w);
        return r;
    }

    private Button row(Explanation e, int n) {
        Label name = Ui.label(e.name(), "bold");
        VBox cause = new VBox(name, Ui.label(e.how(), "soft"));
        Region bar = new Region();
        bar.setStyle("-fx-background-color: " + (e.belief() >= 0.1 ? Ink.INK : Ink.EDGE).hex() + ";");
        bar.setMaxSize(Math.max(1, 70 * e.belief()), 7);
        bar.setMinSize(Math.max(1, 70 * e.belief()), 7);
        HBox box = new HBox(6, wide(cause, WIDE[0]), wide(Ui.label(percent(e.belief()), "figure"), WIDE[1]), wide(new HBox(bar), WIDE[2]), wide(Ui.label(e
                .word(), "soft"), WIDE[3]));
        box.setAlignment(Pos.CENTER_LEFT);
        ((HBox) box.getChildren().get(2)).setAlignment(Pos.CENTER_LEFT);
        for (Explanation.Fit f : e.fits()) {
            box.getChildren().add(wide(Ui.label(sign(f), f.word().equals("against") ? "wrong-text" : f.word().equals("fits") ? "figure" : "soft"), FIT));
        }
        Button row = Ui.button("", "cause-" + n, () -> {
            if (practice != null) {
                named(e);
            } else {
                e.fault().ifPresent(f -> set.accept(from.with(f)));
            }
        });
        row.setGraphic(box);
        row.getStyleClass().setAll("button", "fault-row");
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(e.name() + " " + e.how() + ", " + percent(e.belief()) + ", " + e.word() + "; readings: " + String.join(", ", e.fits().stream()
                .map(Explanation.Fit::word).toList()) + (e.fault().isPresent() ? "; Enter sets it on the layout" : ""));
        return row;
    }

    private static String percent(double share) {
        return UnitSystem.figure(100 * share, 0) + " %";
    }

    /** A dot fits, a ring is strained, an arrow speaks against and shows to which side. */
    private static String sign(Explanation.Fit f) {
        return switch (f.word()) {
            case "fits" -> "\u25cf";
            case "strained" -> "\u25cb";
            case "against" -> f.deviation() > 0 ? "\u25b6 over" : "\u25c0 under";
            default -> "any";
        };
    }

    private String figure(Reading.What what, double value) {
        return log.figure(what, value);
    }

    private void showCard() {
        card.getChildren().clear();
        if (next.isEmpty()) {
            card.getChildren().add(Ui.wrapped(ranked.isEmpty() ? "Enter a reading: a pressure, a flow, or the minutes until the engine falters, as the"
                    + " conditions bar is set." : "One cause is left, or no reading that can be taken here would part the rest.", "soft"));
        } else {
            NextReading best = next.get(0);
            Label asked = Ui.wrapped(best.words(), "page-title");
            asked.setId("find-next");
            card.getChildren().addAll(new HBox(8, Ui.label("Read next", "group-title"), Ui.spring(), Ui.label(best.minutes() + " min", "soft")), asked, Ui
                    .wrapped("Leaves " + UnitSystem.figure(best.left(), 1) + " suspects on average."));
            for (NextReading.Outcome o : best.outcomes().stream().limit(4).toList()) {
                String reads = figure(best.asked().what(), o.from()) + (o.to() - o.from() > 0.02 * Math.abs(o.to()) ? " to " + figure(best.asked().what(),
                        o.to()) : "");
                VBox box = new VBox(1, Ui.label(reads, "bold"), Ui.label(UnitSystem.figure(100 * o.chance(), 0) + " in 100", "soft"), Ui.wrapped(String.join(
                        "; ", o.leaves().stream().limit(3).toList()) + (o.leaves().size() > 3 ? "; and " + (o.leaves().size() - 3) + " more" : "")));
                box.getStyleClass().add("outcome");
                card.getChildren().add(box);
            }
            if (!best.caution().isEmpty()) {
                Label caution = Ui.wrapped(best.caution(), "caution");
                caution.setId("find-caution");
                card.getChildren().add(caution);
            }
            Button enter = Ui.button("Enter what it reads", "find-enter", () -> log.prepare(best.asked()));
            enter.setMaxWidth(Double.MAX_VALUE);
            card.getChildren().add(enter);
            card.getChildren().addAll(Ui.rule(), Ui.label("Or else", "group-title"));
            for (NextReading other : next.subList(1, Math.min(4, next.size()))) {
                card.getChildren().add(Ui.wrapped(other.words() + ": " + other.minutes() + " min, leaves " + UnitSystem.figure(other.left(), 1), "soft"));
            }
        }
        card.getChildren().addAll(Ui.rule(), Ui.wrapped("How common faults are is common practice, no source. Two things that fail at once are not looked"
                + " for. Ventilate; no ignition source; extinguisher at hand.", "soft"));
    }
}
