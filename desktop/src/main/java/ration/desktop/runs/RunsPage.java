package ration.desktop.runs;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.Clipboard;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.plumbing.CutLength;
import ration.aircraft.plumbing.Joints;
import ration.aircraft.plumbing.RunSheet;
import ration.aircraft.plumbing.SheetColumn;
import ration.aircraft.plumbing.SheetJob;
import ration.aircraft.plumbing.ShoppingList;
import ration.answer.ask.HoseOrder;
import ration.answer.assess.Assessment;
import ration.base.quantity.Dimension;
import ration.base.quantity.Method;
import ration.desktop.control.Arriving;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Cover;
import ration.desktop.control.EachPulse;
import ration.desktop.control.FindingBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Sheet;
import ration.desktop.control.Sheet.Column;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.record.cost.LayoutParts;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Runs: the sheet people keep by hand, checked as it is written. */
public final class RunsPage extends BorderPane implements Arriving {

    /** A row: a run, or the empty one at the foot that becomes a run once From and To are written. */
    private record Row(Optional<String> run) {}

    /** What the page asks of the window. */
    public interface Files {
        void readTable(Consumer<String> text);

        void writeTable(String suggested, String text);

        void print();
    }

    /** What a column takes, px: those of a job stand side by side in a window of 1280. */
    private static final Map<SheetColumn, Double> WIDTHS = Map.of(
            SheetColumn.RUN,
            52.0,
            SheetColumn.FROM,
            140.0,
            SheetColumn.TO,
            136.0,
            SheetColumn.SIZE,
            130.0,
            SheetColumn.CONSTRUCTION,
            126.0,
            SheetColumn.LENGTH,
            62.0,
            SheetColumn.BENDS,
            88.0,
            SheetColumn.TIGHTEST,
            92.0,
            SheetColumn.CLAMP,
            104.0,
            SheetColumn.PART,
            100.0);

    private static final String RUNS_HINT =
            "Type to replace a cell. Tab: next. Enter: down. Ctrl+V: paste table. Last row adds a line.";

    private final Session session;
    private final Files files;
    private final RunsEntry entry = new RunsEntry();
    private final Map<SheetJob, RunsOf> jobs = new EnumMap<>(SheetJob.class);
    private final Sheet<Joints.Joint> joints;
    private final VBox lists = new ColumnBox(4);
    private final LeaksPane leaks;
    private final LongWork ordering;
    /** What the hose order below was made of. */
    private Assessment ordered;

    private List<HoseOrder.Row> order = List.of();
    private final ToggleGroup views = new ToggleGroup();
    private final Label said = Ui.wrapped("", "soft");
    private final VBox side = new ColumnBox(8);
    /** The sheet of the job in hand. */
    private RunsOf hand;

    private final Cover cover = new Cover(this);
    private final EachPulse pulse = new EachPulse(() -> cover.guard(this::update));

    public RunsPage(Session session, Files files) {
        this.session = session;
        this.files = files;
        leaks = new LeaksPane(session);
        ordering = session.whileOpen().work("hose order");
        setId("runs-page");
        for (SheetJob job : SheetJob.values()) {
            jobs.put(job, sheet(job));
        }
        hand = jobs.get(SheetJob.MAKE_UP);
        joints = new Sheet<>("joints-sheet", jointColumns());
        joints.onWrite(this::writeJoint);
        joints.setAccessibleText("Fittings sheet");
        said.setId("runs-said");
        setTop(head());
        setCenter(hand.sheet());
        HBox foot = new RowBox(said);
        foot.getStyleClass().add("sheet-foot");
        setBottom(foot);
        side.getStyleClass().add("card-body");
        side.setId("runs-side");
        ScrollPane scroll = new Scroll(side);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("card");
        Ui.wide(scroll, 288, 240);
        scroll.setFocusTraversable(false);
        setRight(scroll);
        session.whileOpen().follow(session.shown(), pulse::ask);
        session.whileOpen().follow(session.units(), pulse::ask);
        sceneProperty().addListener((o, was, now) -> pulse.ask());
        joints.onMove(this::aside);
        update();
        say(RUNS_HINT);
    }

