package ration.evidence;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Locale;
import ration.geometry.Point3;
import ration.model.Fitout;
import ration.model.Item;

/**
 * What a tank test depends on, as twelve letters: every corner of the shape, the outlets, wells, ribs and the gauge, to a
 * tenth of a millimetre. Names, notes, bores, vents and the placard do not count.
 */
public final class Fingerprint {

    private Fingerprint() {
    }

    /** Of a tank as laid out; empty where its shape does not close. */
    public static String of(Item.Tank tank) {
        StringBuilder all = new StringBuilder();
        try {
            tank.solid().faces().forEach(face -> face.forEach(p -> point(all, p)));
        } catch (IllegalArgumentException e) {
            return "";
        }
        tank.outlets().forEach(o -> point(all.append("outlet"), o.place().point()));
        for (Fitout.Rib rib : tank.fitout().ribs()) {
            number(all.append("rib"), rib.at().si());
            rib.openings().forEach(o -> {
                number(all.append(o.passes().name()), o.along().si());
                number(all, o.waterLine().si());
            });
        }
        tank.fitout().gauge().ifPresent(g -> point(all.append("gauge"), g.point()));
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(all.toString().getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest, 0, 6);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }

    private static void point(StringBuilder out, Point3 p) {
        number(out, p.x());
        number(out, p.y());
        number(out, p.z());
    }

    private static void number(StringBuilder out, double metres) {
        out.append(String.format(Locale.ROOT, "%.4f", metres).replace("-0.0000", "0.0000")).append(';');
    }
}
