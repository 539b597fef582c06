package ration.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import ration.condition.Condition;
import ration.drawing.Mark.Box;
import ration.drawing.Mark.Disc;
import ration.drawing.Mark.Path;
import ration.drawing.Mark.Pen;
import ration.drawing.Mark.Spot;
import ration.model.CheckBlock;
import ration.model.CheckValve;
import ration.model.EngineInlet;
import ration.model.Filter;
import ration.model.Fitted;
import ration.model.FlowSender;
import ration.model.Header;
import ration.model.Item;
import ration.model.JetPump;
import ration.model.Orifice;
import ration.model.PortRef;
import ration.model.Pump;
import ration.model.QuickDisconnect;
import ration.model.Regulator;
import ration.model.Selector;
import ration.model.ShutOff;
import ration.model.Strainer;
import ration.model.Tee;

/** The symbol of each kind of item, round its centre; flow runs left to right. */
final class Symbols {

    private static final Pen OUTLINE = Pen.of(Ink.INK, 2);
    private static final Pen NO_PEN = Pen.of(Ink.NONE, 0);

    private Symbols() {
    }

    static double halfWidth(Item item) {
        if (item instanceof Selector) {
            return 18;
        }
        if (item instanceof Strainer) {
            return 21;
        }
        if (item instanceof EngineInlet) {
            return 31;
        }
        if (item instanceof Pump) {
            return 15;
        }
        if (item instanceof Header || item instanceof Filter || item instanceof CheckBlock) {
            return 17;
        }
        return item instanceof Tee ? 4 : 12;
    }

    static double halfHeight(Item item) {
        if (item instanceof Strainer) {
            return 8;
        }
        return item instanceof EngineInlet ? 20 : item instanceof CheckValve || item instanceof Orifice
                || item instanceof QuickDisconnect || item instanceof Filter ? 9
                : item instanceof Header ? 2 : item instanceof CheckBlock ? 15 : halfWidth(item);
    }

    /** How far below its centre a symbol reaches. */
    static double depth(Item item) {
        return item instanceof Strainer ? 50 : item instanceof EngineInlet ? 26
                : item instanceof Pump ? 22 : halfHeight(item);
    }

    static List<Mark> of(Item item, Spot c, Condition condition, Arrangement arrangement) {
        if (item instanceof Selector selector) {
            return selector(selector, c, condition, arrangement);
        }
        if (item instanceof ShutOff valve) {
            boolean shut = condition.shutValves().contains(valve.id());
            return List.of(new Disc(c, 12, Ink.PANEL, OUTLINE),
                    shut ? line(c.x(), c.y() - 11, c.x(), c.y() + 11, 5) : line(c.x() - 8, c.y(), c.x() + 8, c.y(), 3));
        }
        if (item instanceof Strainer strainer) {
            return strainer(strainer, c);
        }
        if (item instanceof CheckValve) {
            return List.of(new Box(c.x() - 12, c.y() - 9, 24, 18, 4, Ink.PANEL, OUTLINE),
                    line(c.x() - 4, c.y() - 8, c.x() - 4, c.y() + 8, 1.6), new Disc(new Spot(c.x() + 3, c.y()), 4.5,
                            Ink.INK, NO_PEN));
        }
        if (item instanceof Orifice) {
            return List.of(new Box(c.x() - 12, c.y() - 9, 24, 18, 4, Ink.PANEL, OUTLINE),
                    line(c.x(), c.y() - 9, c.x(), c.y() - 3, 3), line(c.x(), c.y() + 3, c.x(), c.y() + 9, 3));
        }
        if (item instanceof Pump pump) {
            return pump(pump, c, !condition.stopped().contains(pump.id()));
        }
        if (item instanceof Tee) {
            return List.of(new Disc(c, 5, Ink.INK, NO_PEN));
        }
        if (item instanceof EngineInlet inlet) {
            return inlet.style() == EngineInlet.Style.FLOAT ? carburettor(c) : injection(inlet, c);
        }
        return lineItem(item, c);
    }

