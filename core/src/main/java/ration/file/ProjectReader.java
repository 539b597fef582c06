package ration.file;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import ration.acceptance.SignOff;
import ration.evidence.HangarTest;
import ration.flight.FlightPlan;
import ration.fluid.FuelGrade;
import ration.fluid.Volatility;
import ration.heat.Heat;
import ration.heat.HeatFigure;
import ration.heat.Zone;
import ration.model.Bulkhead;
import ration.model.CheckBlock;
import ration.model.CheckValve;
import ration.model.Construction;
import ration.model.EngineInlet;
import ration.model.Filter;
import ration.model.Firewall;
import ration.model.Fitting;
import ration.model.FlowSender;
import ration.model.FuelSystem;
import ration.model.GaugePort;
import ration.model.Header;
import ration.model.Item;
import ration.model.JetPump;
import ration.model.JointEnd;
import ration.model.LineSize;
import ration.model.Measured;
import ration.model.Orifice;
import ration.model.Place;
import ration.model.PortRef;
import ration.model.Pump;
import ration.model.QuickDisconnect;
import ration.model.Rated;
import ration.model.Regulator;
import ration.model.Run;
import ration.model.RunBuild;
import ration.model.Selector;
import ration.model.ShutOff;
import ration.model.Strainer;
import ration.model.Tag;
import ration.model.Tee;
import ration.model.VentPlenum;
import ration.project.Brief;
import ration.project.Practice;
import ration.project.Project;
import ration.quantity.Unit;
import ration.reading.Reading;
import ration.upkeep.Upkeep;

/** From JSON to a project. */
final class ProjectReader {

    private static final LineSize FALLBACK_SIZE = LineSize.usual().get(0);

    private final List<String> problems;
    private final Map<String, String> unknown = new TreeMap<>();

    ProjectReader(List<String> problems) {
        this.problems = problems;
    }

    Project read(com.fasterxml.jackson.databind.JsonNode root) {
        JsonObjectReader doc = new JsonObjectReader(root, "", problems, unknown);
        doc.text("format");
        doc.number("version", 1);
        String name = doc.text("name");
        String note = doc.text("note", "");
        Brief brief = brief(doc.object("brief"));
        FuelSystem system = system(doc.object("system"));
        List<HangarTest> tests = doc.has("tests") ? tests(doc) : List.of();
        Heat heat = doc.has("heat") ? heat(doc.object("heat"), brief) : Heat.usual(Volatility.usual(brief.fuel()));
        Optional<FlightPlan> flight = doc.optional("flight", f -> FlightCodec.read(this, f));
        List<Reading> readings = doc.has("readings") ? ReadingCodec.read(this, doc) : List.of();
        Upkeep upkeep = doc.optional("upkeep", UpkeepCodec::read).orElse(Upkeep.NONE);
        SignOff signOff = doc.optional("signOff", SignOffCodec::read).orElse(SignOff.NONE);
        doc.keepUnknown();
        return new Project(name, note, brief, system, tests, heat, new Project.Use(flight, readings, upkeep, signOff), unknown);
    }

    private List<HangarTest> tests(JsonObjectReader doc) {
        List<HangarTest> tests = doc.list("tests", t -> TestCodec.read(this, t));
        if (tests.stream().map(HangarTest::id).distinct().count() < tests.size()) {
            doc.problem("tests", "two tests have the same id.");
        }
        return tests;
    }

    private Heat heat(JsonObjectReader in, Brief brief) {
        Heat heat = Heat.usual(in.has("volatility") ? choice(in, "volatility", Volatility.values())
                : Volatility.usual(brief.fuel()));
        for (HeatFigure f : HeatFigure.values()) {
            if (in.has(ProjectWriter.word(f))) {
                try {
                    heat = heat.with(f, in.measured(ProjectWriter.word(f), f.unit()));
                } catch (IllegalArgumentException e) {
                    in.problem(ProjectWriter.word(f), e.getMessage());
                }
            }
        }
        if (in.has("zones")) {
            for (Object[] z : in.list("zones", z -> {
                Object[] one = {z.text("id"), choice(z, "zone", Zone.values())};
                z.keepUnknown();
                return one;
            })) {
                heat = heat.withZone((String) z[0], (Zone) z[1]);
            }
        }
        in.keepUnknown();
        return heat;
    }

