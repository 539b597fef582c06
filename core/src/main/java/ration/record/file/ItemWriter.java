package ration.record.file;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
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
import ration.aircraft.model.Mesh;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.Pump;
import ration.aircraft.model.QuickDisconnect;
import ration.aircraft.model.Reach;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.model.VentPlenum;

/**
 * What each kind writes beside its id, name and place: a kind without its method does not compile, so none is saved
 * bare.
 */
final class ItemWriter implements Kinds<Void> {

    private final ProjectWriter writer;
    private final ObjectNode out;
    private final String path;

    ItemWriter(ProjectWriter writer, ObjectNode out, String path) {
        this.writer = writer;
        this.out = out;
        this.path = path;
    }

    @Override
    public Void tank(Tank tank) {
        TankCodec.write(writer, out, path, tank);
        return null;
    }

    @Override
    public Void selector(Selector selector) {
        selector.inlets().forEach(out.putArray("inlets")::add);
        if (selector.duplex()) {
            selector.returns().forEach(out.putArray("returnPorts")::add);
        }
        writer.objects(out, path, "positions", selector.positions(), Selector.Position::name, (p, node) -> {
            node.put("name", p.name());
            ArrayNode joins = node.putArray("joins");
            p.joins().forEach(group -> group.forEach(joins.addArray()::add));
        });
        writer.rated(out, path, "loss", selector.loss());
        reach(selector.reach());
        return null;
    }

    @Override
    public Void shutOff(ShutOff valve) {
        writer.rated(out, path, "loss", valve.loss());
        reach(valve.reach());
        return null;
    }

    private void reach(Reach reach) {
        if (reach != Reach.UNSAID) {
            out.put("reach", ProjectWriter.word(reach));
        }
    }

    private void mesh(Mesh mesh) {
        mesh.opening().ifPresent(m -> writer.measured(out, path, "opening", m));
        mesh.rating().ifPresent(m -> writer.measured(out, path, "rating", m));
    }

    @Override
    public Void strainer(Strainer strainer) {
        writer.rated(out, path, "loss", strainer.loss());
        strainer.fouled().ifPresent(r -> writer.rated(out, path, "fouled", r));
        out.put("drain", strainer.drain());
        strainer.bowl().ifPresent(b -> writer.measured(out, path, "bowl", b));
        if (strainer.capped()) {
            out.put("capped", true);
        }
        mesh(strainer.mesh());
        return null;
    }

    @Override
    public Void filter(Filter filter) {
        writer.numbered(out, path, "rated", filter.points(), (p, at, node) -> {
            writer.measured(node, at, "flow", p.flow());
            writer.measured(node, at, "loss", p.loss());
        });
        filter.fouled().ifPresent(r -> writer.rated(out, path, "fouled", r));
        mesh(filter.mesh());
        return null;
    }

    @Override
    public Void checkBlock(CheckBlock block) {
        writer.measured(out, path, "cracking", block.cracking());
        writer.rated(out, path, "loss", block.loss());
        return null;
    }

    @Override
    public Void flowSender(FlowSender sender) {
        writer.rated(out, path, "loss", sender.loss());
        return null;
    }

    @Override
    public Void gaugePort(GaugePort item) {
        out.put("shows", ProjectWriter.word(item.shows()));
        return null;
    }

    @Override
    public Void bulkhead(Bulkhead fitting) {
        writer.rated(out, path, "loss", fitting.loss());
        return null;
    }

    @Override
    public Void quickDisconnect(QuickDisconnect coupling) {
        writer.rated(out, path, "loss", coupling.loss());
        return null;
    }

    @Override
    public Void regulator(Regulator regulator) {
        out.put("reference", ProjectWriter.word(regulator.reference()));
        writer.measured(out, path, "setting", regulator.setting());
        writer.rated(out, path, "loss", regulator.loss());
        return null;
    }

    @Override
    public Void jetPump(JetPump jet) {
        writer.measured(out, path, "nozzle", jet.nozzle());
        writer.measured(out, path, "flowRatio", jet.flowRatio());
        writer.measured(out, path, "headRatio", jet.headRatio());
        return null;
    }

    @Override
    public Void header(Header header) {
        writer.measured(out, path, "capacity", header.capacity());
        writer.measured(out, path, "height", header.height());
        writer.measured(out, path, "inletRise", header.inletRise());
        header.inlets().forEach(out.putArray("inlets")::add);
        if (header.outlets().size() > 1) {
            header.outlets().forEach(out.putArray("outPorts")::add);
        }
        if (header.vents().size() > 1) {
            header.vents().forEach(out.putArray("vents")::add);
        }
        if (header.drain()) {
            out.put("drain", true);
        }
        if (header.build().form() != Header.Form.UPRIGHT) {
            out.put("form", ProjectWriter.word(header.build().form()));
        }
        header.build().lowLight().ifPresent(l -> writer.measured(out, path, "lowLight", l));
        return null;
    }

    @Override
    public Void checkValve(CheckValve valve) {
        writer.measured(out, path, "cracking", valve.cracking());
        writer.rated(out, path, "loss", valve.loss());
        return null;
    }

