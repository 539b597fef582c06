package ration.verdict.why;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Regime;
import ration.answer.assess.WhyAir;
import ration.answer.assess.WhyFlow;
import ration.answer.assess.WhyTanks;
import ration.answer.assess.WhyVapor;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Finding;

/** Every formula that is shown is worked out again from its text by a library that knows nothing of fuel. */
class WhyTest {

    static Stream<Project> layouts() {
        return Stream.concat(
                Stream.of("corrie-b1", "brindle-a2", "tansy-l3").map(Systems::demo),
                Arrays.stream(Pattern.values()).map(Pattern::project));
    }

    /**
     * All that can be asked of a project: of the governing case, its items, tanks, air and vapor, and of every finding.
     */
    private static List<Why> all(Project project) {
        Assessment a = Assessment.of(project);
        List<Why> roots = new ArrayList<>();
        a.findings().stream().map(Finding::why).forEach(w -> w.ifPresent(roots::add));
        a.tanks()
                .forEach(t -> roots.addAll(
                        WhyTanks.of(t, a.project().brief().choices().basis())));
        a.vapor().ifPresent(v -> roots.add(WhyVapor.gap(project, v)));
        a.air().forEach(x -> WhyAir.inFlight(project, x).ifPresent(roots::add));
        CaseAnswer look = a.governing().orElseThrow();
        WhyFlow.ofCase(project, look).values().forEach(w -> roots.add(w.get()));
        for (Regime regime : Regime.values()) {
            project.system().items().forEach(i -> WhyFlow.ofItem(project, look, regime, i)
                    .values()
                    .forEach(w -> roots.add(w.get())));
        }
        return roots.stream().flatMap(w -> w.all().stream()).toList();
    }

    @ParameterizedTest
    @MethodSource("layouts")
    void everyFormulaGivesItsFigure(Project project) {
        for (Why why : all(project)) {
            assertThat(why.source()).as(why.figure()).isNotBlank();
            assertThat(why.says()).as(why.figure()).isNotBlank();
            if (why.formula().isEmpty()) {
                continue;
            }
            Term formula = why.formula().get();
            assertThat(formula.value())
                    .as(why.figure() + ", unrounded")
                    .isCloseTo(
                            why.value().value(),
                            Offset.offset(2e-6
                                    * Math.max(
                                            largest(formula),
                                            Math.abs(why.value().value()))));
            for (UnitSystem units : UnitSystem.values()) {
                String text = why.equation(units);
                double again =
                        Calculator.workOut(text.substring(text.indexOf('=') + 1).strip());
                double shown =
                        Calculator.workOut(text.substring(0, text.indexOf('=')).strip());
                double[] bounds = bounds(formula, units);
                double exact =
                        2e-6 * Math.max(largest(formula), Math.abs(why.value().value()));
                assertThat(again).as(why.figure() + ": " + text).isBetween(bounds[0] - exact, bounds[1] + exact);
                assertThat(bounds[1] - bounds[0])
                        .as("what rounding leaves open: " + text)
                        .isLessThan(0.02
                                        * Math.max(
                                                largest(formula),
                                                Math.abs(why.value().value()))
                                + 1e-12);
                double[] result = bounds(why.value(), units);
                assertThat(shown).as(why.figure() + ": " + text).isBetween(result[0], result[1]);
            }
        }
    }

    /** The largest term of a sum: what its rounding leaves. */
    private static double largest(Term term) {
        if (term instanceof Term.Calc c && (c.sign() == '+' || c.sign() == '\u2212')) {
            return Math.max(largest(c.left()), largest(c.right()));
        }
        return Math.abs(term.value());
    }

