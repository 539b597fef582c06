package ration.publish.paper;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;

/**
 * What the colours of a lasting PDF mean: an ICC profile (ICC.1:2001-04, version 2.4) with the primaries of sRGB,
 * brought to D50, and a gamma of 2.2; figures from memory.
 */
final class RgbProfile {

    private static final double[] WHITE = {0.9642, 1, 0.8249};
    private static final double[][] PRIMARIES = {
        {0.4361, 0.2225, 0.0139}, {0.3851, 0.7169, 0.0971}, {0.1431, 0.0606, 0.7141}
    };
    private static final int HEADER = 128;

    private RgbProfile() {}

    static byte[] bytes() throws IOException {
        String[] names = {"desc", "cprt", "wtpt", "rXYZ", "gXYZ", "bXYZ", "rTRC", "gTRC", "bTRC"};
        byte[] curve = curve();
        byte[][] data = {
            described(),
            text("No rights reserved"),
            xyz(WHITE),
            xyz(PRIMARIES[0]),
            xyz(PRIMARIES[1]),
            xyz(PRIMARIES[2]),
            curve,
            curve,
            curve
        };
        ByteArrayOutputStream table = new ByteArrayOutputStream();
        ByteArrayOutputStream bodies = new ByteArrayOutputStream();
        DataOutputStream tags = new DataOutputStream(table);
        int start = HEADER + 4 + 12 * names.length;
        tags.writeInt(names.length);
        for (int i = 0; i < names.length; i++) {
            tags.writeBytes(names[i]);
            tags.writeInt(start + bodies.size());
            tags.writeInt(data[i].length);
            bodies.write(data[i]);
            bodies.write(new byte[(4 - data[i].length % 4) % 4]);
        }
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(whole);
        out.writeInt(start + bodies.size());
        out.writeInt(0);
        out.writeInt(0x02400000);
        out.writeBytes("mntrRGB XYZ ");
        for (int part : new int[] {2026, 1, 1, 0, 0, 0}) {
            out.writeShort(part);
        }
        out.writeBytes("acsp");
        out.write(new byte[28]);
        for (double w : WHITE) {
            out.writeInt(fixed(w));
        }
        out.write(new byte[HEADER - whole.size()]);
        table.writeTo(whole);
        bodies.writeTo(whole);
        return whole.toByteArray();
    }

    private static int fixed(double v) {
        return (int) Math.round(v * 65536);
    }

    private static byte[] xyz(double[] v) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(bytes);
        out.writeBytes("XYZ ");
        out.writeInt(0);
        for (double part : v) {
            out.writeInt(fixed(part));
        }
        return bytes.toByteArray();
    }

    private static byte[] curve() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(bytes);
        out.writeBytes("curv");
        out.writeInt(0);
        out.writeInt(1);
        out.writeShort((int) Math.round(2.2 * 256));
        return bytes.toByteArray();
    }

    private static byte[] text(String words) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(bytes);
        out.writeBytes("text");
        out.writeInt(0);
        out.write((words + "\0").getBytes(StandardCharsets.US_ASCII));
        return bytes.toByteArray();
    }

    private static byte[] described() throws IOException {
        String words = "RGB, primaries of sRGB, gamma 2.2";
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(bytes);
        out.writeBytes("desc");
        out.writeInt(0);
        out.writeInt(words.length() + 1);
        out.write((words + "\0").getBytes(StandardCharsets.US_ASCII));
        // no Unicode, no script
        out.write(new byte[4 + 4 + 2 + 1 + 67]);
        return bytes.toByteArray();
    }
}
