package ration.desktop.variants;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleConsumer;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import ration.aircraft.model.FuelSystem;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.answer.fault.FaultSearch;
import ration.answer.fault.FaultSum;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.Tokens;
import ration.publish.drawing.BesidePicture;
import ration.publish.drawing.Picture;
import ration.publish.drawing.TextMeasure;
import ration.record.project.Project;
import ration.record.project.Variant;
import ration.record.project.VariantEdits;

/** Layouts of one aircraft side by side; tests, upkeep and sign-off belong to the one that is built. */
public final class VariantsPage extends LivePage {

    private final Session session;
    private final LongWork work;
    private final LongWork drawn;
    private List<Picture> drawings = List.of();
    private final TextField name = new TextField();
    private final Label state = Ui.wrapped("", "soft");
    private final HBox columns = new RowBox(0);
    private Assessment asked;
    private boolean stopped;
    private List<Solved> solved = List.of();
    private FaultSum ofLayout = FaultSum.of(List.of());

    /** A variant as if it were built, and how its failures end; none where they were not run yet. */
    record Solved(Variant variant, Assessment as, FaultSum faults) {}

    public VariantsPage(Session session) {
        super(session, "variants-page", "Variants page");
        this.session = session;
        work = session.whileOpen().work("variants");
        drawn = session.whileOpen().work("drawings of the variants");
        state.setId("variants-state");
        name.setId("variants-name");
        name.setAccessibleText("Name of the variant to keep");
        name.setPromptText("name, such as Wider lines");
        name.setPrefColumnCount(20);
        name.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER) {
                keep();
                e.consume();
            }
        });
        Button keep = Ui.button("Keep this layout as a variant", "variants-keep", this::keep, "chip");
        ProgressBar bar = new ProgressBar();
        bar.setPrefWidth(110);
        bar.progressProperty().bind(work.progress());
        Button stop = Ui.button("Stop", "variants-stop", this::stop, "chip");
        for (javafx.scene.Node n : List.of(bar, stop)) {
            n.visibleProperty().bind(work.running());
            n.managedProperty().bind(work.running());
        }
        HBox head = new RowBox(
                10,
                Ui.whole(Ui.label("Variants", "page-title")),
                Ui.label("Tests, upkeep and sign-off belong to the layout.", "soft"),
                Ui.spring(),
                bar,
                stop,
                name,
                keep);
        head.setAlignment(Pos.CENTER_LEFT);
        VBox top = new ColumnBox(6, head, state);
        top.getStyleClass().add("flow-head");
        setTop(top);
        ScrollPane scroll = new Scroll(columns);
        scroll.setFitToHeight(false);
        scroll.setFocusTraversable(false);
        setCenter(scroll);
    }

    private void keep() {
        String wanted = name.getText().isBlank() ? "Variant" : name.getText();
        try {
            Project p = session.project();
            new Variant(wanted, p.brief(), p.system(), p.heat());
        } catch (IllegalArgumentException e) {
            session.trouble(e.getMessage());
            return;
        }
        name.clear();
        session.apply(VariantEdits.keep(wanted));
    }

    private Optional<Picture> drawing(int n) {
        return n < drawings.size() ? Optional.of(drawings.get(n)) : Optional.empty();
    }

    /** Behind the window: where lines go takes its time. */
    private void draw(Assessment now, UnitSystem units) {
        Project p = now.project();
        List<FuelSystem> systems = Stream.concat(
                        Stream.of(p.system()), p.variants().stream().map(Variant::system))
                .toList();
        TextMeasure measure = Tokens.measure();
        drawn.start(
                task -> BesidePicture.draw(
                        systems, StartingCase.of(p), units, VariantColumn.DRAWN, VariantColumn.HIGH, measure),
                all -> {
                    drawings = all;
                    show();
                },
                why -> state.setText("Not drawn: " + why));
    }

    private void stop() {
        work.cancel();
        stopped = true;
        show();
    }

    @Override
    protected void refresh() {
        Assessment now = session.shown().get().assessment();
        if (now == asked) {
            show();
            return;
        }
        asked = now;
        stopped = false;
        solved = List.of();
        ofLayout = FaultSum.of(session.faults().get());
        drawings = List.of();
        show();
        Project p = now.project();
        UnitSystem units = session.units().get();
        draw(now, units);
        work.start(
                task -> {
                    List<Solved> all = new ArrayList<>();
                    int n = 2 * (p.variants().size() + 1);
                    for (Variant v : p.variants()) {
                        Assessment as = Assessment.of(VariantEdits.as(p, v).withName(p.name()), Optional.of(now));
                        as.sure();
                        all.add(new Solved(v, as, FaultSum.of(List.of())));
                        task.progress().accept(all.size() / (double) n);
                    }
                    return all;
                },
                all -> {
                    solved = all;
                    show();
                    failures(now, all, units);
                },
                why -> state.setText("Not shown: " + why));
    }

    /** How the failures of each end, once the rest is there. */
    private void failures(Assessment now, List<Solved> all, UnitSystem units) {
        if (all.isEmpty()) {
            return;
        }
        record Run(FaultSum layout, List<Solved> variants) {}
        FaultSum known = ofLayout;
        int runs = all.size() + (known.asked() ? 0 : 1);
        work.start(
                task -> {
                    FaultSum layout = known.asked()
                            ? known
                            : failed(now, units, d -> task.progress().accept(d / runs), task);
                    List<Solved> more = new ArrayList<>();
                    for (Solved s : all) {
                        double from = (runs - all.size() + more.size()) / (double) runs;
                        more.add(new Solved(
                                s.variant(),
                                s.as(),
                                failed(s.as(), units, d -> task.progress().accept(from + d / runs), task)));
                    }
                    return new Run(layout, more);
                },
                run -> {
                    ofLayout = run.layout();
                    solved = run.variants();
                    show();
                },
                why -> state.setText("Not shown, failures: " + why));
    }

    private static FaultSum failed(Assessment a, UnitSystem units, DoubleConsumer progress, Task task) {
        return FaultSum.of(FaultSearch.of(a, units, progress, task.cancelled()));
    }

    private void show() {
        columns.getChildren().clear();
        UnitSystem units = session.units().get();
        Project p = asked.project();
        columns.getChildren().add(new VariantColumn(units, asked, session.home().costs(), drawing(0)).built(ofLayout));
        int n = 0;
        for (Variant v : p.variants()) {
            Solved s = solved.stream()
                    .filter(x -> x.variant().equals(v))
                    .findFirst()
                    .orElse(null);
            VariantColumn column =
                    new VariantColumn(units, asked, session.home().costs(), drawing(++n));
            columns.getChildren()
                    .add(
                            s == null
                                    ? column.waiting(v)
                                    : column.of(s, new VariantColumn.Acts() {
                                        @Override
                                        public void make() {
                                            session.apply(VariantEdits.make(v.name(), "Former layout"));
                                        }

                                        @Override
                                        public void rename(String other) {
                                            try {
                                                new Variant(other, v.brief(), v.system(), v.heat());
                                                session.apply(VariantEdits.rename(v.name(), other));
                                            } catch (IllegalArgumentException e) {
                                                session.trouble(e.getMessage());
                                            }
                                        }

                                        @Override
                                        public void delete() {
                                            session.apply(VariantEdits.delete(v.name()));
                                        }
                                    }));
        }
        state.setText(
                p.variants().isEmpty()
                        ? "None yet. Keep this layout under a name, then go on editing; or keep a set found by Make it"
                                + " hold, on Flow."
                        : stopped
                                ? "Stopped: what is not solved is Not shown; the next edit begins again."
                                : solved.isEmpty() ? "Solving the variants." : words());
    }

    /** No winner is named. */
    private String words() {
        long holds = solved.stream()
                .filter(s ->
                        s.as().findings().stream().noneMatch(f -> f.verdict() == ration.verdict.check.Verdict.FAILS))
                .count();
        return holds == 0
                ? "In none of the variants does everything hold."
                : holds + " of " + solved.size() + (solved.size() == 1 ? " variant has" : " variants have")
                        + " nothing that Fails.";
    }
}
