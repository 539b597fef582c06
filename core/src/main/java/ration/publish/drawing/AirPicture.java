package ration.publish.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.answer.assess.AirMoves;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Regime;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.breathing.LowPoints;
import ration.physics.breathing.SamplingCard;
import ration.physics.tank.TankBody;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.record.project.Project;

/**
 * The air side, drawn by the rules of the schematic with the aircraft parked: true in height, vents in front with the
 * air that moves through them, the wet side pale behind, every drain, low point, trap and high point marked.
 */
public final class AirPicture extends SchematicPart {

    /** Where the number of a drain stands beside its foot, px: the first that no line crosses. */
    private static final List<Spot> BESIDE_FOOT = List.of(
            new Spot(0, 17),
            new Spot(-18, 12),
            new Spot(18, 12),
            new Spot(0, 34),
            new Spot(-26, 22),
            new Spot(26, 22),
            new Spot(-36, 12),
            new Spot(36, 12),
            new Spot(0, 50),
            new Spot(-44, 34),
            new Spot(44, 34));

    private final Shown shown;
    private final Point3 up;
    private final List<Line> vents;
    private final Map<String, List<Spot>> ways = new HashMap<>();
    /** Of the tanks whose shape closes, by id. */
    private final Map<String, TankBody> bodies = new HashMap<>();

    /**
     * What is shown.
     *
     * @param moves air through the vents
     * @param blocked ids of tanks and plenums whose vent is shut
     */
    public record Shown(AirMoves moves, Set<String> blocked) {
        public Shown {
            blocked = Set.copyOf(blocked);
        }
    }

    private AirPicture(SchematicSubject subject, Shown shown, SchematicView view, TextMeasure measure) {
        super(subject, view, measure);
        this.shown = shown;
        this.up = subject.condition().attitude().gravity().up();
        this.vents = place.vents();
        vents.forEach(v -> ways.put(v.id(), place.way(v)));
        system.runs().forEach(r -> ways.put(r.id(), place.way(r)));
    }

    /**
     * The picture.
     *
     * @param condition whose contents are in the tanks
     * @param look its answer; empty while nothing can be computed
     */
    public static Picture draw(
            Assessment a,
            Condition condition,
            Optional<CaseAnswer> look,
            Shown shown,
            UnitSystem units,
            double width,
            double height,
            TextMeasure measure) {
        SchematicSubject subject = subject(a.project(), condition, look, units);
        AirPicture p = new AirPicture(
                subject,
                shown,
                new SchematicView(width, height - AirKey.height(width), 1, 0, 0, SchematicView.Layers.AIR),
                measure);
        a.tanks().forEach(t -> p.bodies.put(t.tank().id(), t.body()));
        p.sheet();
        p.pieces.add(AirKey.of(width, height, measure));
        return new Picture(width, height, p.pieces);
    }

    private static SchematicSubject subject(
            Project project, Condition condition, Optional<CaseAnswer> look, UnitSystem units) {
        Attitude parked = project.brief().envelope().attitudes().get(0);
        return new SchematicSubject(
                project.system(), List.of(parked), condition.with(parked), look, "", units, Regime.AS_IT_RUNS);
    }

    /** Finds beforehand where its lines go, at the size last drawn; nothing while nobody has looked at it. */
    public static void prepare(Project project, Condition condition) {
        Routes.prepareAir(subject(project, condition, Optional.empty(), UnitSystem.US));
    }

    private void sheet() {
        Rulers rulers = new Rulers(this);
        rulers.ground();
        new TakenGround(this).takeGround();
        vents.forEach(v -> ground.takeWay(ways.get(v.id()), v.width()));
        vents.forEach(this::takeTip);
        system.runs().forEach(this::wet);
        system.tanks().forEach(this::tank);
        system.all(Fitted.class).forEach(this::symbol);
        vents.forEach(this::vent);
        drains();
        Map<Spot, TextBlock> said = lowPoints();
        new Labels(this).firewall();
        system.tanks().forEach(this::tankName);
        said.forEach(this::beside);
        vents.forEach(this::ventName);
        system.all(Fitted.class).forEach(this::name);
        system.runs().forEach(this::runName);
        rulers.heights();
    }

    // the wet side

    private void wet(Run run) {
        List<Spot> way = ways.get(run.id());
        if (way.size() > 1) {
            double w = width(run);
            piece(
                    run.id(),
                    Kind.RUN,
                    "",
                    List.of(
                            new Path(way, false, Ink.NONE, Pen.of(Ink.GROUND, w + 5), 10),
                            new Path(way, false, Ink.NONE, Pen.of(Ink.FUEL_PALE, w), 10),
                            new Path(way, false, Ink.NONE, Pen.of(Ink.FUEL_STANDING, Math.max(1, w - 2.4)), 10)));
        }
    }