    private static List<Mark> lineItem(Item item, Spot c) {
        double x = c.x();
        double y = c.y();
        Mark box = new Box(x - 12, y - 12, 24, 24, 4, Ink.PANEL, OUTLINE);
        if (item instanceof Filter) {
            return List.of(new Box(x - 17, y - 9, 34, 18, 9, Ink.PANEL, OUTLINE), new Path(List.of(new Spot(x, y - 8),
                    new Spot(x, y + 8)), false, Ink.NONE, Pen.of(Ink.INK, 1.6, 2.0, 2.0), 0));
        }
        if (item instanceof CheckBlock) {
            return List.of(new Box(x - 17, y - 15, 34, 30, 4, Ink.PANEL, OUTLINE),
                    line(x - 6, y - 12, x - 6, y - 2, 1.6), new Disc(new Spot(x, y - 7), 4, Ink.INK, NO_PEN),
                    line(x - 6, y + 2, x - 6, y + 12, 1.6), new Disc(new Spot(x, y + 7), 4, Ink.INK, NO_PEN));
        }
        if (item instanceof FlowSender) {
            return List.of(box, new Path(List.of(new Spot(x - 7, y + 3), new Spot(x - 6, y - 3), new Spot(x, y - 6),
                    new Spot(x + 6, y - 3), new Spot(x + 7, y + 3)), false, Ink.NONE, Pen.of(Ink.INK, 1.6), 3),
                    line(x, y + 3, x + 4, y - 3, 1.8));
        }
        if (item instanceof QuickDisconnect) {
            return List.of(new Box(x - 12, y - 9, 11, 18, 2, Ink.PANEL, OUTLINE),
                    new Box(x + 1, y - 9, 11, 18, 2, Ink.PANEL, OUTLINE));
        }
        if (item instanceof Regulator r) {
            Mark seat = r.style() == Regulator.Style.BYPASS ? line(x - 7, y + 4, x + 7, y + 4, 1.6)
                    : new Path(List.of(new Spot(x + 3, y + 4), new Spot(x + 8, y), new Spot(x + 8, y + 8)), true, Ink.INK,
                            NO_PEN, 0);
            return List.of(new Disc(c, 12, Ink.PANEL, OUTLINE), seat,
                    new Path(List.of(new Spot(x, y - 20), new Spot(x, y - 10), new Spot(x - 4, y - 7),
                            new Spot(x + 4, y - 4), new Spot(x - 4, y - 1), new Spot(x, y + 2)), false, Ink.NONE,
                            Pen.of(Ink.INK, 1.6), 0));
        }
        if (item instanceof JetPump) {
            return List.of(box, new Path(List.of(new Spot(x - 9, y - 5), new Spot(x, y - 2), new Spot(x, y + 2),
                    new Spot(x - 9, y + 5)), true, Ink.INK, NO_PEN, 0), new Path(List.of(new Spot(x + 1, y - 4),
                    new Spot(x + 10, y - 7)), false, Ink.NONE, Pen.of(Ink.INK, 1.6), 0), new Path(List.of(
                    new Spot(x + 1, y + 4), new Spot(x + 10, y + 7)), false, Ink.NONE, Pen.of(Ink.INK, 1.6), 0));
        }
        return item instanceof Header ? header(c, 26, 26) : List.of();
    }

    /** A header standing on its outlet, filled to a height. */
    static List<Mark> header(Spot outlet, double height, double filled) {
        double x = outlet.x();
        double y = outlet.y();
        double wet = Math.max(0, Math.min(height, filled));
        List<Mark> marks = new ArrayList<>();
        marks.add(new Box(x - 17, y - height, 34, height, 6, Ink.PANEL, NO_PEN));
        if (wet > 1) {
            marks.add(new Box(x - 16, y - wet, 32, wet, 5, Ink.FUEL_TINT, NO_PEN));
            marks.add(line(x - 16, y - wet, x + 16, y - wet, 1.8, Ink.FUEL));
        }
        marks.add(new Box(x - 17, y - height, 34, height, 6, Ink.NONE, OUTLINE));
        return marks;
    }

