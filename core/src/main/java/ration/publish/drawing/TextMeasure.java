package ration.publish.drawing;

/** Width of a text in the drawing's typeface, pixels. */
@FunctionalInterface
public interface TextMeasure {

    double width(String text, double size, boolean bold);

    /** Good enough to place labels where no typeface is at hand. */
    static TextMeasure approximate() {
        return (text, size, bold) -> text.length() * size * (bold ? 0.62 : 0.58);
    }
}
