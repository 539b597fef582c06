package ration.solver.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.base.fluid.Fluid;
import ration.base.quantity.Unit;
import ration.solver.network.Element.Minor;
import ration.solver.network.Element.Pipe;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkProblem.Link;
import ration.solver.network.NetworkProblem.Node;

/** Worked examples from textbooks and handbook values, each with its source; inputs and answers from memory. */
class PublishedExamplesTest {

    private static final double G = 9.80665;
    private static final Fluid FUEL = new Fluid(720, 0.60e-6);
    private static final double DRAWN = 1.5e-6;

    /** White, Fluid Mechanics, chapter 6: oil in a sloping cast-iron pipe; head loss 117 m. */
    @Test
    void whiteOilInCastIron() {
        Fluid oil = new Fluid(900, 1e-5);
        Pipe pipe = new Pipe(0.2, 500, 0.26e-3, Minor.NONE, false);
        assertThat(pipe.reynolds(0.2, oil)).isCloseTo(128_000, Percentage.withPercentage(1));
        double head = pipe.loss(0.2, oil, FrictionLaw.CONSERVATIVE) / (900 * 9.81);
        assertThat(head).isCloseTo(117, Percentage.withPercentage(1));
    }

    /** White, chapter 6: water in 6 in asphalted cast iron at 6 ft/s; Re 270,000, head loss 4.5 ft in 200 ft. */
    @Test
    void whiteWaterInAsphaltedIron() {
        double ft = 0.3048;
        Fluid water = new Fluid(998, 1.1e-5 * ft * ft);
        Pipe pipe = new Pipe(0.5 * ft, 200 * ft, 0.0004 * ft, Minor.NONE, false);
        double q = 6 * ft * Math.PI / 4 * 0.25 * ft * ft;
        assertThat(pipe.reynolds(q, water)).isCloseTo(270_000, Percentage.withPercentage(2));
        assertThat(pipe.loss(q, water, FrictionLaw.CONSERVATIVE) / (998 * 9.80665) / ft)
                .isCloseTo(4.5, Percentage.withPercentage(2));
    }

    /** White, chapter 6: 400 ft of 2 in pipe, losses summing to K 12.2, lift 100 ft: pump head 183 to 185 ft. */
    @Test
    void whitePumpAndMinorLosses() {
        double ft = 0.3048;
        Fluid water = new Fluid(998, 1.1e-5 * ft * ft);
        double bore = ft / 6;
        Pipe pipe = new Pipe(bore, 400 * ft, 0.001 * bore, Minor.k(12.2), false);
        double head = pipe.loss(0.2 * ft * ft * ft, water, FrictionLaw.CONSERVATIVE) / (998 * 9.80665) / ft + 100;
        assertThat(head).isBetween(182.0, 186.0);
    }

    /**
     * Munson, Young and Okiishi, chapter 8: basement to second-floor faucet. 12 gpm of 60 F water, 60 ft of 3/4 in
     * drawn copper, 20 ft up, sum of K 18, half-inch faucet: 30.5 psi at the start, 21.3 without the minor losses, 10.7
     * with no loss at all. The jet's velocity head comes on top of the network's pressures.
     */
    @ParameterizedTest
    @CsvSource({"60, 18, 30.5", "60, 0, 21.3", "0, 0, 10.7"})
    void munsonFaucet(double lengthFt, double k, double published) {
        double ft = 0.3048;
        Fluid water = new Fluid(1.94 * 515.379, 2.34e-5 * 47.8803 / (1.94 * 515.379));
        double q = 0.0267 * ft * ft * ft;
        Element line = new Pipe(0.0625 * ft, lengthFt * ft, 5e-6 * ft, Minor.k(k), false);
        double supplyVelocity = q / (Math.PI / 4 * 0.0625 * 0.0625 * ft * ft);
        double jetVelocity = q / (Math.PI / 4 * (0.5 / 12) * (0.5 / 12) * ft * ft);
        NetworkProblem problem = new NetworkProblem(
                water,
                32.2 * ft,
                FrictionLaw.CONSERVATIVE,
                List.of(
                        new Node("street", 0, new Boundary.Demand(-q)),
                        new Node("faucet", 20 * ft, new Boundary.Pressure(0))),
                List.of(new Link("line", "street", "faucet", line)));
        double kinetic = water.density() / 2 * (jetVelocity * jetVelocity - supplyVelocity * supplyVelocity);
        double p1 = Network.of(problem).solve().pressure("street").getAsDouble() + kinetic;
        assertThat(Unit.PSI.fromSi(p1)).isCloseTo(published, Percentage.withPercentage(1));
    }

    /** Hydrostatics: 24 in of 720 kg/m3 fuel is 0.624 psi, 1 in is 0.026 psi, and 0.5 psi is 19.22 in. */
    @Test
    void aColumnOfFuel() {
        double weight = 720 * G;
        assertThat(Unit.PSI.fromSi(weight * 24 * 0.0254)).isCloseTo(0.6243, Offset.offset(5e-5));
        assertThat(Unit.PSI.fromSi(weight * 0.0254)).isCloseTo(0.026, Offset.offset(5e-5));
        assertThat(Unit.PSI.toSi(0.5) / weight / 0.0254).isCloseTo(19.22, Offset.offset(0.005));
    }

