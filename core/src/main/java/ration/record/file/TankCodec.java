package ration.record.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.model.FingerScreen;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.aircraft.model.VentLine;
import ration.aircraft.model.VentPiece;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/** Tanks, their shapes and what is built into them, to and from JSON. */
final class TankCodec {

    private TankCodec() {}

    static Tank read(ProjectReader reader, JsonObjectReader in) {
        return new Tank(
                reader.mark(in, "id"),
                in.text("name"),
                shape(reader, in.object("shape")),
                in.list("outlets", o -> outlet(reader, o)),
                in.has("returns")
                        ? in.list("returns", r -> {
                            Tank.Entry entry = new Tank.Entry(reader.mark(r, "name"), reader.place(r.object("at")));
                            r.keepUnknown();
                            return entry;
                        })
                        : List.of(),
                in.optional("vent", reader::place),
                in.optional("drain", reader::place),
                in.measured("unusable", Unit.GALLON),
                fitout(reader, in));
    }

    private static Outlet outlet(ProjectReader reader, JsonObjectReader o) {
        Outlet outlet = new Outlet(
                reader.mark(o, "name"),
                reader.place(o.object("at")),
                o.measured("bore", Unit.INCH),
                o.optional("screen", reader::rated),
                o.optional("finger", f -> {
                    FingerScreen finger = new FingerScreen(
                            f.measured("mesh", Unit.ONE),
                            f.measured("wire", Unit.INCH),
                            f.measured("diameter", Unit.INCH),
                            f.measured("length", Unit.INCH));
                    f.keepUnknown();
                    return finger;
                }),
                o.has("edge") ? reader.choice(o, "edge", Outlet.Edge.values()) : Outlet.Edge.UNSAID);
        o.keepUnknown();
        return outlet;
    }

    private static Fitout fitout(ProjectReader reader, JsonObjectReader in) {
        List<Fitout.Well> wells = in.has("wells")
                ? in.list("wells", w -> {
                    Fitout.Well well = new Fitout.Well(
                            reader.place(w.object("floor")),
                            w.measured("length", Unit.INCH),
                            w.measured("width", Unit.INCH));
                    w.keepUnknown();
                    return well;
                })
                : List.of();
        List<Fitout.Rib> ribs = in.has("ribs")
                ? in.list("ribs", r -> {
                    Fitout.Rib rib = new Fitout.Rib(r.measured("at", Unit.INCH), r.list("openings", o -> {
                        Fitout.Opening opening = new Fitout.Opening(
                                o.measured("station", Unit.INCH),
                                o.measured("waterLine", Unit.INCH),
                                reader.choice(o, "passes", Fitout.Passes.values()));
                        o.keepUnknown();
                        return opening;
                    }));
                    r.keepUnknown();
                    return rib;
                })
                : List.of();
        return new Fitout(
                wells,
                ribs,
                in.optional("filler", reader::place),
                in.optional("gauge", reader::place),
                in.optionalMeasured("published", Unit.GALLON),
                in.optional("ventLine", v -> ventLine(reader, v)),
                pieces(in));
    }

    private static Set<Fitout.Piece> pieces(JsonObjectReader in) {
        Set<Fitout.Piece> all = EnumSet.noneOf(Fitout.Piece.class);
        for (Fitout.Piece piece : Fitout.Piece.values()) {
            if (in.flag(word(piece))) {
                all.add(piece);
            }
        }
        return all;
    }

    private static String word(Fitout.Piece piece) {
        return switch (piece) {
            case SECOND_AIR -> "secondAir";
            case LEVEL_SENDER -> "levelSender";
            case CAP_SEAL -> "capSeal";
            case ACCESS_PLATE -> "accessPlate";
        };
    }

    static VentLine ventLine(ProjectReader reader, JsonObjectReader v) {
        VentLine line = new VentLine(
                v.measured("bore", Unit.INCH),
                v.measured("length", Unit.INCH),
                v.measured("tip", Unit.ONE),
                v.flag("ball"),
                v.has("to") ? Optional.of(v.text("to")) : Optional.empty(),
                v.has("points") ? v.list("points", reader::place) : List.of(),
                v.has("pieces")
                        ? v.list("pieces", x -> {
                            VentPiece piece = new VentPiece(
                                    reader.choice(x, "kind", VentPiece.Kind.values()),
                                    x.measured("opening", Unit.INCH));
                            x.keepUnknown();
                            return piece;
                        })
                        : List.of());
        v.keepUnknown();
        return line;
    }