    private void tank(Tank tank) {
        List<Spot> outline = place.outline(tank);
        List<Mark> marks = new ArrayList<>(List.of(new Path(outline, true, Ink.PANEL, NO_PEN, 0)));
        double volume = subject.condition().contents().getOrDefault(tank.id(), 0.0);
        Optional<TankBody> body = Optional.ofNullable(bodies.get(tank.id()));
        body.filter(b -> volume > 0).ifPresent(b -> {
            double surface = place.y(b.level(up, volume) - place.referenceHeight());
            List<Spot> filled = Half.below(outline, surface);
            if (filled.size() > 2) {
                marks.add(new Path(filled, true, Ink.FUEL_STANDING, NO_PEN, 0));
            }
            double[] span = Half.spanAcross(outline, surface);
            if (span != null) {
                marks.add(line(span[0], surface, span[1], surface, Pen.of(Ink.FUEL_PALE, 1.6)));
            }
        });
        marks.add(new Path(outline, true, Ink.NONE, Pen.of(Ink.INK, 2), 2));
        new Tanks(this).wells(tank, volume > 0 ? Ink.FUEL_STANDING : Ink.PANEL, marks);
        piece(
                tank.id(),
                Kind.TANK,
                tank.name()
                        + body.map(b -> ", " + contents(tank)).orElse("")
                        + airspace(tank).map(p -> ", over its fuel " + p).orElse(""),
                marks);
    }

    private Optional<String> airspace(Tank tank) {
        return Optional.ofNullable(shown.moves.airspace().get(tank.id())).map(p -> signed(p));
    }

    private String signed(double pascal) {
        return (pascal > 0 ? "+" : "") + units.small(pascal);
    }

    private void symbol(Fitted item) {
        if (item.only(ration.aircraft.model.VentPlenum.class).isPresent()) {
            Spot c = place.centre(item);
            double w = Symbols.halfWidth(item);
            double h = Symbols.halfHeight(item);
            piece(
                    item.id(),
                    Kind.SYMBOL,
                    item.name() + ", " + item.kind(),
                    List.of(new Box(c.x() - w, c.y() - h, 2 * w, 2 * h, h, Ink.PANEL, Pen.of(Ink.INK, 2))));
        } else {
            piece(item.id(), Kind.SYMBOL, item.name() + ", " + item.kind(), Pale.of(Schematic.marks(this, item)));
        }
    }

    // the air side

    private boolean shut(Line vent) {
        return shown.blocked.contains(vent.id());
    }

    private boolean ends(Line vent) {
        return vent.to().port().equals(Line.TIP);
    }

    private double through(Line vent) {
        return shut(vent) ? 0 : shown.moves.through().getOrDefault(vent.id(), 0.0);
    }

    private void takeTip(Line vent) {
        List<Spot> way = ways.get(vent.id());
        if (ends(vent) && !way.isEmpty()) {
            Spot tip = way.get(way.size() - 1);
            ground.take(tip.x() - 13, tip.y() - 10, tip.x() + 13, tip.y() + 10);
        }
    }

    private void vent(Line vent) {
        List<Spot> way = ways.get(vent.id());
        if (way.size() < 2) {
            return;
        }
        double flow = through(vent);
        boolean moves = Math.abs(flow) > 1e-9;
        Ink ink = shut(vent) ? Ink.RUST : Ink.AIR;
        List<Mark> marks = new ArrayList<>(List.of(
                new Path(way, false, Ink.NONE, Pen.of(Ink.GROUND, vent.width() + 6), 8),
                new Path(way, false, Ink.NONE, Pen.of(ink, vent.width()), 8)));
        if (!moves) {
            marks.add(new Path(way, false, Ink.NONE, Pen.of(Ink.PANEL, vent.width() - 3), 8));
        }
        for (int i = 1; i < way.size() && moves; i++) {
            arrow(marks, way.get(i - 1), way.get(i), flow < 0, vent.width(), ink);
        }
        ball(vent, way, marks);
        Spot tip = way.get(way.size() - 1);
        if (ends(vent)) {
            double out = tip.x() > way.get(way.size() - 2).x() ? 1 : -1;
            marks.add(line(tip.x() + 3 * out, tip.y() - 5, tip.x() + 10 * out, tip.y() - 5, Pen.of(Ink.INK, 1.8)));
            marks.add(line(tip.x() + 3 * out, tip.y() + 5, tip.x() + 10 * out, tip.y() + 5, Pen.of(Ink.INK, 1.8)));
        }
        if (shut(vent)) {
            marks.add(new Disc(tip, 8, Ink.PANEL, Pen.of(Ink.RUST, 2.2)));
            marks.add(line(tip.x() - 4, tip.y() - 4, tip.x() + 4, tip.y() + 4, Pen.of(Ink.RUST, 2.2)));
            marks.add(line(tip.x() - 4, tip.y() + 4, tip.x() + 4, tip.y() - 4, Pen.of(Ink.RUST, 2.2)));
        }
        String name = system.item(vent.id()).map(Item::name).orElse(vent.id());
        piece(
                vent.id(),
                Kind.VENT,
                "vent of " + name
                        + (shut(vent)
                                ? ", blocked"
                                : moves
                                        ? ", " + units.text(Math.abs(flow), Dimension.FLOW) + " of air "
                                                + (flow > 0 ? "in" : "out")
                                        : ", still"),
                marks);
    }

