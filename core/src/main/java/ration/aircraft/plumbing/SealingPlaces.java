package ration.aircraft.plumbing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;

/** Every place of a layout that keeps fuel in by a seal: what can weep, and what can open. */
public final class SealingPlaces {

    private SealingPlaces() {}

    /** What seals there. */
    public enum Kind {
        LINE_END("Line end"),
        STEM("Stem and detents"),
        DRAIN("Drain"),
        BOWL("Bowl"),
        CAP("Filler cap"),
        SENDER_PLATE("Sender plate"),
        ACCESS_PLATE("Access plate"),
        SIGHT_TUBE("Sight tube end"),
        PORT_CAP("Cap or plug");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * One of them.
     *
     * @param key stable: r3.start, upper.cap
     * @param name for eyes
     * @param item id of the line or part it is of
     * @param at where, aircraft axes
     * @param port the port it is at; empty where it is at none
     */
    public record Place(String key, String name, String item, Kind kind, Point3 at, Optional<PortRef> port) {}

    /** Of a layout: line ends first, then part by part, in its order. */
    public static List<Place> of(FuelSystem system) {
        List<Place> all = new ArrayList<>();
        for (Run r : system.runs()) {
            end(system, r, "start", r.from(), all);
            end(system, r, "end", r.to(), all);
        }
        system.items().forEach(i -> all.addAll(i.as(new Of())));
        system.cappedPorts().forEach(port -> capped(system, port, all));
        return all;
    }

    private static void end(FuelSystem system, Run r, String which, PortRef port, List<Place> all) {
        system.point(port)
                .ifPresent(p -> all.add(new Place(
                        r.id() + "." + which,
                        r.name() + " at " + Portname.text(system, port),
                        r.id(),
                        Kind.LINE_END,
                        p,
                        Optional.of(port))));
    }

    private static void capped(FuelSystem system, PortRef port, List<Place> all) {
        system.point(port)
                .ifPresent(p -> all.add(new Place(
                        port.toString(),
                        Kind.PORT_CAP.label() + ", " + Portname.text(system, port),
                        port.item(),
                        Kind.PORT_CAP,
                        p,
                        Optional.of(port))));
    }

    /** What each kind has beside the ends of its lines. */
    private static final class Of implements SomeKinds<List<Place>> {

        @Override
        public List<Place> otherwise(Item item) {
            return List.of();
        }

        private static Place at(Fitted f, String which, Kind kind) {
            return new Place(
                    f.id() + "." + which,
                    kind.label() + " of " + f.name(),
                    f.id(),
                    kind,
                    f.place().point(),
                    f.ports().stream().findFirst().map(p -> new PortRef(f.id(), p)));
        }

        @Override
        public List<Place> selector(Selector s) {
            return List.of(at(s, "stem", Kind.STEM));
        }

        @Override
        public List<Place> shutOff(ShutOff v) {
            return List.of(at(v, "stem", Kind.STEM));
        }

        @Override
        public List<Place> strainer(Strainer s) {
            List<Place> all = new ArrayList<>(List.of(at(s, "bowl", Kind.BOWL)));
            if (s.drain()) {
                all.add(at(s, "drain", Kind.DRAIN));
            }
            return all;
        }

        @Override
        public List<Place> gaugePort(GaugePort g) {
            return g.shows() == GaugePort.Shows.SAMPLE ? List.of(at(g, "drain", Kind.DRAIN)) : List.of();
        }

        @Override
        public List<Place> header(Header h) {
            return h.drain() ? List.of(at(h, "drain", Kind.DRAIN)) : List.of();
        }

        @Override
        public List<Place> tank(Tank t) {
            List<Place> all = new ArrayList<>();
            t.drain().ifPresent(d -> all.add(of(t, "drain", Kind.DRAIN, d.point())));
            t.fitout().gauge().ifPresent(g -> all.add(of(t, "sight-tube", Kind.SIGHT_TUBE, g.point())));
            t.fitout().filler().ifPresent(f -> all.add(of(t, "cap", Kind.CAP, f.point())));
            Optional<Point3> low = t.outlets().stream()
                    .map(o -> o.place().point())
                    .min(java.util.Comparator.comparingDouble(Point3::z));
            low.ifPresent(p -> {
                if (t.fitout().has(Fitout.Piece.LEVEL_SENDER)) {
                    all.add(of(t, "sender", Kind.SENDER_PLATE, p));
                }
                if (t.fitout().has(Fitout.Piece.ACCESS_PLATE)) {
                    all.add(of(t, "plate", Kind.ACCESS_PLATE, p));
                }
            });
            return all;
        }

        /** Where a plate sits nobody entered: it is taken to be as low as the lowest outlet. */
        private static Place of(Tank t, String which, Kind kind, Point3 at) {
            return new Place(
                    t.id() + "." + which, kind.label() + " of " + t.name(), t.id(), kind, at, Optional.empty());
        }
    }
}
