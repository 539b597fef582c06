package ration.publish.drawing;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.font.FontRenderContext;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/** What collides in a drawing, in words: texts, lines of runs and symbols, each against what it does not belong to. */
final class Collisions {

    private static final Font REGULAR = font("B612-Regular.ttf");
    private static final Font BOLD = font("B612-Bold.ttf");
    private static final FontRenderContext PLAIN = new FontRenderContext(null, true, true);
    /** Lines closer than this share of their width lie on each other, and for longer than this they mislead, px. */
    private static final double NEAR = 0.7;

    private static final double LONG = 14;
    private static final double STEP = 2;

    private static final Map<Said, Double> WIDTHS = new ConcurrentHashMap<>();
    /** Widths of the typeface the window and paper use. */
    static final TextMeasure MEASURE =
            (text, size, bold) -> WIDTHS.computeIfAbsent(new Said(text, size, bold), s -> (bold ? BOLD : REGULAR)
                    .deriveFont((float) size)
                    .getStringBounds(text, PLAIN)
                    .getWidth());

    private record Said(String text, double size, boolean bold) {}

    private record Text(String words, String item, Rectangle2D box) {}

    private record Way(String item, double width, List<Spot> spots, Rectangle2D bounds) {

        static Way of(String item, double width, List<Spot> spots) {
            Rectangle2D all =
                    new Rectangle2D.Double(spots.get(0).x(), spots.get(0).y(), 0, 0);
            spots.forEach(s -> all.add(s.x(), s.y()));
            return new Way(item, width, spots, all);
        }
    }

    private record Body(String item, Rectangle2D box) {}

    private Collisions() {}