    /** Three jets; out of a rail they all leave one line. */
    private static List<Mark> injection(EngineInlet inlet, Spot c) {
        List<Mark> marks = new ArrayList<>();
        marks.add(new Box(c.x() - 31, c.y() - 20, 62, 40, 4, Ink.PANEL, OUTLINE));
        if (inlet.style() == EngineInlet.Style.RAIL) {
            marks.add(line(c.x() - 18, c.y() - 14, c.x() - 18, c.y() + 14, 4, Ink.FUEL));
        }
        for (int i = -1; i <= 1; i++) {
            double y = c.y() + 10 * i;
            marks.add(line(c.x() - 18, y, c.x() + 12, y, 1.8, Ink.FUEL));
            marks.add(new Path(List.of(new Spot(c.x() + 11, y - 4), new Spot(c.x() + 19, y), new Spot(c.x() + 11, y + 4)),
                    true, Ink.FUEL, NO_PEN, 0));
        }
        return marks;
    }

    /** Without a condition: as it looks at rest. */
    static List<Mark> alone(Fitted item, Spot c) {
        if (item instanceof Selector) {
            return List.of(new Disc(c, 18, Ink.PANEL, OUTLINE), line(c.x() - 17, c.y(), c.x(), c.y(), 6, Ink.FUEL),
                    new Disc(c, 6, Ink.INK, NO_PEN));
        }
        Spot centre = item instanceof Strainer ? new Spot(c.x(), c.y() - 8) : c;
        Condition rest = new Condition(new ration.condition.Attitude("Level", 0, 0), java.util.Map.of(),
                java.util.Map.of(), Set.of(), Set.of(), 288.15);
        return item instanceof Strainer s ? strainer(new Strainer(s.tag(), s.loss(), false), centre)
                : item instanceof Header ? header(new Spot(c.x(), c.y() + 14), 28, 20)
                : item instanceof EngineInlet e && e.style() != EngineInlet.Style.FLOAT ? injection(e, c)
                : item instanceof EngineInlet ? List.of(new Box(4, 12, 40, 28, 4, Ink.PANEL, OUTLINE),
                        new Box(5, 26, 38, 13, 3, Ink.FUEL_TINT, NO_PEN), new Box(15, 22, 18, 8, 4, Ink.PANEL,
                                Pen.of(Ink.INK, 1.6)))
                : of(item, centre, rest, null);
    }

    private static List<Mark> selector(Selector selector, Spot c, Condition condition, Arrangement arrangement) {
        List<Mark> marks = new ArrayList<>();
        marks.add(new Disc(c, 18, Ink.PANEL, OUTLINE));
        String chosen = condition.positions().getOrDefault(selector.id(), selector.positions().isEmpty() ? ""
                : selector.positions().get(0).name());
        List<List<String>> joins = selector.position(chosen).map(Selector.Position::joins).orElse(List.of());
        Set<String> open = new java.util.HashSet<>();
        joins.forEach(open::addAll);
        Spot beak = new Spot(c.x(), c.y() + 11);
        for (String port : selector.ports()) {
            Spot at = arrangement.port(new PortRef(selector.id(), port)).orElse(c);
            if (open.contains(port)) {
                marks.add(new Path(List.of(toward(c, at, 17), c), false, Ink.NONE, Pen.of(Ink.FUEL, 6), 0));
                beak = port.equals(Item.OUT) || !selector.inlets().contains(port) ? beak : toward(c, at, 12);
            } else {
                boolean sideways = Math.abs(at.x() - c.x()) > 1;
                Spot m = toward(c, at, 15.5);
                marks.add(sideways ? line(m.x(), m.y() - 7, m.x(), m.y() + 7, 3.5)
                        : line(m.x() - 7, m.y(), m.x() + 7, m.y(), 3.5));
            }
        }
        marks.add(new Disc(c, 6, Ink.INK, NO_PEN));
        double nx = (beak.y() - c.y()) / 12 * 5;
        double ny = -(beak.x() - c.x()) / 12 * 5;
        marks.add(new Path(List.of(beak, new Spot(c.x() + nx, c.y() + ny), new Spot(c.x() - nx, c.y() - ny)), true,
                Ink.INK, NO_PEN, 0));
        return marks;
    }

    private static Spot toward(Spot from, Spot to, double distance) {
        double d = Math.hypot(to.x() - from.x(), to.y() - from.y());
        return d == 0 ? from : new Spot(from.x() + (to.x() - from.x()) / d * distance,
                from.y() + (to.y() - from.y()) / d * distance);
    }

