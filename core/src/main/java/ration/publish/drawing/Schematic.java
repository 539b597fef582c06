package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Tank;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/** Draws the height-true schematic: which part draws when, bottom layer first. */
public final class Schematic {

    private Schematic() {}

    /** The picture of a system in a condition. */
    public static Picture draw(SchematicSubject subject, SchematicView view, TextMeasure measure) {
        double over = PressureStrip.over(subject, view);
        SchematicPart sheet = new SchematicPart(subject, view.high(over), measure);
        FuelSystem system = subject.system();
        Rulers rulers = new Rulers(sheet);
        Tanks tanks = new Tanks(sheet);
        HeadLine headLine = new HeadLine(sheet);
        PickedItem picked = new PickedItem(sheet);
        EngineBlock engine = new EngineBlock(sheet);
        rulers.ground();
        picked.pickedGuide();
        new TakenGround(sheet).takeGround();
        system.runs().forEach(new Lines(sheet)::run);
        system.tanks().forEach(tanks::tank);
        if (view.layers().vents()) {
            system.tanks().forEach(tanks::vent);
        }
        if (view.layers().drains()) {
            system.tanks().forEach(tanks::drain);
        }
        if (view.layers().headLine()) {
            headLine.headLine();
        }
        system.all(Fitted.class).forEach(i -> symbol(sheet, i));
        tanks.outletScreens();
        tanks.outlets();
        new OpenPorts(sheet).ports();
        new Labels(sheet).labels(headLine);
        engine.engine();
        engine.teach();
        rulers.rulers();
        picked.pickedMarks();
        if (over < view.height()) {
            new PressureStrip(sheet).strip();
        }
        return new Picture(view.width(), view.height(), sheet.pieces);
    }

    /**
     * Finds beforehand where the runs of a layout go, at the size last drawn: a drawing that follows does not wait for
     * it.
     */
    public static void prepare(FuelSystem system, List<Attitude> presets, Condition condition) {
        Routes.prepare(new SchematicSubject(system, presets, condition, Optional.empty(), "", UnitSystem.US));
    }

    /** The symbol of an item alone, as drawn in the schematic, for cards and lists. */
    public static Picture icon(Item item) {
        return new Picture(48, 48, List.of(new Piece(item.id(), Kind.SYMBOL, item.kind(), item.as(ALONE))));
    }

    private static final SomeKinds<List<Mark>> ALONE = new SomeKinds<>() {
        @Override
        public List<Mark> otherwise(Item item) {
            return Symbols.alone((Fitted) item, new Spot(24, 22));
        }

        @Override
        public List<Mark> run(Run run) {
            return List.of(SchematicPart.line(4, 22, 44, 22, Pen.of(Ink.FUEL, SchematicPart.width(run))));
        }

        @Override
        public List<Mark> tank(Tank tank) {
            return List.of(new Path(
                    List.of(new Spot(6, 10), new Spot(42, 10), new Spot(42, 34), new Spot(6, 30)),
                    true,
                    Ink.FUEL_TINT,
                    Pen.of(Ink.INK, 2),
                    0));
        }
    };

    /** True in height, with its level where the answer tells it. */
    private static List<Mark> header(SchematicPart sheet, Header header, Spot c) {
        double wet = sheet.flow
                .map(f -> f.pressure(new PortRef(header.id(), Item.OUT)))
                .filter(OptionalDouble::isPresent)
                .map(p -> p.getAsDouble() / Math.max(1, sheet.flow.get().weight()))
                .orElse(0.0);
        List<Mark> marks = new ArrayList<>(
                header.drain()
                        ? Symbols.drain(new Spot(c.x() - (header.outlets().size() < 3 ? 12 : 20), c.y() + 1))
                        : List.of());
        marks.addAll(Symbols.header(
                header.build().form(), c, header.height().si() * sheet.place.scale(), wet * sheet.place.scale()));
        header.build().lowLight().ifPresent(l -> {
            double y = c.y() - l.si() * sheet.place.scale();
            double half = Symbols.headerHalf(
                    header.build().form(), l.si() / header.height().si());
            marks.add(SchematicPart.line(c.x() + half - 9, y, c.x() + half, y, Pen.of(Ink.INK, 1.4)));
            marks.add(new Mark.Disc(new Spot(c.x() + half, y), 3, Ink.PANEL, Pen.of(Ink.INK, 1.6)));
        });
        return marks;
    }

    /** The symbol of an item as it stands on a sheet. */
    static List<Mark> marks(SchematicPart sheet, Fitted item) {
        Spot c = sheet.place.centre(item);
        return item.only(Header.class)
                .map(header -> header(sheet, header, c))
                .orElseGet(() -> Symbols.of(item, c, sheet.subject.condition(), sheet.place));
    }

    private static void symbol(SchematicPart sheet, Fitted item) {
        List<Mark> marks = marks(sheet, item);
        String words = item.name() + ", " + item.kind();
        if (item.only(Selector.class).isPresent()) {
            words += ", on " + sheet.position(item);
        }
        Optional<OptionalDouble> p = sheet.flow.map(
                f -> f.pressure(new PortRef(item.id(), item.ports().contains(Item.OUT) ? Item.OUT : Item.IN)));
        if (p.isPresent() && p.get().isPresent()) {
            words += ", " + sheet.units.text(p.get().getAsDouble(), Dimension.PRESSURE);
        }
        sheet.piece(item.id(), Kind.SYMBOL, words, marks);
    }
}