    private static TankShape shape(ProjectReader reader, JsonObjectReader in) {
        TankShape shape =
                switch (in.text("kind")) {
                    case "prism" ->
                        new TankShape.Prism(
                                in.list("corners", c -> {
                                    TankShape.Corner corner = new TankShape.Corner(
                                            c.measured("station", Unit.INCH), c.measured("waterLine", Unit.INCH));
                                    c.keepUnknown();
                                    return corner;
                                }),
                                in.measured("leftWall", Unit.INCH),
                                in.measured("rightWall", Unit.INCH));
                    case "box" ->
                        new TankShape.Box(
                                reader.place(in.object("corner")),
                                in.measured("length", Unit.INCH),
                                in.measured("width", Unit.INCH),
                                in.measured("height", Unit.INCH));
                    case "cylinder" ->
                        new TankShape.Cylinder(
                                reader.place(in.object("end")),
                                reader.choice(in, "along", TankShape.Along.values()),
                                in.measured("length", Unit.INCH),
                                in.measured("diameter", Unit.INCH));
                    case "sections" -> sections(reader, in);
                    default -> {
                        in.problem(
                                "kind",
                                "this shape is not known to this version. Known: box, prism, cylinder, sections.");
                        yield new TankShape.Prism(List.of(), Measured.of(0, Unit.INCH), Measured.of(1, Unit.INCH));
                    }
                };
        in.keepUnknown();
        return shape;
    }

    private static TankShape sections(ProjectReader reader, JsonObjectReader in) {
        TankShape.Along along =
                reader.choice(in, "along", new TankShape.Along[] {TankShape.Along.STATION, TankShape.Along.BUTT_LINE});
        return new TankShape.Sections(along, in.list("sections", s -> {
            TankShape.Section section = new TankShape.Section(s.measured("at", Unit.INCH), s.list("points", p -> {
                TankShape.SectionPoint point = new TankShape.SectionPoint(
                        p.measured(across(along), Unit.INCH), p.measured("waterLine", Unit.INCH));
                p.keepUnknown();
                return point;
            }));
            s.keepUnknown();
            return section;
        }));
    }

    private static String across(TankShape.Along along) {
        return along == TankShape.Along.BUTT_LINE ? "station" : "buttLine";
    }

    static void write(ProjectWriter writer, ObjectNode out, String path, Tank tank) {
        shape(writer, out.putObject("shape"), path + ".shape", tank.shape());
        writer.objects(out, path, "outlets", tank.outlets(), Outlet::name, (o, node) -> {
            String outlet = path + ".outlets[" + o.name() + "]";
            node.put("name", o.name());
            writer.place(node.putObject("at"), outlet + ".at", o.place());
            writer.measured(node, outlet, "bore", o.bore());
            o.screen().ifPresent(s -> writer.rated(node, outlet, "screen", s));
            if (o.edge() != Outlet.Edge.UNSAID) {
                node.put("edge", ProjectWriter.word(o.edge()));
            }
            o.finger().ifPresent(f -> {
                ObjectNode finger = node.putObject("finger");
                String at = outlet + ".finger";
                writer.measured(finger, at, "mesh", f.mesh());
                writer.measured(finger, at, "wire", f.wire());
                writer.measured(finger, at, "diameter", f.diameter());
                writer.measured(finger, at, "length", f.length());
                writer.restore(finger, at);
            });
        });
        if (!tank.returns().isEmpty()) {
            writer.objects(out, path, "returns", tank.returns(), Tank.Entry::name, (r, node) -> {
                node.put("name", r.name());
                writer.place(node.putObject("at"), path + ".returns[" + r.name() + "].at", r.place());
            });
        }
        tank.vent().ifPresent(v -> writer.place(out.putObject("vent"), path + ".vent", v));
        tank.drain().ifPresent(d -> writer.place(out.putObject("drain"), path + ".drain", d));
        writer.measured(out, path, "unusable", tank.unusable());
        fitout(writer, out, path, tank.fitout());
    }

