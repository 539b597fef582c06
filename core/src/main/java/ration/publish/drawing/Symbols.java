package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Kinds;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.QuickDisconnect;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.model.VentPlenum;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;

/** The symbol of each kind of item, round its centre; flow runs left to right. */
final class Symbols {

    private static final Pen OUTLINE = Pen.of(Ink.INK, 2);
    private static final Pen NO_PEN = Pen.of(Ink.NONE, 0);
    /** Half of a header's width, and of a tapered one's at its foot, px. */
    private static final double HEADER_HALF = 17;

    private static final double HEADER_FOOT = 8;

    private Symbols() {}

    static double halfWidth(Item item) {
        return item.as(SymbolSize.OF).halfWidth();
    }

    static double halfHeight(Item item) {
        return item.as(SymbolSize.OF).halfHeight();
    }

    /** How far below its centre a symbol reaches. */
    static double depth(Item item) {
        return item.as(SymbolSize.OF).depth();
    }

    static List<Mark> of(Item item, Spot c, Condition condition, Arrangement arrangement) {
        return item.as(new Drawn(c, condition, arrangement));
    }

    /** The marks of each kind; tanks and runs are drawn by their shapes and ways. */
    private static final class Drawn implements Kinds<List<Mark>> {

        private final Spot c;
        private final double x;
        private final double y;
        private final Mark box;
        private final Condition condition;
        private final Arrangement arrangement;

        Drawn(Spot c, Condition condition, Arrangement arrangement) {
            this.c = c;
            this.condition = condition;
            this.arrangement = arrangement;
            x = c.x();
            y = c.y();
            box = new Box(x - 12, y - 12, 24, 24, 4, Ink.PANEL, OUTLINE);
        }

        @Override
        public List<Mark> selector(Selector selector) {
            return Symbols.selector(selector, c, condition, arrangement);
        }

        @Override
        public List<Mark> shutOff(ShutOff valve) {
            boolean shut = condition.shutValves().contains(valve.id());
            return List.of(
                    new Disc(c, 12, Ink.PANEL, OUTLINE),
                    shut ? line(x, y - 11, x, y + 11, 5) : line(x - 8, y, x + 8, y, 3));
        }

        @Override
        public List<Mark> strainer(Strainer strainer) {
            return Symbols.strainer(strainer, c);
        }

        @Override
        public List<Mark> checkValve(CheckValve valve) {
            return List.of(
                    new Box(c.x() - 12, c.y() - 9, 24, 18, 4, Ink.PANEL, OUTLINE),
                    line(c.x() - 4, c.y() - 8, c.x() - 4, c.y() + 8, 1.6),
                    new Disc(new Spot(c.x() + 3, c.y()), 4.5, Ink.INK, NO_PEN));
        }

        @Override
        public List<Mark> orifice(Orifice orifice) {
            return List.of(
                    new Box(c.x() - 12, c.y() - 9, 24, 18, 4, Ink.PANEL, OUTLINE),
                    line(c.x(), c.y() - 9, c.x(), c.y() - 3, 3),
                    line(c.x(), c.y() + 3, c.x(), c.y() + 9, 3));
        }

        @Override
        public List<Mark> pump(Pump pump) {
            return Symbols.pump(pump, c, !condition.stopped().contains(pump.id()));
        }

        @Override
        public List<Mark> tee(Tee tee) {
            return List.of(new Disc(c, 5, Ink.INK, NO_PEN));
        }

        @Override
        public List<Mark> ventPlenum(VentPlenum plenum) {
            Pen lip = Pen.of(Ink.AIR, 1.8);
            return List.of(
                    new Box(x - 14, y - 6, 28, 12, 6, Ink.PANEL, Pen.of(Ink.AIR, 2)),
                    new Path(
                            List.of(new Spot(x + 14, y), new Spot(x + 26, y)),
                            false,
                            Ink.NONE,
                            Pen.of(Ink.AIR, 1.8, 4.0, 3.0),
                            0),
                    new Path(List.of(new Spot(x + 28, y - 4), new Spot(x + 34, y - 4)), false, Ink.NONE, lip, 0),
                    new Path(List.of(new Spot(x + 28, y + 4), new Spot(x + 34, y + 4)), false, Ink.NONE, lip, 0));
        }

        @Override
        public List<Mark> engineInlet(EngineInlet inlet) {
            return inlet.style() == EngineInlet.Style.FLOAT ? carburettor(c) : injection(inlet, c);
        }

