package ration.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import ration.answer.fault.HiddenSearch;
import ration.base.quantity.UnitSystem;
import ration.desktop.session.KnownFailures.Singles;
import ration.record.project.Brief;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** What is remembered of failures: given back to the same questions alone. */
class KnownFailuresTest {

    private static final Singles FOUND = new Singles(List.of(), Optional.of("this one"));

    private final KnownFailures known = new KnownFailures();
    private final Project project = Pattern.values()[0].project();

    @Test
    void theSameQuestionsInTheSameUnitsAreKnown() {
        known.keep(project, UnitSystem.US, FOUND);
        assertThat(known.singles(project.withName("another"), UnitSystem.US))
                .as("a name asks nothing")
                .contains(FOUND);
        assertThat(known.singles(project, UnitSystem.METRIC)).as("other words").isEmpty();
        assertThat(known.singles(Pattern.values()[1].project(), UnitSystem.US))
                .as("another layout")
                .isEmpty();
        Brief brief = project.brief();
        Project hotter = project.with(brief.withFuel(java.util.Arrays.stream(ration.base.fluid.FuelGrade.values())
                .filter(g -> g != brief.fuel())
                .findFirst()
                .orElseThrow()));
        assertThat(known.singles(hotter, UnitSystem.US)).as("another fuel").isEmpty();
    }

    @Test
    void whatWasStoppedIsNotKnown() {
        HiddenSearch stopped = new HiddenSearch(List.of(), List.of(), 3, 0, List.of(), false);
        known.keep(project, UnitSystem.US, stopped);
        assertThat(known.hidden(project, UnitSystem.US)).isEmpty();
        HiddenSearch whole = new HiddenSearch(List.of(), List.of(), 3, 0, List.of(), true);
        known.keep(project, UnitSystem.US, whole);
        assertThat(known.hidden(project, UnitSystem.US)).contains(whole);
    }

    @Test
    void theOldestGoes() {
        List<Project> layouts = java.util.Arrays.stream(Pattern.values())
                .limit(KnownFailures.KEPT + 1)
                .map(Pattern::project)
                .toList();
        layouts.forEach(p -> known.keep(p, UnitSystem.US, FOUND));
        assertThat(known.singles(layouts.get(0), UnitSystem.US)).isEmpty();
        assertThat(known.singles(layouts.get(1), UnitSystem.US)).contains(FOUND);
    }
}