    private boolean ball(Line vent) {
        return said(vent).filter(VentLine::ball).isPresent();
    }

    private Optional<VentLine> said(Line vent) {
        return system.item(vent.id()).flatMap(VentLine::of);
    }

    /** In the upright out of the roof. */
    private void ball(Line vent, List<Spot> way, List<Mark> marks) {
        if (ball(vent)) {
            Spot at = new Spot(
                    way.get(0).x(),
                    Math.max((way.get(0).y() + way.get(1).y()) / 2, way.get(0).y() - 16));
            marks.add(new Box(at.x() - 7, at.y() - 9, 14, 18, 4, Ink.PANEL, Pen.of(Ink.INK, 1.8)));
            marks.add(new Disc(new Spot(at.x(), at.y() + 3), 3.4, Ink.INK, NO_PEN));
            ground.take(at.x() - 9, at.y() - 11, at.x() + 9, at.y() + 11);
        }
    }

    // what gathers where

    /** Drains with their places in the walk round the aircraft. */
    private void drains() {
        Occupancy lines = new Occupancy();
        vents.forEach(v -> lines.takeWay(ways.get(v.id()), v.width()));
        system.runs().forEach(r -> lines.takeWay(ways.get(r.id()), width(r)));
        system.all(Fitted.class).map(place::body).forEach(b -> lines.take(b[0], b[1], b[2], b[3]));
        List<SamplingCard.Drain> all = SamplingCard.of(system);
        for (int i = 0; i < all.size(); i++) {
            String words =
                    "drain " + (i + 1) + " of the walk-around, " + all.get(i).name();
            String number = Integer.toString(i + 1);
            foot(all.get(i)).ifPresent(s -> {
                Spot at = BESIDE_FOOT.stream()
                        .map(d -> new Spot(s.x() + d.x(), s.y() + d.y()))
                        .filter(d -> lines.overlap(d.x() - 10, d.y() - 10, d.x() + 10, d.y() + 10) < 0.5)
                        .findFirst()
                        .orElse(new Spot(s.x(), s.y() + 16));
                List<Mark> marks = new ArrayList<>(List.of(
                        line(s.x(), s.y(), at.x(), at.y(), Pen.of(Ink.TEAL, 3)),
                        new Disc(at, 9, Ink.TEAL, NO_PEN),
                        new Label(at.x(), at.y() + 4, number, 11, true, Ink.PANEL, Anchor.MIDDLE)));
                lines.take(at.x() - 10, at.y() - 10, at.x() + 10, at.y() + 10);
                ground.take(at.x() - 11, at.y() - 11, at.x() + 11, at.y() + 11);
                piece("", Kind.DRAIN, words, marks);
            });
        }
    }

    private Optional<Spot> foot(SamplingCard.Drain drain) {
        Optional<Item> item = system.item(drain.item()).filter(i -> place.placed(i.id()));
        return item.map(
                i -> i.only(Tank.class).map(t -> place.inTank(t, drain.place())).orElseGet(() -> {
                    Spot c = place.centre(i);
                    return i.only(ration.aircraft.model.Header.class)
                            .map(h -> new Spot(c.x() - (h.outlets().size() < 3 ? 12 : 20), c.y() + 1))
                            .orElse(new Spot(c.x(), c.y() + 31));
                }));
    }

