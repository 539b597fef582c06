package ration.desktop.upkeep;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import ration.answer.proof.Touched;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.publish.drawing.DuePicture;
import ration.record.project.Edit;
import ration.record.upkeep.Due;
import ration.record.upkeep.Entry;
import ration.record.upkeep.Life;
import ration.record.upkeep.Offered;
import ration.record.upkeep.Upkeep;
import ration.verdict.check.Verdict;

/** Parts with a life, the most urgent first. */
public final class UpkeepPage extends LivePage {

    /** What can be written out. */
    public enum Paper {
        CALENDAR,
        PARTS,
        LOG,
        PREFLIGHT
    }

    /** Told what to print of work that was done. */
    public interface Reports {
        void work(List<Entry> entries, List<Touched.Again> again);
    }

    private static final double[] WIDE = {184, 96, 198, 142, 144};
    /** In a small window; the paper stands on the card. */
    private static final double[] SMALL = {162, 78, 144, 138, 1};

    /** What is to be done with a part in a job on many. */
    private static final double MARK = 60;

    private final Session session;
    private final Supplier<LocalDate> today;
    private final VBox rows = new ColumnBox();
    private final Label sum = Ui.label("", "main-result");
    private final Label words = Ui.label("", "soft");
    private final PartCard card;
    private final PartForm form;
    private final RenewCard renew;
    private final JointCard joints;
    private final HBox acts = new RowBox(6);
    private final PicturePane line =
            new PicturePane("upkeep-line", (w, h) -> DuePicture.draw(due(), now(), Tokens.measure(), w, h), id -> {});
    private final QuantityField<Double> hours;
    private final Reports reports;
    private List<Entry> lastEntries = List.of();
    private List<Touched.Again> lastAgain = List.of();
    private String picked = "";

