package ration.publish.export;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import ration.base.fluid.Fluid;
import ration.base.geometry.ApparentGravity;
import ration.physics.flow.FlowAnswer;
import ration.solver.network.Element;
import ration.solver.network.NetworkProblem;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkProblem.Link;
import ration.solver.network.NetworkProblem.Node;
import ration.solver.network.NetworkSolution;
import ration.solver.network.NetworkSolution.LinkState;

/**
 * One solved case as an EPANET 2.2 network in SI units (L/s, m, mm), so that anyone can run it again. What EPANET has
 * no element for is put in its place, and every such step is noted at the head of the file.
 */
public final class EpanetInp {

    /** EPANET's viscosity of water, m2/s: 1.1e-5 ft2/s. */
    private static final double WATER = 1.1e-5 * 0.09290304;
    /** Diameter given to joints and valves without loss of their own, mm. */
    private static final double WIDE = 50;

    private static final int CURVE_POINTS = 9;
    /** A standing line's two-K losses are taken at this Reynolds number. */
    private static final double LEAST_REYNOLDS = 100;

    private final NetworkProblem problem;
    private final NetworkSolution solution;
    private final Fluid fluid;
    private final double weight;
    /** Heights are stretched where the fuel is felt heavier or lighter: EPANET knows one gravity only. */
    private final double stretch;

    private final Map<String, String> names = new LinkedHashMap<>();
    private final Map<String, Double> extraDemand = new LinkedHashMap<>();
    private final StringBuilder sides = new StringBuilder();
    private final Set<String> notes = new LinkedHashSet<>();
    private final Set<String> vented = new LinkedHashSet<>();
    private final Set<String> tips = new LinkedHashSet<>();
    private final List<String> pipes = new ArrayList<>();
    private final List<String> valves = new ArrayList<>();
    private final List<String> pumps = new ArrayList<>();
    private final List<String> curves = new ArrayList<>();

    private EpanetInp(FlowAnswer answer) {
        problem = answer.problem();
        solution = answer.solution();
        fluid = problem.fluid();
        weight = fluid.density() * ApparentGravity.STANDARD;
        stretch = problem.gravity() / ApparentGravity.STANDARD;
    }

    /**
     * The file of an answer.
     *
     * @param title first line
     * @throws IllegalArgumentException with a sentence if the case has no answer or fuel weighs nothing in it
     */
    public static String of(FlowAnswer answer, String title) {
        if (!answer.usable()) {
            throw new IllegalArgumentException("This case did not solve: nothing to export: " + answer.reason());
        }
        if (!(answer.weight() > 0)) {
            throw new IllegalArgumentException("Fuel weighs nothing in this case: EPANET works with heads.");
        }
        EpanetInp inp = new EpanetInp(answer);
        inp.collect();
        return inp.text(title);
    }

    /** Flow of every link in the file, L/s, by its id there, in the direction the file gives it. */
    public static Map<String, Double> flows(FlowAnswer answer) {
        EpanetInp inp = new EpanetInp(answer);
        Map<String, Double> flows = new LinkedHashMap<>();
        for (Link link : inp.problem.links()) {
            if (!(link.element() instanceof Element.Jet) && !(link.element() instanceof Element.Vent)) {
                flows.put(inp.name(link.id()), Math.abs(inp.solution.flow(link.id())) * 1000);
            }
        }
        return flows;
    }

    private String name(String id) {
        return names.computeIfAbsent(
                id, k -> k.length() <= 31 && k.matches("[A-Za-z0-9.~-]+") ? k : "x" + names.size());
    }

    private void collect() {
        notes.add(
                "Friction: EPANET uses Swamee-Jain and its own cubic from Re 2000 to 4000; Ration's answer may take the"
                        + " turbulent branch there (safe side), up to some 20 % more loss in one slow line.");
        notes.add("Gravity: EPANET's 9.8146 m/s2 in place of 9.80665 in the velocity heads"
                + (stretch == 1 ? "." : "; heights are stretched by " + number(stretch) + ", as the fuel feels it."));
        for (Link link : problem.links()) {
            if (link.element() instanceof Element.Vent) {
                vented.add(link.to());
                tips.add(link.from());
                notes.add("Vents are not pipes here: the pressure over the fuel is the present one.");
            } else {
                link(link);
            }
        }
    }

