package ration.record.acceptance;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What was said of open points and packets.
 *
 * @param points who has what in hand
 * @param accepted by an inspector, as it was found
 * @param packets given out, in order
 */
public record SignOff(List<Point> points, List<Accepted> accepted, List<Issued> packets) {

    /** Nothing said. */
    public static final SignOff NONE = new SignOff(List.of(), List.of(), List.of());

    public SignOff {
        points = List.copyOf(points);
        accepted = List.copyOf(accepted);
        packets = List.copyOf(packets);
    }

    /**
     * An open point in somebody's hand.
     *
     * @param finding id of the finding
     * @param owner who has it
     * @param note in their own words
     */
    public record Point(String finding, String owner, String note) {}

    /**
     * A finding an inspector accepts as it is. It stays what it is.
     *
     * @param finding id of the finding
     * @param name of the inspector
     * @param reason in their own words
     * @param on day
     * @param as what was found then, for eyes: Fails; 1.20 x ...
     * @param found the same as it is compared; empty in documents of version 1, which are told by their words
     */
    public record Accepted(String finding, String name, String reason, LocalDate on, String as, String found) {
        public Accepted {
            if (name.isBlank() || reason.isBlank()) {
                throw new IllegalArgumentException("Enter the inspector's name and a reason.");
            }
        }
    }

    /**
     * A packet given out.
     *
     * @param on day
     * @param mark of the document it was made of
     * @param file its name
     */
    public record Issued(LocalDate on, String mark, String file) {}

    public boolean none() {
        return points.isEmpty() && accepted.isEmpty() && packets.isEmpty();
    }

    public Optional<Point> point(String finding) {
        return points.stream().filter(p -> p.finding().equals(finding)).findFirst();
    }

    /** The last acceptance of a finding. */
    public Optional<Accepted> accepted(String finding) {
        return accepted.stream().filter(a -> a.finding().equals(finding)).reduce((x, y) -> y);
    }

    public Optional<Issued> last() {
        return packets.isEmpty() ? Optional.empty() : Optional.of(packets.get(packets.size() - 1));
    }

    /** With a point in the place of the one of the same finding; without it where nothing is said of it. */
    public SignOff with(Point point) {
        List<Point> all = new ArrayList<>(points);
        all.removeIf(p -> p.finding().equals(point.finding()));
        if (!point.owner().isBlank() || !point.note().isBlank()) {
            all.add(point);
        }
        return new SignOff(all, accepted, packets);
    }

    /** With one acceptance more; earlier ones stay. */
    public SignOff with(Accepted one) {
        List<Accepted> all = new ArrayList<>(accepted);
        all.add(one);
        return new SignOff(points, all, packets);
    }

    public SignOff with(Issued packet) {
        List<Issued> all = new ArrayList<>(packets);
        all.add(packet);
        return new SignOff(points, accepted, all);
    }

    /** Without the packets: what a document's mark is made of. */
    public SignOff unissued() {
        return new SignOff(points, accepted, List.of());
    }
}