    private static List<Mark> strainer(Strainer strainer, Spot c) {
        List<Mark> marks = new ArrayList<>();
        double x = c.x();
        double y = c.y() + 8;
        marks.add(new Path(List.of(new Spot(x - 15, y), new Spot(x + 15, y), new Spot(x + 15, y + 14),
                new Spot(x + 10, y + 22), new Spot(x - 10, y + 22), new Spot(x - 15, y + 14)), true, Ink.FUEL_TINT,
                OUTLINE, 4));
        marks.add(new Path(List.of(new Spot(x - 8, y), new Spot(x - 8, y + 12), new Spot(x + 8, y + 12),
                new Spot(x + 8, y)), false, Ink.NONE, Pen.of(Ink.INK, 1.4, 2.0, 2.0), 0));
        marks.add(new Box(x - 21, c.y() - 8, 42, 16, 2, Ink.PANEL, OUTLINE));
        if (strainer.drain()) {
            marks.addAll(drain(new Spot(x, y + 23)));
        }
        return marks;
    }

    /** A teal stub with a solid head, downwards from a spot. */
    static List<Mark> drain(Spot top) {
        double y = top.y();
        return List.of(new Path(List.of(top, new Spot(top.x(), y + 14)), false, Ink.NONE, Pen.of(Ink.TEAL, 3), 0),
                new Path(List.of(new Spot(top.x() - 5, y + 12), new Spot(top.x() + 5, y + 12),
                        new Spot(top.x(), y + 21)), true, Ink.TEAL, NO_PEN, 0));
    }

    private static List<Mark> pump(Pump pump, Spot c, boolean running) {
        List<Mark> marks = new ArrayList<>();
        if (pump.drive() == Pump.Drive.ELECTRIC) {
            marks.add(line(c.x() - 5, c.y() - 14, c.x() - 5, c.y() - 22, 2));
            marks.add(line(c.x() + 5, c.y() - 14, c.x() + 5, c.y() - 22, 2));
        } else {
            marks.add(new Box(c.x() - 6, c.y() + 14, 12, 8, 0, Ink.INK, NO_PEN));
        }
        marks.add(new Disc(c, 15, Ink.PANEL, OUTLINE));
        marks.add(new Path(List.of(new Spot(c.x() - 6, c.y() - 9), new Spot(c.x() + 10, c.y()),
                new Spot(c.x() - 6, c.y() + 9)), true, running ? Ink.FUEL : Ink.PANEL,
                Pen.of(running ? Ink.FUEL : Ink.INK, 1.6), 0));
        return marks;
    }

    private static List<Mark> carburettor(Spot c) {
        double x = c.x();
        double y = c.y();
        return List.of(
                line(x + 5, y - 14, x + 5, y - 34, 2), line(x + 23, y - 14, x + 23, y - 34, 2),
                line(x + 14, y - 22, x + 14, y - 38, 1.6),
                new Path(List.of(new Spot(x + 10, y - 33), new Spot(x + 14, y - 39), new Spot(x + 18, y - 33)), false,
                        Ink.NONE, Pen.of(Ink.SOFT, 1.6), 0),
                new Box(x - 31, y - 14, 62, 40, 4, Ink.PANEL, OUTLINE),
                new Box(x - 30, y + 6, 60, 19, 3, Ink.FUEL_TINT, NO_PEN),
                line(x - 30, y + 6, x + 30, y + 6, 1.6, Ink.FUEL),
                line(x - 25, y - 4, x - 10, y + 3, 1.6),
                new Disc(new Spot(x - 25, y - 4), 2.6, Ink.INK, NO_PEN),
                new Box(x - 14, y + 1, 22, 9, 4.5, Ink.PANEL, Pen.of(Ink.INK, 1.6)));
    }

    private static Mark line(double x1, double y1, double x2, double y2, double width) {
        return line(x1, y1, x2, y2, width, Ink.INK);
    }

    private static Mark line(double x1, double y1, double x2, double y2, double width, Ink ink) {
        return new Path(List.of(new Spot(x1, y1), new Spot(x2, y2)), false, Ink.NONE, Pen.of(ink, width), 0);
    }
}