    private void link(Link link) {
        Element element = link.element();
        double flow = solution.flow(link.id());
        LinkState state = solution.state(link.id());
        boolean back = flow < 0;
        String from = name(back ? link.to() : link.from());
        String to = name(back ? link.from() : link.to());
        String id = name(link.id());
        double q = Math.abs(flow);
        if (state == LinkState.SHUT || state == LinkState.HELD_SHUT) {
            pipes.add(row(id, from, to, 0.01, WIDE, 0.0015, 0, "Closed"));
            if (state == LinkState.HELD_SHUT) {
                notes.add("One-way elements are written as they stand in this case: open, or a closed pipe.");
            }
        } else if (element instanceof Element.Pipe pipe) {
            double re = Math.max(pipe.reynolds(flow, fluid), LEAST_REYNOLDS);
            double k = pipe.minor().constant() + pipe.minor().perReynolds() / re;
            if (pipe.minor().perReynolds() > 0) {
                notes.add("Two-K local losses are taken at this case's Reynolds numbers.");
            }
            pipes.add(row(
                    id,
                    from,
                    to,
                    Math.max(pipe.length(), 0.001),
                    pipe.bore() * 1000,
                    Math.max(pipe.roughness() * 1000, 1e-5),
                    k,
                    pipe.checkValve() ? "CV" : "Open"));
        } else if (element instanceof Element.Joint || element instanceof Element.Uncovered) {
            pipes.add(row(id, from, to, 0.01, WIDE, 0.0015, 0, "Open"));
            notes.add("Joints without loss are short wide pipes.");
        } else if (element instanceof Element.Pump pump) {
            pump(id, from, to, pump, q);
        } else if (element instanceof Element.Regulator regulator) {
            regulator(id, from, to, regulator, state, q);
        } else if (element instanceof Element.Jet) {
            extraDemand.merge(link.from(), flow, Double::sum);
            extraDemand.merge(link.to(), -flow, Double::sum);
            notes.add("The suction side of a jet pump is its present flow, as a demand on one side and a supply on the"
                    + " other.");
        } else {
            general(id, from, to, element, q);
        }
    }

    private static String row(
            String id,
            String from,
            String to,
            double length,
            double diameterMm,
            double roughnessMm,
            double k,
            String status) {
        return String.join(
                "\t", id, from, to, number(length), number(diameterMm), number(roughnessMm), number(k), status);
    }

    /** Anything with a loss of its own: a general valve with its curve. */
    private void general(String id, String from, String to, Element element, double q) {
        notes.add("Screens, strainers, valves, orifices and the open inlet are general-purpose valves with their"
                + " loss as a"
                + " curve around this case's flow.");
        String curve = "C" + (curves.size() + 1);
        double most = Math.max(2 * q, 1e-6);
        StringBuilder points = new StringBuilder();
        double last = -1;
        for (int i = 0; i < CURVE_POINTS; i++) {
            double at =
                    i < 4 ? q * i / 4 : i == 4 ? Math.max(q, 1e-9) : q + (most - q) * (i - 4) / (CURVE_POINTS - 5.0);
            double loss = Math.max(0, element.loss(at, fluid, problem.law())) / weight;
            double head = Math.max(loss, last + 1e-9);
            if (at > 0 || i == 0) {
                points.append(curve)
                        .append('\t')
                        .append(number(at * 1000))
                        .append('\t')
                        .append(number(head))
                        .append('\n');
            }
            last = head;
        }
        curves.add(points.toString());
        valves.add(String.join("\t", id, from, to, number(WIDE), "GPV", curve, "0"));
    }

