package ration.answer.fault;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.condition.Power;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Regulator;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/**
 * A way to fail that does nothing in the network would be called harmless: each that is said to be felt there is felt
 * in one document at least, and those that are not said so are felt in none.
 */
class EveryFaultIsFeltTest {

    private final Map<Kind, String> felt = new EnumMap<>(Kind.class);

    @Test
    void whatIsSaidToBeFeltIsFelt() {
        documents().forEach(this::ask);
        assertThat(felt.keySet())
                .containsExactlyInAnyOrderElementsOf(Arrays.stream(Kind.values())
                        .filter(k -> k.felt() == Fault.Felt.IN_THE_NETWORK)
                        .toList());
    }

    /** What the network does not feel is never said to hold because of it. */
    @Test
    void whatIsNotFeltIsNotCalledHarmless() {
        Assessment a = Systems.assessed("tansy-l3");
        List<Fault> beside = Catalogue.of(a.project().system()).stream()
                .filter(f -> f.kind().felt() == Fault.Felt.BESIDE)
                // answered beside the network: by where it would boil
                .filter(f -> f.kind() != Kind.FUEL_VOLATILE)
                .toList();
        assertThat(beside).extracting(Fault::kind).contains(Kind.WATER, Kind.SELECTOR_STUCK, Kind.INDICATION_WRONG);
        assertThat(FaultSearch.of(a, beside, UnitSystem.US, done -> {}, () -> false))
                .isNotEmpty()
                .allSatisfy(f -> assertThat(f.verdict()).as(f.toString()).isNotEqualTo(Verdict.HOLDS));
    }

    private static Stream<Project> documents() {
        return Stream.concat(
                Stream.of("corrie-b1", "brindle-a2", "tansy-l3", "collector-sump", "jet-siphon")
                        .map(Systems::demo),
                Stream.of(coupled(), referred()));
    }

    /** A quick disconnect in the line to the engine. */
    private static Project coupled() {
        Project p = Systems.corrie();
        return p.with(LayoutEdits.add(p.system(), "r1", LayoutEdits.Spot.IN_RUN, NewItem.QUICK_DISCONNECT)
                .orElseThrow()
                .system());
    }

    /** A regulator that follows the manifold. */
    private static Project referred() {
        Project p = Systems.demo("collector-sump");
        return p.with(p.system()
                .change(
                        "regulator",
                        Regulator.class,
                        r -> new Regulator(r.tag(), r.style(), Regulator.Reference.MANIFOLD, r.setting(), r.loss())));
    }

    private void ask(Project p) {
        Assessment a = Assessment.of(p);
        List<Fault> open = new ArrayList<>();
        for (Fault f : Catalogue.of(p.system())) {
            if (!felt.containsKey(f.kind())) {
                open.add(f);
            }
        }
        List<CaseAnswer> cases =
                a.cases().stream().filter(c -> c.judged() && c.answered()).toList();
        int step = Math.max(1, cases.size() / CASES);
        for (int i = 0; i < cases.size() && !open.isEmpty(); i += step) {
            CaseAnswer sound = cases.get(i);
            for (Fault f : open) {
                if (!felt.containsKey(f.kind()) && differs(a, sound, f)) {
                    felt.put(f.kind(), p.name() + ", " + f);
                }
            }
            open.removeIf(f -> felt.containsKey(f.kind()));
        }
    }

    private static final int CASES = 3;

    /** In the case itself, or with the throttle shut: at full power a manifold stands near ambient. */
    private static boolean differs(Assessment a, CaseAnswer sound, Fault f) {
        Condition idle = sound.condition().with(Power.IDLE);
        return other(a, Optional.of(sound), a.look(sound.condition().with(f)))
                || f.kind() == Kind.REFERENCE_OFF && other(a, a.look(idle), a.look(idle.with(f)));
    }

    private static boolean other(Assessment a, Optional<CaseAnswer> sound, Optional<CaseAnswer> failed) {
        return sound.isPresent()
                && failed.isPresent()
                && (other(a, sound.get().demand(), failed.get().demand())
                        || other(a, sound.get().capacity(), failed.get().capacity()));
    }

    private static boolean other(Assessment a, FlowAnswer sound, FlowAnswer failed) {
        if (!sound.usable() || !failed.usable()) {
            return sound.usable() != failed.usable();
        }
        for (Item i : a.project().system().items()) {
            for (String port : i.ports()) {
                PortRef at = new PortRef(i.id(), port);
                double was = sound.pressure(at).orElse(Double.NaN);
                double is = failed.pressure(at).orElse(Double.NaN);
                if (Double.isNaN(was) != Double.isNaN(is) || Math.abs(was - is) > 0.01) {
                    return true;
                }
            }
        }
        return a.project().system().runs().stream()
                .anyMatch(r -> Math.abs(sound.flow(r.id()) - failed.flow(r.id())) > FlowAnswer.NO_FLOW);
    }
}
