package ration.aircraft.model;

/**
 * Something wrong or missing in what was laid out.
 *
 * @param item id of the item, or empty for the whole system
 * @param field what on it, in the words of its card
 * @param message what is wrong, a sentence
 * @param remedy what to do, a sentence
 * @param blocks whether nothing can be computed before it is mended
 */
public record Problem(String item, String field, String message, String remedy, boolean blocks) {

    /** The field of problems with what is called what and joined to what. */
    static final String ENDS = "Ends";

    static final String ID = "Id";
    /** The field of a run whose length and places contradict each other. */
    static final String LENGTH = "Length";

    /** Whether a run is said to be shorter than the way between its ends: no figure that rests on it can be right. */
    public boolean contradicts() {
        return !blocks && field.equals(LENGTH);
    }

    /** Whether ids or joints contradict each other, so that the layout could not even be edited. */
    public boolean breaksLayout() {
        return blocks && (field.equals(ENDS) || field.equals(ID));
    }

    @Override
    public String toString() {
        return (item.isEmpty() ? "" : item + ", ") + field + ": " + message + " " + remedy;
    }
}
