package ration.record.project;

import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Regulator;
import ration.aircraft.topology.Topology;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.record.project.PatternSheet.At;

/**
 * Layouts people start from, each complete enough to compute. Every figure in them is an estimate to be measured over;
 * engine, demand and delivery in the Brief follow the pattern.
 */
public enum Pattern {
    GRAVITY_SELECTOR("Two high tanks and a selector", "gravity, float carburetor, LEFT RIGHT BOTH OFF") {
        @Override
        FuelSystem system() {
            return high(new PatternSheet(), 0)
                    .selector(new At(52, 0, 40), true)
                    .strainer(new At(42, 0, 28))
                    .carburettor(INLET, 0.06)
                    .run("left-tank.outlet", "selector.left", THREE, 58)
                    .run("right-tank.outlet", "selector.right", THREE, 58)
                    .run("selector.out", "strainer.in", THREE, 18)
                    .run("strainer.out", "carburettor.in", HOSE, 20)
                    .system(WALL, 62, 24);
        }
    },
    GRAVITY_TEED("Two high tanks teed, one shutoff", "gravity, float carburetor, no selector") {
        @Override
        FuelSystem system() {
            return high(new PatternSheet(), 0)
                    .tee("Tee", new At(54, 0, 46))
                    .shutOff(new At(50, 0, 38))
                    .strainer(new At(42, 0, 28))
                    .carburettor(INLET, 0.06)
                    .run("left-tank.outlet", "tee.in", THREE, 54)
                    .run("right-tank.outlet", "tee.branch", THREE, 54)
                    .run("tee.out", "shut-off.in", THREE, 10)
                    .run("shut-off.out", "strainer.in", THREE, 14)
                    .run("strainer.out", "carburettor.in", HOSE, 20)
                    .system(WALL, 62, 24);
        }
    },
    GRAVITY_TWO_OUTLETS("High tanks with front and rear outlets", "gravity; feeds nose-up and nose-down") {
        @Override
        FuelSystem system() {
            return high(new PatternSheet(), 2)
                    .tee("Left tee", new At(56, -16, 60))
                    .tee("Right tee", new At(56, 16, 60))
                    .selector(new At(52, 0, 40), true)
                    .strainer(new At(42, 0, 28))
                    .carburettor(INLET, 0.06)
                    .run("left-tank.outlet", "left-tee.in", THREE, 18)
                    .run("left-tank.outlet-2", "left-tee.branch", THREE, 22)
                    .run("right-tank.outlet", "right-tee.in", THREE, 18)
                    .run("right-tank.outlet-2", "right-tee.branch", THREE, 22)
                    .run("left-tee.out", "selector.left", THREE, 34)
                    .run("right-tee.out", "selector.right", THREE, 34)
                    .run("selector.out", "strainer.in", THREE, 18)
                    .run("strainer.out", "carburettor.in", HOSE, 20)
                    .system(WALL, 62, 24);
        }
    },
    FUSELAGE_GRAVITY("Fuselage tank", "gravity, one tank with a sight tube, shutoff") {
        @Override
        FuelSystem system() {
            return new PatternSheet()
                    .tank("Fuselage tank", new At(50, 0, 54), new double[] {14, 24, 12}, new double[] {3})
                    .shutOff(new At(52, 0, 40))
                    .strainer(new At(42, 0, 28))
                    .carburettor(INLET, 0.06)
                    .run("fuselage-tank.outlet", "shut-off.in", THREE, 12)
                    .run("shut-off.out", "strainer.in", THREE, 18)
                    .run("strainer.out", "carburettor.in", HOSE, 20)
                    .system(WALL, 62, 24);
        }
    },
    HEADER_TWO_PUMPS(
            "High tanks to a header, two pumps",
            "electronic injection, return to the header, header vented to a" + " main tank") {
        @Override
        FuelSystem system() {
            return high(new PatternSheet(), 0, "vent-back")
                    .shutOff(new At(54, 0, 18))
                    .header("Header", new At(60, 0, 20), 2, 9, "in", "in-2", "return")
                    .pumpPair(new At(50, 0, 17))
                    .filter(new At(41, 0, 22))
                    .injection("Rail", INLET, RAIL, 40, 50, true)
                    .regulator(new At(32, 6, 42), Regulator.Style.BYPASS, 43.5)
                    .run("left-tank.outlet", "header.in", HALF, 70)
                    .run("right-tank.outlet", "header.in-2", HALF, 70)
                    .run("header.vent", "left-tank.vent-back", THREE, 70)
                    .run("header.out", "shut-off.in", HALF, 8)
                    .run("shut-off.out", "tee.in", HALF, 4)
                    .run("check-block.out", "filter.in", HOSE, 6)
                    .run("filter.out", "rail.in", HOSE, 24)
                    .run("rail.return", "regulator.in", HOSE, 8)
                    .run("regulator.out", "header.return", THREE, 44)
                    .system(WALL, 62, 12, "right-tank", "vent-back");
        }
    },
    COLLECTOR_PER_TANK(
            "A collector under each high tank", "each vented to its own main; selector, two pumps, no return") {
        @Override
        FuelSystem system() {
            return high(new PatternSheet(), 0, "vent-back")
                    .header("Left collector", new At(64, -20, 40), 0.67, 6, "in")
                    .header("Right collector", new At(64, 20, 40), 0.67, 6, "in")
                    .selector(new At(58, 0, 24), false)
                    .strainer(new At(54, 0, 18))
                    .pumpPair(new At(50, 0, 19))
                    .filter(new At(41, 0, 24))
                    .regulator(new At(34, 0, 32), Regulator.Style.IN_LINE, 43.5)
                    .injection("Rail", INLET, RAIL, 38, 50, false)
                    .run("left-tank.outlet", "left-collector.in", HALF, 32)
                    .run("right-tank.outlet", "right-collector.in", HALF, 32)
                    .run("left-collector.vent", "left-tank.vent-back", THREE, 36)
                    .run("right-collector.vent", "right-tank.vent-back", THREE, 36)
                    .run("left-collector.out", "selector.left", HALF, 32)
                    .run("right-collector.out", "selector.right", HALF, 32)
                    .run("selector.out", "strainer.in", HALF, 12)
                    .run("strainer.out", "tee.in", HALF, 6)
                    .run("check-block.out", "filter.in", HOSE, 8)
                    .run("filter.out", "regulator.in", HOSE, 20)
                    .run("regulator.out", "rail.in", HOSE, 10)
                    .system(WALL, 62, 12);
        }
    },
    BOOST_AND_ENGINE_PUMP(
            "Low tanks, boost and engine pump",
            "mechanical injection; duplex selector returns to the tank in" + " use") {
        @Override
        FuelSystem system() {
            return low(new PatternSheet(), "return")
                    .duplex(new At(60, 0, 24))
                    .strainer(new At(52, 0, 18))
                    .pump("Boost pump", new At(46, 0, 19), ELECTRIC, 26, 60, false)
                    .pump("Engine pump", new At(33, 0, 36), Pump.Drive.ENGINE, 28, 60, false)
                    .injection("Servo", INLET, EngineInlet.Style.SERVO, 14, 60, true)
                    .orifice("Vapor orifice", new At(33, 4, 41), 0.03)
                    .run("left-tank.outlet", "selector.left", HALF, 44)
                    .run("right-tank.outlet", "selector.right", HALF, 44)
                    .run("selector.out", "strainer.in", THREE, 14)
                    .run("strainer.out", "boost-pump.in", THREE, 10)
                    .run("boost-pump.out", "engine-pump.in", HOSE, 32)
                    .run("engine-pump.out", "servo.in", HOSE, 12)
                    .run("servo.return", "vapor-orifice.in", "-4 hose", 10)
                    .run("vapor-orifice.out", "selector.return", QUARTER, 46)
                    .run("selector.left-return", "left-tank.return", QUARTER, 60)
                    .run("selector.right-return", "right-tank.return", QUARTER, 60)
                    .system(WALL, 56, 12);
        }
    },
    TWO_PUMPS_PARALLEL(
            "Low tanks, two pumps side by side",
            "electronic injection, check-valve block, regulator before the" + " engine") {
        @Override
        FuelSystem system() {
            return low(new PatternSheet(), "return")
                    .duplex(new At(60, 0, 24))
                    .strainer(new At(54, 0, 18))
                    .pumpPair(new At(50, 0, 18))
                    .filter(new At(41, 0, 24))
                    .tee("Manifold", new At(34, 0, 38))
                    .regulator(new At(33, 5, 39), Regulator.Style.BYPASS, 43.5)
                    .injection("Rail", INLET, RAIL, 40, 50, false)
                    .run("left-tank.outlet", "selector.left", HALF, 44)
                    .run("right-tank.outlet", "selector.right", HALF, 44)
                    .run("selector.out", "strainer.in", HALF, 12)
                    .run("strainer.out", "tee.in", HALF, 6)
                    .run("check-block.out", "filter.in", HOSE, 8)
                    .run("filter.out", "manifold.in", HOSE, 22)
                    .run("manifold.out", "rail.in", HOSE, 8)
                    .run("manifold.branch", "regulator.in", HOSE, 6)
                    .run("regulator.out", "selector.return", THREE, 44)
                    .run("selector.left-return", "left-tank.return", THREE, 60)
                    .run("selector.right-return", "right-tank.return", THREE, 60)
                    .system(WALL, 56, 12);
        }
    },
    PUMP_MODULES(
            "A pump module in each low tank",
            "electronic injection, pumps under the fuel, regulated at the tank, no" + " return") {
        @Override
        FuelSystem system() {
            return low(new PatternSheet())
                    .pump("Left module", new At(77, -38, 20.5), ELECTRIC, 65, 45, true)
                    .pump("Right module", new At(77, 38, 20.5), ELECTRIC, 65, 45, true)
                    .checkBlock(new At(58, 0, 22))
                    .regulator(new At(54, 0, 22), Regulator.Style.IN_LINE, 43.5)
                    .filter(new At(48, 0, 24))
                    .shutOff(new At(44, 0, 26))
                    .injection("Rail", INLET, RAIL, 38, 50, false)
                    .run("left-tank.outlet", "left-module.in", HALF, 1)
                    .run("right-tank.outlet", "right-module.in", HALF, 1)
                    .run("left-module.out", "check-block.in", HOSE, 44)
                    .run("right-module.out", "check-block.in-2", HOSE, 44)
                    .run("check-block.out", "regulator.in", HOSE, 6)
                    .run("regulator.out", "filter.in", HOSE, 8)
                    .run("filter.out", "shut-off.in", HOSE, 6)
                    .run("shut-off.out", "rail.in", HOSE, 26)
                    .system(WALL, 56, 12);
        }
    },
    TRANSFER("Auxiliary tank with a transfer pump", "main tank overflows to the auxiliary; gravity feed") {
        @Override
        FuelSystem system() {
            return new PatternSheet()
                    .tank("Main tank", new At(60, 0, 62), new double[] {24, 24, 9}, new double[] {3}, "transfer")
                    .overflow("main-tank", 0.6)
                    .tank("Auxiliary tank", new At(84, 0, 20), new double[] {18, 20, 12}, new double[] {-2}, "overflow")
                    .pump("Transfer pump", new At(78, 0, 18), ELECTRIC, 5, 20, true)
                    .shutOff(new At(52, 0, 40))
                    .strainer(new At(42, 0, 28))
                    .carburettor(INLET, 0.06)
                    .run("auxiliary-tank.outlet", "transfer-pump.in", THREE, 6)
                    .run("transfer-pump.out", "main-tank.transfer", QUARTER, 60)
                    .run("main-tank.overflow", "auxiliary-tank.overflow", HALF, 60)
                    .run("main-tank.outlet", "shut-off.in", THREE, 30)
                    .run("shut-off.out", "strainer.in", THREE, 18)
                    .run("strainer.out", "carburettor.in", HOSE, 20)
                    .system(WALL, 62, 24);
        }
    },
    JET_COLLECTOR(
            "A jet pump keeps the collector full",
            "injection return drives it; it draws from the far end of the tank") {
        @Override
        FuelSystem system() {
            return new PatternSheet()
                    .tank("Wing tank", new At(74, 0, 24), new double[] {26, 24, 12}, new double[] {-8, 10}, "vent-back")
                    .unusable(3.5)
                    .header("Collector", new At(60, 0, 12), 1, 7, "in", "jet")
                    .shutOff(new At(56, 0, 13))
                    .pumpPair(new At(52, 0, 13))
                    .filter(new At(42, 0, 18))
                    .injection("Rail", INLET, RAIL, 40, 50, true)
                    .regulator(new At(32, 6, 42), Regulator.Style.BYPASS, 43.5)
                    .jet(new At(62, 0, 20))
                    .check("Flapper", new At(64, 0, 22))
                    .run("wing-tank.outlet", "flapper.in", "5/8 x 0.035 tube", 4)
                    .run("flapper.out", "collector.in", "5/8 x 0.035 tube", 6)
                    .run("collector.vent", "wing-tank.vent-back", THREE, 16)
                    .run("collector.out", "shut-off.in", HALF, 5)
                    .run("shut-off.out", "tee.in", HALF, 6)
                    .run("check-block.out", "filter.in", HOSE, 6)
                    .run("filter.out", "rail.in", HOSE, 24)
                    .run("rail.return", "regulator.in", HOSE, 8)
                    .run("regulator.out", "jet-pump.in", THREE, 40)
                    .run("wing-tank.outlet-2", "jet-pump.suction", THREE, 24)
                    .run("jet-pump.out", "collector.jet", THREE, 6)
                    .system(WALL, 56, 12);
        }
    },
    HULL_AND_PYLON(
            "Hull tank, lift pump and header",
            "the header runs over into the hull and feeds a carburetor by" + " gravity") {
        @Override
        FuelSystem system() {
            return new PatternSheet()
                    .tank("Hull tank", new At(90, 0, 16), new double[] {24, 24, 12}, new double[] {3}, "overflow")
                    .shutOff(new At(82, 0, 18))
                    .strainer(new At(78, 0, 14))
                    .pump("Lift pump", new At(74, 0, 16), ELECTRIC, 6, 34, false)
                    .pump("Standby pump", new At(70, 0, 16), ELECTRIC, 6, 34, false)
                    .header("Header", new At(72, 0, 70), 1.5, 9, "in")
                    .carburettor(new At(64, 0, 56), 0.1)
                    .run("hull-tank.outlet", "shut-off.in", THREE, 6)
                    .run("shut-off.out", "strainer.in", THREE, 6)
                    .run("strainer.out", "lift-pump.in", HOSE, 6)
                    .run("lift-pump.out", "standby-pump.in", HOSE, 6)
                    .run("standby-pump.out", "header.in", THREE, 70)
                    .run("header.vent", "hull-tank.overflow", HALF, 66)
                    .run("header.out", "carburettor.in", HOSE, 20)
                    .system(67, 76, 48);
        }
    };

