package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.physics.flow.FlowAnswer;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;

/** Names, figures and pills, each at the first free place. */
final class Labels extends SchematicPart {

    /** A wider name is written in two lines, px. */
    private static final double LONG_NAME = 180;

    Labels(SchematicPart sheet) {
        super(sheet);
    }

    void labels(HeadLine headLine) {
        firewall();
        system.tanks().forEach(this::tankLabel);
        for (Fitted item : system.all(Fitted.class).toList()) {
            if (item.only(EngineInlet.class).isEmpty()) {
                itemLabel(item);
            }
        }
        headLine.headFigures();
        system.runs().forEach(this::runLabel);
    }

    void firewall() {
        system.firewall().ifPresent(w -> {
            double top =
                    place.y(place.height(new Point3(w.station().si(), 0, w.top().si())));
            double foot = place.y(
                    place.height(new Point3(w.station().si(), 0, w.foot().si())));
            double x = place.firewallX();
            List<Mark> marks = new ArrayList<>();
            marks.add(new Box(x - 4, top, 8, foot - top, 0, Ink.PANEL, Pen.of(Ink.SOFT, 1)));
            // only what is seen of it: a figure typed wrong may make it reach to the moon
            for (double y = Math.max(top + 1, -7); y + 7 <= Math.min(foot, view.height() + 7); y += 6) {
                marks.add(line(x - 4, y + 7, x + 4, y, Pen.of(Ink.SOFT, 1)));
            }
            piece("", Kind.GROUND, "", marks);
            double seen = Math.max(6, top);
            put(
                    "",
                    new TextBlock().line(TextBlock.soft("Firewall")),
                    List.of(
                            new Candidate(x - 11, seen, Anchor.END),
                            new Candidate(x - 11, seen + 18, Anchor.END),
                            new Candidate(x + 11, seen, Anchor.START),
                            new Candidate(x - 11, foot - 14, Anchor.END),
                            new Candidate(x + 11, foot - 14, Anchor.START)));
        });
    }

    /** A name; a long one in two lines, of which a free place takes more. */
    private TextBlock named(String name) {
        int middle = name.length() / 2;
        int after = name.indexOf(' ', middle);
        int before = name.lastIndexOf(' ', middle);
        int cut = after < 0 || before > 0 && middle - before <= after - middle ? before : after;
        return TextBlock.under(
                cut <= 0 || measure.width(name, 13, true) <= LONG_NAME
                        ? List.of(name)
                        : List.of(name.substring(0, cut), name.substring(cut + 1)));
    }

    private void tankLabel(Tank tank) {
        List<Spot> outline = outline(tank);
        double left = outline.stream().mapToDouble(Spot::x).min().orElse(0);
        double r = outline.stream().mapToDouble(Spot::x).max().orElse(0);
        double top = outline.stream().mapToDouble(Spot::y).min().orElse(0);
        double bottom = outline.stream().mapToDouble(Spot::y).max().orElse(0);
        double leftY = outline.stream()
                .min((a, b) -> Double.compare(a.x(), b.x()))
                .orElseThrow()
                .y();
        TextBlock block = named(tank.name()).line(TextBlock.body(contents(tank)));
        put(
                tank.id(),
                block,
                List.of(
                        new Candidate(left - 12, leftY - 16, Anchor.END),
                        new Candidate(left - 12, top, Anchor.END),
                        new Candidate(left, top - 42, Anchor.START),
                        new Candidate(left, top - 66, Anchor.START),
                        new Candidate(r + 14, top, Anchor.START),
                        new Candidate(r + 14, (top + bottom) / 2, Anchor.START),
                        new Candidate(left - 12, bottom - 30, Anchor.END),
                        new Candidate(left - 12, leftY + 24, Anchor.END),
                        new Candidate(left + 20, bottom - 10, Anchor.END),
                        new Candidate(left, top - 86, Anchor.START),
                        new Candidate(left - 40, top - 64, Anchor.START),
                        new Candidate(left - 70, top - 44, Anchor.START),
                        new Candidate(r + 14, top - 40, Anchor.START),
                        new Candidate(r + 14, bottom - 20, Anchor.START),
                        new Candidate(left, bottom + 28, Anchor.START)));
        for (Outlet outlet : tank.outlets()) {
            flow.map(f -> f.pressure(new PortRef(tank.id(), outlet.name())))
                    .filter(OptionalDouble::isPresent)
                    .filter(p -> system.runAt(new PortRef(tank.id(), outlet.name()))
                            .filter(run -> Math.abs(flow.get().flow(run.id())) > FlowAnswer.NO_FLOW)
                            .isPresent())
                    .ifPresent(p -> {
                        Spot at = foot(tank, outlet);
                        pill(
                                tank.id(),
                                p.getAsDouble(),
                                List.of(
                                        new Spot(at.x() + 46, at.y() + 14),
                                        new Spot(at.x() + 46, at.y() + 40),
                                        new Spot(at.x() - 46, at.y() + 14)));
                    });
        }
    }

