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
import ration.desktop.control.ColumnBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.publish.drawing.DuePicture;
import ration.record.project.Edit;
import ration.record.upkeep.Due;
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

    private static final double[] WIDE = {184, 96, 198, 142, 144};
    /** In a small window; the paper stands on the card. */
    private static final double[] SMALL = {162, 78, 144, 138, 1};

    private final Session session;
    private final Supplier<LocalDate> today;
    private final VBox rows = new ColumnBox();
    private final Label sum = Ui.label("", "main-result");
    private final Label words = Ui.label("", "soft");
    private final PartCard card;
    private final PartForm form;
    private final PicturePane line =
            new PicturePane("upkeep-line", (w, h) -> DuePicture.draw(due(), now(), Tokens.measure(), w, h), id -> {});
    private final QuantityField<Double> hours;
    private String picked = "";

    /**
     * @param today the day it is
     * @param write told what to write out
     */
    public UpkeepPage(
            Session session, Supplier<LocalDate> today, BiConsumer<Paper, LocalDate> write, Consumer<String> openTest) {
        super(session, "upkeep-page", "Maintenance page");
        this.session = session;
        this.today = today;
        hours = Fields.hours("airframe-hours", "Airframe total time now");
        hours.setPrefWidth(80);
        hours.setMinWidth(64);
        hours.onValue(h -> edit("Set airframe hours", u -> u.withHours(h)));
        card = new PartCard(session, today, this::edit, () -> pick(""), openTest);
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
        ScrollPane scroll = new ScrollPane(rows);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        scroll.setMinWidth(0);
        rows.setPadding(new Insets(0, 16, 8, 16));
        rows.addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(rows, e));
        line.setPrefHeight(118);
        line.setMinHeight(60);
        BorderPane middle = new BorderPane(scroll);
        middle.setTop(line);
        middle.setMinWidth(0);
        setCenter(middle);
        setRight(Ui.side(new ColumnBox(card, form), 300));
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
        refresh();
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
            rows.getChildren().add(cells(false, "Part", "Installed", "Interval", "Remaining", "Reference"));
        }
        for (Due d : due) {
            rows.getChildren().add(row(d, said.row(d)));
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
        form.show(picked.isEmpty());
        line.redraw();
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
                Ui.label(said.fitted(), said.hours().isEmpty() ? "wrong-text" : "figure"),
                Ui.label(said.hours(), "soft"));
        NotchBar bar = new NotchBar(70, 8);
        bar.show(DueWords.bar(d), d.verdict());
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, d.verdict());
        HBox state = new RowBox(6, bar, verdict);
        state.setAlignment(Pos.CENTER_LEFT);
        VBox left = new ColumnBox(state, Ui.label(said.left(), d.verdict() == Verdict.FAILS ? "wrong-text" : "soft"));
        VBox paper = new ColumnBox(Ui.label(said.paper()), Ui.label(said.last(), "soft"));
        paper.visibleProperty().bind(Ui.inSmallWindow(paper).not());
        HBox box = new RowBox(
                6,
                Ui.wide(name, WIDE[0], SMALL[0]),
                Ui.wide(fitted, WIDE[1], SMALL[1]),
                Ui.wide(Ui.wrapped(said.life()), WIDE[2], SMALL[2]),
                Ui.wide(left, WIDE[3], SMALL[3]),
                Ui.wide(paper, WIDE[4], SMALL[4]));
        box.setAlignment(Pos.CENTER_LEFT);
        Button row = Ui.button("", "part-" + d.part().id(), () -> pick(d.part().id()));
        row.setGraphic(box);
        row.getStyleClass().setAll("button", "fault-row");
        if (d.part().id().equals(picked)) {
            row.getStyleClass().add("fault-picked");
        }
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(said.spoken());
        return row;
    }
}