        @Override
        public List<Mark> filter(Filter filter) {
            return List.of(
                    new Box(x - 17, y - 9, 34, 18, 9, Ink.PANEL, OUTLINE),
                    new Path(
                            List.of(new Spot(x, y - 8), new Spot(x, y + 8)),
                            false,
                            Ink.NONE,
                            Pen.of(Ink.INK, 1.6, 2.0, 2.0),
                            0));
        }

        @Override
        public List<Mark> checkBlock(CheckBlock block) {
            return List.of(
                    new Box(x - 17, y - 15, 34, 30, 4, Ink.PANEL, OUTLINE),
                    line(x - 6, y - 12, x - 6, y - 2, 1.6),
                    new Disc(new Spot(x, y - 7), 4, Ink.INK, NO_PEN),
                    line(x - 6, y + 2, x - 6, y + 12, 1.6),
                    new Disc(new Spot(x, y + 7), 4, Ink.INK, NO_PEN));
        }

        @Override
        public List<Mark> flowSender(FlowSender sender) {
            return List.of(
                    box,
                    new Path(
                            List.of(
                                    new Spot(x - 7, y + 3),
                                    new Spot(x - 6, y - 3),
                                    new Spot(x, y - 6),
                                    new Spot(x + 6, y - 3),
                                    new Spot(x + 7, y + 3)),
                            false,
                            Ink.NONE,
                            Pen.of(Ink.INK, 1.6),
                            3),
                    line(x, y + 3, x + 4, y - 3, 1.8));
        }

        @Override
        public List<Mark> gaugePort(GaugePort item) {
            Disc dial = new Disc(c, 9, Ink.PANEL, OUTLINE);
            return switch (item.shows()) {
                case PRESSURE ->
                    List.of(
                            dial,
                            line(x, y + 3, x + 4, y - 4, 1.8),
                            new Disc(new Spot(x, y + 3), 1.6, Ink.INK, NO_PEN));
                case TEMPERATURE ->
                    List.of(dial, line(x, y - 5, x, y + 2, 1.8), new Disc(new Spot(x, y + 3.5), 2.6, Ink.INK, NO_PEN));
                case NOTHING -> List.of(dial, line(x - 5, y, x + 5, y, 1.8));
                case SAMPLE -> {
                    List<Mark> marks = new ArrayList<>(drain(new Spot(x, y + 7)));
                    marks.add(dial);
                    yield marks;
                }
            };
        }

        /** A plate across the line with a nut on either side. */
        @Override
        public List<Mark> bulkhead(Bulkhead fitting) {
            return List.of(
                    new Box(x - 11, y - 5, 22, 10, 1, Ink.PANEL, OUTLINE),
                    new Box(x - 2.5, y - 10, 5, 20, 1, Ink.INK, OUTLINE));
        }

        @Override
        public List<Mark> quickDisconnect(QuickDisconnect coupling) {
            return List.of(
                    new Box(x - 12, y - 9, 11, 18, 2, Ink.PANEL, OUTLINE),
                    new Box(x + 1, y - 9, 11, 18, 2, Ink.PANEL, OUTLINE));
        }

        @Override
        public List<Mark> regulator(Regulator r) {
            Mark seat = r.style() == Regulator.Style.BYPASS
                    ? line(x - 7, y + 4, x + 7, y + 4, 1.6)
                    : new Path(
                            List.of(new Spot(x + 3, y + 4), new Spot(x + 8, y), new Spot(x + 8, y + 8)),
                            true,
                            Ink.INK,
                            NO_PEN,
                            0);
            return List.of(
                    new Disc(c, 12, Ink.PANEL, OUTLINE),
                    seat,
                    new Path(
                            List.of(
                                    new Spot(x, y - 20),
                                    new Spot(x, y - 10),
                                    new Spot(x - 4, y - 7),
                                    new Spot(x + 4, y - 4),
                                    new Spot(x - 4, y - 1),
                                    new Spot(x, y + 2)),
                            false,
                            Ink.NONE,
                            Pen.of(Ink.INK, 1.6),
                            0));
        }

        @Override
        public List<Mark> jetPump(JetPump jet) {
            return List.of(
                    box,
                    new Path(
                            List.of(
                                    new Spot(x - 9, y - 5),
                                    new Spot(x, y - 2),
                                    new Spot(x, y + 2),
                                    new Spot(x - 9, y + 5)),
                            true,
                            Ink.INK,
                            NO_PEN,
                            0),
                    new Path(
                            List.of(new Spot(x + 1, y - 4), new Spot(x + 10, y - 7)),
                            false,
                            Ink.NONE,
                            Pen.of(Ink.INK, 1.6),
                            0),
                    new Path(
                            List.of(new Spot(x + 1, y + 4), new Spot(x + 10, y + 7)),
                            false,
                            Ink.NONE,
                            Pen.of(Ink.INK, 1.6),
                            0));
        }