    private HBox head() {
        HBox head = new RowBox(3, Ui.label("Lines", "page-title"));
        ((Label) head.getChildren().get(0)).setMinWidth(46);
        jobs.forEach((job, of) -> view(
                        head,
                        job.label(),
                        "view-" + job.name().toLowerCase(Locale.ROOT).replace('_', '-'),
                        of.sheet(),
                        RUNS_HINT)
                .setSelected(of == hand));
        view(head, "Fittings", "view-joints", joints, "Type to replace a cell. Tab: next. Enter: down. Delete: clear.");
        ScrollPane scroll = new Scroll(lists);
        scroll.setFitToWidth(true);
        lists.getStyleClass().add("card-body");
        lists.setId("lists");
        view(
                head,
                "Cut and shopping lists",
                "view-lists",
                scroll,
                "Made from the lines and fittings; Write PDF prints both.");
        view(
                head,
                "Leaks",
                "view-leaks",
                leaks,
                "Lines open over their whole bore, worst selector position, pumps on, off, each alone; drains"
                        + " and sight tubes over"
                        + " 1/4 in.");
        head.getChildren()
                .addAll(
                        Ui.spring(),
                        Ui.button("Read CSV\u2026", "runs-read", () -> files.readTable(this::read)),
                        Ui.button(
                                "Write CSV\u2026",
                                "runs-write",
                                () -> files.writeTable(
                                        "runs.csv",
                                        RunSheet.csv(session.project().system()))),
                        Ui.button("Write PDF\u2026", "runs-print", files::print));
        head.getStyleClass().add("page-head");
        return head;
    }

    private ToggleButton view(HBox head, String text, String id, javafx.scene.Node shown, String hint) {
        ToggleButton button = new ToggleButton(text);
        button.setId(id);
        button.setToggleGroup(views);
        button.getStyleClass().add("chip");
        button.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        button.setOnAction(e -> {
            button.setSelected(true);
            int row = hand.sheet().row();
            jobs.values().stream().filter(of -> of.sheet() == shown).findFirst().ifPresent(of -> hand = of);
            setCenter(shown);
            shown.requestFocus();
            refresh();
            if (shown == hand.sheet() && row >= 0) {
                hand.sheet().choose(row, 1);
            }
            say(hint);
        });
        head.getChildren().add(button);
        return button;
    }

    /** Puts the keys on the sheet. */
    public void focusSheet() {
        Sheet<Row> runs = hand.sheet();
        if (getCenter() == runs) {
            runs.requestFocus();
            if (runs.column() < 1) {
                runs.choose(0, 1);
            }
        }
    }

    /** Puts the keys on the length of a line. */
    public void length(String id) {
        refresh();
        for (int row = 0; row < hand.sheet().getItems().size(); row++) {
            int column = hand.columns().indexOf(SheetColumn.LENGTH);
            if (hand.sheet().getItems().get(row).run().equals(Optional.of(id)) && column >= 0) {
                hand.sheet().choose(row, column);
            }
        }
    }

    private void say(String text) {
        said.setText(text);
    }

    // the runs

    /**
     * The runs as one job sees them.
     *
     * @param columns what each column of the sheet is; null where it is none of the runs'
     */
    private record RunsOf(Sheet<Row> sheet, List<SheetColumn> columns) {}

    private RunsOf sheet(SheetJob job) {
        List<Column<Row>> list = new ArrayList<>();
        List<SheetColumn> of = new ArrayList<>();
        list.add(new Column<>(
                "", 34, r -> verdict(r).map(f -> f.verdict().word()).orElse(""), this::bar, r -> false));
        of.add(null);
        for (SheetColumn c : job.columns()) {
            list.add(Column.writing(c.label(), WIDTHS.getOrDefault(c, 78.0), r -> text(r, c)));
            of.add(c);
            if (c == SheetColumn.LENGTH) {
                list.add(Column.reading("Cut length", 86, r -> run(r).map(
                                x -> CutLength.of(system(), x).text())
                        .orElse("")));
                of.add(null);
            }
        }
        Sheet<Row> sheet = new Sheet<>(
                job == SheetJob.MAKE_UP
                        ? "runs-sheet"
                        : "runs-sheet-" + job.name().toLowerCase(Locale.ROOT),
                list);
        sheet.onWrite((r, c, t) -> write(r, of.get(c), t)).onPaste((r, c) -> paste(r, of, c));
        sheet.setAccessibleText("Line sheet, " + job.label());
        sheet.onMove(this::aside);
        return new RunsOf(sheet, of);
    }

    private FuelSystem system() {
        return session.project().system();
    }

    private Optional<Run> run(Row row) {
        return row.run().flatMap(system()::item).flatMap(i -> i.only(Run.class));
    }

    private String text(Row row, SheetColumn column) {
        return entry.text(system(), run(row), column);
    }

    private Optional<Finding> verdict(Row row) {
        return row.run().flatMap(id -> findings(id).stream().findFirst());
    }

    private List<Finding> findings(String run) {
        return session.shown().get().assessment().findings().stream()
                .filter(f -> f.item().equals(run) && f.topic() == Check.Topic.RUNS)
                .toList();
    }

