package ration.aircraft.plumbing;

import java.util.List;

/** A job at the bench and the columns of the runs sheet it fills; each begins with the run. */
public enum SheetJob {
    MAKE_UP(
            "Fabricate",
            SheetColumn.RUN,
            SheetColumn.FROM,
            SheetColumn.TO,
            SheetColumn.SIZE,
            SheetColumn.CONSTRUCTION,
            SheetColumn.LENGTH,
            SheetColumn.BENDS),
    ROUTE(
            "Clamp and route",
            SheetColumn.RUN,
            SheetColumn.SIZE,
            SheetColumn.TIGHTEST,
            SheetColumn.SUPPORTS,
            SheetColumn.CLAMP,
            SheetColumn.HEAT,
            SheetColumn.CHAFE,
            SheetColumn.SLEEVE,
            SheetColumn.MOVES,
            SheetColumn.TEMPORARY),
    PAPERS(
            "Torque and records",
            SheetColumn.RUN,
            SheetColumn.SUPPLIED,
            SheetColumn.TORQUE,
            SheetColumn.STRIPE,
            SheetColumn.PART,
            SheetColumn.LOT,
            SheetColumn.MADE,
            SheetColumn.PROOF,
            SheetColumn.PROOFED,
            SheetColumn.INITIALS);

    private final String label;
    private final List<SheetColumn> columns;

    SheetJob(String label, SheetColumn... columns) {
        this.label = label;
        this.columns = List.of(columns);
    }

    public String label() {
        return label;
    }

    public List<SheetColumn> columns() {
        return columns;
    }
}
