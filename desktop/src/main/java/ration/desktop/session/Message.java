package ration.desktop.session;

import java.util.Optional;

/**
 * Something said to who sits before the window, until it is closed or its cause is over.
 *
 * @param offer what can be done next, beside closing it
 */
public record Message(String text, Tone tone, Optional<Offer> offer) {

    /** A button on it. */
    public record Offer(String text, String id, Runnable action) {}

    public Message(String text, Tone tone) {
        this(text, tone, Optional.empty());
    }

    /** How it looks, and how long it stays. */
    public enum Tone {
        /** It was done: until the next change of the document. */
        DONE("Done"),
        /** A word about what was asked for just now: until the next change, or that one taken back. */
        NOTE("Note"),
        /** Something failed that the next change does not mend: until it is closed. */
        TROUBLE("Trouble");

        private final String word;

        Tone(String word) {
            this.word = word;
        }

        /** Told without colour. */
        public String word() {
            return word;
        }
    }
}
