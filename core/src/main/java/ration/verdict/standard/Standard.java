package ration.verdict.standard;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import ration.base.quantity.Quantity;

/** A written standard that a document is judged by. */
public enum Standard {
    PART_23("14 CFR Part 23 (before Amdt. 23-64), as a guide", "14 CFR", " before 2017"),
    CS_VLA("CS-VLA, as a guide", "CS-VLA", ""),
    LIGHT_SPORT("Light-sport consensus standard (ASTM F2245), as a guide", "ASTM F2245", ""),
    PRACTICE("Common practice and AC 90-89, the amateur-built flight testing handbook", "AC 90-89", "");

    private static final String NO_SOURCE = "Common practice, no source";

    private final String label;
    private final String called;
    private final String edition;
    private final Map<Subject, Clause> clauses;

    Standard(String label, String called, String edition) {
        this.label = label;
        this.called = called;
        this.edition = edition;
        this.clauses = StandardFile.read(key());
    }

    /** What it is called where it is chosen. */
    public String label() {
        return label;
    }

    /** What it is called in a citation. */
    public String called() {
        return called;
    }

    /** As it stands in documents, and the name of its file. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The standard that documents call this; before there were four, the handbook alone was one. */
    public static Optional<Standard> written(String key) {
        if (key.equals("ac-90-89")) {
            return Optional.of(PRACTICE);
        }
        for (Standard s : values()) {
            if (s.key().equals(key)) {
                return Optional.of(s);
            }
        }
        return Optional.empty();
    }

    /** What it asks; empty where it says nothing that is known. */
    public Optional<Clause> clause(Subject subject) {
        return Optional.ofNullable(clauses.get(subject));
    }

    /** Whether it asks for anything on a subject; common practice asks where the handbook does. */
    public boolean asks(Subject subject) {
        return clause(subject)
                .filter(c -> this != PRACTICE || !c.paragraph().isEmpty())
                .isPresent();
    }

    /**
     * Where a requirement comes from, with how sure that is: {@code 14 CFR 23.969 before 2017 (from memory), as a
     * guide}. Common practice where this standard says nothing.
     */
    public String cite(Subject subject) {
        if (!asks(subject)) {
            return NO_SOURCE;
        }
        Clause c = clauses.get(subject);
        String sure = c.confidence() == Clause.Confidence.HIGH
                ? "from memory"
                : "from memory, confidence " + c.confidence().name().toLowerCase(Locale.ROOT);
        String place = this == PRACTICE ? "" : c.paragraph().isEmpty() ? "" : " " + c.paragraph();
        String ours = c.figures().isEmpty() && !PRACTICE.figures(subject).isEmpty() ? "; figure: common practice" : "";
        return called + place + edition + " (" + sure + ")" + (this == PRACTICE ? "" : ", as a guide") + ours;
    }

    /**
     * A figure of a subject, SI: its own; that of common practice where it has none that is known for certain.
     *
     * @param name as {@link Subject} says
     */
    public double figure(Subject subject, String name) {
        Quantity own = figures(subject).get(name);
        Quantity used = own == null ? PRACTICE.figures(subject).get(name) : own;
        if (used == null) {
            throw new IllegalArgumentException(subject + " has no figure " + name);
        }
        return used.si();
    }

    private Map<String, Quantity> figures(Subject subject) {
        return clause(subject).map(Clause::figures).orElse(Map.of());
    }
}
