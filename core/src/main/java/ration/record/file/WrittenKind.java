package ration.record.file;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
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

/**
 * A kind of item as a file has it: its word, stable whatever it is called on the screen, and how it is read. A kind
 * that can be written stands here, and so can be read.
 */
enum WrittenKind {
    TANK("tank", (r, in) -> TankCodec.read(r.document(), in)),
    SELECTOR(
            "selector",
            (r, in) -> new Selector(
                    r.tag(in),
                    r.inlets(in, "inlets"),
                    in.has("returnPorts") ? r.inlets(in, "returnPorts") : List.of(),
                    in.list("positions", p -> {
                        Selector.Position position = new Selector.Position(p.text("name"), p.textLists("joins"));
                        p.keepUnknown();
                        return position;
                    }),
                    r.loss(in),
                    r.reach(in))),
    SHUT_OFF("shut-off", (r, in) -> new ShutOff(r.tag(in), r.loss(in), r.reach(in))),
    STRAINER(
            "strainer",
            (r, in) -> new Strainer(
                    r.tag(in),
                    r.loss(in),
                    in.optional("fouled", r.document()::rated),
                    in.flag("drain"),
                    in.optionalMeasured("bowl", Unit.CUBIC_INCH),
                    in.flag("capped"),
                    r.mesh(in))),
    FILTER(
            "filter",
            (r, in) -> new Filter(
                    r.tag(in),
                    in.list("rated", r.document()::rated),
                    in.optional("fouled", r.document()::rated),
                    r.mesh(in))),
    CHECK_BLOCK(
            "check-valve-block", (r, in) -> new CheckBlock(r.tag(in), in.measured("cracking", Unit.PSI), r.loss(in))),
    FLOW_SENDER("flow-sender", (r, in) -> new FlowSender(r.tag(in), r.loss(in))),
    GAUGE_PORT(
            "gauge-port",
            (r, in) -> new GaugePort(r.tag(in), r.document().choice(in, "shows", GaugePort.Shows.values()))),
    BULKHEAD("bulkhead", (r, in) -> new Bulkhead(r.tag(in), r.loss(in))),
    QUICK_DISCONNECT("quick-disconnect", (r, in) -> new QuickDisconnect(r.tag(in), r.loss(in))),
    BYPASS_REGULATOR("bypass-regulator", (r, in) -> r.regulator(in, Regulator.Style.BYPASS)),
    IN_LINE_REGULATOR("in-line-regulator", (r, in) -> r.regulator(in, Regulator.Style.IN_LINE)),
    JET_PUMP(
            "jet-pump",
            (r, in) -> new JetPump(
                    r.tag(in),
                    in.measured("nozzle", Unit.INCH),
                    in.measured("flowRatio", Unit.ONE),
                    in.measured("headRatio", Unit.ONE))),
    HEADER(
            "header-tank",
            (r, in) -> new Header(
                    r.tag(in),
                    in.measured("capacity", Unit.GALLON),
                    in.measured("height", Unit.INCH),
                    in.measured("inletRise", Unit.INCH),
                    new Header.Openings(r.inlets(in, "inlets"), r.outPorts(in), r.ventPorts(in)),
                    r.headerBuild(in))),
    CHECK_VALVE("check-valve", (r, in) -> new CheckValve(r.tag(in), in.measured("cracking", Unit.PSI), r.loss(in))),
    ORIFICE(
            "orifice",
            (r, in) -> new Orifice(r.tag(in), in.measured("bore", Unit.INCH), in.number("dischargeCoefficient", 0.65))),
    ELECTRIC_PUMP("electric-pump", (r, in) -> r.pump(in, Pump.Drive.ELECTRIC)),
    ENGINE_PUMP("engine-pump", (r, in) -> r.pump(in, Pump.Drive.ENGINE)),
    TEE("tee", (r, in) -> new Tee(r.tag(in), in.measured("bore", Unit.INCH))),
    VENT_PLENUM(
            "vent-plenum",
            (r, in) -> new VentPlenum(
                    r.tag(in),
                    TankCodec.ventLine(r.document(), in.object("ventLine")),
                    r.document().place(in.object("vent")))),
    FLOAT_CARBURETTOR("float-carburettor", (r, in) -> r.inlet(in, EngineInlet.Style.FLOAT)),
    INJECTION_SERVO("injection-servo", (r, in) -> r.inlet(in, EngineInlet.Style.SERVO)),
    INJECTION_RAIL("injection-rail", (r, in) -> r.inlet(in, EngineInlet.Style.RAIL)),
    RUN("run", (r, in) -> r.run(in));

