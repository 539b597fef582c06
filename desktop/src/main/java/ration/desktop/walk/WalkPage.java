package ration.desktop.walk;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.aircraft.model.FuelSystem;
import ration.answer.measure.WalkRound;
import ration.answer.measure.WalkRound.Asked;
import ration.answer.measure.WalkRound.Stop;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.base.quantity.Method;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.publish.drawing.MeasuringPicture;
import ration.publish.drawing.MeasuringPoints;
import ration.publish.drawing.Picture;

/** One place after the other, as one walks round the aircraft; every reading goes into the document as it is typed. */
public final class WalkPage extends LivePage {

    private static final List<Method> WAYS =
            List.of(Method.LEVEL, Method.TAPE, Method.CALIPER, Method.DRAWING, Method.MAKER, Method.ESTIMATE);

    private final Session session;
    private final VBox list = new ColumnBox();
    private final Label sum = Ui.label("", "soft");
    private final Label title = Ui.label("", "walk-title");
    private final Label tells = Ui.wrapped("", "guide-label");
    private final VBox entries = new ColumnBox(8);
    private final HBox ways = new RowBox(4);
    private final ToggleGroup way = new ToggleGroup();
    private final Label trouble = Ui.trouble("walk-trouble");
    private final PicturePane picture = new PicturePane("walk-picture", this::draw, id -> {});
    private final Button next = Ui.button("Next place", "walk-next", () -> turn(1), "big-button");
    private List<Stop> stops = List.of();
    private final List<Entry> fields = new ArrayList<>();
    private String at = "";
    private Method by = Method.LEVEL;

    /** A field and what it asks for. */
    private record Entry(TextField field, Label now, String item, String key) {}

