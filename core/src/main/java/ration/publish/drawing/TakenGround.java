package ration.publish.drawing;

import java.util.List;
import java.util.OptionalDouble;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.publish.drawing.Mark.Spot;

/** Marks the ground that symbols, lines and the head line stand on, before labels look for room. */
final class TakenGround extends SchematicPart {

    /** Where the window lays the choice between the case as it runs and at most over the drawing, px. */
    private static final double REGIMES = 142;

    TakenGround(SchematicPart sheet) {
        super(sheet);
    }

    void takeGround() {
        ground.take(0, 0, RULER, view.height());
        ground.take(right(), 0, view.width(), view.height());
        boolean air = view.layers().air();
        if (!air) {
            ground.take(RULER, 0, RULER + REGIMES, 30);
        }
        for (Fitted item : system.all(Fitted.class).toList()) {
            Spot c = place.centre(item);
            ground.take(
                    c.x() - Symbols.halfWidth(item) - 2,
                    c.y() - Symbols.halfHeight(item) - 2,
                    c.x() + Symbols.halfWidth(item) + 2,
                    c.y() + Symbols.depth(item) + 2);
            item.only(Header.class)
                    .ifPresent(header -> ground.take(
                            c.x() - 19, c.y() - header.height().si() * place.scale() - 2, c.x() + 19, c.y() + 2));
            if (item.only(EngineInlet.class).isPresent() && !air) {
                ground.take(c.x() + 2, c.y() - 40, c.x() + 26, c.y());
                ground.take(c.x() - 22, c.y() + 42, c.x() + 112, c.y() + 62);
            }
        }
        for (Run run : system.runs()) {
            ground.takeWay(place.way(run), width(run));
        }
        for (Tank tank : system.tanks()) {
            double left = Double.MAX_VALUE;
            double r = -Double.MAX_VALUE;
            double top = Double.MAX_VALUE;
            double bottom = -Double.MAX_VALUE;
            for (Spot s : outline(tank)) {
                left = Math.min(left, s.x());
                r = Math.max(r, s.x());
                top = Math.min(top, s.y());
                bottom = Math.max(bottom, s.y());
            }
            double margin = tank.id().equals(subject.picked()) ? 10 : 0;
            ground.take(left - margin, top - margin, r + margin, bottom + margin);
        }
        takePicked();
        if (system.firewall().isPresent()) {
            ground.take(place.firewallX() - 6, 0, place.firewallX() + 6, view.height());
        }
        if (!air) {
            double engineTop = place.engineTop();
            ground.take(place.firewallX() + 20, engineTop, right(), engineTop + 134);
        }
        if (view.layers().headLine()) {
            takeHeadLine();
        }
    }

    /** The ground of the dimension from the picked item up to the head line. */
    private void takePicked() {
        picked().filter(i -> i.only(Tank.class).isEmpty() && i.ports().contains(Item.OUT))
                .ifPresent(i -> {
                    PortRef out = new PortRef(i.id(), Item.OUT);
                    OptionalDouble head = flow.map(f -> f.head(out)).orElse(OptionalDouble.empty());
                    place.port(out)
                            .filter(p -> head.isPresent() && view.layers().headLine() && headY(head.getAsDouble()) > 6)
                            .ifPresent(p -> ground.take(p.x() - 2, headY(head.getAsDouble()), p.x() + 8, p.y()));
                });
    }

    private void takeHeadLine() {
        List<Spot> spots = headSpots();
        for (int i = 0; i < spots.size(); i++) {
            Spot b = spots.get(i);
            ground.take(b.x() - 4, b.y() - 4, b.x() + 4, b.y() + 4);
            Spot a = spots.get(Math.max(0, i - 1));
            int parts = (int) (Math.hypot(b.x() - a.x(), b.y() - a.y()) / 8) + 1;
            for (int k = 1; k < parts; k++) {
                double x = a.x() + (b.x() - a.x()) * k / parts;
                double y = a.y() + (b.y() - a.y()) * k / parts;
                ground.take(x - 3, y - 3, x + 3, y + 3);
            }
        }
    }
}
