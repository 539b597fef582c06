package ration.desktop.flow;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.RowConstraints;
import javafx.scene.layout.VBox;
import ration.aircraft.model.FieldSheet;
import ration.answer.assess.Assessment;
import ration.answer.assess.Doubt;
import ration.answer.measure.Job;
import ration.answer.measure.MeasureNext;
import ration.answer.measure.MeasureWords;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.publish.drawing.DoubtPicture;
import ration.publish.drawing.Picture;
import ration.record.project.Edit;
import ration.record.project.ShapeSource;

/** What to measure next: figures as entered by what they leave open, and the few readings that would settle it. */
final class MeasurePane extends ColumnBox {

    private static final double[] COLUMNS = {22, 270, 120, 150, 210, 50, 240};
    private static final double BAR = 90;

    private final Session session;
    private final Consumer<String> pick;
    private final BiConsumer<MeasureNext, List<Job>> sheet;
    private final LongWork work;
    private final LongWork drawn;
    private final Label head = Ui.wrapped("", "page-title");
    private final Label outcomes = Ui.wrapped("");
    private final Label spread = Ui.wrapped("", "soft");
    private final Label first = Ui.wrapped("", "bold");
    private final VBox rows = new ColumnBox();
    private final ToggleGroup of = new ToggleGroup();
    /** What is being typed, by the field it stands in; the one that has the keys. */
    private final Map<String, String> typed = new HashMap<>();

    private static final double PALE = 0.45;

    private String writing;
    private Doubt.Of wanted = Doubt.Of.FLOW;
    private Assessment asked;
    private Map<Doubt.Of, MeasureNext> found = Map.of();
    /** What is read of each answer, in this order; the set proposed until something else is ticked. */
    private final Map<Doubt.Of, List<Job>> ticked = new EnumMap<>(Doubt.Of.class);

    private final PicturePane picture;
    private final Button print = Ui.button("", "measure-sheet", this::print, "chip");

    /**
     * @param pick shows an item on the Layout page
     * @param sheet writes the readings to take
     */
    MeasurePane(Session session, Consumer<String> pick, BiConsumer<MeasureNext, List<Job>> sheet) {
        super(8);
        this.session = session;
        this.pick = pick;
        this.sheet = sheet;
        drawn = session.whileOpen().work("measure next, ticked");
        picture = new PicturePane(
                "measure-picture",
                (w, h) -> shown().map(m ->
                                DoubtPicture.draw(m, read(m), session.units().get(), w))
                        .orElse(new Picture(w, h, List.of())),
                id -> {});
        work = session.whileOpen().work("measure next");
        setId("measure-next");
        head.setId("measure-head");
        outcomes.setId("measure-outcomes");
        outcomes.managedProperty().bind(outcomes.textProperty().isNotEmpty());
        first.setId("measure-first");
        first.managedProperty().bind(first.textProperty().isNotEmpty());
        HBox which = new RowBox(8, Ui.label("Whose doubt:", "soft"));
        which.setAlignment(Pos.CENTER_LEFT);
        for (Doubt.Of each : Doubt.Of.values()) {
            which.getChildren().add(choice(each));
        }
        ProgressBar bar = new ProgressBar();
        bar.setPrefWidth(130);
        bar.progressProperty().bind(work.progress());
        Button stop = Ui.button("Stop", "measure-stop", this::stop, "chip");
        for (Node n : new Node[] {bar, stop}) {
            n.visibleProperty().bind(work.running());
            n.managedProperty().bind(work.running());
        }
        which.getChildren().addAll(Ui.spring(), bar, stop, print);
        ScrollPane scroll = new Scroll(rows);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(which, head, outcomes, first, spread, picture, heads(), scroll);
        getStyleClass().add("improve");
    }

    private ToggleButton choice(Doubt.Of each) {
        ToggleButton b = new ToggleButton(MeasureWords.title(each));
        b.setId("measure-" + each.name().toLowerCase(java.util.Locale.ROOT));
        b.getStyleClass().add("chip");
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setToggleGroup(of);
        b.setSelected(each == wanted);
        b.setOnAction(e -> {
            b.setSelected(true);
            wanted = each;
            show();
        });
        return b;
    }

    private void stop() {
        work.cancel();
        show();
        head.setText("Not shown: stopped before every figure was moved.");
    }

    /** Asks for the document shown, unless that was done. */
    void update() {
        Assessment now = session.shown().get().assessment();
        if (now == asked) {
            show();
            return;
        }
        asked = now;
        found = Map.of();
        ticked.clear();
        work.start(
                task -> {
                    Doubt doubt = Doubt.of(now, task);
                    Map<Doubt.Of, MeasureNext> all = new EnumMap<>(Doubt.Of.class);
                    for (Doubt.Of each : Doubt.Of.values()) {
                        all.put(
                                each,
                                MeasureNext.of(doubt, each, task.cancelled().getAsBoolean())
                                        .resolved(now, task));
                    }
                    return all;
                },
                all -> {
                    found = all;
                    show();
                },
                why -> {
                    show();
                    head.setText("Not shown: " + why);
                });
        show();
    }

