package ration.quantity;

/** What a quantity measures. Only units of one dimension convert into each other. */
public enum Dimension {
    LENGTH("a length"),
    ANGLE("an angle"),
    VOLUME("a volume"),
    FLOW("a flow"),
    PRESSURE("a pressure"),
    TEMPERATURE("a temperature"),
    DENSITY("a density"),
    KINEMATIC_VISCOSITY("a viscosity"),
    POWER("a power"),
    SPECIFIC_CONSUMPTION("a specific consumption"),
    SPEED("a speed"),
    TORQUE("a torque"),
    CURRENT("an electric current"),
    HEAT_TRANSFER("a heat transfer coefficient"),
    TIME("a time"),
    NUMBER("a number");

    private final String words;

    Dimension(String words) {
        this.words = words;
    }

    /** The dimension as a phrase for messages, such as "a length". */
    public String words() {
        return words;
    }
}