    private static Font font(String file) {
        try (InputStream in = Picture.class.getResourceAsStream("/ration/publish/paper/" + file)) {
            return Font.createFont(Font.TRUETYPE_FONT, in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (FontFormatException e) {
            throw new IllegalStateException(e);
        }
    }

    static Set<String> of(Picture picture) {
        List<Text> texts = new ArrayList<>();
        List<Way> ways = new ArrayList<>();
        List<Body> bodies = new ArrayList<>();
        for (Piece piece : picture.pieces()) {
            Rectangle2D symbol = null;
            for (Mark mark : piece.marks()) {
                if (mark instanceof Mark.Label l && !l.text().isBlank()) {
                    texts.add(new Text(l.text(), piece.item(), box(l)));
                } else if ((piece.kind() == Kind.RUN || piece.kind() == Kind.VENT)
                        && mark instanceof Mark.Path p
                        && p.fill() == Ink.NONE
                        && p.pen().ink() != Ink.GROUND
                        && p.pen().width() >= 3) {
                    ways.add(Way.of(piece.item(), p.pen().width(), dense(p.spots())));
                } else if (piece.kind() == Kind.SYMBOL && !piece.words().isEmpty() && extent(mark) != null) {
                    symbol = symbol == null ? extent(mark) : symbol.createUnion(extent(mark));
                }
            }
            if (symbol != null) {
                bodies.add(new Body(piece.item(), shrunk(symbol, 3)));
            }
        }
        Set<String> found = new LinkedHashSet<>();
        Rectangle2D page = new Rectangle2D.Double(-1, -1, picture.width() + 2, picture.height() + 2);
        for (int i = 0; i < texts.size(); i++) {
            Text a = texts.get(i);
            if (!page.contains(a.box)) {
                found.add("outside: " + a.words);
            }
            for (Text b : texts.subList(i + 1, texts.size())) {
                Rectangle2D both = a.box.createIntersection(b.box);
                if (both.getWidth() > 1.5 && both.getHeight() > 1.5) {
                    found.add("text on text: " + a.words + " / " + b.words);
                }
            }
            Rectangle2D inner = shrunk(a.box, 1);
            ways.stream()
                    .filter(w -> w.spots.stream().anyMatch(s -> inner.contains(s.x(), s.y())))
                    .findFirst()
                    .ifPresent(w -> found.add("line " + w.item + " through text: " + a.words));
        }
        lines(ways, bodies, page, found);
        return found;
    }

    private static void lines(List<Way> ways, List<Body> bodies, Rectangle2D page, Set<String> found) {
        for (int i = 0; i < ways.size(); i++) {
            Way a = ways.get(i);
            if (a.spots.stream().anyMatch(s -> !page.contains(s.x(), s.y()))) {
                found.add("line " + a.item + " leaves the picture");
            }
            for (Way b : ways.subList(i + 1, ways.size())) {
                double near = (a.width + b.width) / 2 * NEAR;
                if (a.item.equals(b.item) || !grown(a.bounds, near + 1).intersects(grown(b.bounds, 1))) {
                    continue;
                }
                double along = STEP
                        * a.spots.stream()
                                .filter(s -> b.spots.stream()
                                        .anyMatch(
                                                t -> Math.abs(s.x() - t.x()) < near && Math.abs(s.y() - t.y()) < near))
                                .count();
                if (along > LONG + 2 * near) {
                    found.add("lines " + a.item + " and " + b.item + " in one place for " + Math.round(along) + " px");
                }
            }
        }
        for (Body b : bodies) {
            for (Way w : ways) {
                // where a run ends at a symbol it may touch it; one that passes through it does not end there
                List<Spot> ends = List.of(w.spots.get(0), w.spots.get(w.spots.size() - 1));
                boolean own = ends.stream().anyMatch(e -> grown(b.box, 8).contains(e.x(), e.y()));
                if (!own && w.spots.stream().anyMatch(s -> b.box.contains(s.x(), s.y()))) {
                    found.add("line " + w.item + " through symbol " + b.item);
                }
            }
        }
    }

    private static Rectangle2D box(Mark.Label l) {
        double w = MEASURE.width(l.text(), l.size(), l.bold());
        double x = l.x() - (l.anchor() == Mark.Anchor.START ? 0 : l.anchor() == Mark.Anchor.MIDDLE ? w / 2 : w);
        return new Rectangle2D.Double(x, l.y() - 0.74 * l.size(), w, 0.79 * l.size());
    }

    private static Rectangle2D extent(Mark mark) {
        if (mark instanceof Mark.Disc d) {
            return new Rectangle2D.Double(
                    d.centre().x() - d.radius(), d.centre().y() - d.radius(), 2 * d.radius(), 2 * d.radius());
        }
        if (mark instanceof Mark.Path p && p.closed()) {
            Rectangle2D all = new Rectangle2D.Double(
                    p.spots().get(0).x(), p.spots().get(0).y(), 0, 0);
            p.spots().forEach(s -> all.add(s.x(), s.y()));
            return all;
        }
        return mark instanceof Mark.Box b ? new Rectangle2D.Double(b.x(), b.y(), b.width(), b.height()) : null;
    }

    private static Rectangle2D shrunk(Rectangle2D r, double by) {
        return grown(r, -by);
    }

    private static Rectangle2D grown(Rectangle2D r, double by) {
        return new Rectangle2D.Double(
                r.getX() - by, r.getY() - by, Math.max(0, r.getWidth() + 2 * by), Math.max(0, r.getHeight() + 2 * by));
    }

    private static List<Spot> dense(List<Spot> spots) {
        List<Spot> all = new ArrayList<>();
        for (int i = 1; i < spots.size(); i++) {
            Spot a = spots.get(i - 1);
            Spot b = spots.get(i);
            int n = (int) Math.max(1, Math.ceil((Math.abs(a.x() - b.x()) + Math.abs(a.y() - b.y())) / STEP));
            for (int k = 0; k < n; k++) {
                all.add(new Spot(a.x() + (b.x() - a.x()) * k / n, a.y() + (b.y() - a.y()) * k / n));
            }
        }
        all.add(spots.get(spots.size() - 1));
        return all;
    }
}
