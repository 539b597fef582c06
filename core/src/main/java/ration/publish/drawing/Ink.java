package ration.publish.drawing;

/** Colour by role. The window's style sheet names the same colours; a test keeps the two equal. */
public enum Ink {
    NONE(""),
    INK("#1E2A2F"),
    SOFT("#5C6A6C"),
    PANEL("#FFFFFF"),
    GROUND("#FBFCF9"),
    GRID("#ECEFE8"),
    HAIRLINE("#D5DAD0"),
    FUEL("#2F79B5"),
    FUEL_TEXT("#2A6DA3"),
    FUEL_TINT("#CFE3F2"),
    FUEL_STANDING("#EAF2F8"),
    FUEL_MID("#6FA1CC"),
    FUEL_PALE("#A9C9E2"),
    PLUM("#7A4B8C"),
    AIR("#7F8C8D"),
    TEAL("#2E8B84"),
    RUST("#C2552F"),
    RUST_TEXT("#A8441F"),
    RUST_TINT("#F6DED3"),
    RUST_FAINT("#FCF3EE"),
    PLUM_TINT("#E3D5E8"),
    BAY("#FBF4EE"),
    OLIVE("#7C8C2C"),
    OLIVE_UNDER_TEXT("#66751F"),
    DEEP("#56631A"),
    /** Behind what differs. */
    BAND("#CDD69A"),
    EDGE("#7F8A79"),
    /** Of bars: what holds, and what is thin. */
    HOLDS("#56631A"),
    THIN("#7C8C2C");

    private final String hex;

    Ink(String hex) {
        this.hex = hex;
    }

    /** As #RRGGBB; empty for no colour. */
    public String hex() {
        return hex;
    }
}
