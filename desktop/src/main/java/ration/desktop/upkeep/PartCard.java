package ration.desktop.upkeep;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import ration.answer.assess.Comparison;
import ration.answer.proof.Touched;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.upkeep.Due;
import ration.record.upkeep.Entry;
import ration.record.upkeep.Life;
import ration.record.upkeep.Part;
import ration.record.upkeep.Upkeep;
import ration.verdict.check.Verdict;

/** One part: its life, its history, what is done to it, what to test again after. */
final class PartCard extends ColumnBox {

    private static final int SHOWN = 6;

    private final Session session;
    private final Supplier<LocalDate> today;
    private final BiConsumer<String, UnaryOperator<Upkeep>> edit;
    private final Runnable gone;
    private final Consumer<String> openTest;
    private final TextField day = Fields.text("act-day", "Date of the work", "2026-03-09");
    private final TextField hours = Fields.text("act-hours", "Airframe time then", "h");
    private final TextField who = Fields.text("act-who", "Who did it", "who");
    private final TextField paper = Fields.text("act-paper", "Release form, batch, cut length", "paper, length");
    private final TextField made =
            Fields.text("act-made", "Date of manufacture, if marked", "manufactured (if marked)");
    private final TextField found = Fields.text("act-found", "Findings", "findings, or corrected wording");
    private final Label trouble = Ui.trouble("act-trouble");
    private String shown = "";

    PartCard(
            Session session,
            Supplier<LocalDate> today,
            BiConsumer<String, UnaryOperator<Upkeep>> edit,
            Runnable gone,
            Consumer<String> openTest) {
        super(8);
        this.session = session;
        this.today = today;
        this.edit = edit;
        this.gone = gone;
        this.openTest = openTest;
        getStyleClass().add("card-body");
        managedProperty().bind(visibleProperty());
    }

    void show(Optional<Due> due) {
        setVisible(due.isPresent());
        getChildren().clear();
        due.ifPresent(this::fill);
    }