    /** With what is ticked in place of what is proposed. */
    private Optional<MeasureNext> shown() {
        return Optional.ofNullable(found.get(wanted)).filter(m -> !Double.isNaN(m.stands()) && m.deviation() > 0);
    }

    private List<Job> read(MeasureNext m) {
        return ticked.getOrDefault(wanted, m.next());
    }

    /** One more is read, or one less; what does not add up is drawn again behind the window. */
    private void tick(MeasureNext m, Job j, boolean on) {
        if (!found.containsKey(wanted)) {
            return;
        }
        List<Job> now = new ArrayList<>(read(m));
        now.remove(j);
        if (on) {
            now.add(j);
        }
        ticked.put(wanted, now);
        Doubt.Of of = wanted;
        MeasureNext then = m.reading(now);
        found = new EnumMap<>(found);
        found.put(of, then);
        show();
        if (now.stream().anyMatch(Job::bends)) {
            Assessment a = asked;
            drawn.start(
                    task -> then.resolved(a, task),
                    again -> {
                        found.put(of, again);
                        show();
                    },
                    why -> head.setText("Not shown: " + why));
        }
    }

    private void print() {
        shown().ifPresent(m -> sheet.accept(m, read(m)));
    }

    /** A field that keeps what is being typed while the rows are made anew under it. */
    private TextField kept(String id, String prompt, String words, double width) {
        TextField field = new TextField(typed.getOrDefault(id, ""));
        field.setId(id);
        field.setPromptText(prompt);
        field.setAccessibleText(words);
        field.setPrefWidth(width);
        field.textProperty().addListener((o, was, now) -> typed.put(id, now));
        return field;
    }

    /** Whoever was typing goes on typing in the same field once its row is there again. */
    private void refocus() {
        Node field = writing == null ? null : lookup("#" + writing);
        if (field instanceof TextField text) {
            writing = null;
            if (getScene().getFocusOwner() instanceof TextField) {
                return;
            }
            text.requestFocus();
            text.end();
        }
    }

    private void show() {
        Node owner = getScene() == null ? null : getScene().getFocusOwner();
        if (owner instanceof TextField && owner.getId() != null && owner.getId().startsWith("measure-")) {
            writing = owner.getId();
        }
        // rows stay, paler, while they are worked out anew: whoever types in one goes on
        boolean waits = !found.containsKey(wanted) && work.running().get();
        rows.setOpacity(waits ? PALE : 1);
        if (!waits) {
            rows.getChildren().clear();
        }
        Optional<MeasureNext> m = Optional.ofNullable(found.get(wanted));
        int reading = shown().map(x -> read(x).size()).orElse(0);
        picture.setVisible(shown().isPresent());
        picture.setManaged(shown().isPresent());
        picture.setMinHeight(DoubtPicture.height(reading));
        picture.setPrefHeight(DoubtPicture.height(reading));
        picture.redraw();
        print.setVisible(reading > 0);
        print.setText(reading == 1 ? "Sheet of this reading\u2026" : "Sheet of these " + reading + "\u2026");
        head.setText(m.map(x -> words(x).head()).orElse("Moving every figure by what it may be off."));
        outcomes.setText(m.map(x -> words(x).outcomes()).orElse(""));
        first.setText(m.map(x -> words(x).first()).orElse(""));
        spread.setText(m.map(x -> words(x).spread()
                        + " A figure may be off by two standard deviations of how it was measured; tools and times:"
                        + " common practice, no source.")
                .orElse(""));
        m.ifPresent(x -> words(x).listed().forEach(j -> rows.getChildren().add(row(x, j))));
        refocus();
    }

    private MeasureWords words(MeasureNext m) {
        return new MeasureWords(m, session.units().get());
    }

    private static GridPane grid() {
        GridPane grid = new GridPane();
        grid.setHgap(10);
        for (int i = 0; i < COLUMNS.length; i++) {
            ColumnConstraints c = new ColumnConstraints(COLUMNS[i], COLUMNS[i], i == 1 ? Double.MAX_VALUE : COLUMNS[i]);
            if (i == 1) {
                c.setMinWidth(COLUMNS[i] / 2);
                c.setHgrow(Priority.ALWAYS);
            }
            grid.getColumnConstraints().add(c);
        }
        RowConstraints top = new RowConstraints();
        top.setValignment(VPos.TOP);
        grid.getRowConstraints().add(top);
        grid.getStyleClass().add("improve-row");
        return grid;
    }

    private static Node heads() {
        GridPane grid = grid();
        String[] heads = {"", "Figure, as entered", "May be off", "Share of doubt", "Measure with, to within", "Min", ""
        };
        for (int i = 0; i < heads.length; i++) {
            grid.add(Ui.label(heads[i], "soft"), i, 0);
        }
        return grid;
    }