    /** Line losses worked out from the formulas with Colebrook from Re 2,300 (handbook sheet, calculated). */
    @ParameterizedTest
    @CsvSource({
        "0.180, 8.25, 883.0",
        "0.180, 13.75, 2126.8",
        "0.180, 24.75, 5924.3",
        "0.2425, 13.75, 518.8",
        "0.2425, 24.75, 1433.3",
        "0.305, 5.0, 25.69",
        "0.305, 13.75, 175.8",
        "0.305, 24.75, 482.9",
        "0.305, 40.0, 1112.7",
        "0.430, 24.75, 95.2",
        "0.3125, 24.75, 430.5"
    })
    void lossPerMetreOfUsualLines(double boreIn, double gph, double paPerMetre) {
        Pipe pipe = new Pipe(boreIn * 0.0254, 1, DRAWN, Minor.NONE, false);
        assertThat(pipe.loss(Unit.GALLON_PER_HOUR.toSi(gph), FUEL, FrictionLaw.CONSERVATIVE))
                .isCloseTo(paPerMetre, Percentage.withPercentage(0.05));
    }

    /** Hagen and Poiseuille: 128 mu Q / pi D^4. */
    @Test
    void laminarFlowIsHagenPoiseuille() {
        double q = Unit.GALLON_PER_HOUR.toSi(3);
        double d = 0.305 * 0.0254;
        double exact = 128 * 720 * 0.60e-6 * q / (Math.PI * Math.pow(d, 4));
        assertThat(new Pipe(d, 1, DRAWN, Minor.NONE, false).loss(q, FUEL, FrictionLaw.CONSERVATIVE))
                .isCloseTo(exact, Percentage.withPercentage(1e-9));
    }

    /**
     * The central trap of the ground test (handbook sheet, calculated): 24 in of head, 10 ft of 3/8 tube and fittings
     * pour 37.3 gph with the line open but only 15.3 gph when 0.5 psi must be left at the inlet.
     */
    @ParameterizedTest
    @CsvSource({"0.305, 0, 37.33", "0.305, 0.5, 15.25", "0.2425, 0.5, 9.2", "0.180, 0.5, 4.9", "0.430, 0.5, 36.0"})
    void openLineAgainstHalfAPsi(double boreIn, double psiLeft, double gph) {
        Pipe pipe = new Pipe(boreIn * 0.0254, 10 * 0.3048, DRAWN, Minor.k(5.2), false);
        NetworkProblem problem = new NetworkProblem(
                FUEL,
                G,
                FrictionLaw.TEXTBOOK,
                List.of(
                        new Node("tank", 24 * 0.0254, new Boundary.Pressure(0)),
                        new Node("inlet", 0, new Boundary.Pressure(Unit.PSI.toSi(psiLeft)))),
                List.of(new Link("line", "tank", "inlet", pipe)));
        assertThat(Unit.GALLON_PER_HOUR.fromSi(Network.of(problem).solve().flow("line")))
                .isCloseTo(gph, Offset.offset(0.05));
    }

    /** An orifice by its closed form: Q = Cd A sqrt(2 dp / rho). */
    @Test
    void orificeClosedForm() {
        double a = Math.PI / 4 * 0.003 * 0.003;
        NetworkProblem problem = new NetworkProblem(
                FUEL,
                G,
                FrictionLaw.CONSERVATIVE,
                List.of(new Node("a", 0, new Boundary.Pressure(5000)), new Node("b", 0, new Boundary.Pressure(0))),
                List.of(new Link("o", "a", "b", new Element.Orifice(0.003, 0.65))));
        assertThat(Network.of(problem).solve().flow("o"))
                .isCloseTo(0.65 * a * Math.sqrt(2 * 5000 / 720.0), Percentage.withPercentage(0.001));
    }

    /** Two equal lines side by side carry twice one; in series they carry as one of double length. */
    @Test
    void parallelAndSeriesLines() {
        Pipe one = new Pipe(0.008, 1, DRAWN, Minor.NONE, false);
        Pipe two = new Pipe(0.008, 2, DRAWN, Minor.NONE, false);
        double single = flow(List.of(new Link("l", "a", "b", one)), List.of());
        double parallel = flow(List.of(new Link("l", "a", "b", one), new Link("m", "a", "b", one)), List.of());
        double series = flow(List.of(new Link("l", "a", "c", one), new Link("m", "c", "b", one)), List.of("c"));
        double longer = flow(List.of(new Link("l", "a", "b", two)), List.of());
        assertThat(parallel).isCloseTo(single, Percentage.withPercentage(1e-6));
        assertThat(series).isCloseTo(longer, Percentage.withPercentage(1e-6));
    }

    private static double flow(List<Link> links, List<String> between) {
        List<Node> nodes = new ArrayList<>(
                List.of(new Node("a", 0, new Boundary.Pressure(3000)), new Node("b", 0, new Boundary.Pressure(0))));
        between.forEach(id -> nodes.add(new Node(id, 0, Boundary.NONE)));
        return Network.of(new NetworkProblem(FUEL, G, FrictionLaw.CONSERVATIVE, nodes, links))
                .solve()
                .flow("l");
    }
}
