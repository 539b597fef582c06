package ration.verdict.why;

import java.util.List;
import java.util.Locale;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/** A formula with numbers in place of letters. Immutable; worked with in SI, written in the reader's units. */
public sealed interface Term {

    /** What it comes to, SI. */
    double value();

    /** As it is written: 45.91 gph ÷ 10.54 gph. */
    String in(UnitSystem units);

    /** How tightly it holds together beside others: a sum 1, a product 2, a power 3, what stands alone 4. */
    default int binding() {
        return 4;
    }

    /** To four figures; whole numbers as they are. */
    static String number(double written) {
        if (written == Math.rint(written) && Math.abs(written) < 1e7) {
            return UnitSystem.figure(written, 0);
        }
        int before = written == 0 ? 1 : (int) Math.floor(Math.log10(Math.abs(written))) + 1;
        if (before < -4 || before > 9) {
            return String.format(Locale.ROOT, "%.3e", written)
                    .replace("e-0", "e\u2212")
                    .replace("e-", "e\u2212")
                    .replace("e+0", "e")
                    .replace("e+", "e")
                    .replace('-', '\u2212');
        }
        return UnitSystem.figure(written, Math.max(0, 4 - before));
    }

    /** A number of a result. */
    static Term of(double si, Dimension dimension) {
        return new Figure(si, Show.as(dimension));
    }

    static Term of(double si, Unit unit) {
        return new Figure(si, Show.in(unit));
    }

    static Term of(double si, Show show) {
        return new Figure(si, show);
    }

    /** A plain number. */
    static Term of(double number) {
        return new Figure(number, Show.in(Unit.ONE));
    }

    static Term pi() {
        return new Named("\u03c0", Math.PI);
    }

    default Term plus(Term other) {
        return new Calc('+', this, other);
    }

    default Term minus(Term other) {
        return new Calc('\u2212', this, other);
    }

    default Term times(Term other) {
        return new Calc('\u00d7', this, other);
    }

    default Term over(Term other) {
        return new Calc('\u00f7', this, other);
    }

    default Term power(Term exponent) {
        return new Calc('^', this, exponent);
    }

    default Term squared() {
        return power(new Named("2", 2));
    }

    /** The natural logarithm. */
    default Term ln() {
        return new Ln(this);
    }

    /** All of them, one after the other. */
    static Term sum(List<Term> terms) {
        return terms.stream().reduce(Term::plus).orElseGet(() -> of(0));
    }

    /** A measured or computed number with its unit. */
    record Figure(double value, Show show) implements Term {

        @Override
        public String in(UnitSystem units) {
            String symbol = show.symbol(units);
            return number(show.written(value, units))
                    + (symbol.isEmpty() ? "" : symbol.equals("\u00b0") ? symbol : " " + symbol);
        }
    }

    /** A constant by its sign. */
    record Named(String sign, double value) implements Term {
        @Override
        public String in(UnitSystem units) {
            return sign;
        }
    }

    /** Two terms and what is done with them. */
    record Calc(char sign, Term left, Term right) implements Term {

        @Override
        public double value() {
            double a = left.value();
            double b = right.value();
            return switch (sign) {
                case '+' -> a + b;
                case '\u2212' -> a - b;
                case '\u00d7' -> a * b;
                case '\u00f7' -> a / b;
                default -> Math.pow(a, b);
            };
        }

        @Override
        public int binding() {
            return sign == '+' || sign == '\u2212' ? 1 : sign == '^' ? 3 : 2;
        }

        @Override
        public String in(UnitSystem units) {
            boolean firstHolds = left.binding() >= binding() && !(sign == '^' && left instanceof Figure);
            boolean secondHolds =
                    sign == '+' || sign == '\u00d7' ? right.binding() >= binding() : right.binding() > binding();
            String a = firstHolds ? left.in(units) : "(" + left.in(units) + ")";
            String b = right.in(units);
            boolean sinks = b.startsWith("\u2212");
            if (sinks && sign == '+') {
                return a + " \u2212 " + b.substring(1);
            }
            String second = secondHolds && !sinks ? b : "(" + b + ")";
            return sign == '^' ? second.equals("2") ? a + "\u00b2" : a + "^" + second : a + " " + sign + " " + second;
        }
    }

    /** A natural logarithm. */
    record Ln(Term of) implements Term {
        @Override
        public double value() {
            return Math.log(of.value());
        }

        @Override
        public String in(UnitSystem units) {
            return "ln(" + of.in(units) + ")";
        }
    }
}
