package ration.desktop.flow;

import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.value.ObservableBooleanValue;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import ration.aircraft.model.FuelSystem;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.measure.Job;
import ration.answer.measure.MeasureNext;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.publish.drawing.HeadBudget;
import ration.publish.drawing.PathProfile;
import ration.publish.drawing.Picture;
import ration.publish.drawing.TextMeasure;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.words.Term;

/** Flow: which case governs, what happens along its path, where the head goes, what to change. */
public final class FlowPage extends LivePage {

    private final Session session;
    private final TextMeasure measure = Tokens.measure();
    private final Label subtitle = Ui.label("", "soft");
    private final FlowMatrix matrix;
    private final VBox remarks = new ColumnBox(4);
    private final Label low = Ui.label("", "soft");
    private final Label profileTitle = Ui.label("", "soft");
    private final Label budgetTitle = Ui.term(Term.HEAD, Ui.label("", "page-title"));
    private final Label budgetCase = Ui.label("", "soft");
    private final Label sentence = Ui.wrapped("", "sentence");
    private final Label lower = Ui.label("Along the path", "page-title");
    private final ToggleGroup choices = new ToggleGroup();
    private final AskPane ask;
    private final PumpPane pump;
    private Optional<AskPane.Question> asked = Optional.empty();
    private boolean pumpAsked;
    private final PicturePane profile;
    private final PicturePane budget;
    private final AdvicePane advice;
    private final ImprovePane improve;
    private final ToggleGroup views = new ToggleGroup();
    private final VBox cases;
    private final VBox side;
    private final MeasurePane next;
    private View view = View.CASES;
    private final SimpleBooleanProperty byCase = new SimpleBooleanProperty(true);

    /** What the page shows. */
    private enum View {
        CASES,
        MAKE_IT_HOLD,
        MEASURE_NEXT
    }

    /**
     * @param pick shows an item on the Layout page
     * @param table asks for a table, and gives its text
     */
    public FlowPage(
            Session session,
            Consumer<String> pick,
            Consumer<Consumer<String>> table,
            BiConsumer<MeasureNext, List<Job>> readings) {
        super(session, "flow-page", "Flow page");
        this.session = session;
        matrix = new FlowMatrix(session);
        advice = new AdvicePane(session);
        ask = new AskPane(session);
        pump = new PumpPane(session, table::accept);
        lower.setMinWidth(Region.USE_PREF_SIZE);
        profile = new PicturePane(
                "path-profile",
                (w, h) -> look().map(l -> PathProfile.draw(system(), l, units(), w, h, measure))
                        .orElse(new Picture(w, h, List.of())),
                pick);
        budget = new PicturePane(
                "head-budget",
                (w, h) -> look().map(l -> HeadBudget.draw(system(), l, units(), w, h))
                        .orElse(new Picture(w, h, List.of())),
                pick);
        sentence.setId("budget-sentence");
        budgetCase.setId("budget-case");
        improve = new ImprovePane(session, table);
        next = new MeasurePane(session, pick, readings);
        cases = left();
        side = right();
        HBox head = new RowBox(
                12,
                Ui.whole(Ui.label("Flow", "page-title")),
                view("Cases", "flow-cases", View.CASES),
                view("Make it hold", "flow-make-it-hold", View.MAKE_IT_HOLD),
                view("What to measure next", "flow-measure-next", View.MEASURE_NEXT),
                subtitle);
        head.setAlignment(Pos.BASELINE_LEFT);
        head.getStyleClass().add("flow-head");
        setTop(head);
        setCenter(cases);
        setRight(side);
    }

    @Override
    public ObservableBooleanValue byCase() {
        return byCase;
    }

    private ToggleButton view(String text, String id, View shows) {
        ToggleButton b = new ToggleButton(text);
        b.setId(id);
        b.getStyleClass().add("chip");
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setToggleGroup(views);
        b.setSelected(shows == view);
        b.setOnAction(e -> {
            b.setSelected(true);
            view = shows;
            setCenter(
                    switch (shows) {
                        case CASES -> cases;
                        case MAKE_IT_HOLD -> improve;
                        case MEASURE_NEXT -> next;
                    });
            setRight(shows == View.CASES ? side : null);
            byCase.set(shows == View.CASES);
            update();
        });
        return b;
    }

    private VBox left() {
        ScrollPane scroll = new Scroll(matrix);
        scroll.setFitToHeight(true);
        scroll.setMinHeight(150);
        scroll.setFocusTraversable(false);
        VBox top = new ColumnBox(8, scroll, legend(), remarks);
        top.getStyleClass().add("flow-cases");
        HBox title = new RowBox(
                12,
                lower,
                profileTitle,
                Ui.spring(),
                choose("Along the path", Optional.empty()),
                choose("Maximum pitch", Optional.of(AskPane.Question.HOW_STEEP)),
                choose("Feed balance", Optional.of(AskPane.Question.WHICH_TANK)),
                whichPump());
        title.setAlignment(Pos.BASELINE_LEFT);
        title.getStyleClass().add("flow-title");
        StackPane stack = new StackPane(profile, ask, pump);
        ask.setVisible(false);
        pump.setVisible(false);
        VBox.setVgrow(stack, Priority.ALWAYS);
        VBox path = new ColumnBox(title, stack);
        path.getStyleClass().add("flow-path");
        VBox.setVgrow(path, Priority.ALWAYS);
        path.setMinHeight(150);
        path.setPrefHeight(150);
        VBox left = new ColumnBox(top, Ui.rule(), path);
        left.setMinWidth(0);
        return left;
    }

