package ration.base.quantity;

/**
 * What a quantity measures. Only units of one dimension convert into each other. Each has a range, far wider than
 * anything in a light aircraft, outside which a figure is a slip of the pen: drawings and searches rely on it.
 */
public enum Dimension {
    LENGTH("a length", -20_000, 20_000, "\u221220,000 and 20,000 m"),
    ANGLE("an angle", -2 * Math.PI, 2 * Math.PI, "\u2212360 and 360\u00b0"),
    VOLUME("a volume", -50, 50, "\u221250 and 50 m\u00b3"),
    FLOW("a flow", -1, 1, "\u22121 and 1 m\u00b3/s"),
    PRESSURE("a pressure", -1e8, 1e8, "\u2212100 and 100 MPa"),
    TEMPERATURE("a temperature", 0, 1500, "absolute zero and 1,227 \u00b0C"),
    DENSITY("a density", 0, 20_000, "0 and 20,000 kg/m\u00b3"),
    KINEMATIC_VISCOSITY("a viscosity", 0, 1, "0 and 1 m\u00b2/s"),
    POWER("a power", -1e8, 1e8, "\u2212100 and 100 MW"),
    SPECIFIC_CONSUMPTION("a specific consumption", 0, 1e-3, "0 and 3,600 g/kWh"),
    SPEED("a speed", -1000, 1000, "\u22121,000 and 1,000 m/s"),
    TORQUE("a torque", -10_000, 10_000, "\u221210,000 and 10,000 N m"),
    CURRENT("an electric current", -10_000, 10_000, "\u221210,000 and 10,000 A"),
    VOLTAGE("a voltage", -10_000, 10_000, "\u221210,000 and 10,000 V"),
    HEAT_TRANSFER("a heat transfer coefficient", 0, 1e6, "0 and 1,000,000 W/m\u00b2K"),
    TIME("a time", -1e9, 1e9, "\u221230 and 30 years"),
    NUMBER("a number", -1e6, 1e6, "\u22121,000,000 and 1,000,000");

    private final String words;
    private final double least;
    private final double most;
    private final String range;

    Dimension(String words, double least, double most, String range) {
        this.words = words;
        this.least = least;
        this.most = most;
        this.range = range;
    }

    /** The dimension as a phrase for messages, such as "a length". */
    public String words() {
        return words;
    }

    /** Whether a value, SI, lies within what an aircraft can hold. */
    public boolean holds(double si) {
        return si >= least && si <= most;
    }

    /** That range in words. */
    public String range() {
        return range;
    }
}
