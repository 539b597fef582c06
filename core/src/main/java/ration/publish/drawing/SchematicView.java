package ration.publish.drawing;

import java.util.Optional;

/**
 * How the drawing is looked at.
 *
 * @param width pixels
 * @param height pixels
 * @param zoom 1 fits every preset attitude
 * @param panX pixels
 * @param panY pixels
 * @param layers which optional layers are drawn
 * @param upright heights as another drawing has them; empty where they are fitted into this one
 */
public record SchematicView(
        double width, double height, double zoom, double panX, double panY, Layers layers, Optional<Upright> upright) {

    /**
     * Where heights lie.
     *
     * @param scale pixels to a meter
     * @param zeroY of the engine inlet, px
     */
    record Upright(double scale, double zeroY) {}

    /** Fitted into the picture. */
    public SchematicView(double width, double height, double zoom, double panX, double panY, Layers layers) {
        this(width, height, zoom, panX, panY, layers, Optional.empty());
    }

    /**
     * Optional layers.
     *
     * @param air whether vents are led across the drawing as runs are
     */
    public record Layers(boolean headLine, boolean vents, boolean drains, boolean air) {
        public static final Layers ALL = new Layers(true, true, true, false);
        static final Layers AIR = new Layers(false, false, true, true);
    }

    public static SchematicView of(double width, double height) {
        return new SchematicView(width, height, 1, 0, 0, Layers.ALL);
    }

    /** The same, less high. */
    SchematicView high(double other) {
        return new SchematicView(width, other, zoom, panX, panY, layers, upright);
    }

    /** Neither zoomed nor panned. */
    SchematicView plain() {
        return new SchematicView(width, height, 1, 0, 0, layers, upright);
    }

    SchematicView with(Upright heights) {
        return new SchematicView(width, height, zoom, panX, panY, layers, Optional.of(heights));
    }
}
