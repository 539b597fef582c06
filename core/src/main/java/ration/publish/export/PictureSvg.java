package ration.publish.export;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import ration.base.quantity.Plain;
import ration.publish.drawing.Corner;
import ration.publish.drawing.Ink;
import ration.publish.drawing.Mark;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.NotchMarks;
import ration.publish.drawing.Picture;

/** A picture as SVG 1.1; text stays text, in B612 or what the reader has in its place. */
public final class PictureSvg {

    private final StringBuilder out = new StringBuilder();

    private PictureSvg() {}

    /** The document; each piece a group with its item's id and its words as title. */
    public static String of(Picture picture, String title) {
        PictureSvg svg = new PictureSvg();
        svg.out.append(String.format(
                Locale.ROOT,
                "<?xml version=\"1.0\" encoding=\"UTF-8\"?>%n"
                        + "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.0f\" height=\"%.0f\" viewBox=\"0"
                        + " 0 %.0f %.0f\" "
                        + "font-family=\"B612, 'DejaVu Sans', sans-serif\">%n",
                picture.width(),
                picture.height(),
                picture.width(),
                picture.height()));
        svg.out.append("<title>").append(escaped(title)).append("</title>\n");
        for (Picture.Piece piece : picture.pieces()) {
            svg.out
                    .append("<g")
                    .append(piece.item().isEmpty() ? "" : " data-item=\"" + escaped(piece.item()) + "\"")
                    .append(">");
            if (!piece.words().isEmpty()) {
                svg.out.append("<title>").append(escaped(piece.words())).append("</title>");
            }
            svg.out.append('\n');
            piece.marks().forEach(svg::mark);
            svg.out.append("</g>\n");
        }
        return svg.out.append("</svg>\n").toString();
    }

    private void mark(Mark mark) {
        if (mark instanceof Mark.Path path) {
            path(path);
        } else if (mark instanceof Mark.Disc disc) {
            add(
                    "<circle cx=\"%s\" cy=\"%s\" r=\"%s\"%s/>",
                    number(disc.centre().x()),
                    number(disc.centre().y()),
                    number(disc.radius()),
                    paint(disc.fill(), disc.pen()));
        } else if (mark instanceof Mark.Box box) {
            add(
                    "<rect x=\"%s\" y=\"%s\" width=\"%s\" height=\"%s\" rx=\"%s\"%s/>",
                    number(box.x()),
                    number(box.y()),
                    number(Math.max(0, box.width())),
                    number(Math.max(0, box.height())),
                    number(box.corner()),
                    paint(box.fill(), box.pen()));
        } else if (mark instanceof Mark.Notch notch) {
            NotchMarks.of(notch).forEach(this::mark);
        } else if (mark instanceof Mark.Label label) {
            String anchor = label.anchor() == Mark.Anchor.START
                    ? "start"
                    : label.anchor() == Mark.Anchor.MIDDLE ? "middle" : "end";
            add(
                    "<text x=\"%s\" y=\"%s\" font-size=\"%s\"%s text-anchor=\"%s\" fill=\"%s\">%s</text>",
                    number(label.x()),
                    number(label.y()),
                    number(label.size()),
                    label.bold() ? " font-weight=\"bold\"" : "",
                    anchor,
                    label.ink().hex(),
                    escaped(label.text()));
        }
    }

    private void path(Mark.Path path) {
        if (path.spots().isEmpty()) {
            return;
        }
        StringBuilder d = new StringBuilder();
        List<Spot> spots = path.spots();
        d.append("M").append(at(spots.get(0)));
        for (int i = 1; i < spots.size(); i++) {
            if (path.corner() > 0 && !path.closed() && i + 1 < spots.size()) {
                Corner c = Corner.of(spots.get(i - 1), spots.get(i), spots.get(i + 1), path.corner());
                d.append(" L")
                        .append(at(c.in()))
                        .append(" Q")
                        .append(at(spots.get(i)))
                        .append(' ')
                        .append(at(c.out()));
            } else {
                d.append(" L").append(at(spots.get(i)));
            }
        }
        add("<path d=\"%s%s\"%s/>", d, path.closed() ? " Z" : "", paint(path.fill(), path.pen()));
    }

    private static String at(Spot s) {
        return number(s.x()) + "," + number(s.y());
    }

    private static String paint(Ink fill, Pen pen) {
        String inside = fill == Ink.NONE ? " fill=\"none\"" : " fill=\"" + fill.hex() + "\"";
        if (pen.ink() == Ink.NONE || pen.width() == 0) {
            return inside;
        }
        String dashes = pen.dashes().isEmpty()
                ? ""
                : " stroke-dasharray=\""
                        + pen.dashes().stream().map(PictureSvg::number).collect(Collectors.joining(" ")) + "\"";
        return inside + " stroke=\"" + pen.ink().hex() + "\" stroke-width=\"" + number(pen.width())
                + "\" stroke-linejoin=\"round\"" + dashes;
    }

    private static String number(double v) {
        String text = String.format(Locale.ROOT, "%.2f", v);
        return text.replaceAll("0+$", "").replaceAll("\\.$", "");
    }

    private static String escaped(String text) {
        return Plain.line(text)
                .replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }

    private void add(String format, Object... parts) {
        out.append(String.format(Locale.ROOT, format, parts)).append('\n');
    }
}
