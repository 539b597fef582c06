package ration.desktop.frame;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.verdict.words.Term;

/** The words of the trade in a sentence each: those of the page shown first, then the others. */
final class TermsCard extends StackPane {

    private static final double WIDTH = 620;
    private static final double MOST_HEIGHT = 560;

    private final VBox body = new ColumnBox(10);
    private final ScrollPane scroll = new Scroll(body);

    TermsCard(Runnable close) {
        setId("terms-card");
        scroll.setId("terms");
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("plain-scroll");
        scroll.setPrefWidth(WIDTH);
        scroll.setMaxHeight(MOST_HEIGHT);
        VBox card =
                new ColumnBox(12, Ui.label("Terms", "page-title"), scroll, Ui.button("Close", "terms-close", close));
        card.getStyleClass().add("overlay-card");
        card.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getChildren().add(card);
        setAlignment(Pos.CENTER);
        setOnMouseClicked(e -> close.run());
        card.setOnMouseClicked(javafx.event.Event::consume);
        setVisible(false);
    }

    void show(Page page) {
        List<Term> here = of(page);
        Set<Term> others = EnumSet.allOf(Term.class);
        others.removeAll(here);
        body.getChildren().setAll(Ui.label("On this page", "group-title"));
        here.forEach(this::add);
        body.getChildren().addAll(Ui.rule(), Ui.label("Elsewhere", "group-title"));
        others.forEach(this::add);
        scroll.setVvalue(0);
        setVisible(true);
        scroll.requestFocus();
    }

    private void add(Term term) {
        VBox said = new ColumnBox(
                1, Ui.label(term.word(), "bold"), Ui.wrapped(term.says()), Ui.wrapped(term.figure(), "soft"));
        said.setId("term-" + term.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
        body.getChildren().add(said);
    }

    /** What is met on a page beside the ledger's own words. */
    static List<Term> of(Page page) {
        return switch (page) {
            case BRIEF -> List.of(Term.CLIMB_PITCH, Term.TILT, Term.STATIONS, Term.NEEDED_FACTOR, Term.VOLATILITY);
            case LAYOUT ->
                List.of(
                        Term.HEAD,
                        Term.STATIONS,
                        Term.INLET_PRESSURE,
                        Term.DEAD_HEAD,
                        Term.DUPLEX,
                        Term.AIR_SOURCE,
                        Term.BUS,
                        Term.NOT_SHOWN);
            case RUNS -> List.of(Term.FITTINGS, Term.TRANSITION, Term.HEAD, Term.TRAPPED);
            case FLOW ->
                List.of(
                        Term.FLOW_MARGIN,
                        Term.NEEDED_FACTOR,
                        Term.GOVERNING_CASE,
                        Term.HEAD,
                        Term.INLET_PRESSURE,
                        Term.OPEN_LINE,
                        Term.TRANSITION);
            case TANKS -> List.of(Term.UNUSABLE, Term.VOLUME_TESTS, Term.TILT, Term.STATIONS);
            case VAPOR -> List.of(Term.VAPOR_MARGIN, Term.VOLATILITY, Term.HOT_FUEL, Term.TRAPPED);
            case AIR -> List.of(Term.AIR_SOURCE, Term.HEAD, Term.NOT_SHOWN);
            case FAULTS -> List.of(Term.NOT_SHOWN, Term.AIR_SOURCE, Term.BUS, Term.DEAD_HEAD);
            case FLIGHT -> List.of(Term.UNUSABLE, Term.TILT, Term.CLIMB_PITCH);
            case BUILD -> List.of(Term.FLOAT, Term.FITTINGS);
            case HANGAR -> List.of(Term.VOLUME_TESTS, Term.OPEN_LINE, Term.DEAD_HEAD, Term.NOT_SHOWN);
            case FIND -> List.of(Term.HEAD, Term.DEAD_HEAD, Term.INLET_PRESSURE);
            case UPKEEP -> List.of(Term.FITTINGS, Term.VOLUME_TESTS);
            case VARIANTS -> List.of(Term.NOT_SHOWN, Term.GOVERNING_CASE, Term.NEEDED_FACTOR);
            case SIGN_OFF -> List.of(Term.NOT_SHOWN, Term.FROM_MEMORY, Term.GOVERNING_CASE, Term.NEEDED_FACTOR);
        };
    }
}
