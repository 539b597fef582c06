package ration.answer.guide;

/** A step of the job, in the order of the work. */
public enum Step {
    DATUM("01-datum", Part.DRAW),
    LAYOUT("02-layout", Part.DRAW),
    HEIGHTS("03-heights", Part.MEASURE),
    LINES("04-lines", Part.MEASURE),
    LOSSES("05-losses", Part.MEASURE),
    ENGINE("06-engine", Part.USE),
    ATTITUDES("07-attitudes", Part.USE),
    GOVERNS("08-governs", Part.READ),
    CHANGE("09-change", Part.READ),
    HANGAR("10-hangar", Part.PROVE),
    FIRST_RUN("11-first-run", Part.PROVE),
    SIGN_OFF("12-sign-off", Part.PROVE);

    /** Steps that belong together. */
    public enum Part {
        DRAW("Draw it"),
        MEASURE("Measure it"),
        USE("Say how it is flown"),
        READ("Read it"),
        PROVE("Prove it");

        private final String label;

        Part(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    private final String file;
    private final Part part;

    Step(String file, Part part) {
        this.file = file;
        this.part = part;
    }

    /** Name of its file in {@code docs/guide}, without an ending. */
    public String file() {
        return file;
    }

    public Part part() {
        return part;
    }

    public int number() {
        return ordinal() + 1;
    }

    /** What it says. */
    public GuideText text() {
        return GuideText.of(this);
    }
}