    /** Marks of low and high points; what is said of each, to be put beside it. */
    private Map<Spot, TextBlock> lowPoints() {
        Map<Spot, TextBlock> said = new LinkedHashMap<>();
        for (LowPoints.Found f : LowPoints.of(system, up).points()) {
            String name = system.item(f.item()).map(Item::name).orElse(f.item());
            String words =
                    switch (f.kind()) {
                        case DRAINED -> "drained low point";
                        case UNDRAINED -> "low point, no drain";
                        case VENT_TRAP -> "vent trap";
                        case HIGH -> "high point, vapor collects";
                    };
            List<Mark> marks = new ArrayList<>();
            if (f.kind() != LowPoints.Kind.DRAINED) {
                spot(f).ifPresent(s -> {
                    AirKey.mark(f.kind(), s, marks);
                    ground.take(s.x() - 10, s.y() - 10, s.x() + 10, s.y() + 10);
                    Ink ink = f.kind() == LowPoints.Kind.HIGH ? Ink.PLUM : Ink.RUST_TEXT;
                    said.put(s, new TextBlock().line(new TextBlock.Span(words, 11, true, ink)));
                });
            }
            piece(f.item(), Kind.PILL, words + " at " + name, marks);
        }
        return said;
    }

    /** Where a point is drawn: on its item, or on the stretch of its line at its height. */
    private Optional<Spot> spot(LowPoints.Found f) {
        List<Spot> way = ways.getOrDefault(f.item(), List.of());
        if (way.size() < 2
                || f.kind() != LowPoints.Kind.VENT_TRAP
                        && system.item(f.item()).flatMap(i -> i.only(Run.class)).isEmpty()) {
            return system.item(f.item())
                    .filter(i -> place.placed(i.id()))
                    .map(place::centre)
                    .map(c -> f.kind() == LowPoints.Kind.HIGH
                            ? new Spot(c.x(), c.y() - 26)
                            : new Spot(c.x(), c.y() + 28));
        }
        double y = place.y(f.place());
        Spot best = way.get(0);
        double least = Double.MAX_VALUE;
        for (int i = 1; i < way.size(); i++) {
            Spot a = way.get(i - 1);
            Spot b = way.get(i);
            double off = Math.abs((a.y() + b.y()) / 2 - y) + (Math.abs(a.y() - b.y()) < 0.5 ? 0 : 4);
            if (off < least) {
                least = off;
                best = new Spot(
                        (a.x() + b.x()) / 2, Math.max(Math.min(a.y(), b.y()), Math.min(Math.max(a.y(), b.y()), y)));
            }
        }
        return Optional.of(best);
    }

    // names

    private void beside(Spot s, TextBlock block) {
        put(
                "",
                block,
                List.of(
                        new Candidate(s.x() + 14, s.y() - 8, Anchor.START),
                        new Candidate(s.x() - 14, s.y() - 8, Anchor.END),
                        new Candidate(s.x(), s.y() + 12, Anchor.MIDDLE),
                        new Candidate(s.x(), s.y() - 12 - block.height(), Anchor.MIDDLE)));
    }

    private void tankName(Tank tank) {
        double[] b = place.box(tank);
        TextBlock block = new TextBlock()
                .line(TextBlock.name(tank.name()))
                .line(TextBlock.soft(bodies.containsKey(tank.id()) ? contents(tank) : "outline not closed"));
        airspace(tank).ifPresent(p -> block.line(TextBlock.body("air " + p)));
        double middle = (b[0] + b[1]) / 2;
        double top = (b[2] + b[3] - block.height()) / 2;
        if (roomIn(tank, middle, top, block.width(measure), block.height())) {
            piece(tank.id(), Kind.TEXT, "", block.at(middle, top, Anchor.MIDDLE, measure));
            return;
        }
        Candidate left = new Candidate(b[0] - 12, b[2], Anchor.END);
        Candidate right = new Candidate(b[1] + 12, b[2], Anchor.START);
        boolean room = left.left(block.width(measure)) > RULER + 2;
        put(
                tank.id(),
                block,
                List.of(
                        room ? left : right,
                        room ? right : left,
                        new Candidate(b[0] - 12, (b[2] + b[3]) / 2 - 20, Anchor.END),
                        new Candidate(b[1] + 12, (b[2] + b[3]) / 2 - 20, Anchor.START),
                        new Candidate(b[0], b[3] + 6, Anchor.START),
                        new Candidate(b[0], b[2] - 6 - block.height(), Anchor.START),
                        new Candidate(b[1], b[2] - 6 - block.height(), Anchor.END),
                        new Candidate((b[0] + b[1]) / 2, b[2] - 6 - block.height(), Anchor.MIDDLE),
                        new Candidate(b[1] + 12, b[2] - 30, Anchor.START)));
    }

