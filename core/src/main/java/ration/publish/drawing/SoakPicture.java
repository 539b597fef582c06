package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.vapor.SoakPath;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/**
 * Temperatures after shutdown, predicted as lines and logged as hollow marks, with the time in which a restart is at
 * risk.
 */
public final class SoakPicture {

    private static final double LEFT = 40;
    private static final double RIGHT = 16;
    private static final double TOP = 20;
    private static final double FOOT = 44;
    private static final double LENGTH = SoakPath.LENGTH / 60;

    private SoakPicture() {}

    /**
     * A logged part.
     *
     * @param item id of the part it belongs to
     * @param minutes after shutdown
     * @param kelvin read then
     */
    public record Logged(String item, double[] minutes, double[] kelvin) {}

    /** The three hottest parts and whatever was logged, now and in an earlier run. */
    public static Picture draw(
            List<SoakPath> all,
            List<Logged> logged,
            List<Logged> earlier,
            UnitSystem units,
            double width,
            double height) {
        List<Piece> pieces = new ArrayList<>();
        if (all.isEmpty()) {
            return new Picture(
                    width,
                    height,
                    List.of(new Piece(
                            "",
                            Kind.TEXT,
                            "No heat soak",
                            List.of(new Label(
                                    LEFT,
                                    TOP + 20,
                                    "No item on the path is in the engine bay.",
                                    12,
                                    false,
                                    Ink.SOFT,
                                    Anchor.START)))));
        }
        List<SoakPath> first =
                new ArrayList<>(all.stream().filter(p -> !p.line()).limit(3).toList());
        all.stream().filter(SoakPath::line).limit(first.size() < 3 ? 1 : 0).forEach(first::add);
        List<SoakPath> shown = all.stream()
                .filter(p -> logged.stream().anyMatch(l -> l.item().equals(p.item())) || first.contains(p))
                .limit(4)
                .toList();
        double least = shown.stream().mapToDouble(p -> p.soak().start()).min().orElse(300);
        double most = shown.stream()
                .mapToDouble(p -> Math.max(p.boils(), peak(p)))
                .max()
                .orElse(350);
        for (Logged l : java.util.stream.Stream.concat(logged.stream(), earlier.stream())
                .toList()) {
            for (double k : l.kelvin()) {
                most = Math.max(most, k);
                least = Math.min(least, k);
            }
        }
        Unit scale = units.thermometer();
        Scale x = new Scale(0, LENGTH, LEFT, width - RIGHT);
        Scale y = new Scale(
                Math.floor(scale.fromSi(least) / 10) * 10,
                Math.ceil(scale.fromSi(most) / 10) * 10 + 10,
                height - FOOT,
                TOP);
        SoakPath.Window risk = SoakPath.risk(all);
        List<Mark> ground = new ArrayList<>();
        if (risk != null) {
            ground.add(new Box(
                    x.at(risk.from() / 60),
                    TOP,
                    Math.max(2, x.at(risk.to() / 60) - x.at(risk.from() / 60)),
                    y.fromPx() - TOP,
                    0,
                    Ink.RUST_TINT,
                    Pen.of(Ink.NONE, 0)));
        }
        for (double t : y.ticks(34)) {
            ground.add(SchematicPart.line(LEFT, y.at(t), x.toPx(), y.at(t), Pen.of(Ink.GRID, 1)));
            ground.add(new Label(LEFT - 6, y.at(t) + 4, UnitSystem.figure(t, 0), 11, false, Ink.INK, Anchor.END));
        }
        for (double t : x.ticks(80)) {
            ground.add(new Label(x.at(t), y.fromPx() + 15, UnitSystem.figure(t, 0), 11, false, Ink.INK, Anchor.MIDDLE));
        }
        ground.add(new Label(LEFT - 6, TOP - 8, scale.symbol(), 11, false, Ink.SOFT, Anchor.END));
        ground.add(new Label(x.toPx(), height - 6, "minutes after shutdown", 11, false, Ink.SOFT, Anchor.END));
        double key = LEFT;
        ground.add(SchematicPart.line(key, height - 10, key + 22, height - 10, Pen.of(Ink.FUEL, 2)));
        ground.add(new Label(key + 28, height - 6, "predicted", 11, false, Ink.SOFT, Anchor.START));
        if (!logged.isEmpty()) {
            ground.add(new Disc(new Spot(key + 104, height - 10), 3.5, Ink.PANEL, Pen.of(Ink.INK, 1.5)));
            ground.add(new Label(key + 112, height - 6, "logged", 11, false, Ink.SOFT, Anchor.START));
        }
        if (!earlier.isEmpty()) {
            cross(ground, new Spot(key + 164, height - 10));
            ground.add(new Label(key + 172, height - 6, "earlier", 11, false, Ink.SOFT, Anchor.START));
        }
        String words = risk == null
                ? "no boiling predicted during soak"
                : "restart at risk, " + UnitSystem.figure(risk.from() / 60, 0) + " to "
                        + (risk.to() >= SoakPath.LENGTH - 20 ? "over " : "") + UnitSystem.figure(risk.to() / 60, 0)
                        + " min";
        ground.add(new Label(
                (x.fromPx() + x.toPx()) / 2,
                TOP + 14,
                words,
                12,
                true,
                risk == null ? Ink.DEEP : Ink.RUST_TEXT,
                Anchor.MIDDLE));
        pieces.add(new Piece("", Kind.GROUND, words, ground));
        earlier(pieces, earlier, scale, x, y);
        curves(pieces, shown, logged, scale, x, y);
        return new Picture(width, height, pieces);
    }

