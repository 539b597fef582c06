package ration.aircraft.model;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Bends and fittings in a run, with their local losses.
 *
 * <p>Two-K values after Hooper (1981), from memory: {@code K = K1/Re + Kinf (1 + 1/ID)}, ID in inches. Fitted on pipe
 * of 1 in and more; below that the 1/ID term is an extrapolation on the safe side. Textbooks spread by a factor of two
 * to three for one fitting.
 */
public enum Fitting {
    BEND_90("90\u00b0 bend", 800, 0.20),
    BEND_45("45\u00b0 bend", 500, 0.15),
    ELBOW_90("90\u00b0 elbow fitting", 800, 0.40),
    ELBOW_45("45\u00b0 elbow fitting", 500, 0.20);

    private final String label;
    private final double k1;
    private final double kInfinity;

    Fitting(String label, double k1, double kInfinity) {
        this.label = label;
        this.k1 = k1;
        this.kInfinity = kInfinity;
    }

    public String label() {
        return label;
    }

    /** What documents and records call it. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** What documents called them that were written before they had keys, in the order of the fittings. */
    private static final List<String> BEFORE =
            List.of("90\u00b0 bend", "45\u00b0 bend", "90\u00b0 elbow fitting", "45\u00b0 elbow fitting");

    /** The fitting that documents call this. */
    public static Optional<Fitting> written(String key) {
        for (Fitting f : values()) {
            if (f.key().equals(key.strip()) || BEFORE.get(f.ordinal()).equals(key.strip())) {
                return Optional.of(f);
            }
        }
        return Optional.empty();
    }

    /** All of them in one text, whatever their order; none where there are none. */
    public static String keys(List<Fitting> fittings) {
        return fittings.isEmpty()
                ? "none"
                : fittings.stream().map(Fitting::key).sorted().collect(Collectors.joining(", "));
    }

    /**
     * The fittings of such a text, in the words of documents that had no keys too; as it stands where one is unknown.
     */
    public static String keys(String text) {
        List<Optional<Fitting>> all =
                Stream.of(text.split(",")).map(Fitting::written).toList();
        return all.stream().allMatch(Optional::isPresent)
                ? keys(all.stream().map(Optional::get).toList())
                : text;
    }

    /** The same for eyes. */
    public static String named(String keys) {
        return Stream.of(keys.split(", "))
                .map(k -> written(k).map(Fitting::label).orElse(k))
                .collect(Collectors.joining(", "));
    }

    /** Two-K value at a Reynolds number of one. */
    public double k1() {
        return k1;
    }

    /** Two-K value of the fully turbulent flow in a line of 1 in; see the formula above for other bores. */
    public double kInfinity() {
        return kInfinity;
    }
}
