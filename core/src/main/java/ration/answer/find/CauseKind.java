package ration.answer.find;

/** What a cause is. */
public enum CauseKind {
    /** A part failed, or several. */
    FAULT,
    /** All is as laid out. */
    SOUND,
    /** The instrument of one reading is off. */
    INSTRUMENT,
    /** None of those that are weighed. */
    UNKNOWN
}
