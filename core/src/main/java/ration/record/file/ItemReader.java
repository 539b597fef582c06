package ration.record.file;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.BarbClamp;
import ration.aircraft.model.Construction;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.Header;
import ration.aircraft.model.HoseEnd;
import ration.aircraft.model.Item;
import ration.aircraft.model.JointEnd;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Mesh;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Reach;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Wire;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/** Reads what items are made of. */
final class ItemReader {

    private static final LineSize FALLBACK_SIZE = LineSize.usual().get(0);

    private final ProjectReader reader;

    ItemReader(ProjectReader reader) {
        this.reader = reader;
    }

    /** The document around the item. */
    ProjectReader document() {
        return reader;
    }

    /** What an item costs. */
    Rated loss(JsonObjectReader in) {
        return reader.rated(in.object("loss"));
    }

    /** Fineness and rating of a strainer or filter. */
    Mesh mesh(JsonObjectReader in) {
        return new Mesh(in.optionalMeasured("opening", Unit.MICROMETRE), in.optionalMeasured("rating", Unit.PSI));
    }

    /** Whether the pilot can turn it. */
    Reach reach(JsonObjectReader in) {
        return in.has("reach") ? reader.choice(in, "reach", Reach.values()) : Reach.UNSAID;
    }

    Regulator regulator(JsonObjectReader in, Regulator.Style style) {
        return new Regulator(
                tag(in),
                style,
                reader.choice(in, "reference", Regulator.Reference.values()),
                in.measured("setting", Unit.PSI),
                loss(in));
    }

    EngineInlet inlet(JsonObjectReader in, EngineInlet.Style style) {
        Measured seat = style == EngineInlet.Style.FLOAT
                ? in.measured("seat", Unit.INCH)
                : in.optionalMeasured("seat", Unit.INCH).orElse(Measured.of(0.25, Unit.INCH, "estimate"));
        return new EngineInlet(
                tag(in),
                style,
                seat,
                in.measured("minimumPressure", Unit.PSI),
                in.optionalMeasured("maximumPressure", Unit.PSI),
                in.flag("returns"),
                in.optionalMeasured("grain", Unit.MICROMETRE));
    }

    private RunBuild build(JsonObjectReader in) {
        RunBuild build = RunBuild.NONE.with(
                in.has("construction")
                        ? Optional.of(reader.choice(in, "construction", Construction.values()))
                        : Optional.empty());
        for (RunBuild.Figure figure : RunBuild.Figure.values()) {
            build = build.with(
                    figure,
                    in.optionalMeasured(
                            ProjectWriter.word(figure),
                            figure == RunBuild.Figure.TORQUE ? Unit.POUND_INCH : Unit.INCH));
        }
        build = build.with(new RunBuild.Marks(in.flag("sleeved"), in.flag("moving"), in.flag("temporary")))
                .withStart(in.optional("start", this::end).orElse(RunBuild.End.NONE))
                .withEnd(in.optional("end", this::end).orElse(RunBuild.End.NONE))
                .with(in.optional("papers", this::papers).orElse(RunBuild.Papers.NONE));
        in.keepUnknown();
        return build;
    }

    private RunBuild.Papers papers(JsonObjectReader in) {
        RunBuild.Papers papers = new RunBuild.Papers(
                in.text("clamp", ""),
                in.text("part", ""),
                in.text("lot", ""),
                in.text("made", ""),
                in.optionalMeasured("proof", Unit.PSI),
                in.text("proofed", ""),
                in.flag("stripe"),
                in.text("initials", ""));
        in.keepUnknown();
        return papers;
    }

    private RunBuild.End end(JsonObjectReader in) {
        RunBuild.End end = new RunBuild.End(
                joint(in, "fitting"),
                joint(in, "port"),
                in.has("family") ? Optional.of(reader.choice(in, "family", Construction.values())) : Optional.empty(),
                in.text("adapter", ""),
                in.text("sealant", ""),
                in.has("clamp") ? Optional.of(reader.choice(in, "clamp", BarbClamp.values())) : Optional.empty(),
                shape(in));
        in.keepUnknown();
        return end;
    }

