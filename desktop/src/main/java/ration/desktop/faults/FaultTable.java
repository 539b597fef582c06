package ration.desktop.faults;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import ration.answer.fault.Catalogue;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultAnswer.Group;
import ration.answer.fault.FaultSum;
import ration.base.quantity.UnitSystem;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * What the page says of the faults that were worked out, before any of it is a node.
 *
 * @param all in the order they were found
 * @param only the group looked at; all where empty
 */
record FaultTable(List<FaultAnswer> all, Optional<Group> only) {

    FaultTable {
        all = List.copyOf(all);
    }

    /** A choice of group, with how many are in it. */
    record Choice(String text, String id, Optional<Group> group) {}

    /** The faults of a group. */
    record Section(Group group, List<FaultAnswer> rows) {
        String title() {
            return group.label() + "  " + rows.size();
        }
    }

    /** A row in words. */
    record Cells(String part, String way, String share, String minutes, String seen, String wayOut, Verdict verdict) {

        /** For those who do not see it. */
        String spoken() {
            return part + " " + way + ", " + share + ", time to low flow " + minutes + ", pilot action "
                    + (wayOut.isEmpty() ? "not needed" : wayOut) + ", " + verdict.word();
        }
    }

    boolean empty() {
        return all.isEmpty();
    }

    List<Choice> choices() {
        List<Choice> choices =
                new ArrayList<>(List.of(new Choice("All " + all.size(), "faults-all", Optional.empty())));
        for (Group g : Group.values()) {
            if (count(g) > 0) {
                choices.add(new Choice(
                        g.label() + " " + count(g),
                        "faults-" + g.name().toLowerCase(Locale.ROOT).replace('_', '-'),
                        Optional.of(g)));
            }
        }
        return choices;
    }

    /** Those looked at, group by group. */
    List<Section> sections() {
        return Arrays.stream(Group.values())
                .filter(g -> only.map(o -> o == g).orElse(true))
                .map(g ->
                        new Section(g, all.stream().filter(f -> f.group() == g).toList()))
                .filter(s -> !s.rows().isEmpty())
                .toList();
    }

    /** Of those, what has every word of a text in its part or its way to fail, in any case; all where there is none. */
    List<Section> sought(String text) {
        List<String> words = Arrays.stream(text.toLowerCase(Locale.ROOT).strip().split("\\s+"))
                .filter(w -> !w.isEmpty())
                .toList();
        return sections().stream()
                .map(s -> new Section(
                        s.group(),
                        s.rows().stream()
                                .filter(f -> {
                                    String said =
                                            (f.part() + " " + Catalogue.words(f.fault())).toLowerCase(Locale.ROOT);
                                    return words.stream().allMatch(said::contains);
                                })
                                .toList()))
                .filter(s -> !s.rows().isEmpty())
                .toList();
    }

    int shorts() {
        return FaultSum.of(all).shorts();
    }

    String sum() {
        return all.isEmpty() ? "" : shorts() + " of " + all.size();
    }

    String words() {
        return "cut flow below demand: " + count(Group.NO_WAY_OUT) + " have no pilot action, " + count(Group.TOO_LATE)
                + " give under 1 min warning; " + count(Group.NOT_SHOWN) + " more: Not shown (not computed)";
    }

    private long count(Group g) {
        return all.stream().filter(f -> f.group() == g).count();
    }

    static Cells cells(FaultAnswer f) {
        return new Cells(
                f.part(),
                Catalogue.words(f.fault()),
                share(f.share()),
                minutes(f),
                seen(f),
                f.wayOut()
                        .map(w -> w.does() + "  " + share(w.share()))
                        .orElse(f.verdict() == Verdict.FAILS ? "none" : ""),
                f.verdict());
    }

    /** What arrives as a bar, and how it stands: a share that is not known holds nothing. */
    static double bar(FaultAnswer f) {
        return Double.isNaN(f.share())
                ? 0
                : f.verdict() == Verdict.HOLDS || f.share() < 1 ? Math.min(Finding.MET, f.share()) : BELOW;
    }

    /** A bar of what is not good in another way than by its flow stays under its notch. */
    private static final double BELOW = 0.99;

    static Verdict barVerdict(FaultAnswer f) {
        return f.verdict();
    }

    static String share(double share) {
        return Double.isNaN(share) ? "\u2013" : UnitSystem.figure(share, 2) + "\u00d7";
    }

    static String minutes(FaultAnswer f) {
        return Double.isNaN(f.minutes())
                ? "unknown"
                : Double.isInfinite(f.minutes())
                        ? "never"
                        : f.minutes() == 0
                                ? "immediately"
                                : UnitSystem.figure(f.minutes(), f.minutes() < 1 ? 2 : 1) + " min";
    }

    /** What the minutes are until. */
    static String until(FaultAnswer f) {
        return switch (f.harm()) {
            case PRESSURE -> "inlet pressure above its maximum";
            case BOILS -> "boils on the way to the engine on the hot day";
            case LACK, THINS -> Double.isFinite(f.minutes()) ? "until flow drops below demand" : "";
            case NONE, BEYOND -> "";
        };
    }

    private static String seen(FaultAnswer f) {
        return f.verdict() == Verdict.HOLDS || f.verdict() == Verdict.NOT_SHOWN
                ? ""
                : f.seen().isEmpty()
                        ? "none before power loss"
                        : f.seen().get(0).what();
    }

    /** All that shows it, in the order of time. */
    static String allSeen(FaultAnswer f) {
        return f.seen().isEmpty()
                ? "No installed sender shows it before flow drops below demand. Add the senders you have: only"
                        + " what is in the layout counts."
                : String.join(
                        "; ",
                        f.seen().stream()
                                .map(s -> s.what()
                                        + (s.minutes() == 0
                                                ? ", immediately"
                                                : " after " + UnitSystem.figure(s.minutes(), 1) + " min"))
                                .toList());
    }

    static String wayOut(FaultAnswer f) {
        return f.wayOut()
                .map(w -> w.does() + ": " + share(w.share()) + " of demand then, in the worst case")
                .orElse(
                        f.harm() == FaultAnswer.Harm.PRESSURE
                                ? "No pilot action is searched for high pressure."
                                : "No selector position, pump or power reduction restores flow in every case.");
    }
}
