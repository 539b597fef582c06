package ration.record.evidence;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;

/**
 * What a tank test depends on, as twelve letters: every corner of the shape, the outlets, wells, ribs and the gauge as
 * they lie to each other, to a tenth of a millimetre. Where the tank sits in the aircraft, names, notes, bores, vents
 * and the placard do not count.
 */
public final class Fingerprint {

    /** Keeps the step between two tenths away from halves, quarters and hundredths of an inch. */
    private static final double BETWEEN = 0.4863;

    private final StringBuilder all = new StringBuilder();
    private final Point3 origin;

    private Fingerprint(Point3 origin) {
        this.origin = origin;
    }

    /** Of a tank as laid out; empty where its shape does not close. */
    public static String of(Tank tank) {
        try {
            tank.solid();
            List<List<Point3>> faces = tank.fitout().corners(tank.shell());
            Fingerprint print = new Fingerprint(
                    tank.outlets().isEmpty()
                            ? faces.get(0).get(0)
                            : tank.outlets().get(0).place().point());
            faces.forEach(face -> face.forEach(print::point));
            return print.of(tank, tank.fitout());
        } catch (IllegalArgumentException e) {
            return "";
        }
    }

    private String of(Tank tank, Fitout fitout) {
        tank.outlets().forEach(o -> point(o.drainsAt()));
        for (Fitout.Rib rib : fitout.ribs()) {
            number(rib.at().si() - origin.y());
            rib.openings().forEach(o -> {
                all.append(o.passes().name());
                point(new Point3(o.along().si(), rib.at().si(), o.waterLine().si()));
            });
        }
        all.append("gauge");
        fitout.gauge().ifPresent(g -> point(g.point()));
        try {
            byte[] digest =
                    MessageDigest.getInstance("SHA-256").digest(all.toString().getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest, 0, 6);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }

    private void point(Point3 p) {
        Point3 from = p.minus(origin);
        number(from.x());
        number(from.y());
        number(from.z());
    }

    private void number(double metres) {
        all.append(tenths(metres)).append(';');
    }

    /** Tenths of a millimetre. */
    static long tenths(double metres) {
        return (long) Math.floor(metres * 1e4 + BETWEEN);
    }
}
