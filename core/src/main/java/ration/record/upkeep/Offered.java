package ration.record.upkeep;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.Construction;
import ration.aircraft.model.Filter;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.plumbing.LineRules;

/**
 * A part of a layout that has a life and is not tracked yet: offered, and never dated. Which parts have one is common
 * practice, no source.
 *
 * @param name it would be called
 * @param item id of what it is, or sits on
 */
public record Offered(String name, String item, Part.Kind kind) {

    /** Of a layout, in its order, what is tracked left out. */
    public static List<Offered> of(FuelSystem system, Upkeep upkeep) {
        List<Offered> all = new ArrayList<>();
        for (Item i : system.items()) {
            for (Offered o : i.as(new Of())) {
                if (upkeep.parts().stream().noneMatch(p -> p.item().equals(o.item) && p.kind() == o.kind)) {
                    all.add(o);
                }
            }
        }
        return all;
    }

    /** With all of them tracked, of an age nobody knows: treated as due until it is said. */
    public static Upkeep all(FuelSystem system, Upkeep upkeep) {
        Upkeep now = upkeep;
        for (Offered o : of(system, upkeep)) {
            now = now.plus(o.name, o.item, o.kind, Optional.empty(), "");
        }
        return now;
    }

    /** What each kind has that ages. */
    private static final class Of implements SomeKinds<List<Offered>> {

        @Override
        public List<Offered> otherwise(Item item) {
            return List.of();
        }

        @Override
        public List<Offered> run(Run run) {
            Construction made = LineRules.construction(run);
            return !made.hose()
                    ? List.of()
                    : List.of(new Offered(
                            "Hose " + run.name(),
                            run.id(),
                            made == Construction.PTFE ? Part.Kind.PTFE_HOSE : Part.Kind.RUBBER_HOSE));
        }

        @Override
        public List<Offered> strainer(Strainer s) {
            return List.of(new Offered("Screen of " + s.name(), s.id(), Part.Kind.SCREEN));
        }

        @Override
        public List<Offered> filter(Filter f) {
            return List.of(new Offered("Element of " + f.name(), f.id(), Part.Kind.FILTER_ELEMENT));
        }

        @Override
        public List<Offered> selector(Selector s) {
            return List.of(new Offered("Seals of " + s.name(), s.id(), Part.Kind.SEALS));
        }

        @Override
        public List<Offered> shutOff(ShutOff v) {
            return List.of(new Offered("Seals of " + v.name(), v.id(), Part.Kind.SEALS));
        }

        @Override
        public List<Offered> pump(Pump p) {
            return List.of(new Offered(p.name(), p.id(), Part.Kind.PUMP));
        }

        @Override
        public List<Offered> flowSender(FlowSender s) {
            return List.of(new Offered(s.name(), s.id(), Part.Kind.SENDER));
        }

        @Override
        public List<Offered> gaugePort(GaugePort g) {
            return g.shows().needle() ? List.of(new Offered(g.name(), g.id(), Part.Kind.SENDER)) : List.of();
        }

        @Override
        public List<Offered> header(Header h) {
            return List.of(new Offered("Vent of " + h.name(), h.id(), Part.Kind.VENT));
        }

        @Override
        public List<Offered> tank(Tank t) {
            List<Offered> all = new ArrayList<>();
            if (t.vent().isPresent()) {
                all.add(new Offered("Vent of " + t.name(), t.id(), Part.Kind.VENT));
            }
            if (t.fitout().gauge().isPresent()) {
                all.add(new Offered("Sight tube of " + t.name(), t.id(), Part.Kind.SIGHT_TUBE));
            }
            if (t.fitout().has(Fitout.Piece.CAP_SEAL)) {
                all.add(new Offered("Cap seal of " + t.name(), t.id(), Part.Kind.CAP_SEAL));
            }
            if (t.fitout().has(Fitout.Piece.LEVEL_SENDER)) {
                all.add(new Offered("Level sender of " + t.name(), t.id(), Part.Kind.SENDER));
            }
            if (t.fitout().has(Fitout.Piece.ACCESS_PLATE)) {
                all.add(new Offered("Access plate of " + t.name(), t.id(), Part.Kind.PLATE));
            }
            return all;
        }
    }
}