    public WalkPage(Session session, Runnable leave) {
        super(session, "walk-page", "Measuring, place by place");
        this.session = session;
        sum.setId("walk-sum");
        sum.setMinWidth(0);
        HBox head = new RowBox(
                8,
                Ui.whole(Ui.label("Measure", "page-title")),
                sum,
                Ui.spring(),
                Ui.button("Back (Esc)", "walk-leave", () -> leave(leave), "chip"));
        head.getStyleClass().add("page-head");
        head.setAlignment(Pos.CENTER_LEFT);
        setTop(head);
        ScrollPane left = Ui.side(list, 264, 216);
        left.setFocusTraversable(false);
        list.addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(list, e));
        setLeft(left);
        title.setId("walk-title");
        tells.setId("walk-tells");
        for (Method m : WAYS) {
            ToggleButton b = new ToggleButton(m.word());
            b.setId("walk-by-" + m.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
            b.setToggleGroup(way);
            b.setSelected(m == by);
            b.setOnAction(e -> {
                by = m;
                b.setSelected(true);
            });
            b.setAccessibleText("Measured by " + m.word());
            ways.getChildren().add(b);
        }
        HBox how = new RowBox(8, Ui.whole(Ui.label("Measured by", "soft")), ways);
        how.setAlignment(Pos.CENTER_LEFT);
        HBox foot =
                new RowBox(8, Ui.button("Place before", "walk-back", () -> turn(-1), "big-button"), Ui.spring(), next);
        foot.setPadding(new Insets(8, 24, 12, 24));
        VBox.setVgrow(picture, Priority.ALWAYS);
        picture.setMinHeight(140);
        picture.getStyleClass().add("guide-picture");
        VBox body = new ColumnBox(12, title, tells, entries, how, trouble, picture);
        body.setPadding(new Insets(16, 24, 8, 24));
        body.setMinWidth(0);
        ScrollPane scroll = new Scroll(body);
        scroll.setFitToWidth(true);
        scroll.setFitToHeight(true);
        scroll.setFocusTraversable(false);
        BorderPane middle = new BorderPane(scroll);
        middle.setBottom(foot);
        setCenter(middle);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.PAGE_DOWN || e.getCode() == KeyCode.PAGE_UP) {
                turn(e.getCode() == KeyCode.PAGE_DOWN ? 1 : -1);
                e.consume();
            } else if (e.getCode() == KeyCode.ESCAPE) {
                if (!restored()) {
                    leave.run();
                }
                e.consume();
            }
        });
    }

    /** Goes on where something is left to measure. */
    public void goOn() {
        stops = WalkRound.of(system());
        int from = Math.max(0, index());
        OptionalInt open = WalkRound.next(stops, from);
        if (!stops.isEmpty()) {
            at = stops.get(open.orElse(from)).key();
        }
        fields.clear();
        update();
    }

    @Override
    public void arrive() {
        // fields that are not laid out yet take no focus
        applyCss();
        layout();
        Node first = fields.stream()
                .map(Entry::field)
                .filter(f -> f.getText().isEmpty())
                .<Node>map(f -> f)
                .findFirst()
                .orElse(next);
        first.requestFocus();
    }

    private FuelSystem system() {
        return session.shown().get().project().system();
    }

    private int index() {
        for (int i = 0; i < stops.size(); i++) {
            if (stops.get(i).key().equals(at)) {
                return i;
            }
        }
        return stops.isEmpty() ? -1 : 0;
    }

    private void turn(int by) {
        if (!stops.isEmpty() && takeAll()) {
            at = stops.get(Math.floorMod(index() + by, stops.size())).key();
            fields.clear();
            update();
            arrive();
        }
    }

    @Override
    protected void refresh() {
        stops = WalkRound.of(system());
        long measured = stops.stream().mapToLong(Stop::measured).sum();
        long all = stops.stream().mapToLong(s -> s.asked().size()).sum();
        sum.setText(
                all == 0
                        ? "nothing is laid out yet"
                        : measured + " of " + all + " figures measured, " + (all - measured)
                                + " left; leave and come back whenever you like");
        list();
        if (stops.isEmpty()) {
            title.setText("Lay out a tank first");
            tells.setText("The figures to measure are those of the layout.");
            entries.getChildren().clear();
            return;
        }
        Stop s = stops.get(index());
        at = s.key();
        title.setText(letter(s) + s.title());
        tells.setText(s.kind().tells() + (index() == 0 ? " Level the aircraft first, and choose where zero is." : ""));
        if (!same(s)) {
            ask(s);
        }
        for (int i = 0; i < fields.size(); i++) {
            Asked a = s.asked().get(i);
            fields.get(i)
                    .now()
                    .setText("now " + a.now().quantity().shown() + ", "
                            + (a.now().by().isBlank() ? "no source" : a.now().by()));
        }
        picture.redraw();
    }

    private boolean same(Stop s) {
        if (fields.size() != s.asked().size()) {
            return false;
        }
        for (int i = 0; i < fields.size(); i++) {
            Asked a = s.asked().get(i);
            if (!fields.get(i).item().equals(a.item()) || !fields.get(i).key().equals(a.field())) {
                return false;
            }
        }
        return true;
    }

    private void ask(Stop s) {
        fields.clear();
        entries.getChildren().clear();
        trouble.setText("");
        for (Asked a : s.asked()) {
            TextField field = new TextField();
            field.getStyleClass().add("big-field");
            field.setId("walk-" + a.field().replaceAll("[^A-Za-z0-9]+", "-"));
            field.setPromptText(session.units().get().unit(Dimension.LENGTH).symbol());
            field.setPrefWidth(190);
            field.setAccessibleText(a.label() + ", reading in any unit");
            Label name = Ui.label(a.label(), "walk-name");
            name.setMinWidth(Region.USE_PREF_SIZE);
            Label now = Ui.label("", "soft");
            int number = fields.size();
            field.setOnAction(e -> read(number, 1));
            field.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
                if (e.getCode() == KeyCode.TAB && !e.isControlDown() && !e.isAltDown()) {
                    read(number, e.isShiftDown() ? -1 : 1);
                    e.consume();
                }
            });
            fields.add(new Entry(field, now, a.item(), a.field()));
            HBox row = new RowBox(12, field, new ColumnBox(2, name, now));
            row.setAlignment(Pos.CENTER_LEFT);
            entries.getChildren().add(row);
        }
    }

    /** Takes the reading of one box and goes on to the one printed after it, or before it, of another place too. */
    private void read(int number, int step) {
        if (!take(fields.get(number))) {
            return;
        }
        int to = number + step;
        if (to >= 0 && to < fields.size()) {
            fields.get(to).field().requestFocus();
        } else {
            turn(step);
            fields.get(to < 0 ? fields.size() - 1 : 0).field().requestFocus();
        }
    }

    private void leave(Runnable leave) {
        if (takeAll()) {
            leave.run();
        }
    }

    /** As in every field of the program: the first Escape takes back what is being typed, the second leaves. */
    private boolean restored() {
        Optional<TextField> typed = fields.stream()
                .map(Entry::field)
                .filter(f -> f.isFocused() && !f.getText().equals(f.getUserData() == null ? "" : f.getUserData()))
                .findFirst();
        typed.ifPresent(f -> {
            f.setText(f.getUserData() == null ? "" : (String) f.getUserData());
            trouble.setText("");
        });
        return typed.isPresent();
    }

    /** Takes what was typed and not entered yet. */
    private boolean takeAll() {
        return List.copyOf(fields).stream().allMatch(this::take);
    }

    /**
     * Puts a reading into the document; what is empty, or taken already, is passed over. False, with the cause shown,
     * where it is none.
     */
    private boolean take(Entry e) {
        String text = e.field().getText().strip();
        if (text.isEmpty() || text.equals(e.field().getUserData())) {
            return true;
        }
        Unit usual = session.units().get().unit(Dimension.LENGTH);
        try {
            Quantity read = Quantity.parse(text, usual);
            Optional<Asked> asked = stops.get(index()).asked().stream()
                    .filter(a -> a.item().equals(e.item()) && a.field().equals(e.key()))
                    .findFirst();
            trouble.setText("");
            e.field().setUserData(text);
            asked.ifPresent(a -> session.apply(a.take(read, by.word())));
            return true;
        } catch (IllegalArgumentException wrong) {
            trouble.setText(wrong.getMessage());
            e.field().requestFocus();
            e.field().selectAll();
            return false;
        }
    }

    private void list() {
        list.getChildren().clear();
        for (Stop s : stops) {
            Label name = Ui.label(s.title(), s.key().equals(at) ? "bold" : "plain-text");
            name.setMinWidth(0);
            HBox.setHgrow(name, Priority.ALWAYS);
            name.setMaxWidth(Double.MAX_VALUE);
            Label how = Ui.label(
                    s.done() ? "done" : s.measured() + " of " + s.asked().size(), "soft");
            how.setMinWidth(Region.USE_PREF_SIZE);
            HBox inside = new RowBox(6, name, how);
            Button row = Ui.button("", "walk-stop-" + list.getChildren().size(), () -> go(s), "fault-row");
            row.setGraphic(inside);
            row.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
            row.setMaxWidth(Double.MAX_VALUE);
            if (s.key().equals(at)) {
                row.getStyleClass().add("hidden-picked");
            }
            row.setAccessibleText(
                    s.title() + ", " + s.measured() + " of " + s.asked().size() + " measured");
            list.getChildren().add(row);
        }
    }

    private void go(Stop to) {
        if (takeAll()) {
            at = to.key();
            fields.clear();
            update();
            arrive();
        }
    }

    /** The letter that the place has on the measuring sheet and in the picture. */
    private String letter(Stop s) {
        if (s.asked().size() != 3) {
            return "";
        }
        double[] p = s.asked().stream().mapToDouble(a -> a.now().si()).toArray();
        Point3 here = new Point3(p[0], p[1], p[2]);
        return MeasuringPoints.of(system()).stream()
                .filter(m -> m.at().minus(here).length() < 1e-9)
                .findFirst()
                .map(m -> m.letter() + "  ")
                .orElse("");
    }

    private Picture draw(double w, double h) {
        FuelSystem s = system();
        return stops.isEmpty() ? new Picture(w, h, List.of()) : MeasuringPicture.side(s, MeasuringPoints.of(s), w, h);
    }
}
