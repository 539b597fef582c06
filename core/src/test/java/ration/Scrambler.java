package ration;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Replaces, in a compiled class, every text that a person may read: of each such string constant the letters are
 * others, one for one, so that texts that differ stay different, and those of two classes always do; what
 * {@code String.format} reads stays. Keys are told from words by their look: a key has no blank and does not begin with
 * a capital followed by a small letter.
 */
final class Scrambler {

    private Scrambler() {}

    /** Classes that must know words because documents or tables hold them: each with the reason. */
    private static final Set<String> READ_WORDS = Set.of(
            "ration.answer.find.PracticeCase", // which demo a practice case belongs to: the name stands in the demo
            "ration.record.evidence.Inputs", // what the lines of records are called, in documents too
            "ration.record.evidence.RestsOn",
            "ration.aircraft.model.LineSize", // how sizes are written, 3/8 x 0.035 tube, in documents and by hand
            "ration.aircraft.model.JointEnd", // how threads are written, as sizes
            "ration.base.quantity.Unit", // how figures are written, 47 in
            "ration.base.quantity.UnitSystem",
            "ration.base.quantity.Quantity");

    /** Whether the texts of a class are words that nothing may depend on. */
    static boolean words(String name) {
        return !READ_WORDS.contains(outer(name)) && !name.startsWith(WhatIsNoText.class.getName());
    }

    private static String outer(String name) {
        int inner = name.indexOf('$');
        return inner < 0 ? name : name.substring(0, inner);
    }

    /**
     * Ends every text of a class, so that the same word in two classes is two: neither may be looked up by the other.
     */
    private static char mark(String name) {
        return (char) (0x3400 + Math.floorMod(outer(name).hashCode(), 0x1900));
    }

    private static final Pattern WORD =
            Pattern.compile("^\\p{Lu}\\p{Ll}.*|.*\\p{L}.* .*|.* .*\\p{L}.*", Pattern.DOTALL);
    private static final Pattern NO_WORD =
            Pattern.compile(".*(\\\\[dspw]|\\(\\?|\\[\\^|\\]\\+|yyyy|MMM).*", Pattern.DOTALL);
    private static final Pattern SPECIFIER = Pattern.compile("%(\\d+\\$)?[-#+ 0,(<]*\\d*(\\.\\d+)?[a-zA-Z%]");

    private static String nonsense(String text, char mark) {
        boolean figures = SPECIFIER.matcher(text).replaceAll("").chars().noneMatch(Character::isLetter);
        if (figures || !WORD.matcher(text).matches() || NO_WORD.matcher(text).matches()) {
            return text;
        }
        StringBuilder all = new StringBuilder();
        Matcher m = SPECIFIER.matcher(text);
        int at = 0;
        while (m.find()) {
            turned(text, at, m.start(), all);
            all.append(m.group());
            at = m.end();
        }
        turned(text, at, text.length(), all);
        return all.append(mark).toString();
    }

    private static void turned(String text, int from, int to, StringBuilder all) {
        for (int i = from; i < to; i++) {
            char c = text.charAt(i);
            char first = c >= 'a' && c <= 'z' ? 'a' : 'A';
            boolean letter = c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z';
            all.append(letter ? (char) (first + (c - first + 13) % 26) : c);
        }
    }

    /** The class with its words turned; the constant pool as the Java virtual machine specification, 4.4, has it. */
    static byte[] of(String name, byte[] read) throws IOException {
        char mark = mark(name);
        DataInputStream in = new DataInputStream(new ByteArrayInputStream(read));
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(bytes);
        out.writeLong(in.readLong());
        int count = in.readUnsignedShort();
        String[] texts = new String[count];
        int[] strings = new int[count];
        int[] tags = new int[count];
        byte[][] others = new byte[count][];
        for (int i = 1; i < count; i++) {
            tags[i] = in.readUnsignedByte();
            switch (tags[i]) {
                case 1 -> texts[i] = in.readUTF();
                case 8 -> strings[i] = in.readUnsignedShort();
                case 3, 4, 9, 10, 11, 12, 17, 18 -> others[i] = in.readNBytes(4);
                case 5, 6 -> others[i++] = in.readNBytes(8);
                case 7, 16, 19, 20 -> others[i] = in.readNBytes(2);
                case 15 -> others[i] = in.readNBytes(3);
                default -> throw new IOException("constant of kind " + tags[i]);
            }
        }
        List<String> added = new ArrayList<>();
        for (int i = 1; i < count; i++) {
            if (tags[i] == 8) {
                String before = texts[strings[i]];
                String then = nonsense(before, mark);
                if (!then.equals(before)) {
                    strings[i] = count + added.size();
                    added.add(then);
                }
            }
        }
        out.writeShort(count + added.size());
        for (int i = 1; i < count; i++) {
            if (tags[i] == 0) {
                continue;
            }
            out.writeByte(tags[i]);
            if (tags[i] == 1) {
                out.writeUTF(texts[i]);
            } else if (tags[i] == 8) {
                out.writeShort(strings[i]);
            } else {
                out.write(others[i]);
            }
        }
        for (String text : added) {
            out.writeByte(1);
            out.writeUTF(text);
        }
        in.transferTo(out);
        return bytes.toByteArray();
    }
}
