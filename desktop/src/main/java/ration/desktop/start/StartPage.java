package ration.desktop.start;

import java.nio.file.Path;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Regime;
import ration.answer.assess.StartingCase;
import ration.desktop.control.Arriving;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.Home;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.publish.drawing.MeasuringPoints;
import ration.publish.drawing.Picture;
import ration.publish.drawing.Schematic;
import ration.publish.drawing.SchematicSubject;
import ration.publish.drawing.SchematicView;
import ration.publish.drawing.TextMeasure;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** Where work begins: a layout to start from, a document, or an example. */
public final class StartPage extends BorderPane implements Arriving {

    /** What is done from here. */
    public interface Asked {
        void layOut(Pattern pattern);

        void empty();

        void demo(String name);

        void open();

        void open(Path recent);

        void measuringSheet(Pattern pattern);
    }

    private static final double LIST = 296;
    private static final double SIDE = 288;
    /** Common practice, no source: minutes a point and a line take with tape and water hose. */
    private static final int POINT_MINUTES = 3;

    private static final int LINE_MINUTES = 4;
    private static final int ROUND = 15;

    private final Session session;
    private final Asked asked;
    private final LongWork work;
    private final VBox rows = new ColumnBox();
    private final Label title = Ui.label("", "page-title");
    private final Label facts = Ui.wrapped("", "soft");
    private final PicturePane picture;
    private Optional<Subject> shown = Optional.empty();
    private Pattern picked = Pattern.values()[0];

    /** A layout with a case of it solved, so that its drawing says what flows. */
    private record Subject(Pattern pattern, Project project, Optional<CaseAnswer> look) {}