    private static void fitout(ProjectWriter writer, ObjectNode out, String path, Fitout fitout) {
        if (!fitout.wells().isEmpty()) {
            writer.numbered(out, path, "wells", fitout.wells(), (w, at, node) -> {
                writer.place(node.putObject("floor"), at + ".floor", w.floor());
                writer.measured(node, at, "length", w.length());
                writer.measured(node, at, "width", w.width());
            });
        }
        if (!fitout.ribs().isEmpty()) {
            writer.numbered(out, path, "ribs", fitout.ribs(), (r, at, node) -> {
                writer.measured(node, at, "at", r.at());
                writer.numbered(node, at, "openings", r.openings(), (o, hole, n) -> {
                    writer.measured(n, hole, "station", o.along());
                    writer.measured(n, hole, "waterLine", o.waterLine());
                    n.put("passes", ProjectWriter.word(o.passes()));
                });
            });
        }
        fitout.filler().ifPresent(f -> writer.place(out.putObject("filler"), path + ".filler", f));
        fitout.gauge().ifPresent(g -> writer.place(out.putObject("gauge"), path + ".gauge", g));
        Optional<Measured> published = fitout.published();
        published.ifPresent(m -> writer.measured(out, path, "published", m));
        fitout.pieces().forEach(p -> out.put(word(p), true));
        fitout.vent().ifPresent(v -> ventLine(writer, out, path, v));
    }

    static void ventLine(ProjectWriter writer, ObjectNode out, String path, VentLine v) {
        ObjectNode line = out.putObject("ventLine");
        String at = path + ".ventLine";
        writer.measured(line, at, "bore", v.bore());
        writer.measured(line, at, "length", v.length());
        writer.measured(line, at, "tip", v.tip());
        line.put("ball", v.ball());
        v.to().ifPresent(t -> line.put("to", t));
        if (!v.points().isEmpty()) {
            writer.numbered(line, at, "points", v.points(), (p, where, node) -> writer.placeFields(node, where, p));
        }
        if (!v.pieces().isEmpty()) {
            writer.numbered(line, at, "pieces", v.pieces(), (p, where, node) -> {
                node.put("kind", ProjectWriter.word(p.kind()));
                writer.measured(node, where, "opening", p.opening());
                writer.restore(node, where);
            });
        }
        writer.restore(line, at);
    }

    private static void shape(ProjectWriter writer, ObjectNode out, String at, TankShape shape) {
        shape.<Runnable>as(
                        b -> () -> box(writer, out, at, b),
                        p -> () -> prism(writer, out, at, p),
                        c -> () -> cylinder(writer, out, at, c),
                        s -> () -> sections(writer, out, at, s))
                .run();
        writer.restore(out, at);
    }

    private static void prism(ProjectWriter writer, ObjectNode out, String at, TankShape.Prism prism) {
        out.put("kind", "prism");
        writer.numbered(out, at, "corners", prism.corners(), (c, corner, node) -> {
            writer.measured(node, corner, "station", c.station());
            writer.measured(node, corner, "waterLine", c.waterLine());
        });
        writer.measured(out, at, "leftWall", prism.leftWall());
        writer.measured(out, at, "rightWall", prism.rightWall());
    }

    private static void box(ProjectWriter writer, ObjectNode out, String at, TankShape.Box box) {
        out.put("kind", "box");
        writer.place(out.putObject("corner"), at + ".corner", box.corner());
        writer.measured(out, at, "length", box.length());
        writer.measured(out, at, "width", box.width());
        writer.measured(out, at, "height", box.height());
    }

    private static void cylinder(ProjectWriter writer, ObjectNode out, String at, TankShape.Cylinder drum) {
        out.put("kind", "cylinder");
        writer.place(out.putObject("end"), at + ".end", drum.from());
        out.put("along", ProjectWriter.word(drum.along()));
        writer.measured(out, at, "length", drum.length());
        writer.measured(out, at, "diameter", drum.diameter());
    }

    private static void sections(ProjectWriter writer, ObjectNode out, String at, TankShape.Sections sections) {
        out.put("kind", "sections");
        out.put("along", ProjectWriter.word(sections.along()));
        writer.numbered(out, at, "sections", sections.sections(), (s, section, node) -> {
            writer.measured(node, section, "at", s.at());
            writer.numbered(node, section, "points", s.points(), (p, point, n) -> {
                writer.measured(n, point, across(sections.along()), p.across());
                writer.measured(n, point, "waterLine", p.waterLine());
            });
        });
    }
}