    private ToggleButton choose(String text, Optional<AskPane.Question> question) {
        ToggleButton b = new ToggleButton(text);
        b.setId("flow-"
                + question.map(q -> q.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'))
                        .orElse("along-the-path"));
        b.getStyleClass().add("chip");
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setToggleGroup(choices);
        b.setSelected(question.isEmpty());
        b.setOnAction(e -> {
            b.setSelected(true);
            asked = question;
            pumpAsked = false;
            pump.setVisible(false);
            lower.setText(text);
            profile.setVisible(question.isEmpty());
            ask.setVisible(question.isPresent());
            update();
        });
        return b;
    }

    private ToggleButton whichPump() {
        ToggleButton b = new ToggleButton("Which pump");
        b.setId("flow-which-pump");
        b.getStyleClass().add("chip");
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setToggleGroup(choices);
        b.setOnAction(e -> {
            b.setSelected(true);
            asked = Optional.empty();
            pumpAsked = true;
            lower.setText("Which pump");
            profile.setVisible(false);
            ask.setVisible(false);
            pump.setVisible(true);
            update();
        });
        return b;
    }

    private HBox legend() {
        Region box = new Region();
        box.getStyleClass().add("governs-key");
        box.setMinSize(18, 13);
        box.setMaxSize(18, 13);
        HBox legend = new RowBox(8, box, Ui.label("governs", "soft"));
        for (Verdict v : List.of(Verdict.HOLDS, Verdict.THIN, Verdict.FAILS, Verdict.NOT_SHOWN)) {
            NotchBar bar = new NotchBar(32, 6);
            bar.show(v == Verdict.HOLDS ? 1.4 : v == Verdict.THIN ? 1.03 : 0.8, v);
            Label word = Ui.label(v.word(), "soft");
            word.setMinWidth(Region.USE_PREF_SIZE);
            legend.getChildren().addAll(bar, word);
        }
        legend.getChildren().addAll(Ui.spring(), low);
        legend.setAlignment(Pos.CENTER_LEFT);
        return legend;
    }

    private VBox right() {
        HBox head = new RowBox(8, Ui.whole(budgetTitle), Ui.spring(), budgetCase);
        head.setAlignment(Pos.BASELINE_LEFT);
        VBox.setVgrow(budget, Priority.ALWAYS);
        budget.setPrefHeight(260);
        VBox top = new ColumnBox(6, head, budget, sentence);
        top.getStyleClass().add("flow-side");
        top.setPrefHeight(330);
        top.setMinHeight(240);
        advice.getStyleClass().add("flow-side");
        VBox.setVgrow(advice, Priority.ALWAYS);
        VBox.setVgrow(top, Priority.ALWAYS);
        VBox right = new ColumnBox(top, Ui.rule(), advice);
        right.getStyleClass().add("card");
        Ui.wide(right, 460, 350);
        return right;
    }

    private Optional<CaseAnswer> look() {
        return session.shown().get().look();
    }

    private FuelSystem system() {
        return session.shown().get().project().system();
    }

    private UnitSystem units() {
        return session.units().get();
    }

    @Override
    protected void refresh() {
        Assessment a = session.shown().get().assessment();
        FlowWords words = new FlowWords(a, look(), units());
        if (view == View.MEASURE_NEXT) {
            subtitle.setText("which figures as entered decide a verdict");
            next.update();
            return;
        }
        if (view == View.MAKE_IT_HOLD) {
            subtitle.setText("the cheapest sets of changes after which nothing Fails");
            improve.update();
            return;
        }
        subtitle.setText(words.asked());
        low.setText(words.low());
        matrix.update();
        remarks(words.remarks());
        profileTitle.setText(
                look().map(l -> asked.isPresent() ? l.label(system(), units()) : PathProfile.title(l, units()))
                        .orElse(""));
        if (pumpAsked) {
            profileTitle.setText("over every judged case");
            pump.update();
        } else {
            asked.ifPresentOrElse(ask::update, profile::redraw);
        }
        budget.redraw();
        budgetTitle.setText(words.budgetTitle());
        budgetCase.setText(words.budgetCase());
        sentence.setText(words.sentence());
        sentence.getStyleClass().remove("short");
        if (words.isShort()) {
            sentence.getStyleClass().add("short");
        }
        advice.update();
    }

    private void remarks(List<Finding> findings) {
        remarks.getChildren().clear();
        for (Finding f : findings) {
            NotchBar bar = new NotchBar(24, 6);
            bar.show(f.ratio(), f.verdict());
            Label words = Ui.wrapped(f.title() + ": " + f.detail().in(units()));
            HBox.setHgrow(words, Priority.ALWAYS);
            words.setTooltip(new javafx.scene.control.Tooltip(f.detail().in(units()) + "\n" + f.remedy()));
            HBox row = new RowBox(8, bar, verdictWord(f), words);
            row.setAlignment(Pos.CENTER_LEFT);
            row.getStyleClass().add("remark");
            remarks.getChildren().add(row);
        }
    }

    private static Label verdictWord(Finding f) {
        Label word = Ui.label("", "verdict");
        Ui.verdict(word, f.verdict());
        word.setMinWidth(Region.USE_PREF_SIZE);
        return word;
    }
}