    private static Optional<HoseEnd> shape(JsonObjectReader in) {
        if (!in.has("shape")) {
            return Optional.empty();
        }
        try {
            return Optional.of(HoseEnd.parse(in.text("shape"), 0));
        } catch (IllegalArgumentException e) {
            in.problem("shape", e.getMessage());
            return Optional.empty();
        }
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

    List<String> inlets(JsonObjectReader in, String field) {
        List<String> inlets = in.texts(field);
        if (inlets.stream().anyMatch(String::isBlank)) {
            in.problem(field, "a port must have a name.");
        }
        return inlets;
    }

    /** Of a header: one, unless several are named. */
    List<String> outPorts(JsonObjectReader in) {
        List<String> named = inlets(in, "outPorts");
        return named.isEmpty() ? List.of(Item.OUT) : named;
    }

    /** Of a header: one, unless several are named. */
    List<String> ventPorts(JsonObjectReader in) {
        List<String> named = inlets(in, "vents");
        return named.isEmpty() ? List.of(Header.VENT) : named;
    }

    Header.Build headerBuild(JsonObjectReader in) {
        return new Header.Build(
                in.has("form") ? reader.choice(in, "form", Header.Form.values()) : Header.Form.UPRIGHT,
                in.flag("drain"),
                in.optionalMeasured("lowLight", Unit.INCH));
    }

    Tag tag(JsonObjectReader in) {
        return new Tag(reader.mark(in, "id"), in.text("name"), reader.place(in.object("at")));
    }

    Pump pump(JsonObjectReader in, Pump.Drive drive) {
        return new Pump(
                tag(in),
                drive,
                in.list("curve", p -> {
                    Pump.CurvePoint point = new Pump.CurvePoint(
                            p.measured("flow", Unit.GALLON_PER_HOUR), p.measured("pressure", Unit.PSI));
                    p.keepUnknown();
                    return point;
                }),
                in.optional("off", reader::rated),
                new Pump.Build(
                        in.optionalMeasured("relief", Unit.PSI),
                        in.optionalMeasured("current", Unit.AMPERE),
                        in.flag("checkValve"),
                        in.text("bus", ""),
                        wiring(in),
                        in.optionalMeasured("grain", Unit.MICROMETRE)));
    }

    private Pump.Wiring wiring(JsonObjectReader in) {
        Pump.Wiring wiring = Pump.Wiring.UNSAID
                .withBreaker(in.optionalMeasured("breaker", Unit.AMPERE))
                .withWire(in.optional("wire", w -> {
                    Wire wire = new Wire(w.measured("gauge", Unit.ONE), w.measured("length", Unit.FOOT));
                    w.keepUnknown();
                    return wire;
                }));
        for (String word : in.has("own") ? in.texts("own") : List.<String>of()) {
            Optional<Pump.Own> own = java.util.Arrays.stream(Pump.Own.values())
                    .filter(o -> ProjectWriter.word(o).equals(word))
                    .findFirst();
            if (own.isEmpty()) {
                in.problem("own", "\u201c" + word + "\u201d is not known. Known: battery, switch, breaker, ground.");
            }
            wiring = own.isEmpty() ? wiring : wiring.with(own.get(), true);
        }
        return wiring;
    }

    Run run(JsonObjectReader in) {
        LineSize size = FALLBACK_SIZE;
        try {
            size = LineSize.parse(in.text("size"));
        } catch (IllegalArgumentException e) {
            in.problem("size", e.getMessage());
        }
        List<Fitting> fittings = new ArrayList<>();
        for (String key : in.texts("fittings")) {
            Fitting.written(key)
                    .ifPresentOrElse(
                            fittings::add,
                            () -> in.problem("fittings", "\u201c" + key + "\u201d is not a known fitting."));
        }
        return new Run(
                reader.mark(in, "id"),
                in.text("name"),
                port(in, "from"),
                port(in, "to"),
                size,
                in.optionalMeasured("length", Unit.INCH),
                in.list("points", reader::place),
                fittings,
                in.optional("build", this::build).orElse(RunBuild.NONE));
    }

    private PortRef port(JsonObjectReader in, String field) {
        String written = in.text(field);
        int dot = written.lastIndexOf('.');
        if (dot < 0
                || written.substring(0, dot).isBlank()
                || written.substring(dot + 1).isBlank()) {
            in.problem(field, "\u201c" + written + "\u201d is not a port. Write item.port.");
            return new PortRef("nowhere", "none");
        }
        return new PortRef(written.substring(0, dot), written.substring(dot + 1));
    }
}
