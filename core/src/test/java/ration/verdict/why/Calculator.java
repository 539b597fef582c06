package ration.verdict.why;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.objecthunter.exp4j.ExpressionBuilder;
import net.objecthunter.exp4j.function.Function;
import ration.base.quantity.Unit;

/**
 * Works out the text of a formula as a reader with a calculator would: each number in its unit, then the arithmetic.
 */
final class Calculator {

    /** A number, with gaps between thousands, and what follows it up to the next sign. */
    private static final Pattern NUMBER =
            Pattern.compile("(?<![\\d.])(\\d[\\d \u2009\u202f]*\\d|\\d)(\\.\\d+)?(e\u2212?\\d+)?"
                    + "(?: ?([A-Za-z\u00b0][A-Za-z\u00b2\u00b3\u00b0/]*))?");

    private Calculator() {}

    /** SI. */
    static double workOut(String text) {
        StringBuilder plain = new StringBuilder();
        Matcher m = NUMBER.matcher(text.replaceAll("(?<=\\d),(?=\\d{3})", "")
                .replace("\u00b2 ", "^2 ")
                .replaceAll("\u00b2$", "^2")
                .replace("\u00b2)", "^2)"));
        while (m.find()) {
            double written = Double.parseDouble(m.group(1).replaceAll("\\D", "")
                    + (m.group(2) == null ? "" : m.group(2))
                    + (m.group(3) == null ? "" : m.group(3).replace('\u2212', '-')));
            m.appendReplacement(plain, Matcher.quoteReplacement("(" + Double.toString(si(written, m.group(4))) + ")"));
        }
        m.appendTail(plain);
        String expression = plain.toString()
                .replace('\u2212', '-')
                .replace('\u00d7', '*')
                .replace('\u00f7', '/')
                .replace("\u03c0", "pi");
        return new ExpressionBuilder(expression)
                .function(new Function("ln", 1) {
                    @Override
                    public double apply(double... args) {
                        return Math.log(args[0]);
                    }
                })
                .build()
                .evaluate();
    }

    private static double si(double written, String symbol) {
        if (symbol == null) {
            return written;
        }
        Optional<Unit> unit = Unit.named(symbol);
        if (unit.isPresent()) {
            return unit.get().toSi(written);
        }
        String[] parts = symbol.split("/");
        return written
                * Unit.named(parts[0])
                        .orElseThrow(() -> new IllegalArgumentException("no unit " + symbol))
                        .toSi(1)
                / Unit.named(parts[1]).orElseThrow().toSi(1);
    }
}
