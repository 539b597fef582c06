package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.BiFunction;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.physics.tank.Feed;
import ration.physics.tank.GaugeCurve;
import ration.physics.tank.Governing;
import ration.physics.tank.TankBody;
import ration.record.evidence.TankEvidence;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * Unusable fuel of one tank: predicted, drained and published side by side; the largest governs.
 *
 * @param body made ready
 * @param feed how its outlets work together
 * @param predicted over the attitudes flown
 * @param evidence its hangar tests
 * @param parkedUp up in the parked attitude, in which it is filled
 */
public record TankAnswer(TankBody body, Feed feed, Governing predicted, TankEvidence evidence, Point3 parkedUp) {

    /** Where the unusable fuel that counts comes from. */
    public enum Source {
        PREDICTED("predicted"),
        DRAINED("drained"),
        LIKELY("estimated from a drain test"),
        PUBLISHED("published");

        private final String word;

        Source(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** Of every tank whose shape closes, by id; those an edit did not touch are taken from what was known before it. */
    static Map<String, TankAnswer> of(Project project, Optional<Assessment> before) {
        Map<String, TankAnswer> all = new TreeMap<>();
        project.system().tanks().parallelStream()
                .flatMap(tank -> known(project, tank, before).or(() -> closed(project, tank)).stream())
                .toList()
                .forEach(t -> all.put(t.tank().id(), t));
        return all;
    }

    private static Optional<TankAnswer> known(Project project, Tank tank, Optional<Assessment> before) {
        return before.filter(b -> sameForTanks(b.project(), project))
                .flatMap(b -> b.tanks().stream().filter(t -> t.tank() == tank).findFirst())
                .filter(t -> tank.outlets().size() < 2 || t.feed.equals(Feeds.of(project, tank)));
    }

    /** Whether what a tank's answer depends on beside the tank is the same. */
    static boolean sameForTanks(Project a, Project b) {
        return a == b
                || a.tests() == b.tests()
                        && a.brief().envelope().equals(b.brief().envelope());
    }

    private static Optional<TankAnswer> closed(Project project, Tank tank) {
        try {
            return Optional.of(of(project, tank));
        } catch (IllegalArgumentException e) {
            // what is wrong with the shape stands among the problems of the layout
            return Optional.empty();
        }
    }

    /** Throws IllegalArgumentException where its shape does not close. */
    public static TankAnswer of(Project project, Tank tank) {
        return of(
                project,
                tank,
                (body, feed) ->
                        Governing.of(body, feed, project.brief().envelope().corners()));
    }

    /** The same, looked for in these attitudes only. */
    static TankAnswer of(Project project, Tank tank, List<Attitude> among) {
        return of(project, tank, (body, feed) -> Governing.among(body, feed, among));
    }

    private static TankAnswer of(Project project, Tank tank, BiFunction<TankBody, Feed, Governing> predicted) {
        TankEvidence evidence = TankEvidence.of(tank, project.tests(), project.asBuilt());
        TankBody body = TankBody.of(
                tank,
                evidence.calibration(tank, project.brief().envelope().parked().si()));
        Feed feed = Feeds.of(project, tank);
        return new TankAnswer(
                body,
                feed,
                predicted.apply(body, feed),
                evidence,
                project.brief().envelope().attitudes().get(0).gravity().up());
    }

    public Tank tank() {
        return body.tank();
    }

    /** As much as goes in, m3. */
    public double full() {
        return body.full(parkedUp);
    }

    /** The largest of what is predicted, drained and published, m3. */
    public double unusable() {
        return of(source());
    }

    public Source source() {
        Source most = Source.PREDICTED;
        for (Source s : Source.values()) {
            if (of(s) > of(most)) {
                most = s;
            }
        }
        return most;
    }

    private double of(Source source) {
        return switch (source) {
            case PREDICTED -> predicted.volume();
            case DRAINED ->
                evidence.drained().stream()
                        .mapToDouble(TankEvidence.Drained::largest)
                        .max()
                        .orElse(0);
            case LIKELY -> carried().map(Carried::likely).orElse(0.0);
            case PUBLISHED -> tank().fitout().published().map(m -> m.si()).orElse(0.0);
        };
    }

    public double placard() {
        return tank().unusable().si();
    }

    /** What can be used by the figure that governs, m3. */
    public double usable() {
        return Math.max(0, full() - unusable());
    }

    /** Placard over what governs. */
    public double ratio() {
        return unusable() < 1e-9 ? Finding.MET : placard() / unusable();
    }

    public Verdict verdict() {
        return unusable() < 1e-9 ? Verdict.HOLDS : Verdict.atLeast(placard(), unusable());
    }

    /** The attitude behind the governing figure, where it is predicted. */
    public Optional<Attitude> attitude() {
        return source() == Source.PREDICTED || source() == Source.LIKELY
                ? Optional.of(predicted.attitude())
                : Optional.empty();
    }

    /** The drain tests done in the attitude in which most is predicted to stay: only these show it. */
    public Optional<TankEvidence.Drained> drainedThere() {
        return evidence.drained().stream()
                .filter(d -> d.at(
                        predicted.attitude().pitchRad(), predicted.attitude().tiltRad()))
                .findFirst();
    }

    /**
     * A drain test of another attitude carried to the one that governs, by measured over predicted.
     *
     * @param from the test
     * @param there predicted for its own attitude, m3
     * @param likely in the governing attitude, m3
     * @param scatter of that, either way, m3
     */
    public record Carried(TankEvidence.Drained from, double there, double likely, double scatter) {

        public double ratio() {
            return from.mean() / there;
        }
    }

    /**
     * The largest likely figure by tests of other attitudes; empty where the governing one was drained, or none was.
     */
    public Optional<Carried> carried() {
        if (drainedThere().isPresent()) {
            return Optional.empty();
        }
        return evidence.drained().stream()
                .map(d -> {
                    double there = body.stranded(
                                    new Attitude("Drained at", d.pitch(), d.tilt())
                                            .gravity()
                                            .up(),
                                    feed)
                            .volume();
                    return new Carried(
                            d,
                            there,
                            there < LEAST_CARRIED ? 0 : predicted.volume() * d.mean() / there,
                            there < LEAST_CARRIED ? 0 : predicted.volume() * d.scatter() / 2 / there);
                })
                .filter(c -> c.there() >= LEAST_CARRIED)
                .max(java.util.Comparator.comparingDouble(Carried::likely));
    }

    /** Where less than a cup stays a ratio says nothing, m3. */
    private static final double LEAST_CARRIED = 2.5e-4;

    /** Least volume under its outlets in level and parked attitude, m3: what the sump holds. */
    public double sump() {
        double least = Double.POSITIVE_INFINITY;
        for (Point3 up : List.of(new Point3(0, 0, 1), parkedUp)) {
            least = Math.min(least, body.stranded(up, Feed.GRAVITY).volume());
        }
        return least;
    }

    /** What its gauge reads in an attitude; through the marks of fills made at that pitch. */
    public GaugeCurve gauge(Attitude attitude) {
        return GaugeCurve.of(body, attitude.gravity().up(), evidence.marks(attitude.pitchRad()));
    }

    /** Room over the fuel when it is full, m3. */
    public double expansion() {
        return Math.max(0, body.capacity() - full());
    }

    /** In the order of the layout. */
    static List<TankAnswer> inOrder(Project project, Map<String, TankAnswer> tanks) {
        List<TankAnswer> all = new ArrayList<>();
        project.system().tanks().forEach(t -> Optional.ofNullable(tanks.get(t.id()))
                .ifPresent(all::add));
        return all;
    }
}
