package ration.desktop.frame;

/** The pages of this version, in the order of the job. */
public enum Page {
    BRIEF("Brief"), LAYOUT("Layout"), RUNS("Runs"), FLOW("Flow"), TANKS("Tanks"), VAPOR("Vapor"), AIR("Air & water"), HANGAR("Hangar tests");

    private final String label;

    Page(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
