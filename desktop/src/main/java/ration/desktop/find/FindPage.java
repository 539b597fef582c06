package ration.desktop.find;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.answer.find.Explanation;
import ration.answer.find.NextReading;
import ration.answer.find.PracticeCase;
import ration.answer.find.Rig;
import ration.answer.find.Search;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.LivePage;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.publish.drawing.Picture;
import ration.publish.drawing.ReadPlaces;
import ration.publish.drawing.SchematicSubject;
import ration.record.project.Edit;
import ration.record.project.Project;
import ration.record.reading.Reading;

/** Readings in, cause out. */
public final class FindPage extends LivePage {

    private static final double DRAWING = 320;

    private final Session session;
    private final Consumer<Condition> set;
    private final LongWork drawing;
    private Picture drawn;
    private FuelSystem drawnOf;
    private final LongWork work;
    private final CauseTable table = new CauseTable(this::chosen);
    private final ReadingLog log;
    private final NextCard card;
    private final Needles needles;
    private final PicturePane places = new PicturePane("find-places", this::drawing, id -> {});
    private final Label mode = Ui.label("readings in, probable cause out", "soft");
    private final Button practise = Ui.button("Practice: hidden failure", "find-practise", this::practise, "chip");
    private final Button ready = Ui.button("A prepared case", "find-prepared", this::prepared, "chip");
    private final Label words = Ui.label("", "soft");
    private final Label suspects = Ui.label("", "main-result");
    private Assessment done;
    private FindWords found = new FindWords(List.of(), List.of(), List.of());
    private Condition from;
    private Practice practice;
    private long seed = System.nanoTime();

    /** What came of weighing. */
    private record Found(Search search, List<NextReading> next) {}

    /** @param set shows a case on the layout */
    public FindPage(Session session, Consumer<Condition> set) {
        super(session, "find-page", "Troubleshoot page");
        this.session = session;
        drawing = session.whileOpen().work("find-drawing");
        work = session.whileOpen().work("find");
        this.set = set;
        log = new ReadingLog(session);
        card = new NextCard(log);
        needles = new Needles(session);
        ProgressBar progress = new ProgressBar();
        progress.setPrefWidth(90);
        progress.progressProperty().bind(work.progress());
        Button stop = Ui.button("Stop", "find-stop", this::stop, "chip");
        for (javafx.scene.Node n : List.of(progress, stop)) {
            n.visibleProperty().bind(work.running());
            n.managedProperty().bind(work.running());
        }
        Button fresh = Ui.button(
                "New search",
                "find-new",
                () -> session.apply(Edit.of("Begin a new search", p -> p.withReadings(List.of()))),
                "chip");
        ready.managedProperty().bind(ready.visibleProperty());
        practise.managedProperty().bind(practise.visibleProperty());
        HBox head = new RowBox(
                8, Ui.label("Troubleshoot", "page-title"), mode, Ui.spring(), progress, stop, ready, practise, fresh);
        mode.setId("find-mode");
        head.getStyleClass().add("page-head");
        head.setAlignment(Pos.CENTER_LEFT);
        setTop(head);
        suspects.setId("find-suspects");
        words.setId("find-words");
        HBox result = new RowBox(10, suspects, words);
        result.setAlignment(Pos.BASELINE_LEFT);
        result.setPadding(new Insets(8, 16, 4, 16));
        ScrollPane scroll = new Scroll(table);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        scroll.setMinWidth(0);
        places.setPrefWidth(DRAWING);
        places.setMinWidth(DRAWING);
        places.setMinHeight(60);
        places.setAccessibleText("Where readings were taken");
        BorderPane explained = new BorderPane(scroll);
        explained.setTop(result);
        explained.setMinWidth(0);
        HBox.setHgrow(explained, Priority.ALWAYS);
        HBox above = new RowBox(places, explained);
        above.setMinHeight(0);
        HBox.setHgrow(log, Priority.ALWAYS);
        HBox below = new RowBox(log, needles);
        BorderPane middle = new BorderPane(above);
        middle.setBottom(below);
        middle.setMinWidth(0);
        setCenter(middle);
        setRight(Ui.side(card, 300));
    }

    @Override
    public void arrive() {
        log.focusFirst();
    }

    @Override
    protected void refresh() {
        Assessment a = session.shown().get().assessment();
        log.refresh();
        ready.setVisible(practice == null && !PracticeCase.of(a.project()).isEmpty());
        if (practice != null && !a.answersAs(done)) {
            leave(); // another layout: what was hidden lies in the old one
        }
        if (!a.answersAs(done) || !readings(a).equals(found.read())) {
            start(a);
        } else {
            done = a;
            fill();
        }
    }

    private List<Reading> readings(Assessment a) {
        return practice == null ? a.project().readings() : practice.taken();
    }

    /** A row was pressed: it is named in practice, and set on the layout else. */
    private void chosen(Explanation e) {
        if (practice != null) {
            named(e);
        } else {
            e.fault().ifPresent(f -> set.accept(from.with(f)));
        }
    }