    private Node row(MeasureNext m, Job j) {
        MeasureWords words = words(m);
        int place = read(m).indexOf(j);
        GridPane grid = grid();
        if (place >= 0) {
            grid.getStyleClass().add("improve-picked");
        }
        String id = j.item().id() + "-" + j.key().replaceAll("[^a-zA-Z0-9]+", "-");
        CheckBox tick = new CheckBox();
        tick.setId("measure-tick-" + id);
        tick.setSelected(place >= 0);
        tick.setAccessibleText("Read " + words.name(j));
        tick.setOnAction(e -> {
            tick(m, j, tick.isSelected());
            Node same = lookup("#measure-tick-" + id);
            if (same != null) {
                same.requestFocus();
            }
        });
        grid.add(tick, 0, 0);
        grid.add(
                new ColumnBox(
                        0,
                        Ui.wrapped(words.name(j), "bold"),
                        Ui.wrapped(
                                words.entered(j)
                                        + (!j.guessed() || j.unsaid()
                                                ? ""
                                                : j.moves().size() > 1
                                                        ? "; some are estimates"
                                                        : "; nobody measured it"),
                                "soft")),
                1,
                0);
        grid.add(Ui.wrapped(words.off(j)), 2, 0);
        Region bar = new Region();
        bar.getStyleClass().add("share-bar");
        bar.setMinSize(Math.max(1, BAR * m.share(j)), 10);
        bar.setMaxSize(Math.max(1, BAR * m.share(j)), 10);
        HBox share = new RowBox(8, bar, Ui.label(words.share(j), "name"));
        share.setAlignment(Pos.TOP_LEFT);
        grid.add(share, 3, 0);
        grid.add(new ColumnBox(0, Ui.wrapped(j.tool().name()), Ui.wrapped(words.within(j), "soft")), 4, 0);
        grid.add(Ui.label(String.valueOf(j.minutes()), "name"), 5, 0);
        Button open = Ui.button(
                "Enter a reading",
                "measure-open-" + id,
                () -> pick.accept(j.item().id()),
                "chip");
        open.setAccessibleText("Enter a reading of " + words.name(j));
        VBox says = new ColumnBox(
                2,
                Ui.wrapped(place >= 0 ? j.tool().how() : ""),
                Ui.wrapped(words.means(j), "soft"),
                j.moves().size() == 1
                                && FieldSheet.of(j.item(), j.moves().get(0).key())
                                        .isPresent()
                        ? reading(j.moves().get(0), id)
                        : open,
                j.shape() && !j.bends() ? source(j, id) : Ui.label(""));
        says.getChildren().removeIf(n -> n instanceof Label l && l.getText().isEmpty());
        grid.add(says, 6, 0);
        return grid;
    }

    /** How the corners of a tank were measured, said of all of them at once: an edit, the figures stay. */
    private Node source(Job j, String id) {
        TextField by = kept(
                "measure-source-" + id,
                "how, such as tape",
                "How the corners of " + j.item().name() + " were measured",
                128);
        Runnable say = () -> {
            if (!by.getText().isBlank()) {
                typed.remove(by.getId());
                session.apply(Edit.of(
                        "Source of the corners of " + j.item().name(),
                        p -> p.with(ShapeSource.said(
                                p.system(), j.item().id(), by.getText().strip()))));
            }
        };
        by.setOnAction(e -> say.run());
        Button take = Ui.button("Say it of all", "measure-say-" + id, say, "chip");
        take.setMinWidth(Region.USE_PREF_SIZE);
        return new RowBox(4, by, take);
    }

    /** One figure as it was read, and how: an edit of its item, here where it was asked for. */
    private Node reading(Doubt.Move move, String id) {
        Label wrong = Ui.wrapped("", "wrong-text");
        wrong.setId("measure-wrong-" + id);
        wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
        TextField figure = kept(
                "measure-read-" + id,
                "reading, " + move.as().quantity().unit().symbol(),
                "Reading of " + move.label() + " of " + move.item().name(),
                100);
        TextField by = kept("measure-by-" + id, "how", "How it was measured", 70);
        Runnable enter = () -> {
            try {
                enter(
                        move,
                        Quantity.parse(figure.getText(), move.as().quantity().unit()),
                        by.getText());
                typed.keySet().removeAll(List.of(figure.getId(), by.getId()));
            } catch (IllegalArgumentException e) {
                wrong.setText(e.getMessage());
            }
        };
        figure.setOnAction(e -> enter.run());
        by.setOnAction(e -> enter.run());
        Button take = Ui.button("Enter it", "measure-enter-" + id, enter, "chip");
        take.setMinWidth(Region.USE_PREF_SIZE);
        return new ColumnBox(2, new RowBox(4, figure, by, take), wrong);
    }

    private void enter(Doubt.Move move, Quantity read, String by) {
        if (by.isBlank()) {
            throw new IllegalArgumentException("Say how it was measured, such as tape, level, caliper.");
        }
        session.apply(Edit.of(
                "Set " + move.label().toLowerCase(Locale.ROOT) + " of "
                        + move.item().name(),
                p -> p.system()
                        .item(move.item().id())
                        .flatMap(i -> FieldSheet.of(i, move.key())
                                .map(f ->
                                        p.with(p.system().replace(f.with().apply(i, new Measured(read, by.strip()))))))
                        .orElse(p)));
    }
}
