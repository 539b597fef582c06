package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.Run;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Tank;
import ration.base.geometry.ApparentGravity;
import ration.base.geometry.Point3;
import ration.physics.breathing.LowPoints;

/** True heights, fitted into a picture: every item in every attitude on offer lies in it. */
final class Heights {

    /** Room over and under what is highest and lowest; with the numbers of drains under it, px. */
    private static final double ROOM = 96;

    private static final double ROOM_FOR_DRAINS = 140;
    private static final double USUAL_SCALE = 8 / 0.0254;

    private final FuelSystem system;
    private final boolean air;
    private final ApparentGravity gravity;
    private final Point3 reference;
    private static final double LEAST_ROOM = 20;
    private final double scale;
    private final double zeroY;

    /** @param share of the picture they fit into: less where tanks would not fit side by side */
    Heights(SchematicSubject subject, SchematicView view, double share) {
        system = subject.system();
        air = view.layers().air();
        gravity = subject.condition().attitude().gravity();
        reference = system.inlet().map(i -> i.place().point()).orElse(new Point3(0, 0, 0));
        double low = -0.1;
        double high = 0.2;
        for (Attitude a : attitudes(subject)) {
            for (Point3 p : everyPoint()) {
                double h = a.gravity().height(p.minus(reference));
                low = Math.min(low, h);
                high = Math.max(high, h);
            }
        }
        // a pane not laid out yet may be lower than what frames the drawing: heights still go up
        double room = Math.max(LEAST_ROOM, view.height() - (air ? ROOM_FOR_DRAINS : ROOM));
        double fit = share * Math.min(2 * USUAL_SCALE, room / (high - low));
        if (view.upright().isPresent()) {
            scale = view.upright().get().scale();
            zeroY = view.upright().get().zeroY();
            return;
        }
        scale = fit * view.zoom();
        double spare = view.height() - fit * (high - low);
        double fittedZero = spare * 0.42 + fit * high;
        zeroY = view.height() / 2 + (fittedZero - view.height() / 2) * view.zoom() + view.panY();
    }

    /** Those it is drawn in: the ones on offer, and the one it lies in now. */
    static List<Attitude> attitudes(SchematicSubject subject) {
        List<Attitude> all = new ArrayList<>(subject.presets());
        all.add(subject.condition().attitude());
        return all;
    }

    private List<Point3> everyPoint() {
        List<Point3> points = new ArrayList<>();
        for (Item item : system.items()) {
            points.addAll(item.as(REACHES));
            points.addAll(air ? LowPoints.ventWay(system, item) : List.of());
        }
        return points;
    }

    /** What of an item must lie in the picture. */
    private static final SomeKinds<List<Point3>> REACHES = new SomeKinds<>() {
        @Override
        public List<Point3> otherwise(Item item) {
            return List.of(((Fitted) item).place().point());
        }

        @Override
        public List<Point3> header(Header header) {
            return List.of(
                    header.place().point(),
                    header.place().point().plus(new Point3(0, 0, header.height().si())));
        }

        @Override
        public List<Point3> tank(Tank tank) {
            double y = Arrangement.sectionButtLine(tank);
            List<Point3> all = new ArrayList<>(Arrangement.section(tank).stream()
                    .map(p -> new Point3(p.x(), y, p.z()))
                    .toList());
            tank.vent().map(Place::point).ifPresent(all::add);
            tank.returns().forEach(r -> all.add(r.place().point()));
            return all;
        }

        @Override
        public List<Point3> run(Run run) {
            return run.points().stream().map(Place::point).toList();
        }
    };

    /** Of several layouts drawn alike: the smallest scale of them, and one line for all their inlets. */
    static SchematicView.Upright common(List<SchematicSubject> all, SchematicView view) {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        double scale = Double.POSITIVE_INFINITY;
        for (SchematicSubject s : all) {
            Arrangement a = new Arrangement(s, view);
            scale = Math.min(scale, a.scale());
            high = Math.max(high, a.heightAt(0));
            low = Math.min(low, a.heightAt(view.height()));
        }
        // the heights that all of them leave round what they draw, in one picture
        double both = Math.min(scale, view.height() / (high - low));
        return new SchematicView.Upright(both, both * high + (view.height() - both * (high - low)) / 2);
    }

    double scale() {
        return scale;
    }

    /** y of a height over the engine inlet, m. */
    double y(double height) {
        return zeroY - height * scale;
    }

    double heightAt(double y) {
        return (zeroY - y) / scale;
    }

    /** Height over the engine inlet, m, of a point in aircraft axes. */
    double height(Point3 p) {
        return gravity.height(p.minus(reference));
    }

    /** y of a point in another attitude. */
    double y(Attitude a, Point3 p) {
        return zeroY - a.gravity().height(p.minus(reference)) * scale;
    }

    /** Height of the engine inlet over the datum along up, m. */
    double referenceHeight() {
        return gravity.height(reference);
    }

    /** The engine inlet. */
    Point3 reference() {
        return reference;
    }
}
