package ration.desktop.hangar;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.answer.assess.Assessment;
import ration.answer.proof.Fit;
import ration.answer.proof.StandIn;
import ration.answer.proof.TestProgram;
import ration.answer.proof.Wanted;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Work;
import ration.record.file.Attachments;
import ration.record.file.ProjectFileException;
import ration.record.file.TestsCsv;
import ration.record.project.Edit;
import ration.record.project.Project;

/** Hangar tests: the program to the left, the test at hand in the middle, readings and what it closes to the right. */
public final class HangarPage extends LivePage {

    /** What the page asks of the window. */
    public interface Files {
        void readTable(Consumer<String> text);

        void writeTable(String suggested, String text);

        /** Asks for a file of any kind. */
        void choose(Consumer<Path> then);

        /** Blank cards of what is still to run, as PDF. */
        void testCards();
    }

    private final Session session;
    private final Files files;
    private final Supplier<LocalDate> today;
    private final TestList list = new TestList(this::pick);
    private final TestRunner runner;
    private final BesidePane beside;
    private final LivePane live;
    private final Label sum = Ui.label("", "soft");
    private final LongWork fitting;
    private final LongWork proving;
    private final LongWork attaching;
    private Bench bench = Bench.EMPTY;

    /**
     * @param today tells the date that goes on a record
     * @param layOver shows a logger's table over the Vapor page
     */
    public HangarPage(Session session, Files files, Supplier<LocalDate> today, Consumer<Path> layOver) {
        super(session, "hangar-page", "Hangar tests page");
        this.session = session;
        fitting = session.whileOpen().work("fit");
        proving = session.whileOpen().work("tests");
        attaching = session.whileOpen().work("attaching");
        this.files = files;
        this.today = today;
        runner = new TestRunner(session, this::leave, this::attach);
        beside = new BesidePane(session, this::open, this::fit, layOver);
        live = new LivePane(
                (Dimension kind, String text, String from) -> runner.drop(kind, text, from),
                then -> this.files.choose(then::accept),
                this::standIn,
                session::say);
        Label title = Ui.label("Hangar tests", "page-title");
        title.setMinWidth(Region.USE_PREF_SIZE);
        sum.setId("tests-sum");
        HBox head = new RowBox(
                8,
                title,
                sum,
                Ui.spring(),
                Ui.button("Print test cards\u2026", "tests-cards", files::testCards, "chip"),
                Ui.button("Read CSV\u2026", "tests-read", () -> this.files.readTable(this::read), "chip"),
                Ui.button(
                        "Write CSV\u2026",
                        "tests-write",
                        () -> this.files.writeTable(
                                "tests.csv", TestsCsv.write(session.project().tests())),
                        "chip"));
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("page-head");
        setTop(head);
        ScrollPane scroll = new Scroll(list);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        Ui.wide(scroll, 490, 380);
        scroll.getStyleClass().add("tests-list");
        setLeft(scroll);
        ScrollPane middle = new Scroll(runner);
        middle.setFitToWidth(true);
        middle.setFitToHeight(true);
        middle.setFocusTraversable(false);
        middle.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        middle.setMinWidth(0);
        setCenter(middle);
        VBox right = new ColumnBox(8, live, beside);
        right.getStyleClass().add("card-body");
        setRight(Ui.side(right, 272, 218));
    }

    /** Puts the writing mark where the work goes on. */
    public void focusWork() {
        if (!bench.open().isEmpty()) {
            runner.focusField();
            return;
        }
        Node begin = runner.lookup("#test-begin");
        if (begin != null) {
            begin.requestFocus();
        } else {
            list.getChildren().stream()
                    .filter(javafx.scene.control.Button.class::isInstance)
                    .findFirst()
                    .ifPresent(Node::requestFocus);
        }
    }

    @Override
    protected void refresh() {
        Assessment a = session.shown().get().assessment();
        if (!a.program().worked()) {
            proving.start(
                    task -> {
                        a.program().work();
                        return a;
                    },
                    worked -> update(),
                    session::trouble);
            return;
        }
        Project project = session.project();
        bench = bench.in(project);
        TestProgram program = a.program();
        Optional<HangarTest> test = project.test(bench.open());
        Optional<TestProgram.Proof> proof = bench.proof(program);
        sum.setText(Bench.sum(a, project));
        list.show(program, bench.picked(), bench.running(project), today.get());
        runner.show(test, a);
        if (test.isEmpty() && proof.isPresent()) {
            runner.invite(proof.get(), () -> start(proof.get().wanted()));
        }
        beside.show(proof, test, a);
    }