    private Brief brief(JsonObjectReader in) {
        JsonObjectReader e = in.object("envelope");
        Brief.Envelope envelope = new Brief.Envelope(angle(e, "climb"), angle(e, "glide"), angle(e, "slip"),
                angle(e, "parked"));
        if (e.has("climbSlip")) {
            envelope = envelope.withClimbSlip(angle(e, "climbSlip"));
        }
        if (e.has("glideSlip")) {
            envelope = envelope.withGlideSlip(angle(e, "glideSlip"));
        }
        e.keepUnknown();
        Measured power = positive(in, "power", Unit.HORSEPOWER);
        Measured consumption = positive(in, "specificConsumption", Unit.POUND_PER_HORSEPOWER_HOUR);
        Measured temperature = in.measured("fuelTemperature", Unit.CELSIUS);
        if (temperature.si() < 220 || temperature.si() > 350) {
            in.problem("fuelTemperature", "it must lie between \u221253 and 77 \u00b0C.");
            temperature = Measured.of(15, Unit.CELSIUS);
        }
        Brief brief = new Brief(in.text("engine", ""),
                choice(in, "delivery", Brief.Delivery.values()), power, consumption, envelope,
                FuelGrade.labelled(in.text("fuel")).orElseGet(() -> {
                    in.problem("fuel", "the grade is not known. Known: 100LL, Motor gasoline.");
                    return FuelGrade.AVGAS_100LL;
                }), temperature, in.measured("lowFuel", Unit.GALLON),
                new Brief.Choices(choice(in, "basis", Brief.Basis.values()), choice(in, "friction", Brief.Friction.values()),
                        in.optional("practice", this::practice).orElse(Practice.USUAL)));
        in.keepUnknown();
        return brief;
    }

    private Practice practice(JsonObjectReader in) {
        Practice p = Practice.USUAL;
        try {
            p = new Practice(in.measured("fouledFactor", Unit.ONE), in.measured("takeOffRun", Unit.ONE), in.measured("pushOver",
                    Unit.ONE), in.measured("gust", Unit.ONE), in.measured("coldFuel", Unit.CELSIUS), new Practice.Asks(in.flag(
                    "takeOffRunMustHold"), in.flag("pushOverMustHold"), in.flag("gustMustHold"), !in.has("smearPasses") || in.flag("smearPasses")));
        } catch (IllegalArgumentException e) {
            in.problem("", e.getMessage());
        }
        in.keepUnknown();
        return p;
    }

    private Measured angle(JsonObjectReader in, String field) {
        Measured m = in.measured(field, Unit.DEGREE);
        if (Math.abs(m.si()) > Math.toRadians(60)) {
            in.problem(field, "an attitude lies within 60\u00b0.");
            return Measured.of(0, Unit.DEGREE);
        }
        return m;
    }

    private Measured positive(JsonObjectReader in, String field, Unit unit) {
        Measured m = in.measured(field, unit);
        if (!(m.si() > 0)) {
            in.problem(field, "it must be above zero.");
            return Measured.of(1, unit);
        }
        return m;
    }

    <E extends Enum<E>> E choice(JsonObjectReader in, String field, E[] values) {
        String written = in.text(field);
        for (E value : values) {
            if (ProjectWriter.word(value).equals(written)) {
                return value;
            }
        }
        List<String> words = new ArrayList<>();
        for (E value : values) {
            words.add(ProjectWriter.word(value));
        }
        in.problem(field, "\u201c" + written + "\u201d is not known. Known: " + String.join(", ", words) + ".");
        return values[0];
    }

    private FuelSystem system(JsonObjectReader in) {
        Optional<Firewall> wall = in.optional("firewall", w -> {
            Firewall f = new Firewall(w.measured("station", Unit.INCH), w.measured("top", Unit.INCH),
                    w.measured("foot", Unit.INCH));
            w.keepUnknown();
            return f;
        });
        List<Item> items = in.list("items", this::item).stream().flatMap(Optional::stream).toList();
        Map<String, Double> shifts = in.has("shifts") ? in.numbers("shifts", -FuelSystem.MOST_SHIFT, FuelSystem.MOST_SHIFT) : Map.of();
        in.keepUnknown();
        FuelSystem system = new FuelSystem(items, wall);
        for (Map.Entry<String, Double> s : shifts.entrySet()) {
            system = system.shifted(s.getKey(), s.getValue());
        }
        return system;
    }