    private static final At INLET = new At(32, 0, 40);
    private static final double WALL = 38;
    private static final String THREE = PatternSheet.THREE_EIGHTHS;
    private static final String HALF = PatternSheet.HALF;
    private static final String QUARTER = PatternSheet.QUARTER;
    private static final String HOSE = PatternSheet.HOSE;
    private static final Pump.Drive ELECTRIC = Pump.Drive.ELECTRIC;
    private static final EngineInlet.Style RAIL = EngineInlet.Style.RAIL;

    private final String label;
    private final String detail;

    Pattern(String label, String detail) {
        this.label = label;
        this.detail = detail;
    }

    public String label() {
        return label;
    }

    public String detail() {
        return detail;
    }

    abstract FuelSystem system();

    /** Two wing tanks over the cabin; rear outlets too if asked for. */
    private static PatternSheet high(PatternSheet s, int rear, String... returns) {
        double[] outlets = rear == 0 ? new double[] {3} : new double[] {-9, 9};
        return s.tank("Left tank", new At(64, -40, 72), new double[] {24, 24, 9}, outlets, returns)
                .tank("Right tank", new At(64, 40, 72), new double[] {24, 24, 9}, outlets, returns);
    }

    /** Two wing tanks under the cabin floor. */
    private static PatternSheet low(PatternSheet s, String... returns) {
        return s.tank("Left tank", new At(74, -40, 20), new double[] {24, 24, 9}, new double[] {3}, returns)
                .tank("Right tank", new At(74, 40, 20), new double[] {24, 24, 9}, new double[] {3}, returns);
    }

    /** A new document that starts from this layout. */
    public Project project() {
        FuelSystem system = system();
        EngineInlet inlet = system.inlet().orElseThrow();
        boolean pumped = !Topology.of(system).feedPumps().isEmpty();
        Brief brief = Brief.usual()
                .withDelivery(pumped ? Brief.Delivery.PUMP : Brief.Delivery.GRAVITY)
                .withEngine(inlet.kind())
                .withLowFuel(Quantity.of(2, Unit.GALLON));
        return new Project("New aircraft", "", brief, system, java.util.Map.of());
    }
}