        @Override
        public List<Mark> header(Header header) {
            return Symbols.header(header.build().form(), c, 26, 26);
        }

        @Override
        public List<Mark> tank(Tank tank) {
            return List.of();
        }

        @Override
        public List<Mark> run(Run run) {
            return List.of();
        }
    }

    /** A header standing on its outlet, filled to a height. */
    static List<Mark> header(Header.Form form, Spot outlet, double height, double filled) {
        double x = outlet.x();
        double y = outlet.y();
        double wet = Math.max(0, Math.min(height, filled));
        List<Spot> sides = sides(form, outlet, height);
        List<Mark> marks = new ArrayList<>(List.of(new Path(sides, true, Ink.PANEL, NO_PEN, 0)));
        if (wet > 1) {
            List<Spot> full = Half.below(sides, y - wet);
            double[] span = Half.spanAcross(sides, y - wet + 0.01);
            marks.add(new Path(full, true, Ink.FUEL_TINT, NO_PEN, 0));
            if (span != null) {
                marks.add(line(span[0] + 1, y - wet, span[1] - 1, y - wet, 1.8, Ink.FUEL));
            }
        }
        marks.add(new Path(sides, true, Ink.NONE, OUTLINE, form == Header.Form.LYING ? 0 : 5));
        return marks;
    }

    /** Half of a header's width at a share of its height, px. */
    static double headerHalf(Header.Form form, double share) {
        return form == Header.Form.TAPERED ? HEADER_FOOT + (HEADER_HALF - HEADER_FOOT) * share : HEADER_HALF;
    }

