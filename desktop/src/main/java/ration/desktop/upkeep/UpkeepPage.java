package ration.desktop.upkeep;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
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
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.check.Finding;
import ration.check.Verdict;
import ration.desktop.control.LivePage;
import ration.desktop.control.QuantityField;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.drawing.DuePicture;
import ration.model.Item;
import ration.project.Edit;
import ration.quantity.UnitSystem;
import ration.upkeep.Due;
import ration.upkeep.Upkeep;

/** Parts with a life, the most urgent first. */
public final class UpkeepPage extends LivePage {

    /** What can be written out. */
    public enum Paper { CALENDAR, PARTS, LOG, PREFLIGHT }

    private static final double[] WIDE = {210, 96, 176, 142, 152};

    private final Session session;
    private final Supplier<LocalDate> today;
    private final VBox rows = new VBox();
    private final Label sum = Ui.label("", "main-result");
    private final Label words = Ui.label("", "soft");
    private final PartCard card;
    private final PartForm form;
    private final PicturePane line = new PicturePane("upkeep-line", (w, h) -> DuePicture.draw(due(), now(), Tokens.measure(), w, h), id -> { });
    private final QuantityField<Double> hours;
    private String picked = "";

    /**
     * @param today the day it is
     * @param write told what to write out
     */
    public UpkeepPage(Session session, Supplier<LocalDate> today, BiConsumer<Paper, LocalDate> write) {
        super(session, "upkeep-page", "Upkeep page");
        this.session = session;
        this.today = today;
        hours = Fields.hours("airframe-hours", "Airframe hours now");
        hours.setPrefWidth(80);
        hours.onValue(h -> edit("Set airframe hours", u -> u.withHours(h)));
        card = new PartCard(session, today, this::edit, () -> pick(""));
        form = new PartForm(session, today, this::edit, id -> pick(id));
        HBox head = new HBox(8, Ui.label("Upkeep", "page-title"), words, Ui.spring(), Ui.label("Airframe hours", "soft"), hours, Ui.button("+ Part", "part-new",
                this::begin, "chip"), Ui.button("Pre-flight card", "preflight-card", () -> write.accept(Paper.PREFLIGHT, now()), "chip"), Ui.button("Calendar file", "upkeep-calendar", () -> write.accept(Paper.CALENDAR, now()), "chip"), Ui.button("Parts, CSV",
                        "upkeep-parts", () -> write.accept(Paper.PARTS, now()), "chip"), Ui.button("Log, CSV", "upkeep-log", () -> write.accept(Paper.LOG, now()), "chip"));
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
        setRight(Ui.side(new VBox(card, form), 300));
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
        long over = due.stream().filter(d -> d.verdict() == Verdict.SHORT).count();
        long unknown = due.stream().filter(d -> d.verdict() == Verdict.NOT_SHOWN).count();
        words.setText(due.isEmpty() ? "parts with a life: none is entered yet" : over + " of " + due.size() + " due" + (unknown > 0 ? ", " + unknown
                + " of unknown age" : "") + "; today " + now());
        rows.getChildren().clear();
        if (!due.isEmpty()) {
            rows.getChildren().add(cells(false, "Part and item", "Fitted", "Life", "Left", "Paper"));
        }
        for (Due d : due) {
            rows.getChildren().add(row(d, upkeep));
        }
        if (due.isEmpty()) {
            rows.getChildren().add(Ui.wrapped("Hoses, sight tubes, screens, filter elements, o-rings, vents and senders grow old. + Part enters one; it is"
                    + " offered the usual life, which is common practice until the maker's is said.", "soft"));
        }
        if (upkeep.part(picked).isEmpty()) {
            picked = "";
        }
        card.show(picked.isEmpty() ? Optional.empty() : due.stream().filter(d -> d.part().id().equals(picked)).findFirst());
        form.show(picked.isEmpty());
        line.redraw();
    }

    private static HBox cells(boolean bold, String... texts) {
        HBox box = new HBox(6);
        for (int i = 0; i < texts.length; i++) {
            box.getChildren().add(Ui.wide(Ui.label(texts[i], bold ? "bold" : "soft"), WIDE[i]));
        }
        box.setPadding(new Insets(6, 8, 4, 8));
        return box;
    }

    private Button row(Due d, Upkeep upkeep) {
        String where = session.project().system().item(d.part().item()).map(Item::name).orElse(d.part().kind().label());
        VBox name = new VBox(Ui.label(d.part().name(), "bold"), Ui.label(where, "soft"));
        VBox fitted = new VBox(Ui.label(d.part().fitted().map(f -> f.on().toString()).orElse("unknown"), d.part().fitted().isPresent() ? "figure" : "wrong-text"),
                Ui.label(d.part().fitted().map(f -> UnitSystem.figure(f.hours(), 1) + " h").orElse(""), "soft"));
        NotchBar bar = new NotchBar(70, 8);
        bar.show(Double.isNaN(d.used()) || d.used() <= 0 ? Finding.MET : Math.min(Finding.MET, 1 / d.used()), d.verdict());
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, d.verdict());
        HBox state = new HBox(6, bar, verdict);
        state.setAlignment(Pos.CENTER_LEFT);
        VBox left = new VBox(state, Ui.label(d.left(), d.verdict() == Verdict.SHORT ? "wrong-text" : "soft"));
        VBox paper = new VBox(Ui.label(d.part().paper().isBlank() ? "none" : d.part().paper()), Ui.label(upkeep.history(d.part().id()).stream().findFirst().map(e -> e
                .what().word() + " " + e.on()).orElse(""), "soft"));
        HBox box = new HBox(6, Ui.wide(name, WIDE[0]), Ui.wide(fitted, WIDE[1]), Ui.wide(Ui.label(d.part().life().words()), WIDE[2]), Ui.wide(left, WIDE[3]), Ui.wide(paper, WIDE[4]));
        box.setAlignment(Pos.CENTER_LEFT);
        Button row = Ui.button("", "part-" + d.part().id(), () -> pick(d.part().id()));
        row.setGraphic(box);
        row.getStyleClass().setAll("button", "fault-row");
        if (d.part().id().equals(picked)) {
            row.getStyleClass().add("fault-picked");
        }
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(d.part().name() + ", " + d.part().life().words() + ", " + d.left() + ", " + d.verdict().word());
        return row;
    }
}
