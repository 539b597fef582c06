package ration.aircraft.model;

import java.util.Optional;

/** What a line is made as. Fittings of one hose construction do not fit another. */
public enum Construction {
    ALUMINIUM("Aluminum tube", false),
    STEEL("Stainless tube", false),
    PUSH_ON("Push-on rubber hose", true),
    INJECTION("Injection hose, band clamps", true),
    BARBED("Barbed-socket hose", true),
    BRAIDED("Braided rubber hose", true),
    PTFE("PTFE hose", true),
    CLEAR("Clear tube", true),
    MOLDED("Molded hose", true),
    NYLON("Nylon tube, snap couplings", true);

    private final String label;
    private final boolean hose;

    Construction(String label, boolean hose) {
        this.label = label;
        this.hose = hose;
    }

    public String label() {
        return label;
    }

    public boolean hose() {
        return hose;
    }

    /**
     * The construction whose label or name begins with this, three letters or more, in any case: alu, PTFE, push-on;
     * the British spelling of older tables too.
     */
    public static Optional<Construction> labelled(String text) {
        String wanted = text.strip().toLowerCase(java.util.Locale.ROOT).replace("aluminium", "aluminum");
        for (Construction c : values()) {
            if (wanted.length() >= 3
                    && (c.label.toLowerCase(java.util.Locale.ROOT).startsWith(wanted)
                            || c.name().toLowerCase(java.util.Locale.ROOT).startsWith(wanted.replace('-', '_')))) {
                return Optional.of(c);
            }
        }
        return Optional.empty();
    }
}