    /**
     * @param today the day it is
     * @param write told what to write out
     * @param reports told what a work report is to tell
     */
    public UpkeepPage(
            Session session,
            Supplier<LocalDate> today,
            BiConsumer<Paper, LocalDate> write,
            Reports reports,
            Consumer<String> openTest) {
        super(session, "upkeep-page", "Maintenance page");
        this.session = session;
        this.today = today;
        hours = Fields.hours("airframe-hours", "Airframe total time now");
        hours.setPrefWidth(80);
        hours.setMinWidth(64);
        hours.onValue(h -> edit("Set airframe hours", u -> u.withHours(h)));
        card = new PartCard(session, today, this::edit, () -> pick(""), openTest);
        renew = new RenewCard(session, today, this::edit, this::update, (entries, again) -> {
            lastEntries = entries;
            lastAgain = again;
            session.done(entries.size() + " entries made. Work report prints them with the tests to repeat.");
            update();
        });
        joints = new JointCard(session, today, this::edit, this::update);
        this.reports = reports;
        form = new PartForm(session, today, this::edit, id -> pick(id));
        HBox head = new RowBox(
                8,
                Ui.whole(Ui.label("Maintenance", "page-title")),
                words,
                Ui.spring(),
                Ui.label("Airframe total time", "soft"),
                hours,
                Ui.button("+ Part", "part-new", this::begin, "chip"),
                Ui.button("Preflight card", "preflight-card", () -> write.accept(Paper.PREFLIGHT, now()), "chip"),
                Ui.button("Calendar file", "upkeep-calendar", () -> write.accept(Paper.CALENDAR, now()), "chip"),
                Ui.button("Parts, CSV", "upkeep-parts", () -> write.accept(Paper.PARTS, now()), "chip"),
                Ui.button("Log, CSV", "upkeep-log", () -> write.accept(Paper.LOG, now()), "chip"));
        head.getStyleClass().add("page-head");
        head.setAlignment(Pos.CENTER_LEFT);
        setTop(head);
        sum.setId("upkeep-sum");
        words.setId("upkeep-words");
        words.setMinWidth(0);
        ScrollPane scroll = new Scroll(rows);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        scroll.setMinWidth(0);
        rows.setPadding(new Insets(0, 16, 8, 16));
        rows.addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(rows, e));
        line.setPrefHeight(118);
        line.setMinHeight(60);
        acts.setPadding(new Insets(0, 16, 4, 16));
        BorderPane middle = new BorderPane(scroll);
        middle.setTop(new ColumnBox(2, line, acts));
        middle.setMinWidth(0);
        setCenter(middle);
        setRight(Ui.side(new ColumnBox(card, form, renew, joints), 300));
        hours.onTrouble(why -> {
            if (!why.isEmpty()) {
                words.setText(why);
            }
        });
    }

    private LocalDate now() {
        return today.get();
    }

    private List<Due> due() {
        return Due.of(session.project().upkeep(), now());
    }

    @Override
    public void arrive() {
        if (rows.getChildren().isEmpty() || picked.isEmpty()) {
            hours.requestFocus();
        }
    }

    /** Acts on what is kept now, never on what was kept when the page was drawn. */
    private void edit(String name, UnaryOperator<Upkeep> change) {
        session.apply(Edit.of(name, p -> p.with(change.apply(p.upkeep()))));
    }

    private void begin() {
        pick("");
        form.begin();
    }

    private void pick(String id) {
        picked = id;
        update();
    }

    @Override
    protected void refresh() {
        Upkeep upkeep = session.project().upkeep();
        hours.update(upkeep.hours());
        List<Due> due = due();
        DueWords said = new DueWords(due, upkeep, session.project().system());
        words.setText(said.sum(now()));
        rows.getChildren().clear();
        if (!due.isEmpty()) {
            rows.getChildren()
                    .add(cells(
                            false,
                            "Part",
                            "Installed",
                            "Interval",
                            "Remaining",
                            renew.on() ? "In this job" : "Reference"));
        }
        for (Due d : due) {
            if (!renew.on() || renew.takes(d.part())) {
                rows.getChildren().add(row(d, said.row(d)));
            }
        }
        if (due.isEmpty()) {
            rows.getChildren()
                    .add(Ui.wrapped(
                            "Hoses, sight tubes, screens, filter elements, o-rings, vents and senders age."
                                    + " + Part adds one with a typical interval; replace it with the manufacturer's.",
                            "soft"));
        }
        if (upkeep.part(picked).isEmpty()) {
            picked = "";
        }
        card.show(
                picked.isEmpty()
                        ? Optional.empty()
                        : due.stream().filter(d -> d.part().id().equals(picked)).findFirst());
        boolean job = renew.on() || joints.on();
        if (job) {
            card.show(Optional.empty());
        }
        form.show(picked.isEmpty() && !job);
        if (renew.on()) {
            renew.refresh();
        }
        if (joints.on()) {
            joints.refresh();
        }
        acts();
        line.redraw();
    }

    /** Jobs on more than one part. */
    private void acts() {
        int offered = Offered.of(session.project().system(), session.project().upkeep())
                .size();
        acts.getChildren().clear();
        if (offered > 0) {
            acts.getChildren()
                    .add(Ui.button(
                            "Track " + offered + " from the layout",
                            "upkeep-offered",
                            () -> session.apply(Edit.of(
                                    "Track " + offered + " parts", p -> p.with(Offered.all(p.system(), p.upkeep())))),
                            "chip"));
        }
        acts.getChildren()
                .addAll(
                        Ui.button("Renew several", "upkeep-renew", () -> job(renew::begin, joints::end), "chip"),
                        Ui.button("Joint work", "upkeep-joint", () -> job(joints::begin, renew::end), "chip"));
        if (!lastEntries.isEmpty()) {
            acts.getChildren()
                    .add(Ui.button("Work report", "upkeep-report", () -> reports.work(lastEntries, lastAgain), "chip"));
        }
    }

    private void job(Runnable begin, Runnable end) {
        end.run();
        begin.run();
        pick("");
    }

    private static HBox cells(boolean bold, String... texts) {
        HBox box = new RowBox(6);
        for (int i = 0; i < texts.length; i++) {
            box.getChildren().add(Ui.wide(Ui.label(texts[i], bold ? "bold" : "soft"), WIDE[i], SMALL[i]));
        }
        box.setPadding(new Insets(6, 8, 4, 8));
        return box;
    }

    private Button row(Due d, DueWords.Row said) {
        VBox name = new ColumnBox(Ui.label(said.name(), "bold"), Ui.label(said.where(), "soft"));
        VBox fitted = new ColumnBox(
                Ui.label(
                        said.fitted(),
                        d.part().fitted().isEmpty() && d.part().life().ends() != Life.Ends.EACH_FLIGHT
                                ? "wrong-text"
                                : "figure"),
                Ui.label(said.hours(), "soft"));
        NotchBar bar = new NotchBar(70, 8);
        bar.show(DueWords.bar(d), d.verdict());
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, d.verdict());
        HBox state = new RowBox(6, bar, verdict);
        state.setAlignment(Pos.CENTER_LEFT);
        VBox left = new ColumnBox(state, Ui.label(said.left(), d.verdict() == Verdict.FAILS ? "wrong-text" : "soft"));
        VBox paper = renew.on()
                ? new ColumnBox(Ui.label(renew.mark(d.part().id()), "bold"))
                : new ColumnBox(Ui.label(said.paper()), Ui.label(said.last(), "soft"));
        if (!renew.on()) {
            paper.visibleProperty().bind(Ui.inSmallWindow(paper).not());
        }
        HBox box = new RowBox(
                6,
                Ui.wide(name, WIDE[0], SMALL[0]),
                Ui.wide(fitted, WIDE[1], SMALL[1]),
                Ui.wide(Ui.wrapped(said.life()), WIDE[2], SMALL[2]),
                Ui.wide(left, WIDE[3], SMALL[3]),
                Ui.wide(paper, WIDE[4], renew.on() ? MARK : SMALL[4]));
        box.setAlignment(Pos.CENTER_LEFT);
        Button row = Ui.button("", "part-" + d.part().id(), () -> {
            if (renew.on()) {
                renew.press(d.part().id());
                update();
            } else {
                joints.end();
                pick(d.part().id());
            }
        });
        row.setGraphic(box);
        row.getStyleClass().setAll("button", "fault-row");
        if (d.part().id().equals(picked)) {
            row.getStyleClass().add("fault-picked");
        }
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(
                said.spoken() + (renew.on() ? ", " + renew.mark(d.part().id()) : ""));
        return row;
    }
}