    private void itemLabel(Fitted item) {
        Spot c = place.centre(item);
        double half = Symbols.halfWidth(item);
        TextBlock block = named(item.name());
        String state = item.as(new State());
        if (!state.isEmpty() && (!place.busy() || !state.equals("on") && !state.equals("open"))) {
            block.line(TextBlock.soft(state));
        }
        double below = c.y() + Symbols.depth(item) + 5;
        List<Candidate> candidates = new ArrayList<>();
        if (item.only(Strainer.class).isPresent()) {
            candidates.add(new Candidate(c.x() - half - 17, c.y() + 12, Anchor.END));
            candidates.add(new Candidate(c.x() + half + 17, c.y() + 12, Anchor.START));
        }
        candidates.add(new Candidate(c.x(), below, Anchor.MIDDLE));
        candidates.add(new Candidate(c.x() + 8, below, Anchor.START));
        candidates.add(new Candidate(c.x() - 8, below, Anchor.END));
        candidates.add(new Candidate(c.x(), c.y() - Symbols.halfHeight(item) - 8 - block.height(), Anchor.MIDDLE));
        candidates.add(new Candidate(c.x() + half + 8, c.y() + 10, Anchor.START));
        candidates.add(new Candidate(c.x() - half - 8, c.y() + 10, Anchor.END));
        put(item.id(), block, candidates);
        if (!item.id().equals(subject.picked())
                && item.ports().contains(Item.OUT)
                && item.as(new Pressed(place.busy()))) {
            flow.map(f -> f.pressure(new PortRef(item.id(), Item.OUT)))
                    .filter(OptionalDouble::isPresent)
                    .ifPresent(p -> pill(
                            item.id(),
                            p.getAsDouble(),
                            List.of(
                                    new Spot(c.x(), below + block.height() + 10),
                                    new Spot(c.x() + half + 34, c.y() + 22),
                                    new Spot(c.x() - half - 34, c.y() + 22))));
        }
    }

    /** Whether the pressure behind an item is written: in a busy drawing behind pumps alone. */
    private record Pressed(boolean busy) implements SomeKinds<Boolean> {
        @Override
        public Boolean otherwise(Item item) {
            return !busy;
        }

        @Override
        public Boolean pump(Pump pump) {
            return true;
        }

        @Override
        public Boolean strainer(Strainer strainer) {
            return false;
        }

        @Override
        public Boolean tee(Tee tee) {
            return false;
        }
    }

    /** How a handle or switch stands; nothing of what has none. */
    private final class State implements SomeKinds<String> {
        @Override
        public String otherwise(Item item) {
            return "";
        }

        @Override
        public String selector(Selector selector) {
            return "on " + position(selector);
        }

        @Override
        public String shutOff(ShutOff valve) {
            return subject.condition().shutValves().contains(valve.id()) ? "shut" : "open";
        }

        @Override
        public String pump(Pump pump) {
            return subject.condition().stopped().contains(pump.id()) ? "off" : "on";
        }
    }

    private void runLabel(Run run) {
        List<Spot> way = place.way(run);
        if (way.size() < 2) {
            return;
        }
        double length = run.lengthM(
                system.point(run.from()).orElseThrow(), system.point(run.to()).orElseThrow());
        TextBlock block = place.busy()
                ? new TextBlock().line(TextBlock.bold(run.name()))
                : new TextBlock()
                        .line(
                                TextBlock.bold(run.name() + "  "),
                                TextBlock.body(run.size().shortName() + " \u00b7 "
                                        + units.text(length, Dimension.LENGTH).replace(".0 ", " ")));
        double through = flow.map(f -> f.flow(run.id())).orElse(0.0);
        boolean end =
                system.item(run.from().item()).filter(Tank.class::isInstance).isPresent()
                        || system.item(run.to().item())
                                .filter(EngineInlet.class::isInstance)
                                .isPresent();
        if (Math.abs(through) <= FlowAnswer.NO_FLOW) {
            if (!place.busy()) {
                block.line(TextBlock.soft("no flow"));
            }
        } else if (end) {
            block.line(TextBlock.flow(units.text(Math.abs(through), Dimension.FLOW)));
        }
        int longest = 1;
        for (int i = 1; i < way.size(); i++) {
            if (span(way, i) > span(way, longest)) {
                longest = i;
            }
        }
        List<Candidate> candidates = new ArrayList<>();
        besideStraight(candidates, way, longest, block);
        for (int i = 1; i < way.size(); i++) {
            if (i != longest) {
                besideStraight(candidates, way, i, block);
            }
        }
        put(run.id(), block, candidates);
    }

    /** Above a level straight, left of a falling one, right of a rising one; the mirrored sides after. */
    static void besideStraight(List<Candidate> out, List<Spot> way, int i, TextBlock block) {
        Spot a = way.get(i - 1);
        Spot b = way.get(i);
        double mx = (a.x() + b.x()) / 2;
        double my = (a.y() + b.y()) / 2;
        if (Math.abs(a.x() - b.x()) > Math.abs(a.y() - b.y())) {
            out.add(new Candidate(mx, my - 10 - block.height(), Anchor.MIDDLE));
            out.add(new Candidate(mx, my + 9, Anchor.MIDDLE));
            out.add(new Candidate(Math.min(a.x(), b.x()) + 4, my - 10 - block.height(), Anchor.START));
            out.add(new Candidate(Math.max(a.x(), b.x()) - 4, my - 10 - block.height(), Anchor.END));
            out.add(new Candidate(Math.min(a.x(), b.x()) + 4, my + 9, Anchor.START));
            out.add(new Candidate(Math.max(a.x(), b.x()), my + 9, Anchor.START));
        } else {
            boolean falls = b.y() > a.y();
            for (double t : new double[] {0, -50, 50}) {
                out.add(new Candidate(mx - 14, my - block.height() / 2 + t, Anchor.END));
                out.add(new Candidate(mx + 14, my - block.height() / 2 + t, Anchor.START));
            }
            if (!falls) {
                out.add(0, out.remove(1));
            }
        }
    }
}