    /** Hides a fault in this aircraft, or ends that. */
    private void practise() {
        if (practice != null) {
            leave();
            update();
            return;
        }
        long with = seed++;
        hide(a -> Rig.hiding(a, with), "one item in this aircraft has failed; take readings, then name the cause");
    }

    /** Hides what was prepared for this demo, in turn. */
    private void prepared() {
        List<PracticeCase> cases = PracticeCase.of(session.project());
        if (practice != null || cases.isEmpty()) {
            return;
        }
        PracticeCase one = cases.get(Math.floorMod(seed, cases.size()));
        long with = seed++;
        hide(a -> Rig.with(a, one.hidden(), with), one.complaint());
    }

    private void hide(Function<Assessment, Rig> maker, String complaint) {
        Assessment a = session.shown().get().assessment();
        if (a.basis().isEmpty()) {
            return;
        }
        words.setText("Setting up a hidden failure\u2026");
        work.start(
                task -> maker.apply(a),
                rig -> {
                    practice = new Practice(rig, session.whileOpen().work("rig"), () -> start(done), words::setText);
                    log.practise(practice);
                    needles.show(rig);
                    ready.setVisible(false);
                    mode.setText("practice: " + complaint + "; nothing goes into the document");
                    practise.setText("End practice");
                    start(a);
                    log.refresh();
                },
                why -> words.setText(why));
    }

    private void leave() {
        practice = null;
        log.practise(null);
        needles.show(null);
        mode.setText("readings in, probable cause out");
        practise.setText("Practice: hidden failure");
        done = null;
    }

    /** Told which cause it is: right with what it took and the shortest way, or wrong. */
    private void named(Explanation e) {
        Practice p = practice;
        if (!p.rig().names(e)) {
            words.setText("No: it is not " + e.name() + ", " + e.how() + ". "
                    + p.taken().size() + " readings so far.");
            return;
        }
        work.start(
                task -> p.rig().shortestWay(),
                way -> words.setText(
                        "Right: " + e.name() + ", found in " + p.taken().size() + " readings and about "
                                + p.rig().minutes(p.taken()) + " min. The shortest way takes " + way.size() + " and "
                                + p.rig().minutes(way) + " min."),
                words::setText);
    }

    private void start(Assessment a) {
        done = a;
        List<Reading> read = readings(a);
        found = new FindWords(read, List.of(), List.of());
        from = read.isEmpty()
                ? StartingCase.of(a.project())
                : read.get(read.size() - 1).setting().condition();
        fill();
        if (a.basis().isEmpty()) {
            work.cancel();
            words.setText("Nothing is computed yet: add a tank and its line to the engine.");
            return;
        }
        List<Reading> known = FindWords.known(read, a.project().system());
        words.setText("Asking the network of every cause\u2026");
        work.start(
                task -> {
                    Search s = Search.of(a, known);
                    return new Found(s, s.next(from));
                },
                weighed -> {
                    found = new FindWords(read, weighed.search().explanations(), weighed.next());
                    suspects.setText(
                            known.isEmpty()
                                    ? ""
                                    : UnitSystem.figure(weighed.search().suspects(), 1));
                    words.setText(found.sum(known.size()));
                    fill();
                    log.refresh();
                },
                why -> words.setText("It failed: " + why));
    }

    private void stop() {
        work.cancel();
        words.setText("Stopped: nothing is shown.");
    }

    private void fill() {
        if (found.ranked().isEmpty()) {
            suspects.setText("");
        }
        table.fill(found.ranked(), found.read().size());
        card.fill(found);
        places.redraw();
        log.expected(found.sound());
    }

    /** The layout with the numbers of the readings on it. */
    private Picture drawing(double w, double h) {
        return layout(w, h)
                .map(p -> ReadPlaces.draw(
                        p,
                        found.numbers(log.entry()),
                        found.open(),
                        found.next().stream().findFirst().map(n -> n.asked().item())))
                .orElse(new Picture(w, h, List.of()));
    }

    /** The drawing the numbers lie on, made beside the window; empty until it is there. */
    private Optional<Picture> layout(double w, double h) {
        Project p = session.project();
        if (p.system().tanks().isEmpty()) {
            return Optional.empty();
        }
        if (drawn == null || drawnOf != p.system() || drawn.width() != w || drawn.height() != h) {
            SchematicSubject subject = new SchematicSubject(
                    p.system(),
                    p.brief().envelope().attitudes(),
                    StartingCase.of(p),
                    Optional.empty(),
                    "",
                    session.units().get());
            drawing.start(
                    task -> ReadPlaces.layout(subject, w, h, Tokens.measure()),
                    picture -> {
                        drawn = picture;
                        drawnOf = subject.system();
                        places.redraw();
                    },
                    why -> places.setAccessibleText("Where readings were taken: " + why));
            return Optional.empty();
        }
        return Optional.of(drawn);
    }
}