    private Optional<Item> item(JsonObjectReader in) {
        Item item = switch (in.text("kind")) {
            case "tank" -> TankCodec.read(this, in);
            case "selector" -> new Selector(tag(in), inlets(in, "inlets"),
                    in.has("returnPorts") ? inlets(in, "returnPorts") : List.of(), in.list("positions", p -> {
                        Selector.Position position = new Selector.Position(p.text("name"), p.textLists("joins"));
                        p.keepUnknown();
                        return position;
                    }), rated(in.object("loss")));
            case "shut-off" -> new ShutOff(tag(in), rated(in.object("loss")));
            case "strainer" -> new Strainer(tag(in), rated(in.object("loss")),
                    in.optional("fouled", this::rated), in.flag("drain"), in.optionalMeasured("bowl", Unit.CUBIC_INCH), in.flag("capped"));
            case "filter" -> new Filter(tag(in), in.list("rated", this::rated),
                    in.optional("fouled", this::rated));
            case "check-valve-block" -> new CheckBlock(tag(in), in.measured("cracking", Unit.PSI),
                    rated(in.object("loss")));
            case "flow-sender" -> new FlowSender(tag(in), rated(in.object("loss")));
            case "gauge-port" -> new GaugePort(tag(in), choice(in, "shows", GaugePort.Shows.values()));
            case "bulkhead" -> new Bulkhead(tag(in), rated(in.object("loss")));
            case "quick-disconnect" -> new QuickDisconnect(tag(in), rated(in.object("loss")));
            case "bypass-regulator" -> regulator(in, Regulator.Style.BYPASS);
            case "in-line-regulator" -> regulator(in, Regulator.Style.IN_LINE);
            case "jet-pump" -> new JetPump(tag(in), in.measured("nozzle", Unit.INCH), in.measured("flowRatio", Unit.ONE),
                    in.measured("headRatio", Unit.ONE));
            case "header-tank" -> new Header(tag(in), in.measured("capacity", Unit.GALLON),
                    in.measured("height", Unit.INCH), in.measured("inletRise", Unit.INCH), new Header.Openings(inlets(in, "inlets"),
                    outPorts(in)), in.flag("drain"));
            case "check-valve" -> new CheckValve(tag(in), in.measured("cracking", Unit.PSI),
                    rated(in.object("loss")));
            case "orifice" -> new Orifice(tag(in), in.measured("bore", Unit.INCH),
                    in.number("dischargeCoefficient", 0.65));
            case "electric-pump" -> pump(in, Pump.Drive.ELECTRIC);
            case "engine-pump" -> pump(in, Pump.Drive.ENGINE);
            case "tee" -> new Tee(tag(in), in.measured("bore", Unit.INCH));
            case "vent-plenum" -> new VentPlenum(tag(in), TankCodec.ventLine(this, in.object("ventLine")), place(in.object("vent")));
            case "float-carburettor" -> inlet(in, EngineInlet.Style.FLOAT);
            case "injection-servo" -> inlet(in, EngineInlet.Style.SERVO);
            case "injection-rail" -> inlet(in, EngineInlet.Style.RAIL);
            case "run" -> run(in);
            default -> {
                in.problem("kind", "this kind of item is not known to this version.");
                yield null;
            }
        };
        in.keepUnknown();
        return Optional.ofNullable(item);
    }

    /** A text that other parts of the document refer to: never empty. */
    String mark(JsonObjectReader in, String field) {
        String text = in.text(field);
        if (text.isBlank()) {
            in.problem(field, "it must not be empty.");
        }
        return text;
    }

    private Regulator regulator(JsonObjectReader in, Regulator.Style style) {
        return new Regulator(tag(in), style, choice(in, "reference", Regulator.Reference.values()),
                in.measured("setting", Unit.PSI), rated(in.object("loss")));
    }

    private EngineInlet inlet(JsonObjectReader in, EngineInlet.Style style) {
        Measured seat = style == EngineInlet.Style.FLOAT ? in.measured("seat", Unit.INCH)
                : in.optionalMeasured("seat", Unit.INCH).orElse(Measured.of(0.25, Unit.INCH, "estimate"));
        return new EngineInlet(tag(in), style, seat, in.measured("minimumPressure", Unit.PSI),
                in.optionalMeasured("maximumPressure", Unit.PSI), in.flag("returns"));
    }

    private RunBuild build(JsonObjectReader in) {
        RunBuild build = RunBuild.NONE.with(in.has("construction")
                ? Optional.of(choice(in, "construction", Construction.values())) : Optional.empty());
        for (RunBuild.Figure figure : RunBuild.Figure.values()) {
            build = build.with(figure, in.optionalMeasured(ProjectWriter.word(figure),
                    figure == RunBuild.Figure.TORQUE ? Unit.POUND_INCH : Unit.INCH));
        }
        build = build.with(new RunBuild.Marks(in.flag("sleeved"), in.flag("moving"), in.flag("temporary")))
                .withStart(in.optional("start", this::end).orElse(RunBuild.End.NONE))
                .withEnd(in.optional("end", this::end).orElse(RunBuild.End.NONE)).with(in.optional("papers", this::papers).orElse(RunBuild.Papers.NONE));
        in.keepUnknown();
        return build;
    }

