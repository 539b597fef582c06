package ration.aircraft.model;

/**
 * A method for each kind of item. Who answers by kind implements this and hands it to {@link Item#as}: a new kind does
 * not compile until every such place knows it.
 *
 * @param <R> what is answered
 */
public interface Kinds<R> {

    R tank(Tank item);

    R selector(Selector item);

    R shutOff(ShutOff item);

    R strainer(Strainer item);

    R filter(Filter item);

    R checkBlock(CheckBlock item);

    R flowSender(FlowSender item);

    R gaugePort(GaugePort item);

    R quickDisconnect(QuickDisconnect item);

    R bulkhead(Bulkhead item);

    R regulator(Regulator item);

    R jetPump(JetPump item);

    R header(Header item);

    R checkValve(CheckValve item);

    R orifice(Orifice item);

    R pump(Pump item);

    R tee(Tee item);

    R ventPlenum(VentPlenum item);

    R engineInlet(EngineInlet item);

    R run(Run item);
}
