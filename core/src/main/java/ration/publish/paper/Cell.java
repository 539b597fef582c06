package ration.publish.paper;

import ration.verdict.check.Verdict;

/** What stands in a place of a table. */
public sealed interface Cell {

    /**
     * Words, and softer ones under them.
     *
     * @param under empty where there are none
     * @param struck legible, and no longer so
     */
    record Text(String words, String under, boolean strong, boolean struck) implements Cell {
        public Text struck(boolean is) {
            return new Text(words, under, strong, is);
        }
    }

    /**
     * A verdict as its bar, and words beside it.
     *
     * @param bar its length, points
     */
    record State(double ratio, Verdict verdict, String words, double bar) implements Cell {}

    /** The number of the page that was begun under a key; known at the end. */
    record PageOf(String key) implements Cell {}

    /** An empty line to write on. */
    record Blank() implements Cell {}

    static State state(double ratio, Verdict verdict) {
        return new State(ratio, verdict, verdict.word(), 36);
    }

    /** A short bar and a figure: what it says of the verdict besides is its pattern. */
    static State small(double ratio, Verdict verdict, String figure) {
        return new State(ratio, verdict, figure, 21);
    }

    static Text of(String words) {
        return new Text(words, "", false, false);
    }

    static Text strong(String words) {
        return new Text(words, "", true, false);
    }

    /** Strong words with soft ones under them. */
    static Text over(String words, String under) {
        return new Text(words, under, true, false);
    }
}
