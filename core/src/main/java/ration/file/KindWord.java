package ration.file;

import ration.model.Bulkhead;
import ration.model.CheckBlock;
import ration.model.CheckValve;
import ration.model.EngineInlet;
import ration.model.Filter;
import ration.model.FlowSender;
import ration.model.GaugePort;
import ration.model.Header;
import ration.model.JetPump;
import ration.model.Kinds;
import ration.model.Orifice;
import ration.model.Pump;
import ration.model.QuickDisconnect;
import ration.model.Regulator;
import ration.model.Run;
import ration.model.Selector;
import ration.model.ShutOff;
import ration.model.Strainer;
import ration.model.Tank;
import ration.model.Tee;
import ration.model.VentPlenum;

/** The word a kind is known by in a file: stable, whatever it is called on the screen. */
final class KindWord implements Kinds<String> {

    @Override
    public String tank(Tank item) {
        return "tank";
    }

    @Override
    public String selector(Selector item) {
        return "selector";
    }

    @Override
    public String shutOff(ShutOff item) {
        return "shut-off";
    }

    @Override
    public String strainer(Strainer item) {
        return "strainer";
    }

    @Override
    public String filter(Filter item) {
        return "filter";
    }

    @Override
    public String checkBlock(CheckBlock item) {
        return "check-valve-block";
    }

    @Override
    public String flowSender(FlowSender item) {
        return "flow-sender";
    }

    @Override
    public String gaugePort(GaugePort item) {
        return "gauge-port";
    }

    @Override
    public String bulkhead(Bulkhead item) {
        return "bulkhead";
    }

    @Override
    public String quickDisconnect(QuickDisconnect item) {
        return "quick-disconnect";
    }

    @Override
    public String regulator(Regulator item) {
        return switch (item.style()) {
            case BYPASS -> "bypass-regulator";
            case IN_LINE -> "in-line-regulator";
        };
    }

    @Override
    public String jetPump(JetPump item) {
        return "jet-pump";
    }

    @Override
    public String header(Header item) {
        return "header-tank";
    }

    @Override
    public String checkValve(CheckValve item) {
        return "check-valve";
    }

    @Override
    public String orifice(Orifice item) {
        return "orifice";
    }

    @Override
    public String pump(Pump item) {
        return switch (item.drive()) {
            case ELECTRIC -> "electric-pump";
            case ENGINE -> "engine-pump";
        };
    }

    @Override
    public String tee(Tee item) {
        return "tee";
    }

    @Override
    public String ventPlenum(VentPlenum item) {
        return "vent-plenum";
    }

    @Override
    public String engineInlet(EngineInlet item) {
        return switch (item.style()) {
            case FLOAT -> "float-carburettor";
            case SERVO -> "injection-servo";
            case RAIL -> "injection-rail";
        };
    }

    @Override
    public String run(Run item) {
        return "run";
    }
}
