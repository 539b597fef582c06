package ration.physics.flow;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Kinds;
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

/**
 * In which ways each kind of part fails. Where a way is taken from, it says itself ({@link Kind#source}); what the
 * network cannot tell of one is asked all the same, and answered with Not shown.
 */
public final class WaysToFail implements Kinds<List<Kind>> {

    private static final WaysToFail WAYS = new WaysToFail();

    private WaysToFail() {}

    /** Of one part. */
    public static List<Kind> of(Item item) {
        return item.as(WAYS);
    }

    /** A joint or seal lets air in or fuel out, whatever else the part does. */
    private static List<Kind> leaking(Kind... more) {
        List<Kind> all = new ArrayList<>(List.of(more));
        all.add(Kind.AIR_LEAK);
        all.add(Kind.FUEL_LEAK);
        return all;
    }

    @Override
    public List<Kind> tank(Tank item) {
        List<Kind> all = new ArrayList<>(List.of(
                Kind.VENT_SHUT,
                Kind.VENT_HOLDS_LIQUID,
                Kind.CAP_LOST,
                Kind.OUTLET_CLOGGED,
                Kind.INDICATION_WRONG,
                Kind.FUEL_LEAK));
        if (item.fitout().ribs().stream()
                .flatMap(r -> r.openings().stream())
                .anyMatch(o -> o.passes() != Fitout.Passes.BOTH_WAYS)) {
            all.add(Kind.FLAPPER_STUCK);
        }
        return all;
    }

    @Override
    public List<Kind> selector(Selector item) {
        return leaking(Kind.SELECTOR_BETWEEN, Kind.SELECTOR_LEAKS, Kind.SELECTOR_STUCK);
    }

    @Override
    public List<Kind> shutOff(ShutOff item) {
        return leaking(Kind.VALVE_SHUT);
    }

    @Override
    public List<Kind> strainer(Strainer item) {
        return leaking(Kind.FILTER_FOULED, Kind.WATER);
    }

    @Override
    public List<Kind> filter(Filter item) {
        return leaking(Kind.FILTER_FOULED);
    }

    @Override
    public List<Kind> checkBlock(CheckBlock item) {
        return leaking(Kind.CHECK_STUCK_OPEN, Kind.CHECK_STUCK_SHUT);
    }

    @Override
    public List<Kind> flowSender(FlowSender item) {
        return leaking(Kind.SENDER_CLOGGED, Kind.INDICATION_FROZEN, Kind.INDICATION_WRONG);
    }

    @Override
    public List<Kind> gaugePort(GaugePort item) {
        return item.shows().needle() ? leaking(Kind.INDICATION_FROZEN, Kind.INDICATION_WRONG) : leaking();
    }

    @Override
    public List<Kind> bulkhead(Bulkhead item) {
        return leaking();
    }

    @Override
    public List<Kind> quickDisconnect(QuickDisconnect item) {
        return leaking(Kind.COUPLING_APART);
    }

    @Override
    public List<Kind> regulator(Regulator item) {
        return item.reference() == Regulator.Reference.MANIFOLD
                ? leaking(Kind.REGULATOR_STUCK_OPEN, Kind.REGULATOR_STUCK_SHUT, Kind.REFERENCE_OFF)
                : leaking(Kind.REGULATOR_STUCK_OPEN, Kind.REGULATOR_STUCK_SHUT);
    }

    @Override
    public List<Kind> jetPump(JetPump item) {
        return leaking(Kind.NOZZLE_CLOGGED);
    }

    @Override
    public List<Kind> header(Header item) {
        return item.vents().isEmpty() ? leaking() : leaking(Kind.VENT_SHUT);
    }

    @Override
    public List<Kind> checkValve(CheckValve item) {
        return leaking(Kind.CHECK_STUCK_OPEN, Kind.CHECK_STUCK_SHUT);
    }

    @Override
    public List<Kind> orifice(Orifice item) {
        return leaking(Kind.ORIFICE_CLOGGED);
    }

    @Override
    public List<Kind> pump(Pump item) {
        List<Kind> all = leaking(Kind.PUMP_DEAD, Kind.PUMP_WEAK);
        if (item.drive() == Pump.Drive.ELECTRIC) {
            all.add(Kind.SUPPLY_DEAD);
        }
        if (item.build().checked()) {
            all.add(Kind.CHECK_STUCK_OPEN);
        }
        if (item.build().relief().isPresent() || item.drive() == Pump.Drive.ELECTRIC) {
            all.add(Kind.RELIEF_STUCK_OPEN);
        }
        return all;
    }

    @Override
    public List<Kind> tee(Tee item) {
        return leaking();
    }

    @Override
    public List<Kind> ventPlenum(VentPlenum item) {
        return List.of(Kind.VENT_SHUT, Kind.VENT_HOLDS_LIQUID);
    }

    @Override
    public List<Kind> engineInlet(EngineInlet item) {
        return item.style() == EngineInlet.Style.FLOAT
                ? leaking(Kind.FUEL_VOLATILE, Kind.NEEDLE_STUCK_OPEN, Kind.NEEDLE_STUCK_SHUT)
                : leaking(Kind.FUEL_VOLATILE);
    }

    @Override
    public List<Kind> run(Run item) {
        return leaking(Kind.LINE_PINCHED, Kind.RETURN_BLOCKED);
    }
}
