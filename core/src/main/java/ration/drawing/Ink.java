package ration.drawing;

/** Colour by role. The style sheet of whoever shows the picture says which colour that is. */
public enum Ink {
    NONE, INK, SOFT, PANEL, GROUND, GRID, HAIRLINE, FUEL, FUEL_TEXT, FUEL_TINT, FUEL_STANDING, FUEL_MID, FUEL_PALE, PLUM, AIR, TEAL, RUST,
    RUST_TEXT, BAY, OLIVE, OLIVE_UNDER_TEXT, DEEP, EDGE
}
