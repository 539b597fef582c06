package ration.publish.drawing;

import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
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
 * The room a symbol takes round its centre, in drawing units.
 *
 * @param halfWidth to either side
 * @param halfHeight up, and down for what meets it there
 * @param depth how far below its centre it reaches
 */
record SymbolSize(double halfWidth, double halfHeight, double depth) {

    /** Of each kind. */
    static final Kinds<SymbolSize> OF = new Kinds<>() {
        @Override
        public SymbolSize tank(Tank item) {
            return new SymbolSize(12, 12, 12);
        }

        @Override
        public SymbolSize selector(Selector item) {
            return new SymbolSize(18, 18, 18);
        }

        @Override
        public SymbolSize shutOff(ShutOff item) {
            return new SymbolSize(12, 12, 12);
        }

        @Override
        public SymbolSize strainer(Strainer item) {
            return new SymbolSize(21, 8, 50);
        }

        @Override
        public SymbolSize filter(Filter item) {
            return new SymbolSize(17, 9, 9);
        }

        @Override
        public SymbolSize checkBlock(CheckBlock item) {
            return new SymbolSize(17, 15, 15);
        }

        @Override
        public SymbolSize flowSender(FlowSender item) {
            return new SymbolSize(12, 12, 12);
        }

        @Override
        public SymbolSize gaugePort(GaugePort item) {
            return new SymbolSize(9, 9, 9);
        }

        @Override
        public SymbolSize bulkhead(Bulkhead item) {
            return new SymbolSize(11, 10, 10);
        }

        @Override
        public SymbolSize quickDisconnect(QuickDisconnect item) {
            return new SymbolSize(12, 9, 9);
        }

        @Override
        public SymbolSize regulator(Regulator item) {
            return new SymbolSize(12, 12, 12);
        }

        @Override
        public SymbolSize jetPump(JetPump item) {
            return new SymbolSize(12, 12, 12);
        }

        @Override
        public SymbolSize header(Header item) {
            return new SymbolSize(17, 2, 2);
        }

        @Override
        public SymbolSize checkValve(CheckValve item) {
            return new SymbolSize(12, 9, 9);
        }

        @Override
        public SymbolSize orifice(Orifice item) {
            return new SymbolSize(12, 9, 9);
        }

        @Override
        public SymbolSize pump(Pump item) {
            return new SymbolSize(15, 15, 22);
        }

        @Override
        public SymbolSize tee(Tee item) {
            return new SymbolSize(4, 4, 4);
        }

        @Override
        public SymbolSize ventPlenum(VentPlenum item) {
            return new SymbolSize(14, 6, 6);
        }

        @Override
        public SymbolSize engineInlet(EngineInlet item) {
            return new SymbolSize(31, 20, 26);
        }

        @Override
        public SymbolSize run(Run item) {
            return new SymbolSize(12, 12, 12);
        }
    };
}