    private RunBuild.Papers papers(JsonObjectReader in) {
        RunBuild.Papers papers = new RunBuild.Papers(in.text("clamp", ""), in.text("part", ""), in.text("lot", ""), in.text("made", ""), in.optionalMeasured("proof", Unit.PSI), in.text(
                "proofed", ""), in.flag("stripe"), in.text("initials", ""));
        in.keepUnknown();
        return papers;
    }

    private RunBuild.End end(JsonObjectReader in) {
        RunBuild.End end = new RunBuild.End(joint(in, "fitting"), joint(in, "port"), in.has("family")
                ? Optional.of(choice(in, "family", Construction.values())) : Optional.empty(),
                in.text("adapter", ""), in.text("sealant", ""));
        in.keepUnknown();
        return end;
    }

    private Optional<JointEnd> joint(JsonObjectReader in, String field) {
        if (!in.has(field)) {
            return Optional.empty();
        }
        try {
            return Optional.of(JointEnd.parse(in.text(field)));
        } catch (IllegalArgumentException e) {
            in.problem(field, e.getMessage());
            return Optional.empty();
        }
    }

    private List<String> inlets(JsonObjectReader in, String field) {
        List<String> inlets = in.texts(field);
        if (inlets.stream().anyMatch(String::isBlank)) {
            in.problem(field, "a port must have a name.");
        }
        return inlets;
    }

    /** Of a header: one, unless several are named. */
    private List<String> outPorts(JsonObjectReader in) {
        List<String> named = inlets(in, "outPorts");
        return named.isEmpty() ? List.of(Item.OUT) : named;
    }

    private Tag tag(JsonObjectReader in) {
        return new Tag(mark(in, "id"), in.text("name"), place(in.object("at")));
    }

    Place place(JsonObjectReader in) {
        Place place = new Place(in.measured("station", Unit.INCH), in.measured("buttLine", Unit.INCH),
                in.measured("waterLine", Unit.INCH));
        in.keepUnknown();
        return place;
    }

    Rated rated(JsonObjectReader in) {
        Rated rated = new Rated(in.measured("flow", Unit.GALLON_PER_HOUR), in.measured("loss", Unit.PSI));
        in.keepUnknown();
        return rated;
    }

    private Pump pump(JsonObjectReader in, Pump.Drive drive) {
        return new Pump(tag(in), drive, in.list("curve", p -> {
            Pump.CurvePoint point = new Pump.CurvePoint(p.measured("flow", Unit.GALLON_PER_HOUR),
                    p.measured("pressure", Unit.PSI));
            p.keepUnknown();
            return point;
        }), in.optional("off", this::rated), new Pump.Build(in.optionalMeasured("relief", Unit.PSI),
                in.optionalMeasured("current", Unit.AMPERE), in.flag("checkValve"), in.text("bus", ""), wiring(in)));
    }

    private Pump.Wiring wiring(JsonObjectReader in) {
        Pump.Wiring wiring = Pump.Wiring.UNSAID.withBreaker(in.optionalMeasured("breaker", Unit.AMPERE));
        for (String word : in.has("own") ? in.texts("own") : List.<String>of()) {
            Optional<Pump.Own> own = java.util.Arrays.stream(Pump.Own.values()).filter(o -> ProjectWriter.word(o).equals(word)).findFirst();
            if (own.isEmpty()) {
                in.problem("own", "\u201c" + word + "\u201d is not known. Known: battery, switch, breaker, ground.");
            }
            wiring = own.isEmpty() ? wiring : wiring.with(own.get(), true);
        }
        return wiring;
    }

    private Run run(JsonObjectReader in) {
        LineSize size = FALLBACK_SIZE;
        try {
            size = LineSize.parse(in.text("size"));
        } catch (IllegalArgumentException e) {
            in.problem("size", e.getMessage());
        }
        List<Fitting> fittings = new ArrayList<>();
        for (String label : in.texts("fittings")) {
            Fitting.labelled(label).ifPresentOrElse(fittings::add,
                    () -> in.problem("fittings", "\u201c" + label + "\u201d is not a known fitting."));
        }
        return new Run(mark(in, "id"), in.text("name"), port(in, "from"), port(in, "to"), size,
                in.optionalMeasured("length", Unit.INCH), in.list("points", this::place), fittings,
                in.optional("build", this::build).orElse(RunBuild.NONE));
    }

    private PortRef port(JsonObjectReader in, String field) {
        String written = in.text(field);
        int dot = written.lastIndexOf('.');
        if (dot < 0 || written.substring(0, dot).isBlank() || written.substring(dot + 1).isBlank()) {
            in.problem(field, "\u201c" + written + "\u201d is not a port. Write item.port.");
            return new PortRef("nowhere", "none");
        }
        return new PortRef(written.substring(0, dot), written.substring(dot + 1));
    }
}