    private static void cross(List<Mark> marks, Spot s) {
        marks.add(SchematicPart.line(s.x() - 3, s.y() - 3, s.x() + 3, s.y() + 3, Pen.of(Ink.SOFT, 1.4)));
        marks.add(SchematicPart.line(s.x() - 3, s.y() + 3, s.x() + 3, s.y() - 3, Pen.of(Ink.SOFT, 1.4)));
    }

    private static void earlier(List<Piece> pieces, List<Logged> logs, Unit scale, Scale x, Scale y) {
        for (Logged l : logs) {
            List<Mark> marks = new ArrayList<>();
            for (int k = 0; k < l.minutes().length; k += Math.max(1, l.minutes().length / 24)) {
                if (l.minutes()[k] <= LENGTH) {
                    cross(marks, new Spot(x.at(l.minutes()[k]), y.at(scale.fromSi(l.kelvin()[k]))));
                }
            }
            pieces.add(new Piece(l.item(), Kind.SYMBOL, "an earlier run", marks));
        }
    }

    private static double peak(SoakPath p) {
        double most = 0;
        for (double m = 0; m <= LENGTH; m++) {
            most = Math.max(most, p.soak().at(60 * m));
        }
        return most;
    }

    private static List<Spot> curve(SoakPath p, Unit scale, Scale x, Scale y) {
        List<Spot> spots = new ArrayList<>();
        for (double m = 0; m <= LENGTH; m += 0.5) {
            spots.add(new Spot(x.at(m), y.at(scale.fromSi(p.soak().at(60 * m)))));
        }
        return spots;
    }

    private static void curves(
            List<Piece> pieces, List<SoakPath> shown, List<Logged> logged, Unit scale, Scale x, Scale y) {
        double boils = shown.get(0).boils();
        double by = y.at(scale.fromSi(boils));
        Occupancy taken = new Occupancy();
        taken.take(
                x.fromPx() + (x.toPx() - x.fromPx()) / 2 - 90,
                TOP,
                x.fromPx() + (x.toPx() - x.fromPx()) / 2 + 90,
                TOP + 20);
        List<Spot> crossing =
                shown.stream().flatMap(p -> curve(p, scale, x, y).stream()).toList();
        double left = x.fromPx() + 6;
        double right = x.toPx() - 96;
        double middle = (left + right) / 2;
        double[] best = java.util.stream.Stream.of(
                        new double[] {left, by - 5},
                        new double[] {right, by - 5},
                        new double[] {right, by + 14},
                        new double[] {left, by + 14},
                        new double[] {middle, by + 14},
                        new double[] {middle, by - 5})
                .min(java.util.Comparator.comparingLong(c -> crossing.stream()
                        .filter(s -> s.x() > c[0] - 3 && s.x() < c[0] + 93 && s.y() > c[1] - 11 && s.y() < c[1] + 4)
                        .count()))
                .orElseThrow();
        double at = best[0];
        double low = best[1];
        taken.take(at - 6, low - 13, at + 90, low + 9);
        List<Mark> line = new ArrayList<>();
        line.add(SchematicPart.line(x.fromPx(), by, x.toPx(), by, Pen.of(Ink.RUST, 1.6, 2.0, 3.0)));
        line.add(new Label(
                at,
                low,
                "boils at " + UnitSystem.figure(scale.fromSi(boils), 0) + " " + scale.symbol(),
                11,
                false,
                Ink.RUST_TEXT,
                Anchor.START));
        pieces.add(new Piece("", Kind.HEAD_LINE, "", line));
        double[][] dashes = {{}, {6, 4}, {2, 3}, {8, 3, 2, 3}};
        for (int i = 0; i < shown.size(); i++) {
            SoakPath p = shown.get(i);
            List<Spot> spots = curve(p, scale, x, y);
            Spot label = spots.get(0);
            for (int step : new int[] {22, 36, 50, 62, 12, 70}) {
                Spot s = spots.get(Math.min(step, spots.size() - 1));
                if (taken.overlap(s.x() - 40, s.y() - 20, s.x() + 40, s.y() - 4) < 1
                        && crossing.stream()
                                .noneMatch(
                                        c -> Math.abs(c.x() - s.x()) < 40 && c.y() > s.y() - 18 && c.y() < s.y() - 6)) {
                    label = s;
                    break;
                }
            }
            taken.take(label.x() - 40, label.y() - 20, label.x() + 40, label.y() - 4);
            List<Double> dash =
                    java.util.Arrays.stream(dashes[Math.min(i, 3)]).boxed().toList();
            pieces.add(new Piece(
                    p.item(),
                    Kind.RUN,
                    p.name() + " reaches " + UnitSystem.figure(scale.fromSi(peak(p)), 0) + " " + scale.symbol(),
                    List.of(
                            new Path(spots, false, Ink.NONE, new Pen(Ink.FUEL, 2.2, dash), 0),
                            new Label(label.x(), label.y() - 8, p.name(), 11, true, Ink.INK, Anchor.MIDDLE))));
        }
        for (Logged l : logged) {
            List<Mark> dots = new ArrayList<>();
            int step = Math.max(1, l.minutes().length / 24);
            for (int k = 0; k < l.minutes().length; k += step) {
                if (l.minutes()[k] >= 0 && l.minutes()[k] <= LENGTH) {
                    dots.add(new Disc(
                            new Spot(x.at(l.minutes()[k]), y.at(scale.fromSi(l.kelvin()[k]))),
                            3.5,
                            Ink.PANEL,
                            Pen.of(Ink.INK, 1.5)));
                }
            }
            pieces.add(new Piece(l.item(), Kind.SYMBOL, "logged", dots));
        }
    }
}
