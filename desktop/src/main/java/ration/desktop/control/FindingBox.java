package ration.desktop.control;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import ration.base.quantity.UnitSystem;
import ration.desktop.style.NotchBar;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.words.Term;

/** One finding in words: title and verdict, what was found, what to do, where the requirement comes from. */
public final class FindingBox extends ColumnBox {

    public FindingBox(Finding f, UnitSystem units) {
        this(f.title(), f, units);
    }

    /** Under another title, where the page already says whose finding it is. */
    public FindingBox(String title, Finding f, UnitSystem units) {
        super(2);
        NotchBar bar = new NotchBar(24, 6);
        bar.show(f.ratio(), f.verdict());
        HBox middle = new RowBox(bar);
        middle.setAlignment(Pos.CENTER);
        middle.setMinHeight(18);
        middle.setMaxHeight(18);
        Label name = Ui.wrapped(title, "bold");
        term(f.check()).ifPresent(t -> Ui.term(t, name));
        name.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(name, Priority.ALWAYS);
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, f.verdict());
        verdict.setMinWidth(Region.USE_PREF_SIZE);
        getChildren()
                .addAll(
                        new RowBox(6, middle, name, verdict),
                        Ui.wrapped(f.detail().in(units)));
        if (!f.remedy().isEmpty()) {
            getChildren().add(Ui.wrapped(f.remedy(), "soft"));
        }
        Label source = Ui.wrapped(f.source(), "soft");
        HBox.setHgrow(source, Priority.ALWAYS);
        source.setMaxWidth(Double.MAX_VALUE);
        HBox foot = new RowBox(8, source);
        if (f.because().isPresent()) {
            Figure why = new Figure("why-" + f.id().replace('.', '-'), "small").show("Why", f.because());
            why.setMinWidth(Region.USE_PREF_SIZE);
            foot.getChildren().add(why);
        }
        getChildren().add(foot);
    }

    private static Optional<Term> term(Check check) {
        return switch (check) {
            case FLOW_TRANSITION -> Optional.of(Term.TRANSITION);
            case VAPOR_TRAPPED -> Optional.of(Term.TRAPPED);
            case AIR_BLOCKED -> Optional.of(Term.AIR_SOURCE);
            case FLOW_SECOND_PUMP -> Optional.of(Term.BUS);
            case BUILD_DEAD_HEAD -> Optional.of(Term.DEAD_HEAD);
            case BUILD_JOINT -> Optional.of(Term.FITTINGS);
            default -> Optional.empty();
        };
    }
}
