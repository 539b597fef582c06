package ration.record.file;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.Firewall;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Rated;
import ration.base.fluid.FuelGrade;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.acceptance.SignOff;
import ration.record.build.Build;
import ration.record.evidence.HangarTest;
import ration.record.project.Brief;
import ration.record.project.Plate;
import ration.record.project.Practice;
import ration.record.project.Project;
import ration.record.project.Variant;
import ration.record.reading.Reading;
import ration.record.upkeep.Upkeep;
import ration.verdict.standard.Standard;

/** From JSON to a project. */
final class ProjectReader {

    private final ItemReader items = new ItemReader(this);

    private final List<String> problems;
    private final Map<String, String> unknown = new TreeMap<>();

    ProjectReader(List<String> problems) {
        this.problems = problems;
    }

    Project read(com.fasterxml.jackson.databind.JsonNode root) {
        JsonObjectReader doc = new JsonObjectReader(root, "", problems, unknown);
        doc.text("format");
        doc.number("version", ProjectFile.VERSION);
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
        Plate plate = doc.optional("plate", ProjectReader::plate).orElse(Plate.NONE);
        Build build = doc.optional("build", BuildCodec::read).orElse(Build.NONE);
        List<Variant> variants = doc.has("variants") ? variants(doc) : List.of();
        doc.keepUnknown();
        return new Project(
                name,
                note,
                brief,
                system,
                tests,
                heat,
                new Project.Use(flight, readings, upkeep, signOff, plate, build, variants),
                unknown);
    }

    private List<Variant> variants(JsonObjectReader doc) {
        List<Variant> all = doc.list("variants", v -> {
            String name = v.text("name");
            Brief brief = brief(v.object("brief"));
            FuelSystem system = system(v.object("system"));
            Heat heat = v.has("heat") ? heat(v.object("heat"), brief) : Heat.usual(Volatility.usual(brief.fuel()));
            v.keepUnknown();
            try {
                return new Variant(name, brief, system, heat);
            } catch (IllegalArgumentException e) {
                v.problem("name", e.getMessage());
                return new Variant("Variant", brief, system, heat);
            }
        });
        if (all.stream().map(Variant::name).distinct().count() < all.size()) {
            doc.problem("variants", "two variants have the same name.");
        }
        return all;
    }

    private static Plate plate(JsonObjectReader in) {
        Plate read = Plate.NONE;
        for (Plate.Field f : Plate.Field.values()) {
            read = read.with(f, in.text(f.key(), ""));
        }
        in.keepUnknown();
        return read;
    }

    private List<HangarTest> tests(JsonObjectReader doc) {
        List<HangarTest> tests = doc.list("tests", t -> TestCodec.read(this, t));
        if (tests.stream().map(HangarTest::id).distinct().count() < tests.size()) {
            doc.problem("tests", "two tests have the same id.");
        }
        return tests;
    }

    private Heat heat(JsonObjectReader in, Brief brief) {
        Heat heat = Heat.usual(
                in.has("volatility") ? choice(in, "volatility", Volatility.values()) : Volatility.usual(brief.fuel()));
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
        Brief.Envelope envelope =
                new Brief.Envelope(angle(e, "climb"), angle(e, "glide"), angle(e, "slip"), angle(e, "parked"));
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
        Brief brief = new Brief(
                in.text("engine", ""),
                choice(in, "delivery", Brief.Delivery.values()),
                power,
                consumption,
                envelope,
                FuelGrade.written(in.text("fuel")).orElseGet(() -> {
                    in.problem("fuel", "the grade is not known. Known: 100LL, Motor gasoline.");
                    return FuelGrade.AVGAS_100LL;
                }),
                temperature,
                in.measured("lowFuel", Unit.GALLON),
                new Brief.Choices(
                        basis(in),
                        choice(in, "friction", Brief.Friction.values()),
                        in.optional("practice", this::practice).orElse(Practice.USUAL)));
        in.keepUnknown();
        return brief;
    }

    private Practice practice(JsonObjectReader in) {
        Practice p = Practice.USUAL;
        try {
            p = new Practice(
                    in.measured("fouledFactor", Unit.ONE),
                    in.measured("takeOffRun", Unit.ONE),
                    in.measured("pushOver", Unit.ONE),
                    in.measured("gust", Unit.ONE),
                    in.measured("coldFuel", Unit.CELSIUS),
                    new Practice.Asks(
                            in.flag("takeOffRunMustHold"),
                            in.flag("pushOverMustHold"),
                            in.flag("gustMustHold"),
                            !in.has("smearPasses") || in.flag("smearPasses"),
                            !in.has("ventSizeAsked") || in.flag("ventSizeAsked"),
                            !in.has("fineFilterAsked") || in.flag("fineFilterAsked"),
                            in.has("assemblyAsked") && in.flag("assemblyAsked")));
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

    private static Standard basis(JsonObjectReader in) {
        String written = in.text("basis");
        return Standard.written(written).orElseGet(() -> {
            in.problem(
                    "basis",
                    "\u201c" + written + "\u201d is not known. Known: "
                            + Stream.of(Standard.values()).map(Standard::key).collect(Collectors.joining(", ")) + ".");
            return Standard.PART_23;
        });
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
            Firewall f = new Firewall(
                    w.measured("station", Unit.INCH), w.measured("top", Unit.INCH), w.measured("foot", Unit.INCH));
            w.keepUnknown();
            return f;
        });
        List<Item> items =
                in.list("items", this::item).stream().flatMap(Optional::stream).toList();
        Map<String, Double> shifts =
                in.has("shifts") ? in.numbers("shifts", -FuelSystem.MOST_SHIFT, FuelSystem.MOST_SHIFT) : Map.of();
        List<String> capped = in.has("capped") ? in.texts("capped") : List.of();
        in.keepUnknown();
        FuelSystem system = new FuelSystem(items, wall);
        for (String written : capped) {
            system = capped(system, in, written);
        }
        for (Map.Entry<String, Double> s : shifts.entrySet()) {
            system = system.shifted(s.getKey(), s.getValue());
        }
        return system;
    }

    private static FuelSystem capped(FuelSystem system, JsonObjectReader in, String written) {
        Optional<PortRef> port = system.openPorts().stream()
                .filter(p -> p.toString().equals(written))
                .findFirst();
        if (port.isEmpty()) {
            in.problem("capped", "\u201c" + written + "\u201d is not an open port. Leave it out.");
        }
        return port.map(p -> system.capped(p, true)).orElse(system);
    }

    private Optional<Item> item(JsonObjectReader in) {
        Optional<WrittenKind> kind = WrittenKind.of(in.text("kind"));
        if (kind.isEmpty()) {
            in.problem("kind", "this kind of item is not known to this version.");
        }
        Optional<Item> item = kind.map(k -> k.read(items, in));
        in.keepUnknown();
        return item;
    }

    /** A text that other parts of the document refer to: never empty. */
    String mark(JsonObjectReader in, String field) {
        String text = in.text(field);
        if (text.isBlank()) {
            in.problem(field, "it must not be empty.");
        }
        return text;
    }

    Place place(JsonObjectReader in) {
        Place place = new Place(
                in.measured("station", Unit.INCH),
                in.measured("buttLine", Unit.INCH),
                in.measured("waterLine", Unit.INCH));
        in.keepUnknown();
        return place;
    }

    Rated rated(JsonObjectReader in) {
        Rated rated = new Rated(in.measured("flow", Unit.GALLON_PER_HOUR), in.measured("loss", Unit.PSI));
        in.keepUnknown();
        return rated;
    }
}
