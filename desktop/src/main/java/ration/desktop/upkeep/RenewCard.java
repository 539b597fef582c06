package ration.desktop.upkeep;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.control.Label;
import ration.answer.proof.Touched;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.upkeep.Entry;
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
                        act,
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
            int before = session.project().upkeep().log().size();
            List<Touched.Again> tests = again;
            edit.accept(
                    "Renew " + (replace.size() + inspect.size()) + " parts", u -> u.campaign(replace, inspect, what));
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
