package ration.physics.breathing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.VentLine;
import ration.aircraft.model.VentPiece;
import ration.base.fluid.Fluid;
import ration.base.geometry.ApparentGravity;
import ration.base.geometry.Point3;
import ration.solver.network.FrictionLaw;

/**
 * Fuel that leaves a tank through its vent, with level surfaces and still air. It does so by itself where the surface
 * stands over every point of the way; where it stands over the inner end and over the outlet only, it siphons once
 * something has pushed it over the hump: warming, slosh, a bump.
 *
 * @param byItself whether nothing has to push it
 * @param hump the highest point of the way over the surface, m; below zero where it runs by itself
 * @param head of the surface over the outlet, m
 */
public record VentSpill(boolean byItself, double hump, double head) {

    private static final double ROUGHNESS = 1.5e-6;
    /** Sharp entrance (textbook, from memory). */
    private static final double ENTRANCE = 0.5;
    /** Less than this over the outlet is level with it, m. */
    private static final double LEVEL = 0.001;

    private static final int ROUNDS = 60;

    /**
     * Every point a vent passes from the tank's roof to its outlet, through the plenums it leads to; empty where it
     * leads to another tank or nowhere, or has no measured end.
     */
    public static List<Point3> way(FuelSystem system, Item tank) {
        VentPath path = VentPath.of(system, tank);
        List<Point3> way = new ArrayList<>();
        for (VentPath.Leg leg : path.legs()) {
            List<Point3> own = LowPoints.ventWay(system, leg.item());
            boolean next = leg != path.legs().get(0);
            if (own.isEmpty() || next && leg.plenum().isEmpty()) {
                return List.of();
            }
            way.addAll(own);
        }
        return path.open() ? List.copyOf(way) : List.of();
    }

    /**
     * In an attitude.
     *
     * @param way from {@link #way}
     * @param up against apparent gravity, aircraft axes
     * @param surface of the fuel along it, m
     * @return empty where the inner end or the outlet stands over the surface
     */
    public static Optional<VentSpill> of(List<Point3> way, Point3 up, double surface) {
        if (way.size() < 2) {
            return Optional.empty();
        }
        double head = surface - up.dot(way.get(way.size() - 1));
        if (surface - up.dot(way.get(0)) <= LEVEL || head <= LEVEL) {
            return Optional.empty();
        }
        double hump = way.stream().mapToDouble(up::dot).max().orElseThrow() - surface;
        return Optional.of(new VentSpill(hump <= 0, hump, head));
    }

    /** Whether somebody measured where a tank's vent leaves it, and not its outlet alone. */
    public static boolean measured(Item tank) {
        return VentLine.of(tank).filter(v -> !v.points().isEmpty()).isPresent();
    }

    /** The narrowest line of a vent, with the length of all; empty where one of them is not known. */
    public static Optional<VentLine> narrowest(FuelSystem system, Item tank) {
        VentPath path = VentPath.of(system, tank);
        List<VentLine> lines = path.lines();
        return lines.size() < path.legs().size()
                ? Optional.empty()
                : lines.stream()
                        .min(java.util.Comparator.comparingDouble(v -> v.bore().si()));
    }

    /** Holes with sharp edges its fuel passes besides, as a loss of the line. */
    private static double pieces(VentLine line) {
        double bore = line.bore().si();
        return line.pieces().stream()
                .filter(p -> p.kind() != VentPiece.Kind.BRANCH)
                .mapToDouble(p -> Math.pow(bore / Math.max(1e-6, p.opening().si()), 4) / (0.62 * 0.62))
                .sum();
    }

    /**
     * What runs through a line under a head, m3/s: {@code v = sqrt(2 g h / (1 + K))}, the friction in K that of the
     * flow itself (textbook).
     */
    public static double flow(VentLine line, double length, double head, Fluid fuel) {
        double area = Math.PI * line.bore().si() * line.bore().si() / 4;
        // the flow without a loss is more than there is; what is lost grows with it
        double low = 0;
        double high = area * speed(head, 0);
        for (int i = 0; i < ROUNDS; i++) {
            double q = (low + high) / 2;
            if (q < area * speed(head, loss(line, length, q, fuel))) {
                low = q;
            } else {
                high = q;
            }
        }
        return low;
    }

    /** What a flow of fuel loses in a line, in heads of its own speed: entrance, pieces, friction. */
    public static double loss(VentLine line, double length, double flow, Fluid fuel) {
        double bore = line.bore().si();
        double re = Math.max(1, 4 * flow / (Math.PI * bore * fuel.viscosity()));
        return ENTRANCE + pieces(line) + FrictionLaw.CONSERVATIVE.factor(re, ROUGHNESS / bore) * length / bore;
    }

    /** {@code sqrt(2 g h / (1 + K))}, m/s. */
    public static double speed(double head, double loss) {
        return Math.sqrt(2 * ApparentGravity.STANDARD * Math.max(0, head) / (1 + loss));
    }
}
