package ration.desktop.faults;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.HiddenChecks;
import ration.answer.fault.HiddenSearch.Hidden;
import ration.answer.fault.HiddenSearch.Outcome;
import ration.answer.fault.HiddenSearch.Pair;
import ration.answer.fault.HiddenWords;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.upkeep.Upkeep;

/** One pair: what waits, what fails then, why it stops, what a pilot can do, and the check that finds it. */
final class HiddenCard {

    private final Session session;
    private final Consumer<FaultAnswer> set;
    private final IntConsumer step;
    private final Consumer<List<Hidden>> add;
    private final VBox body = new ColumnBox(8);
    private final Node side;
    private Optional<FaultAnswer> both = Optional.empty();

    /**
     * @param set shows both on the layout
     * @param step to the next pair that stops the engine, or the one before
     * @param add puts the check of some where it is done
     */
    HiddenCard(Session session, Consumer<FaultAnswer> set, IntConsumer step, Consumer<List<Hidden>> add) {
        this.session = session;
        this.set = set;
        this.step = step;
        this.add = add;
        body.getStyleClass().add("card-body");
        side = Ui.side(body, 288, 232);
    }

    Node side() {
        return side;
    }

    void nothing() {
        both = Optional.empty();
        body.getChildren()
                .setAll(Ui.wrapped(
                        "A failure that shows nothing waits; then one more fails. Each pair is run in the governing"
                                + " case of each selector position. What is not computed is never counted as"
                                + " harmless.",
                        "soft"));
    }

    /** Shows both on the layout, where the pair has an answer. */
    void set() {
        both.ifPresent(set);
    }

    void show(Hidden h, HiddenTable.Column next) {
        Pair pair = next.of(h);
        both = pair.both();
        Label name = Ui.wrapped(HiddenWords.name(h), "page-title");
        name.setId("hidden-name");
        HBox.setHgrow(name, Priority.ALWAYS);
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, h.verdict());
        verdict.setMinWidth(Label.USE_PREF_SIZE);
        Label then = Ui.wrapped(
                pair.outcome() == Outcome.SAME_PART
                        ? "waits; that part has failed already"
                        : "waits; then " + HiddenWords.name(next.first()),
                "soft");
        then.setId("hidden-then");
        body.getChildren().setAll(new RowBox(8, name, Ui.spring(), verdict), then);
        both.ifPresentOrElse(b -> pair(pair, b), () -> {
            if (pair.outcome() == Outcome.NOT_RUN) {
                body.getChildren().add(Ui.wrapped("Not run: stopped before this pair.", "soft"));
            }
        });
        check(h);
        Button before = Ui.button("\u2039 Pair before", "hidden-before", () -> step.accept(-1), "chip");
        Button after = Ui.button("Next pair \u203a", "hidden-next", () -> step.accept(1), "chip");
        before.setAccessibleText("The pair before that stops the engine");
        after.setAccessibleText("The next pair that stops the engine");
        body.getChildren().addAll(Ui.rule(), new RowBox(6, before, after));
        both.ifPresent(b -> {
            Button put = Ui.button("Set both on the layout", "hidden-set", () -> set.accept(b));
            put.setMaxWidth(Double.MAX_VALUE);
            body.getChildren().add(put);
        });
        body.getChildren()
                .add(Ui.wrapped(
                        "A computed pass does not approve flight. Your inspector, the aviation authority and the"
                                + " manufacturers' instructions decide.",
                        "soft"));
    }

    private void pair(Pair pair, FaultAnswer b) {
        Label big = Ui.label(
                switch (pair.outcome()) {
                    case STOPS, UNSEEN -> FaultTable.minutes(b);
                    case SWITCHED -> "Recoverable";
                    case MET -> "Demand met";
                    case NOT_SHOWN, NOT_RUN, SAME_PART -> "Not shown";
                },
                "main-result");
        big.setId("hidden-minutes");
        body.getChildren()
                .addAll(
                        big,
                        Ui.wrapped(
                                pair.outcome() == Outcome.STOPS || pair.outcome() == Outcome.UNSEEN
                                        ? FaultTable.until(b)
                                        : "",
                                "soft"),
                        Ui.rule(),
                        Ui.label("Why", "group-title"),
                        Ui.wrapped(b.why()),
                        Ui.label("Case", "group-title"),
                        Ui.wrapped(b.where()));
        if (pair.outcome() != Outcome.MET && pair.outcome() != Outcome.NOT_SHOWN) {
            body.getChildren().addAll(Ui.label("Pilot action", "group-title"), Ui.wrapped(FaultTable.wayOut(b)));
        }
    }

    private void check(Hidden h) {
        Upkeep upkeep = session.project().upkeep();
        body.getChildren()
                .addAll(
                        Ui.rule(),
                        Ui.label("What would find it", "group-title"),
                        Ui.wrapped(h.finder().words() + "."),
                        Ui.wrapped(HiddenWords.unseenFor(h, upkeep) + ".", "soft"));
        if (!h.telling()) {
            body.getChildren().add(Ui.wrapped(HiddenWords.NO_READING, "wrong-text"));
        }
        if (HiddenChecks.found(h, upkeep)) {
            body.getChildren()
                    .add(Ui.label(
                            "\u2713 " + (h.finder().onCard() ? "on the preflight card" : "in Maintenance"), "soft"));
        } else {
            Button put = Ui.button(
                    h.finder().onCard() ? "Add to preflight card" : "Add to Maintenance",
                    "hidden-add",
                    () -> add.accept(List.of(h)),
                    "chip");
            body.getChildren().add(put);
        }
    }
}
