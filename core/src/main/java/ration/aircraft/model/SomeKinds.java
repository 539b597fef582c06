package ration.aircraft.model;

/**
 * Answers for some kinds and says one thing of all others. Only where the others cannot differ: a new kind falls under
 * {@link #otherwise} without a word.
 *
 * @param <R> what is answered
 */
public interface SomeKinds<R> extends Kinds<R> {

    /** The answer for every kind without a method of its own. */
    R otherwise(Item item);

    @Override
    default R tank(Tank item) {
        return otherwise(item);
    }

    @Override
    default R selector(Selector item) {
        return otherwise(item);
    }

    @Override
    default R shutOff(ShutOff item) {
        return otherwise(item);
    }

    @Override
    default R strainer(Strainer item) {
        return otherwise(item);
    }

    @Override
    default R filter(Filter item) {
        return otherwise(item);
    }

    @Override
    default R checkBlock(CheckBlock item) {
        return otherwise(item);
    }

    @Override
    default R flowSender(FlowSender item) {
        return otherwise(item);
    }

    @Override
    default R gaugePort(GaugePort item) {
        return otherwise(item);
    }

    @Override
    default R bulkhead(Bulkhead item) {
        return otherwise(item);
    }

    @Override
    default R quickDisconnect(QuickDisconnect item) {
        return otherwise(item);
    }

    @Override
    default R regulator(Regulator item) {
        return otherwise(item);
    }

    @Override
    default R jetPump(JetPump item) {
        return otherwise(item);
    }

    @Override
    default R header(Header item) {
        return otherwise(item);
    }

    @Override
    default R checkValve(CheckValve item) {
        return otherwise(item);
    }

    @Override
    default R orifice(Orifice item) {
        return otherwise(item);
    }

    @Override
    default R pump(Pump item) {
        return otherwise(item);
    }

    @Override
    default R tee(Tee item) {
        return otherwise(item);
    }

    @Override
    default R ventPlenum(VentPlenum item) {
        return otherwise(item);
    }

    @Override
    default R engineInlet(EngineInlet item) {
        return otherwise(item);
    }

    @Override
    default R run(Run item) {
        return otherwise(item);
    }
}
