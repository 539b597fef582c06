package ration.record.cost;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Kinds;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.Pump;
import ration.aircraft.model.QuickDisconnect;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.model.VentPlenum;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/**
 * What a whole layout takes by a list of costs: every line by the foot with two ends, and every part the list can name.
 * Tanks, headers, tees, jets, gauge ports and the engine are not in it: no list has one price for them.
 */
public final class LayoutParts {

    private LayoutParts() {}

    /** Of a layout, a line or part after the other. */
    public static List<Takes> of(FuelSystem system) {
        List<Takes> all = new ArrayList<>();
        Named named = new Named(system);
        for (Item item : system.items()) {
            all.addAll(item.as(named));
        }
        return all;
    }

    /** A whole layout in words: its sum, what is not in it, and where the prices are from. */
    public static String words(CostList list, FuelSystem system) {
        Bill bill = Bill.of(list, of(system));
        return "$" + UnitSystem.figure(bill.price(), 0) + ", " + UnitSystem.figure(bill.hours(), 1) + " h, "
                + UnitSystem.figure(bill.weightKg(), 1) + " kg, without tanks, headers and tees; prices "
                + String.join(", ", list.sources())
                + (bill.missing().isEmpty() ? "" : "; no price for " + String.join(", ", bill.missing()));
    }

    /** A size as a list names it. */
    public static String size(LineSize size) {
        return size.kind() == LineSize.Kind.HOSE ? size.label().replace(" hose", "") : size.shortName();
    }

    private record Named(FuelSystem system) implements Kinds<List<Takes>> {

        private static final List<Takes> NONE = List.of();

        @Override
        public List<Takes> run(Run run) {
            double feet = Unit.FOOT.fromSi(system.point(run.from())
                    .flatMap(a -> system.point(run.to()).map(b -> run.lengthM(a, b)))
                    .orElse(0.0));
            List<Takes> all = new ArrayList<>();
            if (feet > 0) {
                all.add(new Takes(Part.LINE, size(run.size()), feet));
                if (run.build().marks().sleeved()) {
                    all.add(new Takes(Part.SLEEVE, size(run.size()), feet));
                }
            }
            all.add(new Takes(Part.END, size(run.size()), 2));
            return all;
        }

        @Override
        public List<Takes> selector(Selector item) {
            return List.of(Takes.one(Part.SELECTOR));
        }

        @Override
        public List<Takes> shutOff(ShutOff item) {
            return List.of(Takes.one(Part.SHUT_OFF));
        }

        @Override
        public List<Takes> strainer(Strainer item) {
            return List.of(Takes.one(Part.STRAINER));
        }

        @Override
        public List<Takes> filter(Filter item) {
            return List.of(Takes.one(Part.FILTER));
        }

        @Override
        public List<Takes> checkValve(CheckValve item) {
            return List.of(Takes.one(Part.CHECK_VALVE));
        }

        @Override
        public List<Takes> checkBlock(CheckBlock item) {
            return List.of(Takes.one(Part.CHECK_VALVE));
        }

        @Override
        public List<Takes> flowSender(FlowSender item) {
            return List.of(Takes.one(Part.FLOW_SENDER));
        }

        @Override
        public List<Takes> bulkhead(Bulkhead item) {
            return List.of(Takes.one(Part.BULKHEAD));
        }

        @Override
        public List<Takes> quickDisconnect(QuickDisconnect item) {
            return List.of(Takes.one(Part.QUICK_DISCONNECT));
        }

        @Override
        public List<Takes> pump(Pump item) {
            return List.of(Takes.one(Part.PUMP));
        }

        @Override
        public List<Takes> regulator(Regulator item) {
            return List.of(Takes.one(Part.REGULATOR));
        }

        @Override
        public List<Takes> orifice(Orifice item) {
            return List.of(Takes.one(Part.ORIFICE));
        }

        @Override
        public List<Takes> tank(Tank item) {
            return NONE;
        }

        @Override
        public List<Takes> header(Header item) {
            return NONE;
        }

        @Override
        public List<Takes> tee(Tee item) {
            return NONE;
        }

        @Override
        public List<Takes> jetPump(JetPump item) {
            return NONE;
        }

        @Override
        public List<Takes> gaugePort(GaugePort item) {
            return item.shows() == GaugePort.Shows.SAMPLE ? List.of(Takes.one(Part.DRAIN_PORT)) : NONE;
        }

        @Override
        public List<Takes> ventPlenum(VentPlenum item) {
            return NONE;
        }

        @Override
        public List<Takes> engineInlet(EngineInlet item) {
            return NONE;
        }
    }
}
