package ration.desktop.guide;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import ration.answer.assess.Assessment;
import ration.answer.assess.Sureness;
import ration.answer.guide.GuideText;
import ration.answer.guide.Step;
import ration.answer.guide.StepState;
import ration.answer.guide.StepState.Missing;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.publish.drawing.GuidePicture;
import ration.publish.drawing.Picture;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.verdict.words.Term;

/** One step of the job: what to do, a picture, and what this document still misses for it. */
public final class GuidePage extends LivePage {

    /** Missing things told; the rest is counted. */
    private static final int TOLD = 7;
    /** Figures of the most doubt that are told. */
    private static final int MOST = 3;

    private static final String LETTERS = " Letters as on the measuring sheet, which is in the menu.";

    private final Session session;
    private final Consumer<Missing> go;
    private final Runnable walk;
    private final VBox steps = new ColumnBox(1);
    private final VBox card = new ColumnBox(8);
    private final Label number = Ui.label("", "guide-number");
    private final Label title = Ui.label("", "page-title");
    private final Label takes = Ui.label("", "soft");
    private final VBox text = new ColumnBox(8);
    private final VBox term = new ColumnBox(2);
    private final Label pictured = Ui.label("", "soft");
    private final PicturePane picture = new PicturePane("guide-picture", this::draw, id -> {});
    private final Button back = Ui.button("", "guide-back", () -> turn(-1), "chip");
    private final Button on = Ui.button("", "guide-on", () -> turn(1), "chip");
    private final LongWork drawing;
    private Assessment example;
    private Optional<GuidePicture> drawn = Optional.empty();
    private Asked asked;
    private List<StepState> states = List.of();
    private Step step = Step.DATUM;

    /** What a picture is of. */
    private record Asked(Step step, Assessment of, UnitSystem units) {}

    /** @param own whether from the document */
    private record Drawn(boolean own, GuidePicture picture) {}

