package ration.solver.network;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import ration.base.fluid.Fluid;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkProblem.Link;
import ration.solver.network.NetworkProblem.Node;

/** Networks nobody would draw: loops, check valves, shut branches, dead ends, pumps, seats, every size of line. */
final class RandomNetworks {

    private final Random random;

    private final boolean regulated;

    RandomNetworks(long seed) {
        this(seed, false);
    }

    /** With regulators of both kinds and jets among the elements if wanted. */
    RandomNetworks(long seed, boolean regulated) {
        this.random = new Random(seed);
        this.regulated = regulated;
    }

    NetworkProblem next() {
        int count = 2 + random.nextInt(random.nextInt(8) == 0 ? 60 : 14);
        List<Node> nodes = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            nodes.add(new Node("n" + i, height(), boundary(i)));
        }
        List<Link> links = new ArrayList<>();
        for (int i = 1; i < count; i++) {
            links.add(link(links.size(), "n" + random.nextInt(i), "n" + i));
        }
        int loops = random.nextInt(count);
        for (int i = 0; i < loops; i++) {
            int a = random.nextInt(count);
            int b = random.nextInt(count);
            if (a != b) {
                links.add(link(links.size(), "n" + a, "n" + b));
            }
        }
        if (regulated) {
            jet(links, count);
        }
        Fluid fluid = new Fluid(650 + 200 * random.nextDouble(), Math.pow(10, -6.5 + 2 * random.nextDouble()));
        FrictionLaw law = FrictionLaw.values()[random.nextInt(FrictionLaw.values().length)];
        return new NetworkProblem(fluid, random.nextInt(12) == 0 ? 0 : 9.80665, law, nodes, links);
    }

    private double height() {
        return random.nextInt(5) == 0 ? 0 : 2 * random.nextDouble() - 1;
    }

    private Boundary boundary(int i) {
        int kind = random.nextInt(8);
        if (i == 0 || kind == 0) {
            return new Boundary.Pressure(random.nextInt(3) == 0 ? 0 : 20_000 * (random.nextDouble() - 0.2));
        }
        if (kind == 1) {
            return new Boundary.Demand(Math.pow(10, -8 + 4 * random.nextDouble()));
        }
        return kind == 2 && random.nextInt(6) == 0 ? new Boundary.Demand(-1e-6) : Boundary.NONE;
    }

    private Link link(int n, String a, String b) {
        return random.nextBoolean() ? new Link("l" + n, a, b, element()) : new Link("l" + n, b, a, element());
    }

    /** Now and then a jet beside one of the lines, driven by an orifice. */
    private void jet(List<Link> links, int count) {
        links.stream()
                .filter(l -> l.element() instanceof Element.Orifice)
                .findFirst()
                .filter(l -> random.nextBoolean())
                .ifPresent(nozzle -> {
                    int at = random.nextInt(count);
                    if (!nozzle.to().equals("n" + at)) {
                        links.add(new Link(
                                "l" + links.size(), "n" + at, nozzle.to(), new Element.Jet(nozzle.id(), 2, 0.2)));
                    }
                });
    }

    private Element element() {
        if (regulated && random.nextInt(10) == 0) {
            return new Element.Regulator(
                    Element.Regulator.Holds.values()[random.nextInt(2)],
                    30_000 * (random.nextDouble() - 0.1),
                    new Element.Resistance(1e6, 1e12));
        }
        double bore = 0.002 + 0.02 * random.nextDouble();
        return switch (random.nextInt(14)) {
            case 0 -> new Element.Shut();
            case 1 ->
                new Element.Check(
                        random.nextBoolean() ? 0 : 3000 * random.nextDouble(), new Element.Resistance(1e6, 1e12));
            case 2 ->
                new Element.Resistance(
                        Math.pow(10, 5 + 4 * random.nextDouble()), Math.pow(10, 10 + 5 * random.nextDouble()));
            case 3 -> new Element.Orifice(bore / 3, 0.65);
            case 4 ->
                new Element.Pump(
                        random.nextBoolean()
                                ? new PumpCurve.Power(40_000 * random.nextDouble() + 100, 1e13, 2)
                                : Element.curve(List.of(
                                        new PumpCurve.Point(0, 40_000),
                                        new PumpCurve.Point(3e-5, 30_000),
                                        new PumpCurve.Point(6e-5, 0))));
            case 5 -> new Element.Joint();
            case 6 -> new Element.Uncovered();
            case 7 -> new Element.NeedleSeat(400, new Element.Orifice(bore / 2, 0.62));
            default ->
                new Element.Pipe(
                        bore,
                        random.nextInt(9) == 0 ? 0 : 3 * random.nextDouble(),
                        random.nextBoolean() ? 0 : 1.5e-6,
                        new Element.Minor(3 * random.nextDouble(), random.nextBoolean() ? 0 : 500),
                        random.nextInt(6) == 0);
        };
    }
}
