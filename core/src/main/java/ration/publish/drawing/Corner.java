package ration.publish.drawing;

import ration.publish.drawing.Mark.Spot;

/** Where a rounded corner begins and ends. */
public record Corner(Spot in, Spot out) {

    /** Of the corner at a spot, no rounder than half of its shorter side. */
    public static Corner of(Spot before, Spot at, Spot after, double radius) {
        double a = Math.hypot(at.x() - before.x(), at.y() - before.y());
        double b = Math.hypot(after.x() - at.x(), after.y() - at.y());
        double r = Math.min(radius, Math.min(a, b) / 2);
        return new Corner(toward(at, before, a == 0 ? 0 : r / a), toward(at, after, b == 0 ? 0 : r / b));
    }

    private static Spot toward(Spot from, Spot to, double share) {
        return new Spot(from.x() + (to.x() - from.x()) * share, from.y() + (to.y() - from.y()) * share);
    }
}