    /**
     * @param go told something missing to go to
     * @param walk measures one place after the other
     * @param leave back to where the guide was asked for
     * @param print writes all steps as PDF
     */
    public GuidePage(Session session, Consumer<Missing> go, Runnable walk, Runnable leave, Runnable print) {
        super(session, "guide-page", "Guide");
        this.session = session;
        this.go = go;
        this.walk = walk;
        drawing = session.whileOpen().work("picture of the guide");
        takes.setMinWidth(0);
        HBox head = new RowBox(
                8,
                Ui.whole(Ui.label("Guide", "page-title")),
                Ui.label("the job in the order of the work, beside your document", "soft"),
                Ui.spring(),
                Ui.button("Print, PDF\u2026", "guide-print", print, "chip"),
                Ui.button("Back (F1)", "guide-leave", leave, "chip"));
        head.getStyleClass().add("page-head");
        head.setAlignment(Pos.CENTER_LEFT);
        setTop(head);
        ScrollPane list = Ui.side(steps, 264, 216);
        list.setId("guide-list");
        list.setFocusTraversable(false);
        steps.setPadding(new Insets(6, 0, 12, 0));
        steps.addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(steps, e));
        setLeft(list);
        HBox over = new RowBox(8, number, Ui.whole(title), Ui.spring(), takes);
        over.setAlignment(Pos.BASELINE_LEFT);
        term.setId("guide-term");
        term.getStyleClass().add("guide-term");
        term.managedProperty().bind(term.visibleProperty());
        term.setVisible(false);
        picture.setMinHeight(300);
        picture.getStyleClass().add("guide-picture");
        VBox.setVgrow(picture, Priority.ALWAYS);
        VBox body = new ColumnBox(10, over, text, term, picture, pictured);
        body.setPadding(new Insets(12, 20, 8, 20));
        body.setMinWidth(0);
        ScrollPane scroll = new Scroll(body);
        scroll.setFitToWidth(true);
        scroll.setFitToHeight(true);
        scroll.setMinWidth(0);
        scroll.setFocusTraversable(false);
        HBox foot = new RowBox(8, back, Ui.spring(), Ui.label("PgUp, PgDn turn pages", "soft"), Ui.spring(), on);
        foot.setAlignment(Pos.CENTER);
        foot.setPadding(new Insets(8, 20, 10, 20));
        BorderPane middle = new BorderPane(scroll);
        middle.setBottom(foot);
        middle.setMinWidth(0);
        setCenter(middle);
        card.getStyleClass().add("card-body");
        setRight(Ui.side(card, 288, 232));
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.PAGE_DOWN || e.getCode() == KeyCode.PAGE_UP) {
                turn(e.getCode() == KeyCode.PAGE_DOWN ? 1 : -1);
                e.consume();
            } else if (e.getCode() == KeyCode.ESCAPE) {
                if (term.isVisible()) {
                    term.setVisible(false);
                } else {
                    leave.run();
                }
                e.consume();
            }
        });
    }

    /** Opens at a step. */
    public void show(Step at) {
        step = at;
        update();
    }

    @Override
    public void arrive() {
        // rows in a list that is not laid out yet take no focus
        applyCss();
        layout();
        Node row = steps.lookup("#guide-" + step.file());
        if (row != null) {
            row.requestFocus();
        } else {
            requestFocus();
        }
    }

    private void turn(int by) {
        int to = step.ordinal() + by;
        if (to >= 0 && to < Step.values().length) {
            step = Step.values()[to];
            update();
            arrive();
        }
    }

    private Assessment assessment() {
        return session.shown().get().assessment();
    }

    @Override
    protected void refresh() {
        states = StepState.of(assessment());
        list();
        GuideText said = step.text();
        number.setText(String.valueOf(step.number()));
        title.setText(said.title());
        takes.setText(said.takes());
        term.setVisible(false);
        text.getChildren()
                .setAll(said.paragraphs().stream().map(this::paragraph).toList());
        neighbours();
        missing();
        pictured();
        picture.redraw();
    }

    private void list() {
        steps.getChildren().clear();
        Step.Part part = null;
        for (StepState s : states) {
            if (s.step().part() != part) {
                part = s.step().part();
                Label group = Ui.label(part.label(), "group-title");
                group.setPadding(new Insets(10, 12, 2, 12));
                steps.getChildren().add(group);
            }
            steps.getChildren().add(row(s));
        }
    }

    private Node row(StepState s) {
        GuideText said = s.step().text();
        Label name = Ui.label(said.title(), "bold");
        Label how = Ui.label(s.words(), "soft");
        VBox words = new ColumnBox(name, how);
        words.setMinWidth(0);
        HBox.setHgrow(words, Priority.ALWAYS);
        Label n = Ui.label(String.valueOf(s.step().number()), "soft");
        n.setMinWidth(20);
        HBox inside = new RowBox(6, n, words, new Pie(s));
        inside.setAlignment(Pos.CENTER_LEFT);
        Button row = Ui.button("", "guide-" + s.step().file(), () -> pick(s.step()), "fault-row");
        row.setGraphic(inside);
        row.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        row.setMaxWidth(Double.MAX_VALUE);
        if (s.step() == step) {
            row.getStyleClass().add("hidden-picked");
        }
        row.setAccessibleText("Step " + s.step().number() + ": " + said.title() + ", " + s.words());
        return row;
    }

    private void pick(Step to) {
        step = to;
        update();
        arrive();
    }

    private TextFlow paragraph(List<GuideText.Piece> pieces) {
        TextFlow flow = new TextFlow();
        flow.setMinWidth(0);
        for (GuideText.Piece p : pieces) {
            if (p.term().isPresent()) {
                Hyperlink word = new Hyperlink(p.words());
                word.setId("guide-term-" + GuideText.anchor(p.term().get()));
                word.getStyleClass().add("guide-word");
                word.setOnAction(e -> explain(p.term().get()));
                flow.getChildren().add(word);
            } else {
                Text words = new Text(p.words());
                words.getStyleClass().add("guide-text");
                flow.getChildren().add(words);
            }
        }
        return flow;
    }

    private void explain(Term t) {
        term.getChildren().setAll(Ui.label(t.word(), "bold"), Ui.wrapped(t.says()), Ui.wrapped(t.figure(), "soft"));
        term.setVisible(true);
    }

    private void neighbours() {
        neighbour(back, step.ordinal() - 1, "\u2039 ", "");
        neighbour(on, step.ordinal() + 1, "", " \u203a");
    }

    private static void neighbour(Button b, int at, String before, String after) {
        boolean there = at >= 0 && at < Step.values().length;
        b.setVisible(there);
        if (there) {
            Step other = Step.values()[at];
            b.setText(before + other.number() + "  " + other.text().title() + after);
        }
    }

    private void missing() {
        StepState s = states.get(step.ordinal());
        List<Node> nodes = new ArrayList<>();
        nodes.add(Ui.label("In your document", "page-title"));
        nodes.add(Ui.wrapped(s.words(), "bold"));
        if (s.missing().isEmpty()) {
            nodes.add(Ui.wrapped("Nothing is missing for this step.", "plain-text"));
        } else {
            Missing first = s.missing().get(0);
            Button there = Ui.button("Go to: " + first.what(), "guide-go", () -> go.accept(first), "filled");
            there.setMaxWidth(Double.MAX_VALUE);
            there.setWrapText(true);
            nodes.add(Ui.label("Still missing", "group-title"));
            for (Missing m : s.missing().subList(0, Math.min(TOLD, s.missing().size()))) {
                VBox one = new ColumnBox(Ui.wrapped(m.what(), "bold"), Ui.wrapped(m.why(), "soft"));
                one.setMinWidth(0);
                nodes.add(one);
            }
            if (s.missing().size() > TOLD) {
                nodes.add(Ui.label("and " + (s.missing().size() - TOLD) + " more", "soft"));
            }
            nodes.add(there);
        }
        if (step.part() == Step.Part.MEASURE) {
            nodes.add(Ui.button("Measure, place by place", "guide-walk", walk));
        }
        decides(nodes);
        card.getChildren().setAll(nodes);
    }

    /** In the steps that measure: which figures the flow margin hangs on. */
    private void decides(List<Node> nodes) {
        if (step.part() != Step.Part.MEASURE) {
            return;
        }
        List<Sureness.Deciding> most = assessment().sure().map(Sureness::deciding).orElse(List.of()).stream()
                .limit(MOST)
                .toList();
        if (most.isEmpty()) {
            return;
        }
        nodes.add(Ui.rule());
        nodes.add(Ui.label("What the flow margin hangs on", "group-title"));
        for (Sureness.Deciding x : most) {
            Label name = Ui.wrapped(x.item().name() + ", " + x.label());
            HBox.setHgrow(name, Priority.ALWAYS);
            Label share = Ui.label(Math.round(100 * x.share()) + "%", "bold");
            share.setMinWidth(Region.USE_PREF_SIZE);
            nodes.add(new RowBox(6, name, share));
        }
        nodes.add(Ui.wrapped("Share of its doubt. Measure these best.", "soft"));
    }

    /** Works the picture out behind the window, from the example where the document is not that far. */
    private void pictured() {
        Assessment own = assessment();
        UnitSystem units = session.units().get();
        Asked now = new Asked(step, own, units);
        if (now.equals(asked)) {
            return;
        }
        asked = now;
        drawn = Optional.empty();
        pictured.setText("");
        drawing.start(
                task -> {
                    boolean drawable = GuidePicture.drawable(own);
                    return new Drawn(drawable, GuidePicture.of(now.step(), drawable ? own : example(), units));
                },
                found -> {
                    drawn = Optional.of(found.picture());
                    pictured.setText(
                            found.own()
                                    ? "Drawn from your document." + (hasLetters(now.step()) ? LETTERS : "")
                                    : "Drawn from the example: your document is not that far yet.");
                    picture.redraw();
                },
                why -> pictured.setText("No picture: " + why));
    }

    private static boolean hasLetters(Step step) {
        return step == Step.DATUM || step == Step.HEIGHTS;
    }

    /** Worked out once, and only where it is needed. */
    private synchronized Assessment example() {
        try {
            example = example == null ? Assessment.of(ProjectFile.demo(ProjectFile.DEMO)) : example;
            return example;
        } catch (ProjectFileException e) {
            throw new IllegalStateException(e.fullText(), e);
        }
    }

    private Picture draw(double w, double h) {
        return drawn.map(p -> p.draw(w, h, Tokens.measure())).orElseGet(() -> new Picture(w, h, List.of()));
    }
}
