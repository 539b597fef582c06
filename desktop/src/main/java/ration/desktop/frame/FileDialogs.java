package ration.desktop.frame;

import java.awt.print.PrinterJob;
import java.nio.file.Path;
import java.util.Optional;

/** Asks for a file or a printer; behind an interface because native choosers cannot be driven by tests. */
public interface FileDialogs {

    /** What is opened or saved. */
    enum Kind {
        DOCUMENT("Ration documents", ".ration"),
        TABLE("Tables, CSV", ".csv"),
        PDF("PDF", ".pdf"),
        SVG("Pictures, SVG", ".svg"),
        NETWORK("EPANET networks, INP", ".inp"),
        CALENDAR("Calendars, ICS", ".ics"),
        ZIP("Zip files", ".zip"),
        ANY("Photographs, logs, anything", "");

        private final String label;
        private final String ending;

        Kind(String label, String ending) {
            this.label = label;
            this.ending = ending;
        }

        public String label() {
            return label;
        }

        public String ending() {
            return ending;
        }
    }

    Optional<Path> toOpen(Kind kind);

    Optional<Path> toSave(String suggestedName, Kind kind);

    /** Whether a printer was chosen. */
    enum Printer {
        CHOSEN,
        CLOSED,
        /** None is set up. */
        NONE
    }

    /** Asks for a printer, copies and pages of what is to be printed; not on the interface thread. */
    Printer printer(PrinterJob job);
}
