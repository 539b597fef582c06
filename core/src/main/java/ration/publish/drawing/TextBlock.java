package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Label;

/** A few lines of text that stay together, each of spans in their own weight and ink. */
final class TextBlock {

    static final double LINE = 16;

    record Span(String text, double size, boolean bold, Ink ink) {}

    private final List<List<Span>> lines = new ArrayList<>();
    /** Lines that are its name: where there is little room they alone stand, all of them. */
    private int named = 1;

    /** Under a name, in a line or several. */
    static TextBlock under(List<String> name) {
        TextBlock block = new TextBlock();
        name.forEach(n -> block.line(name(n)));
        block.named = name.size();
        return block;
    }

    TextBlock line(Span... spans) {
        lines.add(List.of(spans));
        return this;
    }

    static Span name(String text) {
        return new Span(text, 13, true, Ink.INK);
    }

    static Span bold(String text) {
        return new Span(text, 12, true, Ink.INK);
    }

    static Span body(String text) {
        return new Span(text, 12, false, Ink.INK);
    }

    static Span soft(String text) {
        return new Span(text, 11, false, Ink.SOFT);
    }

    static Span flow(String text) {
        return new Span(text, 12, true, Ink.FUEL_TEXT);
    }

    /** Whether it says more than its name. */
    boolean more() {
        return lines.size() > named;
    }

    TextBlock nameAlone() {
        TextBlock name = new TextBlock();
        name.lines.addAll(lines.subList(0, named));
        name.named = named;
        return name;
    }

    double height() {
        return lines.size() * LINE;
    }

    double width(TextMeasure measure) {
        return lines.stream().mapToDouble(l -> width(l, measure)).max().orElse(0);
    }

    private static double width(List<Span> line, TextMeasure measure) {
        return line.stream()
                .mapToDouble(s -> measure.width(s.text(), s.size(), s.bold()))
                .sum();
    }

    /** Labels with the block's top at y and its left, middle or right at x. */
    List<Mark> at(double x, double top, Anchor anchor, TextMeasure measure) {
        List<Mark> marks = new ArrayList<>();
        double baseline = top + 12;
        for (List<Span> line : lines) {
            double width = width(line, measure);
            double left = anchor == Anchor.START ? x : anchor == Anchor.MIDDLE ? x - width / 2 : x - width;
            for (Span s : line) {
                marks.add(new Label(left, baseline, s.text(), s.size(), s.bold(), s.ink(), Anchor.START));
                left += measure.width(s.text(), s.size(), s.bold());
            }
            baseline += LINE;
        }
        return marks;
    }
}