    private void fill(Due d) {
        Part p = d.part();
        Upkeep upkeep = session.project().upkeep();
        if (!p.id().equals(shown)) {
            shown = p.id();
            day.setText(today.get().toString());
            hours.setText(UnitSystem.figure(upkeep.hours(), 1).replace(",", ""));
            paper.clear();
            made.clear();
            found.clear();
            trouble.setText("");
        }
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, d.verdict());
        getChildren()
                .addAll(
                        new RowBox(8, Ui.label(p.name(), "page-title"), Ui.spring(), verdict),
                        Ui.wrapped(
                                p.kind().label() + ", " + p.life().words() + ": " + d.left()
                                        + d.on().map(x -> ", due " + x).orElse("")
                                        + (Double.isNaN(d.atHours())
                                                ? ""
                                                : ", at " + UnitSystem.figure(d.atHours(), 1) + " h"),
                                d.verdict() == Verdict.FAILS ? "wrong-text" : "soft"),
                        Ui.rule(),
                        Ui.label("Record work", "group-title"));
        GridPane grid = new GridPane();
        grid.setHgap(6);
        grid.setVgap(4);
        grid.addRow(0, day, hours);
        grid.addRow(1, who, paper);
        grid.addRow(2, made);
        grid.add(found, 0, 3, 2, 1);
        getChildren()
                .addAll(grid, trouble, acts(p), life(p), Ui.rule(), Ui.label("Tests after replacement", "group-title"));
        List<String> ended = Comparison.ended(
                        session.project(),
                        session.project()
                                .with(upkeep.replaced(
                                        p.id(), new Upkeep.Act(today.get(), upkeep.hours(), "", "", Optional.empty()))))
                .stream()
                .map(Comparison.Ended::title)
                .distinct()
                .toList();
        if (!ended.isEmpty()) {
            getChildren().add(Ui.wrapped("Replacing it invalidates: " + String.join(", ", ended), "wrong-text"));
        }
        int n = 0;
        for (Touched.Again t : Touched.renewed(session.project(), p)) {
            getChildren()
                    .add(
                            t.test().isEmpty()
                                    ? Ui.wrapped("\u2022 " + t.words())
                                    : Ui.named(
                                            Ui.button(
                                                    t.words(),
                                                    "again-" + n,
                                                    () -> openTest.accept(
                                                            t.test().get()),
                                                    "chip"),
                                            "again-" + n,
                                            "Open the test: " + t.words()));
            n++;
        }
        getChildren().addAll(Ui.rule(), Ui.label("History", "group-title"));
        if (upkeep.history(p.id()).isEmpty()) {
            getChildren().add(Ui.label("nothing entered", "soft"));
        }
        for (Entry e : upkeep.history(p.id()).stream().limit(SHOWN).toList()) {
            boolean wrong = upkeep.corrected(e);
            Button right = Ui.named(
                    Ui.button(
                            "Correct",
                            "entry-correct-" + e.number(),
                            () -> act(a -> u -> u.corrected(e.number(), a, said())),
                            "chip"),
                    "entry-correct-" + e.number(),
                    "Correct entry " + e.number() + ": enter the corrected wording in the field above");
            Button copy = Ui.named(
                    Ui.button("Copy", "entry-copy-" + e.number(), () -> copy(e), "chip"),
                    "entry-copy-" + e.number(),
                    "Copy entry " + e.number() + " for the logbook");
            getChildren()
                    .addAll(
                            Ui.wrapped(
                                    e.number() + "  " + Upkeep.logbook(e) + (wrong ? " (corrected)" : ""),
                                    wrong ? "soft" : "figure"),
                            wrong ? new RowBox(6, copy) : new RowBox(6, copy, right));
        }
        getChildren().add(Ui.wrapped("Manufacturer's instructions and your inspector take precedence.", "soft"));
    }

    private HBox acts(Part p) {
        boolean temporary = p.life().ends() == Life.Ends.REMOVE;
        Button replace = Ui.button(temporary ? "Record removal" : "Record replacement", "part-replace", () -> {
            if (temporary) {
                if (act(a -> u -> u.removed(p.id(), a))) {
                    gone.run();
                }
            } else {
                act(a -> u -> u.replaced(p.id(), a));
            }
        });
        HBox box = new RowBox(6, replace);
        if (p.life().ends() == Life.Ends.EACH_FLIGHT) {
            box.getChildren().setAll(Ui.button("Take off the preflight card", "part-removed", () -> {
                if (act(a -> u -> u.removed(p.id(), a))) {
                    gone.run();
                }
            }));
        } else if (!temporary) {
            box.getChildren()
                    .addAll(
                            Ui.button(
                                    "Record inspection",
                                    "part-looked",
                                    () -> act(a -> u -> u.looked(p.id(), a, found.getText())),
                                    "chip"),
                            Ui.button(
                                    "Removed",
                                    "part-removed",
                                    () -> {
                                        if (act(a -> u -> u.removed(p.id(), a))) {
                                            gone.run();
                                        }
                                    },
                                    "chip"));
        }
        box.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        return box;
    }

    /** The maker's life in the place of the usual one. */
    private HBox life(Part p) {
        TextField months = Fields.text("life-months", "Calendar interval, months (0 = none)", "months");
        TextField flown = Fields.text("life-hours", "Interval, airframe hours (0 = none)", "h");
        months.setText(String.valueOf(p.life().months()));
        flown.setText(UnitSystem.figure(p.life().hours(), 0).replace(",", ""));
        months.setPrefWidth(54);
        flown.setPrefWidth(54);
        HBox box = new RowBox(
                6,
                Ui.label("life", "soft"),
                months,
                Ui.label("months", "soft"),
                flown,
                Ui.label("h", "soft"),
                Ui.button(
                        "Set",
                        "life-set",
                        () -> {
                            try {
                                Life said = Life.of(
                                        whole(months.getText()),
                                        Fields.readHours(flown.getText()),
                                        p.life().ends());
                                trouble.setText("");
                                edit.accept("Set the interval of " + p.name(), u -> u.part(p.id())
                                        .map(x -> u.with(x.with(said)))
                                        .orElse(u));
                            } catch (IllegalArgumentException e) {
                                trouble.setText(e.getMessage());
                            }
                        },
                        "chip"));
        box.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        box.setVisible(p.life().ends() != Life.Ends.REMOVE && p.life().ends() != Life.Ends.EACH_FLIGHT);
        box.managedProperty().bind(box.visibleProperty());
        return box;
    }

    private static int whole(String text) {
        try {
            return Integer.parseInt(text.strip());
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("\u201c" + text.strip() + "\u201d is not a number of months.");
        }
    }

    private String said() {
        if (found.getText().isBlank()) {
            throw new IllegalArgumentException("Enter the corrected wording in the field above.");
        }
        return found.getText();
    }

    /** What is done, once its figures can be read. */
    private interface Doing {
        UnaryOperator<Upkeep> with(Upkeep.Act act);
    }

    private boolean act(Doing doing) {
        try {
            Optional<LocalDate> printed =
                    made.getText().isBlank() ? Optional.empty() : Optional.of(Fields.readDay(made.getText()));
            LocalDate on = Fields.readDay(day.getText());
            if (on.isAfter(today.get())) {
                throw new IllegalArgumentException("That date is in the future. Enter work done, not planned.");
            }
            UnaryOperator<Upkeep> change = doing.with(new Upkeep.Act(
                    on,
                    Fields.readHours(hours.getText()),
                    who.getText().strip(),
                    paper.getText().strip(),
                    printed));
            change.apply(session.project().upkeep());
            trouble.setText("");
            edit.accept("Maintenance", change);
            return true;
        } catch (IllegalArgumentException e) {
            trouble.setText(e.getMessage());
            return false;
        }
    }

    private void copy(Entry e) {
        ClipboardContent content = new ClipboardContent();
        content.putString(Upkeep.logbook(e));
        Clipboard.getSystemClipboard().setContent(content);
        session.done("Copied for the logbook: " + Upkeep.logbook(e));
    }
}