    private javafx.scene.Node bar(Row row) {
        if (row.run().isEmpty()) {
            return Ui.label("+", "soft");
        }
        NotchBar bar = new NotchBar(24, 6);
        Optional<Finding> worst = verdict(row);
        bar.show(
                worst.map(Finding::ratio).orElse(0.0),
                worst.map(Finding::verdict).orElse(Verdict.NOT_SHOWN));
        return bar;
    }

    private boolean write(Row row, SheetColumn c, String text) {
        return c != null && done(entry.write(system(), run(row), c, text));
    }

    /** Makes the edit, says what there is to say, and tells whether it was taken. */
    private boolean done(RunsEntry.Outcome o) {
        o.edit().ifPresent(session::apply);
        say(o.says());
        if (o.taken()) {
            // at once: who goes on with Enter goes to a row that this made
            refresh();
        }
        return o.taken();
    }

    private void paste(int row, List<SheetColumn> runColumns, int column) {
        String text = Clipboard.getSystemClipboard().getString();
        SheetColumn at = null;
        for (int i = column; at == null && i < runColumns.size(); i++) {
            at = runColumns.get(i);
        }
        done(RunsEntry.take(system(), text, row, at == null ? SheetColumn.RUN : at, "Paste"));
    }

    private void read(String text) {
        done(RunsEntry.take(system(), text, system().runs().size(), SheetColumn.RUN, "Read a table"));
    }

    // the joints

    private List<Column<Joints.Joint>> jointColumns() {
        List<Column<Joints.Joint>> list = new ArrayList<>();
        list.add(new Column<>("", 40, j -> j.state().name(), RunsPage::bar, j -> false));
        list.add(Column.reading("Line", 56, j -> j.run().name()));
        list.add(Column.reading("At", 160, Joints.Joint::at));
        List<SheetColumn> start = SheetColumn.ofEnd(true);
        double[] widths = {128, 128, 140, 190, 150, 92, 150};
        String[] heads = {"Line fitting", "Port thread", "Fitting for", "Adapter", "Sealant", "Clamp", "Angle"};
        for (int i = 0; i < start.size(); i++) {
            int at = i;
            list.add(Column.writing(heads[i], widths[i], j -> SheetColumn.ofEnd(j.start())
                    .get(at)
                    .text(system(), current(j))));
        }
        list.add(Column.reading("Found", 420, j -> j.message() + (j.message().isEmpty() ? "" : " " + j.remedy())));
        return list;
    }

    private Run current(Joints.Joint joint) {
        return (Run) system().item(joint.run().id()).orElse(joint.run());
    }

    private static javafx.scene.Node bar(Joints.Joint joint) {
        NotchBar bar = new NotchBar(24, 6);
        bar.show(
                joint.state() == Joints.State.GOOD ? Finding.MET : Finding.MISSED,
                joint.state() == Joints.State.GOOD
                        ? Verdict.HOLDS
                        : joint.state() == Joints.State.WRONG ? Verdict.FAILS : Verdict.NOT_SHOWN);
        return bar;
    }

    private boolean writeJoint(Joints.Joint joint, int column, String text) {
        int at = column - 3;
        List<SheetColumn> end = SheetColumn.ofEnd(joint.start());
        return at >= 0
                && at < end.size()
                && done(entry.write(system(), Optional.of(current(joint)), end.get(at), text));
    }

    // showing

    private void update() {
        if (getScene() == null) {
            return;
        }
        refresh();
    }

    private void refresh() {
        List<Row> rows = new ArrayList<>();
        system().runs().forEach(r -> rows.add(new Row(Optional.of(r.id()))));
        rows.add(new Row(Optional.empty()));
        Sheet<Row> runs = hand.sheet();
        if (getCenter() == runs) {
            runs.show(rows);
        } else if (getCenter() == joints) {
            joints.show(Joints.of(system()));
        } else if (getCenter() == leaks) {
            leaks.update();
        } else {
            fillLists();
        }
        aside();
    }

    private void fillLists() {
        lists.getChildren()
                .setAll(
                        Ui.label("Cut list", "page-title"),
                        Ui.label(
                                "Nearest 1/16 in. Allowances are common practice: check with one of your own first.",
                                "soft"));
        javafx.scene.layout.GridPane cut = grid();
        int row = 0;
        for (Run r : system().runs()) {
            CutLength length = CutLength.of(system(), r);
            cut.addRow(
                    row++,
                    Ui.label(r.name(), "bold"),
                    Ui.label(ration.aircraft.plumbing.LineRules.construction(r).label() + ", "
                            + r.size().label()),
                    Ui.label(length.text(), "bold"),
                    Ui.label(length.sum(), "soft"));
        }
        javafx.scene.layout.GridPane buy = grid();
        row = 0;
        for (ShoppingList.Line l : ShoppingList.of(system())) {
            buy.addRow(row++, Ui.label(l.amount(), "bold"), Ui.label(l.what()), Ui.label(l.detail(), "soft"));
        }
        lists.getChildren().addAll(cut, new Label());
        hoses();
        Label sum = Ui.wrapped(
                "Lines and parts of the layout by your cost list (Flow, Make it hold): "
                        + LayoutParts.words(session.home().costs(), system()) + ".",
                "soft");
        sum.setId("shopping-sum");
        lists.getChildren().addAll(Ui.label("Shopping list", "page-title"), buy, sum);
    }

