package ration.publish.paper;

/** What something on a sheet is to somebody who is read it; words of ISO 32000-1, 14.8.4. */
public enum Role {
    TITLE("H1"),
    SECTION("H2"),
    TEXT("P"),
    TABLE("Table"),
    ROW("TR"),
    HEAD("TH"),
    CELL("TD"),
    FIGURE("Figure");

    private final String word;

    Role(String word) {
        this.word = word;
    }

    String word() {
        return word;
    }

    /** Whether texts stand in it themselves; else each is a paragraph of its own. */
    boolean holdsText() {
        return this != TABLE && this != ROW;
    }
}
