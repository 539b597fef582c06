package ration.model;

import java.util.Optional;

/** What a line is made as. Fittings of one hose construction do not fit another. */
public enum Construction {
    ALUMINIUM("Aluminium tube", false), STEEL("Stainless tube", false), PUSH_ON("Push-on rubber hose", true),
    BRAIDED("Braided rubber hose", true), PTFE("PTFE hose", true);

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

    /** The construction whose label or first word this is, in any case. */
    public static Optional<Construction> labelled(String text) {
        String wanted = text.strip().toLowerCase(java.util.Locale.ROOT);
        for (Construction c : values()) {
            String label = c.label.toLowerCase(java.util.Locale.ROOT);
            if (!wanted.isEmpty() && (label.equals(wanted) || label.split(" ")[0].equals(wanted)
                    || c.name().toLowerCase(java.util.Locale.ROOT).equals(wanted.replace('-', '_')))) {
                return Optional.of(c);
            }
        }
        return Optional.empty();
    }
}
