package ration.aircraft.condition;

/**
 * How hard the engine works. Shares of take-off consumption and speed, and the manifold under ambient, of an unboosted
 * engine: common practice, no source.
 */
public enum Power {
    TAKE_OFF("Takeoff", 1, 1, 0),
    CRUISE("Cruise", 0.65, 0.88, -17_000),
    IDLE("Idle", 0.10, 0.28, -62_000);

    private final String label;
    private final double demandShare;
    private final double speedShare;
    private final double manifold;

    Power(String label, double demandShare, double speedShare, double manifold) {
        this.label = label;
        this.demandShare = demandShare;
        this.speedShare = speedShare;
        this.manifold = manifold;
    }

    public String label() {
        return label;
    }

    /** Consumption over take-off consumption. */
    public double demandShare() {
        return demandShare;
    }

    /** Engine speed over take-off speed; what an engine-driven pump moves goes with it. */
    public double speedShare() {
        return speedShare;
    }

    /** Manifold pressure, gauge, Pa. */
    public double manifoldPa() {
        return manifold;
    }
}