    private static List<Spot> sides(Header.Form form, Spot foot, double height) {
        List<Spot> all = new ArrayList<>();
        int round = form == Header.Form.LYING ? 24 : 0;
        for (int i = 0; i < round; i++) {
            double a = 2 * Math.PI * i / round;
            all.add(new Spot(foot.x() + HEADER_HALF * Math.sin(a), foot.y() - height / 2 + height / 2 * Math.cos(a)));
        }
        for (double[] corner : round > 0 ? new double[0][] : new double[][] {{-1, 0}, {1, 0}, {1, 1}, {-1, 1}}) {
            all.add(new Spot(foot.x() + corner[0] * headerHalf(form, corner[1]), foot.y() - corner[1] * height));
        }
        return all;
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
            marks.add(new Path(
                    List.of(new Spot(c.x() + 11, y - 4), new Spot(c.x() + 19, y), new Spot(c.x() + 11, y + 4)),
                    true,
                    Ink.FUEL,
                    NO_PEN,
                    0));
        }
        return marks;
    }

    /** Without a condition: as it looks at rest. */
    static List<Mark> alone(Fitted item, Spot c) {
        Condition rest = new Condition(new Attitude("Level", 0, 0), Map.of(), Map.of(), Set.of(), Set.of(), 288.15);
        return item.as(new SomeKinds<List<Mark>>() {
            @Override
            public List<Mark> otherwise(Item other) {
                return of(other, c, rest, null);
            }

            @Override
            public List<Mark> selector(Selector selector) {
                return List.of(
                        new Disc(c, 18, Ink.PANEL, OUTLINE),
                        line(c.x() - 17, c.y(), c.x(), c.y(), 6, Ink.FUEL),
                        new Disc(c, 6, Ink.INK, NO_PEN));
            }

            @Override
            public List<Mark> strainer(Strainer s) {
                return Symbols.strainer(new Strainer(s.tag(), s.loss(), false), new Spot(c.x(), c.y() - 8));
            }

            @Override
            public List<Mark> header(Header header) {
                return Symbols.header(header.build().form(), new Spot(c.x(), c.y() + 14), 28, 20);
            }

            @Override
            public List<Mark> engineInlet(EngineInlet inlet) {
                return inlet.style() != EngineInlet.Style.FLOAT
                        ? injection(inlet, c)
                        : List.of(
                                new Box(4, 12, 40, 28, 4, Ink.PANEL, OUTLINE),
                                new Box(5, 26, 38, 13, 3, Ink.FUEL_TINT, NO_PEN),
                                new Box(15, 22, 18, 8, 4, Ink.PANEL, Pen.of(Ink.INK, 1.6)));
            }
        });
    }

    private static List<Mark> selector(Selector selector, Spot c, Condition condition, Arrangement arrangement) {
        List<Mark> marks = new ArrayList<>();
        marks.add(new Disc(c, 18, Ink.PANEL, OUTLINE));
        String chosen = condition
                .positions()
                .getOrDefault(
                        selector.id(),
                        selector.positions().isEmpty()
                                ? ""
                                : selector.positions().get(0).name());
        List<List<String>> joins =
                selector.position(chosen).map(Selector.Position::joins).orElse(List.of());
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
                marks.add(
                        sideways
                                ? line(m.x(), m.y() - 7, m.x(), m.y() + 7, 3.5)
                                : line(m.x() - 7, m.y(), m.x() + 7, m.y(), 3.5));
            }
        }
        marks.add(new Disc(c, 6, Ink.INK, NO_PEN));
        double nx = (beak.y() - c.y()) / 12 * 5;
        double ny = -(beak.x() - c.x()) / 12 * 5;
        marks.add(new Path(
                List.of(beak, new Spot(c.x() + nx, c.y() + ny), new Spot(c.x() - nx, c.y() - ny)),
                true,
                Ink.INK,
                NO_PEN,
                0));
        return marks;
    }

    private static Spot toward(Spot from, Spot to, double distance) {
        double d = Math.hypot(to.x() - from.x(), to.y() - from.y());
        return d == 0
                ? from
                : new Spot(
                        from.x() + (to.x() - from.x()) / d * distance, from.y() + (to.y() - from.y()) / d * distance);
    }

    private static List<Mark> strainer(Strainer strainer, Spot c) {
        List<Mark> marks = new ArrayList<>();
        double x = c.x();
        double y = c.y() + 8;
        marks.add(new Path(
                List.of(
                        new Spot(x - 15, y),
                        new Spot(x + 15, y),
                        new Spot(x + 15, y + 14),
                        new Spot(x + 10, y + 22),
                        new Spot(x - 10, y + 22),
                        new Spot(x - 15, y + 14)),
                true,
                Ink.FUEL_TINT,
                OUTLINE,
                4));
        marks.add(new Path(
                List.of(new Spot(x - 8, y), new Spot(x - 8, y + 12), new Spot(x + 8, y + 12), new Spot(x + 8, y)),
                false,
                Ink.NONE,
                Pen.of(Ink.INK, 1.4, 2.0, 2.0),
                0));
        marks.add(new Box(x - 21, c.y() - 8, 42, 16, 2, Ink.PANEL, OUTLINE));
        if (strainer.drain()) {
            marks.addAll(strainer.capped() ? port(new Spot(x, y + 23)) : drain(new Spot(x, y + 23)));
        }
        return marks;
    }

    /** A teal stub under a cap, downwards from a spot. */
    private static List<Mark> port(Spot top) {
        return List.of(
                new Path(List.of(top, new Spot(top.x(), top.y() + 8)), false, Ink.NONE, Pen.of(Ink.TEAL, 3), 0),
                new Box(top.x() - 6, top.y() + 8, 12, 6, 1, Ink.TEAL, NO_PEN));
    }

    /** A teal stub with a solid head, downwards from a spot. */
    static List<Mark> drain(Spot top) {
        double y = top.y();
        return List.of(
                new Path(List.of(top, new Spot(top.x(), y + 14)), false, Ink.NONE, Pen.of(Ink.TEAL, 3), 0),
                new Path(
                        List.of(
                                new Spot(top.x() - 5, y + 12),
                                new Spot(top.x() + 5, y + 12),
                                new Spot(top.x(), y + 21)),
                        true,
                        Ink.TEAL,
                        NO_PEN,
                        0));
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
        marks.add(new Path(
                List.of(new Spot(c.x() - 6, c.y() - 9), new Spot(c.x() + 10, c.y()), new Spot(c.x() - 6, c.y() + 9)),
                true,
                running ? Ink.FUEL : Ink.PANEL,
                Pen.of(running ? Ink.FUEL : Ink.INK, 1.6),
                0));
        return marks;
    }

    private static List<Mark> carburettor(Spot c) {
        double x = c.x();
        double y = c.y();
        return List.of(
                line(x + 5, y - 14, x + 5, y - 34, 2),
                line(x + 23, y - 14, x + 23, y - 34, 2),
                line(x + 14, y - 22, x + 14, y - 38, 1.6),
                new Path(
                        List.of(new Spot(x + 10, y - 33), new Spot(x + 14, y - 39), new Spot(x + 18, y - 33)),
                        false,
                        Ink.NONE,
                        Pen.of(Ink.SOFT, 1.6),
                        0),
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