    /** Between what and what a formula lies whose numbers were rounded as they are written. */
    private static double[] bounds(Term term, UnitSystem units) {
        if (term instanceof Term.Figure f) {
            double written = f.show().written(f.value(), units);
            String text = Term.number(written);
            String plain = text.replaceAll("e.*", "");
            int scale = text.contains("e")
                    ? Integer.parseInt(text.replaceAll(".*e", "").replace('\u2212', '-'))
                    : 0;
            double half = text.contains(".")
                    ? 0.5000001 * Math.pow(10, scale - (plain.length() - plain.indexOf('.') - 1))
                    : Math.abs(written) >= 1e3 ? 0.5000001 : 1e-12 * Math.abs(written);
            double perUnit = f.value() == 0 || written == 0
                    ? 1
                    : Math.abs(
                            (f.show().unit(units).toSi(2) - f.show().unit(units).toSi(1)));
            double si = f.show().symbol(units).contains("/")
                            && !f.show()
                                    .symbol(units)
                                    .equals(f.show().unit(units).symbol())
                    ? Math.abs(f.value() / written)
                    : perUnit;
            return new double[] {f.value() - half * si, f.value() + half * si};
        }
        if (term instanceof Term.Ln l) {
            double[] x = bounds(l.of(), units);
            return new double[] {Math.log(x[0]), Math.log(x[1])};
        }
        if (term instanceof Term.Calc c) {
            double[] a = bounds(c.left(), units);
            double[] b = bounds(c.right(), units);
            double low = Double.POSITIVE_INFINITY;
            double high = Double.NEGATIVE_INFINITY;
            for (double x : a) {
                for (double y : b) {
                    double v = new Term.Calc(c.sign(), Term.of(x), Term.of(y)).value();
                    low = Math.min(low, v);
                    high = Math.max(high, v);
                }
            }
            return new double[] {low, high};
        }
        return new double[] {term.value(), term.value()};
    }

    /** More than twenty different figures over the demos, each with a formula. */
    @Test
    void twentyFiguresAndMoreHaveFormulas() {
        Set<String> kinds = new TreeSet<>();
        Stream.of("corrie-b1", "brindle-a2", "tansy-l3").map(Systems::demo).forEach(p -> all(p).stream()
                .filter(w -> w.formula().isPresent())
                .forEach(w -> kinds.add(w.figure().replaceAll("( of| in|,) [A-Z].*", ""))));
        assertThat(kinds).hasSizeGreaterThanOrEqualTo(20);
    }

    /** Every measured figure against its limit can be asked why. */
    @ParameterizedTest
    @MethodSource("layouts")
    void everyFindingWithAFigureSaysWhy(Project project) {
        assertThat(Assessment.of(project).findings())
                .filteredOn(f -> f.measure().isPresent()
                        && f.check().key().matches("flow.margin|flow.inlet-pressure|tank.unusable|vapor.gap"))
                .allSatisfy(f -> assertThat(f.why()).as(f.id()).isPresent());
    }

    @Test
    void textsAreWrittenAsAPersonWould() {
        Term sum = Term.of(Unit.PSI.toSi(2), Dimension.PRESSURE)
                .minus(Term.of(Unit.PSI.toSi(-0.5), Dimension.PRESSURE))
                .times(Term.of(3));
        assertThat(sum.in(UnitSystem.US)).isEqualTo("(2 psi \u2212 (\u22120.5000 psi)) \u00d7 3");
        assertThat(Calculator.workOut(sum.in(UnitSystem.US)))
                .isCloseTo(Unit.PSI.toSi(7.5), Percentage.withPercentage(1e-6));
        assertThat(Term.of(101_325, Unit.PASCAL)
                        .over(Term.of(2).plus(Term.of(3)).squared())
                        .in(UnitSystem.US))
                .matches("101.325.Pa \u00f7 \\(2 \\+ 3\\)\u00b2");
        assertThat(Calculator.workOut("4 \u00d7 10.54 gph \u00f7 (\u03c0 \u00d7 (7.747 mm)\u00b2)"))
                .isCloseTo(
                        4 * Unit.GALLON_PER_HOUR.toSi(10.54) / (Math.PI * 7.747e-3 * 7.747e-3),
                        Percentage.withPercentage(1e-6));
    }

    /** Power times consumption over weight, by hand: 115 hp at 0.55 lb/hp/h of avgas. */
    @Test
    void theDemandOfADemoByHand() {
        Project p = Systems.demo("brindle-a2");
        Why demand = WhyFlow.ofCase(p, Assessment.of(p).governing().orElseThrow())
                .get("Takeoff demand")
                .get();
        assertThat(demand.equation(UnitSystem.US)).contains("115 hp", "lb/hp/h", "lb/gal");
        assertThat(demand.given()).extracting(Why.Given::what).containsExactly("Power", "BSFC");
        Map<String, Supplier<Why>> all =
                WhyFlow.ofCase(p, Assessment.of(p).governing().orElseThrow());
        assertThat(all.get("Margin").get().from())
                .extracting(Why::figure)
                .containsExactly("Flow at minimum inlet pressure", "Demand");
    }
}