    /** Whether a text fits into a tank with nothing across it: no name is more plainly its own. */
    private boolean roomIn(Tank tank, double middle, double top, double width, double height) {
        double half = width / 2 + 6;
        Occupancy across = new Occupancy();
        ways.values().forEach(way -> across.takeWay(way, 9));
        Optional.ofNullable(bodies.get(tank.id())).ifPresent(body -> {
            double y = place.y(body.level(up, subject.condition().contents().getOrDefault(tank.id(), 0.0))
                    - place.referenceHeight());
            across.take(middle - half, y - 2, middle + half, y + 2);
        });
        for (double x : new double[] {middle - half, middle + half}) {
            double[] span = Half.spanAt(place.outline(tank), x);
            if (span == null || span[0] > top - 2 || span[1] < top + height + 4) {
                return false;
            }
        }
        return across.overlap(middle - half, top - 2, middle + half, top + height + 2) < 0.5;
    }

    private void ventName(Line vent) {
        List<Spot> way = ways.get(vent.id());
        if (way.size() < 2) {
            return;
        }
        Spot tip = way.get(way.size() - 1);
        boolean right = tip.x() > way.get(way.size() - 2).x();
        if (shut(vent)) {
            beside(
                    new Spot(tip.x() + (right ? 6 : -6), tip.y()),
                    new TextBlock().line(new TextBlock.Span("vent blocked", 12, true, Ink.RUST_TEXT)));
        } else if (ends(vent)) {
            TextBlock block = new TextBlock()
                    .line(TextBlock.bold("vent outlet"
                            + said(vent)
                                    .map(VentLine::tip)
                                    .map(c -> c.si() > 0.05 ? ", ram" : c.si() < -0.05 ? ", suction" : "")
                                    .orElse("")));
            beside(new Spot(tip.x() + (right ? 4 : -4), tip.y()), block);
        }
        TextBlock size = new TextBlock()
                .line(said(vent)
                        .filter(v -> v.bore().si() > 0)
                        .map(v -> TextBlock.soft(
                                bore(v) + ", " + units.text(v.length().si(), Dimension.LENGTH) + " long"
                                        + (v.ball() ? ", check ball" : "")))
                        .orElse(new TextBlock.Span("bore not entered", 11, false, Ink.RUST_TEXT)));
        said(vent)
                .filter(v -> !v.pieces().isEmpty())
                .ifPresent(v -> size.line(TextBlock.soft(
                        v.pieces().stream().map(p -> p.kind().label()).collect(Collectors.joining(", ")))));
        double flow = through(vent);
        if (Math.abs(flow) > 1e-9) {
            size.line(TextBlock.body(units.text(Math.abs(flow), Dimension.FLOW) + (flow > 0 ? " in" : " out")));
        }
        int longest = 1;
        for (int i = 2; i < way.size(); i++) {
            longest = span(way, i) > span(way, longest) ? i : longest;
        }
        List<Candidate> candidates = new ArrayList<>();
        Labels.besideStraight(candidates, way, longest, size);
        for (int i = 1; i < way.size(); i++) {
            Labels.besideStraight(candidates, way, i, size);
        }
        put(vent.name(), size, candidates);
    }

    /** As it was given, in units of the kind shown. */
    private String bore(VentLine v) {
        return UnitSystem.figure(
                        units == UnitSystem.US
                                ? Unit.INCH.fromSi(v.bore().si())
                                : 1000 * v.bore().si(),
                        units == UnitSystem.US ? 3 : 1)
                + (units == UnitSystem.US ? " in" : " mm") + " bore";
    }

    private void name(Fitted item) {
        Spot c = place.centre(item);
        double half = Symbols.halfWidth(item);
        TextBlock block = new TextBlock().line(TextBlock.soft(item.name()));
        double below = c.y() + Symbols.depth(item) + 4;
        put(
                item.id(),
                block,
                List.of(
                        new Candidate(c.x(), below, Anchor.MIDDLE),
                        new Candidate(c.x() + half + 8, c.y() - 8, Anchor.START),
                        new Candidate(c.x() - half - 8, c.y() - 8, Anchor.END),
                        new Candidate(c.x(), c.y() - Symbols.halfHeight(item) - 22, Anchor.MIDDLE),
                        new Candidate(c.x() + half + 8, c.y() + 8, Anchor.START),
                        new Candidate(c.x() - half - 8, c.y() + 8, Anchor.END)));
    }

    private void runName(Run run) {
        List<Spot> way = ways.get(run.id());
        if (way.size() > 1) {
            TextBlock block = new TextBlock().line(TextBlock.soft(run.name()));
            List<Candidate> candidates = new ArrayList<>();
            for (int i = 1; i < way.size(); i++) {
                Labels.besideStraight(candidates, way, i, block);
            }
            put(run.id(), block, candidates);
        }
    }
}