    /** Reads an item of a kind. */
    @FunctionalInterface
    interface Reading {
        Item read(ItemReader reader, JsonObjectReader in);
    }

    private static final Of OF = new Of();

    private final String word;
    private final Reading reading;

    WrittenKind(String word, Reading reading) {
        this.word = word;
        this.reading = reading;
    }

    /** As a file has it. */
    String word() {
        return word;
    }

    Item read(ItemReader reader, JsonObjectReader in) {
        return reading.read(reader, in);
    }

    /** The kind of an item. */
    static WrittenKind of(Item item) {
        return item.as(OF);
    }

    /** The kind of a word; empty if this version knows none. */
    static Optional<WrittenKind> of(String word) {
        return Arrays.stream(values()).filter(k -> k.word.equals(word)).findFirst();
    }

    /** Asked of every kind. */
    private static final class Of implements Kinds<WrittenKind> {

        @Override
        public WrittenKind tank(Tank item) {
            return TANK;
        }

        @Override
        public WrittenKind selector(Selector item) {
            return SELECTOR;
        }

        @Override
        public WrittenKind shutOff(ShutOff item) {
            return SHUT_OFF;
        }

        @Override
        public WrittenKind strainer(Strainer item) {
            return STRAINER;
        }

        @Override
        public WrittenKind filter(Filter item) {
            return FILTER;
        }

        @Override
        public WrittenKind checkBlock(CheckBlock item) {
            return CHECK_BLOCK;
        }

        @Override
        public WrittenKind flowSender(FlowSender item) {
            return FLOW_SENDER;
        }

        @Override
        public WrittenKind gaugePort(GaugePort item) {
            return GAUGE_PORT;
        }

        @Override
        public WrittenKind bulkhead(Bulkhead item) {
            return BULKHEAD;
        }

        @Override
        public WrittenKind quickDisconnect(QuickDisconnect item) {
            return QUICK_DISCONNECT;
        }

        @Override
        public WrittenKind regulator(Regulator item) {
            return switch (item.style()) {
                case BYPASS -> BYPASS_REGULATOR;
                case IN_LINE -> IN_LINE_REGULATOR;
            };
        }

        @Override
        public WrittenKind jetPump(JetPump item) {
            return JET_PUMP;
        }

        @Override
        public WrittenKind header(Header item) {
            return HEADER;
        }

        @Override
        public WrittenKind checkValve(CheckValve item) {
            return CHECK_VALVE;
        }

        @Override
        public WrittenKind orifice(Orifice item) {
            return ORIFICE;
        }

        @Override
        public WrittenKind pump(Pump item) {
            return switch (item.drive()) {
                case ELECTRIC -> ELECTRIC_PUMP;
                case ENGINE -> ENGINE_PUMP;
            };
        }

        @Override
        public WrittenKind tee(Tee item) {
            return TEE;
        }

        @Override
        public WrittenKind ventPlenum(VentPlenum item) {
            return VENT_PLENUM;
        }

        @Override
        public WrittenKind engineInlet(EngineInlet item) {
            return switch (item.style()) {
                case FLOAT -> FLOAT_CARBURETTOR;
                case SERVO -> INJECTION_SERVO;
                case RAIL -> INJECTION_RAIL;
            };
        }

        @Override
        public WrittenKind run(Run item) {
            return RUN;
        }
    }
}
