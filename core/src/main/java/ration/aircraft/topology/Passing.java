package ration.aircraft.topology;

import java.util.Map;
import java.util.Set;

/** Which ways let fuel through in some state, and in which direction. */
public interface Passing {

    /** What a way lets through. */
    enum Way {
        NONE,
        FORWARD,
        BACKWARD,
        BOTH
    }

    Way of(Passage passage);

    /**
     * Fuel left to itself with nothing running, on the ground: check valves and standing pumps are not trusted to hold,
     * headers and the engine end the way, the outlets of a tank are joined by its fuel.
     *
     * @param positions by selector id; a selector not named passes nothing
     * @param shut ids of shut-offs that are closed
     */
    static Passing untrusted(Map<String, String> positions, Set<String> shut) {
        return p -> switch (p.what()) {
            case HEADER, RAIL -> Way.NONE;
            case SHUT_OFF -> shut.contains(p.from().item()) ? Way.NONE : Way.BOTH;
            case POSITION -> p.position().equals(positions.get(p.from().item())) ? Way.BOTH : Way.NONE;
            case BORE, CHECK, FREE_PUMP, CHECKED_PUMP, TIGHT_PUMP, BYPASS, REDUCER, TANK -> Way.BOTH;
        };
    }

    /**
     * Put away: every shut-off closed, every pump stopped, the engine taking nothing.
     *
     * @param positions by selector id; a selector not named passes nothing
     */
    static Passing putAway(Map<String, String> positions) {
        return p -> switch (p.what()) {
            case TANK, SHUT_OFF, TIGHT_PUMP -> Way.NONE;
            case POSITION -> p.position().equals(positions.get(p.from().item())) ? Way.BOTH : Way.NONE;
            case CHECK, CHECKED_PUMP, BYPASS -> Way.FORWARD;
            case REDUCER -> Way.BACKWARD;
            case BORE, FREE_PUMP, HEADER, RAIL -> Way.BOTH;
        };
    }

    /**
     * As it is meant to run with the handles so: through headers, not through tanks.
     *
     * @param positions by selector id; a selector not named passes nothing
     */
    static Passing running(Map<String, String> positions) {
        return p -> switch (p.what()) {
            case TANK, RAIL -> Way.NONE;
            case POSITION -> p.position().equals(positions.get(p.from().item())) ? Way.BOTH : Way.NONE;
            case BORE, SHUT_OFF, HEADER -> Way.BOTH;
            case CHECK, FREE_PUMP, CHECKED_PUMP, TIGHT_PUMP, BYPASS, REDUCER -> Way.FORWARD;
        };
    }

    /** From tank to engine as it is meant to run, with every handle where it opens the way: no vessel is passed. */
    static Passing forward() {
        return p -> switch (p.what()) {
            case TANK, HEADER, RAIL -> Way.NONE;
            case BORE, SHUT_OFF, POSITION, CHECK, FREE_PUMP, CHECKED_PUMP, TIGHT_PUMP, BYPASS, REDUCER -> Way.FORWARD;
        };
    }
}