    private void now(Bench other) {
        bench = other;
        update();
        focusWork();
    }

    /** The same of the test with this key. */
    public void pick(String key) {
        session.shown().get().assessment().program().tests().stream()
                .filter(p -> p.wanted().key().equals(key))
                .findFirst()
                .ifPresent(this::pick);
        focusWork();
    }

    /** Opens what was interrupted, or offers to begin. */
    private void pick(TestProgram.Proof p) {
        now(Bench.picked(p, session.project()));
    }

    private void open(HangarTest t) {
        now(bench.opened(t, session.shown().get().assessment().program()));
    }

    private void start(Wanted w) {
        String id = Bench.fresh(session.project());
        bench = new Bench(bench.picked(), id);
        session.apply(Bench.begin(w, id, session.project(), today.get()));
        now(bench);
    }

    private void leave() {
        now(bench.closed());
    }

    private Optional<Source> standIn() {
        Assessment a = session.shown().get().assessment();
        return session.project()
                .test(bench.open())
                .filter(t -> a.basis().isPresent()
                        && !t.work().onTank()
                        && !t.progress().done())
                .map(t -> Source.standIn(() -> StandIn.of(
                        a.basis().get(), a.project().brief(), t.subject(), (Work.Sheet) t.work(), System.nanoTime())));
    }

    /** A file brought beside the document, or why it was not. */
    private record Brought(Optional<HangarTest.Photo> photo, String trouble) {}

    private void attach(HangarTest t) {
        Path document = session.file().get();
        if (document == null) {
            session.say("Save the document first: attachments are stored in its folder.");
            return;
        }
        // a film takes seconds: behind the window
        files.choose(chosen -> attaching.start(
                task -> {
                    try {
                        return new Brought(Optional.of(Attachments.attach(document, chosen)), "");
                    } catch (ProjectFileException e) {
                        return new Brought(Optional.empty(), e.getMessage() + " Nothing was changed.");
                    }
                },
                b -> b.photo()
                        .ifPresentOrElse(p -> session.apply(Bench.attached(t, p)), () -> session.trouble(b.trouble())),
                session::trouble));
    }

    /** Offers each part whose loss could explain what was poured. */
    private void fit(HangarTest t) {
        Assessment a = session.shown().get().assessment();
        if (a.basis().isEmpty()) {
            return;
        }
        fitting.start(task -> Fit.of(a.project(), a.basis().get(), t), this::offer, session::trouble);
    }

    private void offer(List<Fit> fits) {
        Node under = lookup("#test-fit");
        if (fits.isEmpty() || under == null) {
            session.say("No single loss or tank height explains this result. Check the can and the timing.");
            return;
        }
        javafx.scene.control.ContextMenu menu = new javafx.scene.control.ContextMenu();
        UnitSystem u = session.units().get();
        for (Fit f : fits) {
            MenuItem item = new MenuItem(Bench.words(f, u));
            item.setId("fit-" + f.item());
            item.setOnAction(e -> session.apply(Edit.of("Fit " + f.name() + " to a flow test", f::applied)));
            menu.getItems().add(item);
        }
        menu.show(under, javafx.geometry.Side.BOTTOM, 0, 0);
    }

    private void read(String text) {
        try {
            List<HangarTest> read = TestsCsv.read(text);
            TestsCsv.Import into = TestsCsv.into(session.project().tests(), read);
            session.apply(Edit.of(
                    "Read tests from a table",
                    p -> p.withTests(TestsCsv.into(p.tests(), read).all())));
            session.done(into.words() + (into.added() > 0 ? " Ctrl+Z undoes this." : ""));
        } catch (IllegalArgumentException e) {
            session.say(e.getMessage() + " Nothing was changed.");
        }
    }

    @Override
    public void arrive() {
        focusWork();
    }
}
