package ration.aircraft.condition;

/** The states of filling that every assessment goes through. */
public enum Contents {
    FULL("Full"),
    HALF("Half"),
    LAST_USABLE("Low");

    private final String label;

    Contents(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /**
     * Fuel in a tank, m3.
     *
     * @param capacityM3 of the tank
     * @param unusableM3 its placard's unusable fuel
     * @param testM3 what is left above that when the tank counts as low
     */
    public double volume(double capacityM3, double unusableM3, double testM3) {
        return switch (this) {
            case FULL -> capacityM3;
            case HALF -> capacityM3 / 2;
            case LAST_USABLE -> Math.min(capacityM3, unusableM3 + testM3);
        };
    }
}
