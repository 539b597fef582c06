package ration.verdict.why;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import ration.base.quantity.Measured;
import ration.base.quantity.UnitSystem;

/**
 * How one figure came about.
 *
 * @param figure what it is
 * @param value the figure itself
 * @param formula that gives it; empty where it was found by solving, measuring or looking, which {@code says} tells
 * @param says what the formula means, or how the figure was found where there is none
 * @param about the case or part it holds for; empty where it holds always
 * @param given inputs with how they were measured
 * @param source where the formula or the requirement comes from
 * @param from figures it was made of
 */
public record Why(
        String figure,
        Term value,
        Optional<Term> formula,
        String says,
        Function<UnitSystem, String> about,
        List<Given> given,
        String source,
        List<Why> from) {

    public Why {
        given = List.copyOf(given);
        from = List.copyOf(from);
    }

    /** A figure by a formula. */
    public static Why by(String figure, Term value, Term formula, String says, String source) {
        return new Why(figure, value, Optional.of(formula), says, u -> "", List.of(), source, List.of());
    }

    /** A figure that was found, not worked out by a formula. */
    public static Why found(String figure, Term value, String says, String source) {
        return new Why(figure, value, Optional.empty(), says, u -> "", List.of(), source, List.of());
    }

    public Why about(Function<UnitSystem, String> words) {
        return new Why(figure, value, formula, says, words, given, source, from);
    }

    public Why given(Given... inputs) {
        return new Why(figure, value, formula, says, about, List.of(inputs), source, from);
    }

    public Why from(List<Why> parts) {
        return new Why(figure, value, formula, says, about, given, source, parts);
    }

    /**
     * An input.
     *
     * @param what it is
     * @param shown as it was written
     * @param by how it was measured
     */
    public record Given(String what, String shown, String by) {

        public static Given of(String what, Measured m) {
            return new Given(what, m.quantity().shown(), m.by());
        }
    }

    /** 4.356 = 45.91 gph ÷ 10.54 gph; the bare figure where there is no formula. */
    public String equation(UnitSystem units) {
        return value.in(units) + formula.map(f -> " = " + f.in(units)).orElse("");
    }

    /** Itself and all it was made of, each once, the nearest first. */
    public List<Why> all() {
        List<Why> all = new ArrayList<>(List.of(this));
        for (int i = 0; i < all.size(); i++) {
            for (Why w : all.get(i).from) {
                if (!all.contains(w)) {
                    all.add(w);
                }
            }
        }
        return all;
    }

    /** As lines to print, what it was made of set in under it. */
    public List<String> lines(UnitSystem units) {
        List<String> lines = new ArrayList<>();
        lines.add(figure + ": " + equation(units));
        String where = about.apply(units);
        lines.add("  " + says + (where.isEmpty() ? "" : " " + where + "."));
        given.forEach(g -> lines.add("  " + g.what() + " " + g.shown() + (g.by().isEmpty() ? "" : ", " + g.by())));
        lines.add("  " + source);
        from.forEach(w -> w.lines(units).forEach(l -> lines.add("    " + l)));
        return lines;
    }
}