    @Override
    public Void orifice(Orifice orifice) {
        writer.measured(out, path, "bore", orifice.bore());
        out.put("dischargeCoefficient", orifice.dischargeCoefficient());
        return null;
    }

    @Override
    public Void pump(Pump pump) {
        writer.numbered(out, path, "curve", pump.curve(), (p, at, node) -> {
            writer.measured(node, at, "flow", p.flow());
            writer.measured(node, at, "pressure", p.pressure());
        });
        pump.off().ifPresent(r -> writer.rated(out, path, "off", r));
        pump.build().relief().ifPresent(r -> writer.measured(out, path, "relief", r));
        pump.build().current().ifPresent(r -> writer.measured(out, path, "current", r));
        if (pump.build().checked()) {
            out.put("checkValve", true);
        }
        if (!pump.build().bus().isEmpty()) {
            out.put("bus", pump.build().bus());
        }
        pump.build().grain().ifPresent(g -> writer.measured(out, path, "grain", g));
        pump.build().wiring().breaker().ifPresent(b -> writer.measured(out, path, "breaker", b));
        pump.build().wiring().wire().ifPresent(w -> {
            ObjectNode wire = out.putObject("wire");
            writer.measured(wire, path + ".wire", "gauge", w.gauge());
            writer.measured(wire, path + ".wire", "length", w.length());
            writer.restore(wire, path + ".wire");
        });
        if (!pump.build().wiring().own().isEmpty()) {
            var own = out.putArray("own");
            pump.build().wiring().own().forEach(o -> own.add(ProjectWriter.word(o)));
        }
        return null;
    }

    @Override
    public Void tee(Tee tee) {
        writer.measured(out, path, "bore", tee.bore());
        return null;
    }

    @Override
    public Void ventPlenum(VentPlenum plenum) {
        TankCodec.ventLine(writer, out, path, plenum.line());
        writer.place(out.putObject("vent"), path + ".vent", plenum.tip());
        return null;
    }

    @Override
    public Void engineInlet(EngineInlet inlet) {
        writer.measured(out, path, "seat", inlet.seat());
        writer.measured(out, path, "minimumPressure", inlet.minimumPressure());
        inlet.maximumPressure().ifPresent(m -> writer.measured(out, path, "maximumPressure", m));
        if (inlet.returns()) {
            out.put("returns", true);
        }
        inlet.grain().ifPresent(g -> writer.measured(out, path, "grain", g));
        return null;
    }

    @Override
    public Void run(Run run) {
        out.put("from", run.from().toString());
        out.put("to", run.to().toString());
        out.put("size", run.size().label());
        run.length().ifPresent(l -> writer.measured(out, path, "length", l));
        if (!run.points().isEmpty()) {
            ArrayNode points = out.putArray("points");
            for (int i = 0; i < run.points().size(); i++) {
                writer.place(
                        points.addObject(),
                        path + ".points[" + i + "]",
                        run.points().get(i));
            }
        }
        if (!run.fittings().isEmpty()) {
            run.fittings().forEach(f -> out.withArray("fittings").add(f.key()));
        }
        build(run.build());
        return null;
    }

    private void build(RunBuild build) {
        if (build.equals(RunBuild.NONE)) {
            return;
        }
        ObjectNode node = out.putObject("build");
        String at = path + ".build";
        build.construction().ifPresent(c -> node.put("construction", ProjectWriter.word(c)));
        for (RunBuild.Figure figure : RunBuild.Figure.values()) {
            build.figure(figure).ifPresent(m -> writer.measured(node, at, ProjectWriter.word(figure), m));
        }
        node.put("sleeved", build.marks().sleeved());
        node.put("moving", build.marks().moving());
        node.put("temporary", build.marks().temporary());
        end(node, at, "start", build.start());
        end(node, at, "end", build.end());
        papers(node, at + ".papers", build.papers());
        writer.restore(node, at);
    }

    private void papers(ObjectNode build, String at, RunBuild.Papers papers) {
        if (papers.equals(RunBuild.Papers.NONE)) {
            return;
        }
        ObjectNode node = build.putObject("papers");
        node.put("clamp", papers.clamp())
                .put("part", papers.part())
                .put("lot", papers.lot())
                .put("made", papers.made());
        papers.proof().ifPresent(m -> writer.measured(node, at, "proof", m));
        node.put("proofed", papers.proofed()).put("stripe", papers.stripe()).put("initials", papers.initials());
        writer.restore(node, at);
    }

    private void end(ObjectNode build, String path, String field, RunBuild.End end) {
        if (end.equals(RunBuild.End.NONE)) {
            return;
        }
        ObjectNode node = build.putObject(field);
        end.fitting().ifPresent(f -> node.put("fitting", f.text()));
        end.port().ifPresent(f -> node.put("port", f.text()));
        end.family().ifPresent(c -> node.put("family", ProjectWriter.word(c)));
        node.put("adapter", end.adapter());
        node.put("sealant", end.sealant());
        end.clamp().ifPresent(c -> node.put("clamp", ProjectWriter.word(c)));
        end.shape().ifPresent(x -> node.put("shape", x.text()));
        writer.restore(node, path + "." + field);
    }
}
