package ration.aircraft.model;

/** An item that sits in one place with its ports. */
public sealed interface Fitted extends Item
        permits Selector,
                ShutOff,
                Strainer,
                Filter,
                CheckBlock,
                FlowSender,
                GaugePort,
                QuickDisconnect,
                Bulkhead,
                Regulator,
                JetPump,
                Header,
                CheckValve,
                Orifice,
                Pump,
                Tee,
                VentPlenum,
                EngineInlet {
    Tag tag();

    /** The same item elsewhere or renamed. */
    Fitted with(Tag tag);

    @Override
    default String id() {
        return tag().id();
    }

    @Override
    default String name() {
        return tag().name();
    }

    @Override
    default Fitted renamed(String name) {
        return with(new Tag(id(), name, tag().place()));
    }

    default Place place() {
        return tag().place();
    }
}