    public StartPage(Session session, Asked asked) {
        this.session = session;
        this.asked = asked;
        work = session.whileOpen().work("starting layouts");
        setId("start");
        picture = new PicturePane("start-picture", this::drawn, id -> {});
        title.setId("start-title");
        facts.setId("start-facts");
        HBox head = new RowBox(
                12,
                Ui.whole(Ui.label("Start from a layout", "page-title")),
                Ui.label("arrows choose, Enter uses it; every figure in it is an estimate to be measured", "soft"));
        head.getStyleClass().add("page-head");
        setTop(head);
        int n = 0;
        for (Pattern p : Pattern.values()) {
            rows.getChildren().add(row(p, n++));
        }
        rows.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER) {
                asked.layOut(picked);
                e.consume();
            } else {
                Ui.walk(rows, e);
            }
        });
        ScrollPane list = new Scroll(rows);
        list.setFitToWidth(true);
        list.setFocusTraversable(false);
        list.setPrefWidth(LIST);
        list.setMinWidth(LIST);
        setLeft(list);
        setCenter(middle());
        setRight(Ui.side(side(), SIDE, 232));
        pick(picked);
    }

    @Override
    public Node node() {
        return this;
    }

    @Override
    public void arrive() {
        // what lies in a list that was never laid out takes no focus
        applyCss();
        layout();
        rows.getChildren().get(picked.ordinal()).requestFocus();
    }

    private Button row(Pattern p, int n) {
        Button row = Ui.button("", "start-" + p.name().toLowerCase(Locale.ROOT).replace('_', '-'), () -> pick(p));
        VBox words = new ColumnBox(Ui.wrapped(p.label(), "bold"), Ui.wrapped(p.detail(), "soft"));
        row.setGraphic(new RowBox(Ui.wide(words, LIST - 48)));
        row.getStyleClass().setAll("button", "fault-row");
        row.setMaxWidth(Double.MAX_VALUE);
        row.setUserData(p);
        row.setAccessibleText(p.label() + ": " + p.detail() + ". Enter lays it out.");
        row.focusedProperty().addListener((o, was, now) -> {
            if (now && picked != p) {
                pick(p);
            }
        });
        return row;
    }

    private VBox middle() {
        VBox.setVgrow(picture, Priority.ALWAYS);
        Button lay = Ui.button("Use this layout", "start-lay-out", () -> asked.layOut(picked), "filled");
        Button print =
                Ui.button("Its measuring sheet as PDF\u2026", "start-measuring", () -> asked.measuringSheet(picked));
        Button empty = Ui.button("An empty sheet", "start-empty", asked::empty);
        FlowPane acts = new FlowPane(8, 6, lay, print, empty);
        VBox foot = new ColumnBox(6, title, facts, acts);
        foot.setPadding(new Insets(10, 16, 14, 16));
        foot.getStyleClass().add("card-body");
        foot.setMinHeight(USE_PREF_SIZE);
        VBox middle = new ColumnBox(picture, Ui.rule(), foot);
        middle.setMinWidth(0);
        return middle;
    }

    private VBox side() {
        Button demo = Ui.button("Open the example, Corrie B1", "start-demo", () -> asked.demo("corrie-b1"), "filled");
        demo.setMaxWidth(Double.MAX_VALUE);
        Button file = Ui.button("Open a document\u2026", "start-open", asked::open);
        file.setMaxWidth(Double.MAX_VALUE);
        VBox side = new ColumnBox(
                8,
                Ui.label("Open", "page-title"),
                demo,
                Ui.wrapped(
                        "A made-up aircraft with answers that Fail: see what that looks like and what cures it.",
                        "soft"),
                new RowBox(
                        6,
                        Ui.button("Brindle A2", "start-demo-brindle-a2", () -> asked.demo("brindle-a2"), "chip"),
                        Ui.label("low tank, header, two pumps", "soft")),
                new RowBox(
                        6,
                        Ui.button("Tansy L3", "start-demo-tansy-l3", () -> asked.demo("tansy-l3"), "chip"),
                        Ui.label("injection with returns", "soft")),
                file,
                Ui.rule(),
                Ui.label("Recent, as last saved", "group-title"));
        List<Home.Recent> recent = session.home().recentWithVerdicts();
        if (recent.isEmpty()) {
            side.getChildren().add(Ui.wrapped("None yet: a document that was saved or opened is listed here.", "soft"));
        }
        for (int i = 0; i < recent.size(); i++) {
            side.getChildren().add(recent(recent.get(i), i));
        }
        side.getChildren()
                .addAll(
                        Ui.rule(),
                        Ui.label("Bring your measurements", "group-title"),
                        Ui.wrapped(
                                "One sheet a layout: two views with lettered points, a box for each figure, how to"
                                        + " level the aircraft and where zero is. Type what you read: 3/8, 52 1/2,"
                                        + " 7.7 mm.",
                                "soft"),
                        Ui.rule(),
                        Ui.wrapped("Ration computes from what you measure. It approves nothing: test flow and unusable"
                                + " fuel on the aircraft; your inspector and the aviation authority decide."));
        side.getStyleClass().add("card-body");
        return side;
    }

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT);

    private Button recent(Home.Recent r, int n) {
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, r.verdict().orElse(Verdict.NOT_SHOWN));
        verdict.setMinWidth(USE_PREF_SIZE);
        Label name = Ui.wrapped(String.valueOf(r.file().getFileName()), "bold");
        HBox.setHgrow(name, Priority.ALWAYS);
        String when =
                r.saved().map(t -> DAY.format(t.atZone(ZoneId.systemDefault()))).orElse("");
        HBox top = new RowBox(6, name, Ui.spring(), verdict);
        VBox box = new ColumnBox(1, top, Ui.wrapped(home(r.file().getParent()) + "  " + when, "soft"));
        Button row = Ui.button("", "start-recent-" + n, () -> asked.open(r.file()));
        row.setGraphic(new RowBox(Ui.wide(box, SIDE - 60, 232 - 60)));
        row.getStyleClass().setAll("button", "fault-row");
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText("Open " + r.file().getFileName() + ", "
                + r.verdict().orElse(Verdict.NOT_SHOWN).word() + " when last saved " + when);
        return row;
    }

    /** A folder as a reader writes it. */
    private static String home(Path folder) {
        Path own = Path.of(System.getProperty("user.home"));
        return folder == null ? "" : folder.startsWith(own) ? "~/" + own.relativize(folder) : folder.toString();
    }

    private void pick(Pattern p) {
        picked = p;
        rows.getChildren().forEach(n -> {
            n.getStyleClass().remove("fault-picked");
            if (n.getUserData() == p) {
                n.getStyleClass().add("fault-picked");
            }
        });
        title.setText(p.label());
        Project project = p.project();
        int points = MeasuringPoints.of(project.system()).size();
        int lines = project.system().runs().size();
        int minutes =
                Math.max(ROUND, Math.round((points * POINT_MINUTES + lines * LINE_MINUTES) / (float) ROUND) * ROUND);
        facts.setText(points + " points and " + lines + " lines to measure, some " + minutes
                + " min with a tape and a water hose. What you leave blank is Not shown, never guessed; parts and"
                + " heights can all be changed later.");
        work.start(
                task -> {
                    Assessment a = Assessment.of(project);
                    Subject subject = new Subject(p, project, a.look(StartingCase.of(project)));
                    // what the drawing asks of the network is answered here, and not by the interface thread
                    drawn(subject, WARM, WARM, TextMeasure.approximate());
                    return subject;
                },
                s -> {
                    shown = Optional.of(s);
                    picture.redraw();
                },
                why -> {
                    shown = Optional.of(new Subject(p, project, Optional.empty()));
                    picture.redraw();
                });
    }

    private Picture drawn(double width, double height) {
        return shown.map(s -> drawn(s, width, height, Tokens.measure())).orElse(new Picture(width, height, List.of()));
    }

    private static final double WARM = 500;

    private Picture drawn(Subject s, double width, double height, TextMeasure measure) {
        return Schematic.draw(
                new SchematicSubject(
                        s.project().system(),
                        s.project().brief().envelope().attitudes(),
                        s.look().map(CaseAnswer::condition).orElseGet(() -> StartingCase.of(s.project())),
                        s.look(),
                        "",
                        session.units().get(),
                        Regime.usual(s.project().brief())),
                SchematicView.of(width, height),
                measure);
    }
}
