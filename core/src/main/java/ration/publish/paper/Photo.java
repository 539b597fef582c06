package ration.publish.paper;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/**
 * A photograph ready to be printed, turned as it was taken.
 *
 * @param image as it is stored
 * @param turns quarter turns to the right until it stands upright, 0 to 3
 */
public record Photo(PDImageXObject image, int turns) {

    private static final int START = 0xFFD8;
    private static final int APP1 = 0xFFE1;
    private static final int SCAN = 0xFFDA;
    private static final int ORIENTATION = 0x0112;
    private static final long EXIF = 0x457869660000L;

    /** Points of a picture that is taken apart to be printed: beyond, a small file may fill the memory. */
    private static final long MOST_POINTS = 60_000_000;

    private static final long PNG = 0x89504E470D0A1A0AL;

    /**
     * Whether it can be printed without filling the memory: its head says how large a PNG is (ISO 15948, from memory).
     */
    static boolean bounded(byte[] bytes) {
        ByteBuffer all = ByteBuffer.wrap(bytes);
        return bytes.length < 24
                || all.getLong(0) != PNG
                || (all.getInt(16) & 0xFFFFFFFFL) * (all.getInt(20) & 0xFFFFFFFFL) <= MOST_POINTS;
    }

    /** Points of the picture, upright. */
    public double width() {
        return turns % 2 == 0 ? image.getWidth() : image.getHeight();
    }

    public double height() {
        return turns % 2 == 0 ? image.getHeight() : image.getWidth();
    }

    /**
     * Quarter turns to the right of what a camera stored: tag 0x0112 of Exif 2.3 (JEITA CP-3451C), from memory.
     * Mirrored pictures, which no camera makes, count as the others; 0 where nothing is said.
     */
    static int turns(byte[] jpeg) {
        try {
            ByteBuffer all = ByteBuffer.wrap(jpeg);
            if (all.remaining() < 4 || (all.getShort() & 0xFFFF) != START) {
                return 0;
            }
            while (all.remaining() > 4) {
                int marker = all.getShort() & 0xFFFF;
                int length = all.getShort() & 0xFFFF;
                if (marker == SCAN || length < 2) {
                    return 0;
                }
                ByteBuffer segment = all.slice(all.position(), length - 2);
                if (marker == APP1 && segment.remaining() > 14 && segment.getLong(0) >>> 16 == EXIF) {
                    return orientation(segment.slice(6, segment.remaining() - 6));
                }
                all.position(all.position() + length - 2);
            }
            return 0;
        } catch (IndexOutOfBoundsException | IllegalArgumentException e) {
            // cut off or spoilt: it is printed as it is stored
            return 0;
        }
    }

    private static int orientation(ByteBuffer exif) {
        exif.order(exif.get(0) == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
        int at = exif.getInt(4);
        int entries = exif.getShort(at) & 0xFFFF;
        for (int i = 0; i < entries; i++) {
            int entry = at + 2 + 12 * i;
            if ((exif.getShort(entry) & 0xFFFF) == ORIENTATION) {
                return switch (exif.getShort(entry + 8)) {
                    case 3, 4 -> 2;
                    case 5, 6 -> 1;
                    case 7, 8 -> 3;
                    default -> 0;
                };
            }
        }
        return 0;
    }
}
