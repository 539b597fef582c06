package ration.desktop.flow;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.PumpSet;
import ration.base.quantity.UnitSystem;
import ration.record.project.Brief;
import ration.verdict.check.Verdict;

/**
 * What the matrix of cases says, before any of it is a node.
 *
 * @param a what was assessed
 * @param choice which of the cases that share a cell are looked at
 */
record MatrixCells(Assessment a, Choice choice) {

    /** One of several joined tanks dry, whichever is worst. */
    private static final String DRY = "One empty";

    /**
     * Pumps and filters chosen above the matrix; at first the worst of all.
     *
     * @param pumps that run; any where empty
     * @param fouled whether filters are fouled; either where empty
     */
    record Choice(Optional<PumpSet> pumps, Optional<Boolean> fouled) {

        static final Choice WORST = new Choice(Optional.empty(), Optional.empty());

        /** With these pumps, or with any again where these were chosen. */
        Choice flipped(PumpSet set) {
            return new Choice(pumps.filter(set::same).isPresent() ? Optional.empty() : Optional.of(set), fouled);
        }

        Choice flipped(boolean wanted) {
            return new Choice(
                    pumps, fouled.filter(f -> f == wanted).isPresent() ? Optional.empty() : Optional.of(wanted));
        }
    }

    /** What a cell stands for. */
    record Key(String attitude, Map<String, String> positions, String contents) {
        static Key of(CaseAnswer c) {
            return new Key(
                    c.condition().attitude().name(),
                    c.condition().positions(),
                    c.filling().dry().isPresent()
                            ? DRY
                            : c.filling().level().map(Contents::label).orElse(""));
        }
    }

    /**
     * A cell in words.
     *
     * @param governs whether it is the least of all
     * @param looked whether the window looks at it
     */
    record Words(String figure, double ratio, Verdict verdict, boolean governs, boolean looked, String spoken) {
        static final Words NONE =
                new Words("\u2013", 0, Verdict.NOT_SHOWN, false, false, "No case matches the selection above");
    }

    /** Those flown, then those felt on the run and in a gust. */
    List<Attitude> attitudes() {
        Brief brief = a.project().brief();
        List<Attitude> all = new ArrayList<>(brief.envelope().flown());
        brief.practice().loads(brief.envelope()).forEach(l -> all.add(l.attitude()));
        return all;
    }

    List<String> columns() {
        List<String> all = new ArrayList<>(
                Arrays.stream(Contents.values()).map(Contents::label).toList());
        if (a.cases().stream().anyMatch(c -> c.filling().dry().isPresent())) {
            all.add(DRY);
        }
        return all;
    }

    /** Of the handles, in the order of the cases. */
    List<Map<String, String>> positions() {
        Set<Map<String, String>> all = new LinkedHashSet<>();
        a.cases().forEach(c -> all.add(c.condition().positions()));
        return List.copyOf(all);
    }

    static String title(Map<String, String> positions) {
        return String.join(", ", new TreeMap<>(positions).values());
    }

    List<PumpSet> pumpSets() {
        return PumpSet.of(a.project().system());
    }

    boolean filters() {
        return a.project().system().hasFilter();
    }

    /** Cells that stand for some case. */
    Set<Key> held() {
        Set<Key> all = new LinkedHashSet<>();
        a.cases().forEach(c -> all.add(Key.of(c)));
        return all;
    }

    /** Equal while rows, columns and choices stay what they are. */
    Object structure() {
        return List.of(held(), attitudes(), columns(), positions(), pumpSets(), filters(), a.blocked());
    }

    /** An attitude as its row calls it; a load with how many g, and whether it is only told. */
    String named(Attitude attitude) {
        if (attitude.load() == 1 && attitude.forward() == 0) {
            return attitude.label();
        }
        double g = attitude.forward() != 0 ? attitude.forward() : attitude.load();
        boolean judged =
                a.cases().stream().anyMatch(c -> c.condition().attitude().name().equals(attitude.name()) && c.judged());
        return attitude.name() + " " + UnitSystem.figure(g, 2) + " g" + (judged ? "" : ", info only");
    }

    private boolean chosen(CaseAnswer c, PumpSet usual) {
        boolean pumps = choice.pumps
                .map(p -> p.same(c.pumps()))
                .orElseGet(() -> c.judged() || !c.setting().asked() && c.pumps().running() == usual.running());
        return pumps
                && choice.fouled.map(f -> f == c.condition().engine().fouled()).orElse(true);
    }

    /** The worst case of each cell, of what is chosen; one that is not known is worse than any. */
    Map<Key, CaseAnswer> worst() {
        PumpSet usual = PumpSet.of(a.project().system()).get(0);
        Map<Key, CaseAnswer> worst = new LinkedHashMap<>();
        for (CaseAnswer c : a.cases()) {
            if (chosen(c, usual)) {
                worst.merge(Key.of(c), c, (x, y) -> Double.compare(x.ratio(), y.ratio()) <= 0 ? x : y);
            }
        }
        return worst;
    }

    /** @param looked at by the window */
    Words words(Optional<CaseAnswer> of, Condition looked, UnitSystem units) {
        if (of.isEmpty()) {
            return Words.NONE;
        }
        CaseAnswer c = of.get();
        boolean governs = a.governing().filter(g -> g == c).isPresent();
        String figure = UnitSystem.figure(c.margin(), 2);
        return new Words(
                figure,
                c.ratio(),
                c.verdict(),
                governs,
                c.condition().equals(looked),
                c.label(a.project().system(), units) + ": " + figure + " times, "
                        + c.verdict().word() + (governs ? ", governs" : ""));
    }
}