    private void pump(String id, String from, String to, Element.Pump pump, double q) {
        String curve = "C" + (curves.size() + 1);
        double most = Math.max(1.6 * q, 1e-5);
        StringBuilder points = new StringBuilder();
        double last = Double.MAX_VALUE;
        for (int i = 0; i < CURVE_POINTS; i++) {
            double at = i < 4 ? q * i / 4 : q + (most - q) * (i - 4) / (CURVE_POINTS - 5.0);
            double head = Math.min(-pump.loss(at, fluid, problem.law()) / weight, last - 1e-7);
            last = head;
            points.append(curve)
                    .append('\t')
                    .append(number(at * 1000))
                    .append('\t')
                    .append(number(head))
                    .append('\n');
        }
        curves.add(points.toString());
        pumps.add(String.join("\t", id, from, to, "HEAD " + curve));
        notes.add("Pump curves are points around this case's flow, straight between them.");
    }

    private void regulator(String id, String from, String to, Element.Regulator r, LinkState state, double q) {
        if (state != LinkState.REGULATING) {
            general(id, from, to, r.open(), q);
            return;
        }
        boolean upstream = r.holds() == Element.Regulator.Holds.UPSTREAM;
        String beside = name(id + "~side");
        double height = problem.nodes().stream()
                        .filter(n -> name(n.id()).equals(to))
                        .findFirst()
                        .orElseThrow()
                        .height()
                * stretch;
        sides.append(beside).append('\t').append(number(height)).append("\t0\n");
        pipes.add(row(name(id + "~joint"), beside, to, 0.01, WIDE, 0.0015, 0, "Open"));
        valves.add(
                String.join("\t", id, from, beside, "12", upstream ? "PSV" : "PRV", number(r.gauge() / weight), "0"));
        notes.add("Regulators that hold their setting are pressure-sustaining or pressure-reducing valves; free"
                + " fall into a"
                + " header is a pressure-sustaining valve set to nothing.");
    }

    private String text(String title) {
        StringBuilder out =
                new StringBuilder("[TITLE]\n").append(title.replace('\n', ' ')).append('\n');
        notes.forEach(n -> out.append("; ").append(n).append('\n'));
        out.append("\n[JUNCTIONS]\n;id\televation m\tdemand L/s\n");
        StringBuilder held = new StringBuilder();
        for (Node node : problem.nodes()) {
            if (tips.contains(node.id())) {
                continue;
            }
            if (vented.contains(node.id())) {
                held.append(name(node.id()))
                        .append('\t')
                        .append(number(solution.piezometric(node.id()).orElse(0) / weight))
                        .append('\n');
            } else if (node.boundary() instanceof Boundary.Pressure p) {
                held.append(name(node.id()))
                        .append('\t')
                        .append(number(node.height() * stretch + p.gauge() / weight))
                        .append('\n');
            } else {
                double demand = ((Boundary.Demand) node.boundary()).flow() + extraDemand.getOrDefault(node.id(), 0.0);
                out.append(name(node.id()))
                        .append('\t')
                        .append(number(node.height() * stretch))
                        .append('\t')
                        .append(number(demand * 1000))
                        .append('\n');
            }
        }
        out.append(sides);
        out.append("\n[RESERVOIRS]\n;id\thead m\n").append(held);
        out.append("\n[PIPES]\n;id\tfrom\tto\tlength m\tdiameter mm\troughness mm\tK\tstatus\n");
        pipes.forEach(p -> out.append(p).append('\n'));
        out.append("\n[PUMPS]\n;id\tfrom\tto\tcurve\n");
        pumps.forEach(p -> out.append(p).append('\n'));
        out.append("\n[VALVES]\n;id\tfrom\tto\tdiameter mm\ttype\tsetting\tK\n");
        valves.forEach(v -> out.append(v).append('\n'));
        out.append("\n[CURVES]\n;id\tflow L/s\thead m\n");
        curves.forEach(out::append);
        out.append("\n[OPTIONS]\nUNITS LPS\nHEADLOSS D-W\nSPECIFIC GRAVITY ")
                .append(number(fluid.density() / 1000))
                .append("\nVISCOSITY ")
                .append(number(fluid.viscosity() / WATER))
                .append("\nTRIALS 500\nACCURACY 0.00001\nUNBALANCED CONTINUE 10\n\n[REPORT]\nSTATUS NO\nSUMMARY"
                        + " NO\n\n[END]\n");
        return out.toString();
    }

    private static String number(double v) {
        return String.format(Locale.ROOT, "%.7g", v);
    }
}
