package ration.aircraft.topology;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Kinds;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.PortRef;
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
import ration.aircraft.topology.Passage.What;

/** How the ports of each kind are joined inside. */
final class Passages implements Kinds<List<Passage>> {

    private static final Passages OF = new Passages();

    private Passages() {}

    static List<Passage> of(Item item) {
        return item.as(OF);
    }

    private static List<Passage> through(Item item, What what) {
        return star(item, List.of(Item.IN, Item.OUT), what, "");
    }

    /** All joined, by way of the first. */
    private static List<Passage> star(Item item, List<String> ports, What what, String position) {
        List<Passage> all = new ArrayList<>();
        for (int i = 1; i < ports.size(); i++) {
            all.add(new Passage(
                    new PortRef(item.id(), ports.get(0)), new PortRef(item.id(), ports.get(i)), what, position));
        }
        return all;
    }

    @Override
    public List<Passage> tank(Tank item) {
        return star(item, item.outlets().stream().map(Outlet::name).toList(), What.TANK, "");
    }

    @Override
    public List<Passage> selector(Selector item) {
        List<Passage> all = new ArrayList<>();
        item.positions().forEach(p -> p.joins().forEach(group -> all.addAll(joined(item, group, p.name()))));
        return all;
    }

    /** From each port that fuel comes in at to each it leaves by. */
    private static List<Passage> joined(Selector item, List<String> group, String position) {
        List<String> leaving = group.stream()
                .filter(p -> p.equals(Item.OUT) || item.returns().contains(p))
                .toList();
        List<String> arriving = group.stream().filter(p -> !leaving.contains(p)).toList();
        if (leaving.isEmpty() || arriving.isEmpty()) {
            return star(item, group, What.POSITION, position);
        }
        List<Passage> all = new ArrayList<>();
        for (String in : arriving) {
            for (String out : leaving) {
                all.add(new Passage(new PortRef(item.id(), in), new PortRef(item.id(), out), What.POSITION, position));
            }
        }
        return all;
    }

    @Override
    public List<Passage> shutOff(ShutOff item) {
        return through(item, What.SHUT_OFF);
    }

    @Override
    public List<Passage> strainer(Strainer item) {
        return through(item, What.BORE);
    }

    @Override
    public List<Passage> filter(Filter item) {
        return through(item, What.BORE);
    }

    @Override
    public List<Passage> checkBlock(CheckBlock item) {
        PortRef out = new PortRef(item.id(), Item.OUT);
        return List.of(
                new Passage(new PortRef(item.id(), Item.IN), out, What.CHECK),
                new Passage(new PortRef(item.id(), CheckBlock.SECOND), out, What.CHECK));
    }

    @Override
    public List<Passage> flowSender(FlowSender item) {
        return through(item, What.BORE);
    }

    @Override
    public List<Passage> gaugePort(GaugePort item) {
        return through(item, What.BORE);
    }

    @Override
    public List<Passage> bulkhead(Bulkhead item) {
        return through(item, What.BORE);
    }

    @Override
    public List<Passage> quickDisconnect(QuickDisconnect item) {
        return through(item, What.BORE);
    }

    @Override
    public List<Passage> regulator(Regulator item) {
        return through(item, item.style() == Regulator.Style.BYPASS ? What.BYPASS : What.REDUCER);
    }

    @Override
    public List<Passage> jetPump(JetPump item) {
        PortRef out = new PortRef(item.id(), Item.OUT);
        return List.of(
                new Passage(new PortRef(item.id(), Item.IN), out, What.BORE),
                new Passage(new PortRef(item.id(), JetPump.SUCTION), out, What.BORE));
    }

    @Override
    public List<Passage> header(Header item) {
        List<Passage> all = new ArrayList<>();
        for (String in : item.inlets()) {
            for (String out : item.ports()) {
                if (!item.inlets().contains(out)) {
                    all.add(new Passage(new PortRef(item.id(), in), new PortRef(item.id(), out), What.HEADER, ""));
                }
            }
        }
        return all;
    }

    @Override
    public List<Passage> checkValve(CheckValve item) {
        return through(item, What.CHECK);
    }

    @Override
    public List<Passage> orifice(Orifice item) {
        return through(item, What.BORE);
    }

    @Override
    public List<Passage> pump(Pump item) {
        return through(
                item,
                item.off().isEmpty() ? What.TIGHT_PUMP : item.build().checked() ? What.CHECKED_PUMP : What.FREE_PUMP);
    }

    @Override
    public List<Passage> tee(Tee item) {
        PortRef out = new PortRef(item.id(), Item.OUT);
        return List.of(
                new Passage(new PortRef(item.id(), Item.IN), out, What.BORE),
                new Passage(new PortRef(item.id(), Tee.BRANCH), out, What.BORE));
    }

    /** Air only. */
    @Override
    public List<Passage> ventPlenum(VentPlenum item) {
        return List.of();
    }

    @Override
    public List<Passage> engineInlet(EngineInlet item) {
        return star(item, item.ports(), What.RAIL, "");
    }

    @Override
    public List<Passage> run(Run item) {
        return List.of();
    }
}
