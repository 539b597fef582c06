package ration.desktop.upkeep;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import ration.answer.proof.Touched;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.upkeep.Entry;
import ration.record.upkeep.Life;
import ration.record.upkeep.Part;
import ration.record.upkeep.Upkeep;

/** Many parts renewed in one act: what is replaced, what is kept and inspected, one paper, the tests of all of them. */
final class RenewCard extends ColumnBox {

    /** What is to be done with a part. */
    enum Mark {
        REPLACE,
        INSPECT
    }

    /** Told the entries that were made, and what is to be shown again, for a report. */
    interface Reported {
        void report(List<Entry> entries, List<Touched.Again> again);
    }

    private static final int SHOWN = 12;

    private final Session session;
    private final Supplier<LocalDate> today;
    private final BiConsumer<String, UnaryOperator<Upkeep>> edit;
    private final Runnable done;
    private final Reported reported;
    private final Map<String, Mark> marks = new LinkedHashMap<>();
    private final ActFields act = new ActFields("renew");
    private final Label trouble = Ui.trouble("renew-trouble");
    private final Map<String, TextField> lots = new LinkedHashMap<>();
    private Upkeep.Ends ends = Upkeep.Ends.UNSAID;
    private List<Touched.Again> again = List.of();

    RenewCard(
            Session session,
            Supplier<LocalDate> today,
            BiConsumer<String, UnaryOperator<Upkeep>> edit,
            Runnable done,
            Reported reported) {
        super(8);
        this.session = session;
        this.today = today;
        this.edit = edit;
        this.done = done;
        this.reported = reported;
        setId("renew-card");
        getStyleClass().add("card-body");
        managedProperty().bind(visibleProperty());
        setVisible(false);
    }

    boolean on() {
        return isVisible();
    }

    void begin() {
        marks.clear();
        lots.clear();
        ends = Upkeep.Ends.UNSAID;
        trouble.setText("");
        act.begin(today.get(), session.project().upkeep().hours());
        setVisible(true);
    }

    void end() {
        setVisible(false);
    }

    /** What a row says beside its part, and what the next press makes of it. */
    String mark(String part) {
        Mark m = marks.get(part);
        return m == null ? "leave" : m == Mark.REPLACE ? "replace" : "keep";
    }

    /** What is looked at before each flight has nothing that is renewed. */
    boolean takes(Part part) {
        return part.life().ends() != Life.Ends.EACH_FLIGHT;
    }

    void press(String part) {
        Mark m = marks.get(part);
        if (m == null) {
            marks.put(part, Mark.REPLACE);
        } else if (m == Mark.REPLACE) {
            marks.put(part, Mark.INSPECT);
        } else {
            marks.remove(part);
        }
    }

    private List<String> of(Mark mark) {
        return marks.entrySet().stream()
                .filter(e -> e.getValue() == mark)
                .map(Map.Entry::getKey)
                .filter(id -> session.project().upkeep().part(id).isPresent())
                .toList();
    }

    void refresh() {
        getChildren().clear();
        List<String> replace = of(Mark.REPLACE);
        List<String> inspect = of(Mark.INSPECT);
        List<Part> parts = replace.stream()
                .map(id -> session.project().upkeep().part(id).orElseThrow())
                .toList();
        again = Touched.renewed(session.project(), parts);
        getChildren()
                .addAll(
                        Ui.label("Renew several", "page-title"),
                        Ui.wrapped(
                                "Press the mark of each part: replace, keep (inspected), or leave. One act enters them"
                                        + " all under one paper.",
                                "soft"),
                        count(replace.size() + " to replace, " + inspect.size() + " to keep and inspect"),
                        act);
        getChildren().addAll(made(parts));
        getChildren()
                .addAll(
                        trouble,
                        new RowBox(
                                6,
                                Ui.button("Record all", "renew-record", this::record),
                                Ui.button("Not now", "renew-cancel", this::leave, "chip")),
                        Ui.rule(),
                        Ui.label("Tests after it: " + again.size(), "group-title"));
        again.stream().limit(SHOWN).forEach(a -> getChildren().add(Ui.wrapped("\u2022 " + a.words())));
        if (again.size() > SHOWN) {
            getChildren().add(Ui.label("and " + (again.size() - SHOWN) + " more", "soft"));
        }
    }

    /** The lot and length of each part that is replaced, and what became of the ends of hoses. */
    private List<Node> made(List<Part> parts) {
        List<Node> rows = new ArrayList<>();
        lots.keySet().retainAll(parts.stream().map(Part::id).toList());
        for (Part p : parts) {
            TextField lot = lots.computeIfAbsent(
                    p.id(),
                    id -> Fields.text("renew-lot-" + id, "Lot and length of " + p.name(), "lot, length as cut"));
            rows.add(new ColumnBox(2, Ui.wrapped(p.name(), "soft"), lot));
        }
        if (parts.stream().anyMatch(RenewCard::hose)) {
            rows.add(Ui.button(
                    switch (ends) {
                        case UNSAID -> "End fittings of hoses: not entered";
                        case NEW -> "End fittings of hoses: new";
                        case REUSED -> "End fittings of hoses: reused, inspected";
                    },
                    "renew-ends",
                    () -> {
                        ends = Upkeep.Ends.values()[(ends.ordinal() + 1) % Upkeep.Ends.values().length];
                        refresh();
                    },
                    "chip"));
        }
        return rows;
    }

    private static boolean hose(Part p) {
        return p.kind() == Part.Kind.RUBBER_HOSE || p.kind() == Part.Kind.PTFE_HOSE;
    }

    private Upkeep.Renewed renewed(String id) {
        boolean made =
                session.project().upkeep().part(id).filter(RenewCard::hose).isPresent();
        TextField lot = lots.get(id);
        return new Upkeep.Renewed(id, lot == null ? "" : lot.getText(), made ? ends : Upkeep.Ends.UNSAID);
    }

    private static Label count(String text) {
        Label label = Ui.label(text, "bold");
        label.setId("renew-count");
        return label;
    }

    private void leave() {
        end();
        done.run();
    }

    private void record() {
        try {
            Upkeep.Act what = act.read(today.get());
            List<String> replace = of(Mark.REPLACE);
            List<String> inspect = of(Mark.INSPECT);
            if (replace.isEmpty() && inspect.isEmpty()) {
                throw new IllegalArgumentException("Mark one part or more.");
            }
            List<Upkeep.Renewed> made = replace.stream().map(this::renewed).toList();
            int before = session.project().upkeep().log().size();
            List<Touched.Again> tests = again;
            edit.accept("Renew " + (replace.size() + inspect.size()) + " parts", u -> u.campaign(made, inspect, what));
            List<Entry> all = session.project().upkeep().log();
            List<Entry> mine = new ArrayList<>(all.subList(Math.min(before, all.size()), all.size()));
            end();
            done.run();
            reported.report(mine, tests);
        } catch (IllegalArgumentException e) {
            trouble.setText(e.getMessage());
        }
    }
}