    /** What a shop is told of each hose. */
    private void hoses() {
        Assessment now = session.shown().get().assessment();
        if (ordered != now) {
            // what a line stands dead-headed is solved: behind the window
            ordering.start(
                    task -> HoseOrder.of(now),
                    rows -> {
                        ordered = now;
                        order = rows;
                        refresh();
                    },
                    this::say);
            return;
        }
        List<HoseOrder.Row> made = order;
        if (made.isEmpty()) {
            return;
        }
        javafx.scene.layout.GridPane table = grid();
        table.setId("hose-order");
        String[] heads = {"Line", "Of", "Cut", "Seat to seat", "Start", "End", "Clocking", "Proof, in liquid"};
        for (int i = 0; i < heads.length; i++) {
            table.add(Ui.label(heads[i], "soft"), i, 0);
        }
        int row = 1;
        for (HoseOrder.Row h : made) {
            table.addRow(
                    row++,
                    Ui.label(h.run().name(), "bold"),
                    Ui.label(h.of()),
                    Ui.label(h.cut(), "bold"),
                    Ui.label(h.seats()),
                    Ui.label(h.end(true)),
                    Ui.label(h.end(false)),
                    Ui.label(h.clockingText(), "bold"),
                    Ui.label(session.units().get().text(h.proof(), Dimension.PRESSURE)));
            if (!h.made().trouble().isEmpty()) {
                Label trouble = Ui.label(h.made().trouble(), "wrong-text");
                table.add(trouble, 1, row++, heads.length - 1, 1);
            }
        }
        lists.getChildren()
                .addAll(
                        Ui.label("Hose order", "page-title"),
                        Ui.wrapped(HoseOrder.CLOCKING, "soft"),
                        table,
                        new Label());
    }

    private static javafx.scene.layout.GridPane grid() {
        javafx.scene.layout.GridPane grid = new javafx.scene.layout.GridPane();
        grid.setHgap(18);
        grid.setVgap(5);
        return grid;
    }

    /** What the checks say of the run in hand. */
    private void aside() {
        side.getChildren().clear();
        Sheet<Row> runs = hand.sheet();
        String id = getCenter() == joints
                ? joints.row() >= 0 && joints.row() < joints.getItems().size()
                        ? joints.getItems().get(joints.row()).run().id()
                        : ""
                : runs.row() >= 0 && runs.row() < system().runs().size()
                        ? system().runs().get(runs.row()).id()
                        : "";
        Optional<Item> run = system().item(id);
        if (run.isEmpty()) {
            side.getChildren()
                    .addAll(
                            Ui.label("New line", "name"),
                            Ui.wrapped(
                                    "From and To name an item and its port:"
                                            + " Strainer out, Left tank outlet. Still open:",
                                    "soft"));
            system().openPorts().forEach(p -> side.getChildren()
                    .add(Ui.label(system().item(p.item()).map(Item::name).orElse(p.item()) + " " + p.port())));
            return;
        }
        side.getChildren()
                .addAll(
                        Ui.label(run.get().name(), "name"),
                        Ui.label(
                                run.get().kind() + ", "
                                        + ((Run) run.get()).size().label(),
                                "soft"),
                        Ui.rule());
        ((Run) run.get()).length().ifPresent(m -> side.getChildren()
                .add(Ui.wrapped("Length " + m.quantity().shown() + ", "
                        + (m.by().isBlank() ? "source unknown" : m.by())
                        + (Method.of(m).guessed()
                                ? ". Once measured, write how behind it: "
                                        + m.quantity().shown() + " tape."
                                : "."))));
        List<Finding> found = findings(id);
        if (found.isEmpty()) {
            side.getChildren()
                    .add(Ui.wrapped("Not checked yet. Enter construction, clamp spacing, bends and fittings.", "soft"));
        }
        for (Finding f : found) {
            side.getChildren().add(new FindingBox(f, session.units().get()));
        }
    }

    @Override
    public Node node() {
        return this;
    }

    @Override
    public void arrive() {
        focusSheet();
    }
}
