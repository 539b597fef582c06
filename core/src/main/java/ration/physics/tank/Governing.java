package ration.physics.tank;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import ration.aircraft.condition.Attitude;

/**
 * The flown attitude in which most stays in a tank.
 *
 * @param attitude with its name
 * @param volume stranded there, m3
 */
public record Governing(Attitude attitude, double volume) {

    private static final int STEPS = 24;

    /**
     * Over a region of pitch and tilt: its corners, its sides and its inside. Stranded fuel has no closed greatest
     * value, so the region is searched on a mesh of a twenty-fourth of its size.
     *
     * @param corners in order round it, three or more
     */
    public static Governing of(TankBody body, Feed feed, List<Attitude> corners) {
        return among(body, feed, samples(corners));
    }

    /** Of these attitudes only. */
    public static Governing among(TankBody body, Feed feed, List<Attitude> attitudes) {
        Governing most = null;
        for (Attitude a : attitudes) {
            double volume = body.stranded(a.gravity().up(), feed).volume();
            if (most == null || volume > most.volume() * (1 + 1e-9) + 1e-9) {
                most = new Governing(a, volume);
            }
        }
        return most;
    }

    /** Attitudes of a region, its corners and those in which most stays: one of them governs once the tank is moved. */
    public static List<Attitude> nearest(TankBody body, Feed feed, List<Attitude> corners, int count) {
        Stream<Attitude> most = samples(corners).stream()
                .map(a -> new Governing(a, body.stranded(a.gravity().up(), feed).volume()))
                .sorted(Comparator.comparingDouble((Governing g) -> -g.volume()))
                .limit(count)
                .map(Governing::attitude);
        return Stream.concat(corners.stream(), most).distinct().toList();
    }

    private static List<Attitude> samples(List<Attitude> corners) {
        List<Attitude> all = new ArrayList<>(corners);
        double lowP = corners.stream().mapToDouble(Attitude::pitchRad).min().orElse(0);
        double highP = corners.stream().mapToDouble(Attitude::pitchRad).max().orElse(0);
        double lowT = corners.stream().mapToDouble(Attitude::tiltRad).min().orElse(0);
        double highT = corners.stream().mapToDouble(Attitude::tiltRad).max().orElse(0);
        for (int i = 0; i < corners.size(); i++) {
            Attitude a = corners.get(i);
            Attitude b = corners.get((i + 1) % corners.size());
            for (int k = 1; k < STEPS; k++) {
                all.add(named(
                        a.pitchRad() + (b.pitchRad() - a.pitchRad()) * k / STEPS,
                        a.tiltRad() + (b.tiltRad() - a.tiltRad()) * k / STEPS));
            }
        }
        for (int i = 1; i < STEPS; i++) {
            for (int j = 1; j < STEPS; j++) {
                double p = lowP + (highP - lowP) * i / STEPS;
                double t = lowT + (highT - lowT) * j / STEPS;
                if (inside(p, t, corners)) {
                    all.add(named(p, t));
                }
            }
        }
        return all;
    }

    /** Whether a point lies in the region, by counting the sides crossed to its right. */
    public static boolean inside(double pitch, double tilt, List<Attitude> corners) {
        boolean in = false;
        for (int i = 0; i < corners.size(); i++) {
            Attitude a = corners.get(i);
            Attitude b = corners.get((i + 1) % corners.size());
            if (a.pitchRad() > pitch != b.pitchRad() > pitch
                    && tilt
                            < a.tiltRad()
                                    + (pitch - a.pitchRad())
                                            / (b.pitchRad() - a.pitchRad())
                                            * (b.tiltRad() - a.tiltRad())) {
                in = !in;
            }
        }
        return in;
    }

    private static Attitude named(double pitch, double tilt) {
        return new Attitude(pitch > 0.01 ? "Nose up" : pitch < -0.01 ? "Nose down" : "Level", pitch, tilt);
    }
}
