package ration.aircraft.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * The figures of each kind, in the order a card shows them. Cards, sampling, the search of a figure by key and the
 * check that a file keeps every figure go by it; what the list of a tank or run holds depends on how many outlets,
 * points and ribs it has.
 */
public final class FieldSheet implements Kinds<List<Field>> {

    private static final FieldSheet SHEET = new FieldSheet();
    /** The trade's abbreviations, where a row names two things. */
    private static final Map<String, String> SHORT = Map.of("Station", "sta", "Butt line", "BL", "Water line", "WL");

    private FieldSheet() {}

    /** Every figure of an item. */
    public static List<Field> of(Item item) {
        return item.as(SHEET);
    }

    /** The figure with this key, if the item as it stands has one. */
    public static Optional<Field> of(Item item, String key) {
        return of(item).stream().filter(f -> f.key().equals(key)).findFirst();
    }

    /** Into a part of an item and back. */
    private record Lens<T, P>(Function<T, P> get, BiFunction<T, P, T> with) {
        <Q> Lens<T, Q> to(Function<P, Q> part, BiFunction<P, Q, P> set) {
            return new Lens<>(t -> part.apply(get.apply(t)), (t, q) -> with.apply(t, set.apply(get.apply(t), q)));
        }

        /** Into what is there, where it is. */
        static <T, P> Lens<T, P> present(Function<T, Optional<P>> get, BiFunction<T, Optional<P>, T> with) {
            return new Lens<>(t -> get.apply(t).orElseThrow(), (t, p) -> with.apply(t, Optional.of(p)));
        }

        static <T, E> Lens<T, E> element(Function<T, List<E>> get, BiFunction<T, List<E>, T> with, int at) {
            return new Lens<>(t -> get.apply(t).get(at), (t, e) -> {
                List<E> copy = new ArrayList<>(get.apply(t));
                copy.set(at, e);
                return with.apply(t, copy);
            });
        }
    }

    /** The fields of one kind as they are gathered. */
    private static final class Sheet<T extends Item> {
        private final List<Field> fields = new ArrayList<>();

        Sheet<T> add(String key, String label, Unit unit, Lens<T, Measured> lens) {
            return add(key, label, unit, lens, Optional.empty());
        }

        @SuppressWarnings("unchecked")
        Sheet<T> add(String key, String label, Unit unit, Lens<T, Measured> lens, Optional<String> place) {
            fields.add(new Field(
                    key,
                    label,
                    unit,
                    i -> lens.get().apply((T) i),
                    (i, m) -> lens.with().apply((T) i, m),
                    place));
            return this;
        }

        Sheet<T> add(String key, String label, Unit unit, Function<T, Measured> get, BiFunction<T, Measured, T> with) {
            return add(key, label, unit, new Lens<>(get, with));
        }

        Sheet<T> place(String key, String prefix, Lens<T, Place> at) {
            return add(
                            key + ".station",
                            title(prefix, "Station"),
                            Unit.INCH,
                            at.to(Place::station, (p, m) -> new Place(m, p.buttLine(), p.waterLine())),
                            Optional.of(prefix.strip()))
                    .add(
                            key + ".buttLine",
                            title(prefix, "Butt line"),
                            Unit.INCH,
                            at.to(Place::buttLine, (p, m) -> new Place(p.station(), m, p.waterLine())),
                            Optional.of(prefix.strip()))
                    .add(
                            key + ".waterLine",
                            title(prefix, "Water line"),
                            Unit.INCH,
                            at.to(Place::waterLine, (p, m) -> new Place(p.station(), p.buttLine(), m)),
                            Optional.of(prefix.strip()));
        }

        Sheet<T> rated(String key, String prefix, Lens<T, Rated> rated) {
            return add(
                            key + ".flow",
                            prefix + " flow",
                            Unit.GALLON_PER_HOUR,
                            rated.to(Rated::flow, (r, m) -> new Rated(m, r.loss())))
                    .add(
                            key + ".loss",
                            prefix + " loss",
                            Unit.PSI,
                            rated.to(Rated::loss, (r, m) -> new Rated(r.flow(), m)));
        }

        Sheet<T> rated(String key, String prefix, Function<T, Rated> get, BiFunction<T, Rated, T> with) {
            return rated(key, prefix, new Lens<>(get, with));
        }

        List<Field> all() {
            return List.copyOf(fields);
        }
    }

    private static String title(String prefix, String name) {
        return prefix.isEmpty() ? name : prefix + SHORT.get(name);
    }

    @SuppressWarnings("unchecked")
    private static <T extends Fitted> Sheet<T> fitted() {
        return new Sheet<T>()
                .place("at", "", new Lens<>(Fitted::place, (t, p) -> (T) t.with(new Tag(t.id(), t.name(), p))));
    }

    @Override
    public List<Field> selector(Selector s) {
        return FieldSheet.<Selector>fitted()
                .rated("loss", "Rated", Selector::loss, Selector::withLoss)
                .all();
    }

    @Override
    public List<Field> shutOff(ShutOff v) {
        return FieldSheet.<ShutOff>fitted()
                .rated("loss", "Rated", ShutOff::loss, ShutOff::withLoss)
                .all();
    }

    @Override
    public List<Field> strainer(Strainer s) {
        Sheet<Strainer> sheet =
                FieldSheet.<Strainer>fitted().rated("loss", "Rated", Strainer::loss, Strainer::withLoss);
        if (s.fouled().isPresent()) {
            sheet.rated("fouled", "Dirty", Lens.present(Strainer::fouled, (x, r) -> x.withFouled(r.orElseThrow())));
        }
        if (s.bowl().isPresent()) {
            sheet.add("bowl", "Bowl capacity", Unit.CUBIC_INCH, Lens.present(Strainer::bowl, Strainer::withBowl));
        }
        return mesh(sheet, s.mesh(), new Lens<>(Strainer::mesh, Strainer::with)).all();
    }

    private static <T extends Item> Sheet<T> mesh(Sheet<T> sheet, Mesh mesh, Lens<T, Mesh> at) {
        if (mesh.opening().isPresent()) {
            sheet.add(
                    "opening",
                    "Fineness",
                    Unit.MICROMETRE,
                    at.to(m -> m.opening().orElseThrow(), (m, x) -> m.withOpening(Optional.of(x))));
        }
        if (mesh.rating().isPresent()) {
            sheet.add(
                    "rating",
                    "Pressure rating",
                    Unit.PSI,
                    at.to(m -> m.rating().orElseThrow(), (m, x) -> m.withRating(Optional.of(x))));
        }
        return sheet;
    }

    @Override
    public List<Field> checkValve(CheckValve v) {
        return FieldSheet.<CheckValve>fitted()
                .add(
                        "cracking",
                        "Cracking pressure",
                        Unit.PSI,
                        CheckValve::cracking,
                        (x, m) -> new CheckValve(x.tag(), m, x.loss()))
                .rated("loss", "Rated", CheckValve::loss, (x, r) -> new CheckValve(x.tag(), x.cracking(), r))
                .all();
    }

    @Override
    public List<Field> orifice(Orifice o) {
        return FieldSheet.<Orifice>fitted()
                .add(
                        "bore",
                        "Bore",
                        Unit.INCH,
                        Orifice::bore,
                        (x, m) -> new Orifice(x.tag(), m, x.dischargeCoefficient()))
                .all();
    }

    @Override
    public List<Field> pump(Pump p) {
        Sheet<Pump> sheet = fitted();
        for (int i = 0; i < p.curve().size(); i++) {
            Lens<Pump, Pump.CurvePoint> point = Lens.element(Pump::curve, Pump::withCurve, i);
            sheet.add(
                    "curve[" + i + "].flow",
                    "Curve " + (i + 1) + " flow",
                    Unit.GALLON_PER_HOUR,
                    point.to(Pump.CurvePoint::flow, (c, m) -> new Pump.CurvePoint(m, c.pressure())));
            sheet.add(
                    "curve[" + i + "].pressure",
                    "Curve " + (i + 1) + " pressure",
                    Unit.PSI,
                    point.to(Pump.CurvePoint::pressure, (c, m) -> new Pump.CurvePoint(c.flow(), m)));
        }
        if (p.off().isPresent()) {
            sheet.rated("off", "Off", x -> x.off().orElseThrow(), Pump::withOff);
        }
        Lens<Pump, Pump.Build> build = new Lens<>(Pump::build, Pump::withBuild);
        if (p.build().relief().isPresent()) {
            sheet.add("relief", "Relief", Unit.PSI, build.to(b -> b.relief().orElseThrow(), Pump.Build::withRelief));
        }
        if (p.build().current().isPresent()) {
            sheet.add(
                    "current",
                    "Current",
                    Unit.AMPERE,
                    build.to(b -> b.current().orElseThrow(), Pump.Build::withCurrent));
        }
        if (p.build().wiring().breaker().isPresent()) {
            sheet.add(
                    "breaker",
                    "Breaker",
                    Unit.AMPERE,
                    build.to(
                            b -> b.wiring().breaker().orElseThrow(),
                            (b, m) -> b.withWiring(b.wiring().withBreaker(Optional.of(m)))));
        }
        if (p.build().wiring().wire().isPresent()) {
            Lens<Pump, Wire> wire = build.to(Pump.Build::wiring, Pump.Build::withWiring)
                    .to(w -> w.wire().orElseThrow(), (w, x) -> w.withWire(Optional.of(x)));
            sheet.add("wire.gauge", "Wire gauge, AWG", Unit.ONE, wire.to(Wire::gauge, Wire::withGauge))
                    .add("wire.length", "Wire, there and back", Unit.FOOT, wire.to(Wire::length, Wire::withLength));
        }
        if (p.build().grain().isPresent()) {
            sheet.add(
                    "grain",
                    "Coarsest filter allowed",
                    Unit.MICROMETRE,
                    build.to(b -> b.grain().orElseThrow(), (b, m) -> b.withGrain(Optional.of(m))));
        }
        return sheet.all();
    }

    @Override
    public List<Field> filter(Filter f) {
        Sheet<Filter> sheet = fitted();
        for (int i = 0; i < f.points().size(); i++) {
            sheet.rated(
                    "rated[" + i + "]",
                    f.points().size() == 1 ? "Rated" : "Rated " + (i + 1),
                    Lens.element(Filter::points, Filter::withPoints, i));
        }
        if (f.fouled().isPresent()) {
            sheet.rated("fouled", "Dirty", Lens.present(Filter::fouled, (x, r) -> x.withFouled(r.orElseThrow())));
        }
        return mesh(sheet, f.mesh(), new Lens<>(Filter::mesh, Filter::with)).all();
    }

    @Override
    public List<Field> checkBlock(CheckBlock b) {
        return FieldSheet.<CheckBlock>fitted()
                .add(
                        "cracking",
                        "Cracking pressure",
                        Unit.PSI,
                        CheckBlock::cracking,
                        (x, m) -> new CheckBlock(x.tag(), m, x.loss()))
                .rated("loss", "Rated", CheckBlock::loss, (x, r) -> new CheckBlock(x.tag(), x.cracking(), r))
                .all();
    }

    @Override
    public List<Field> flowSender(FlowSender s) {
        return FieldSheet.<FlowSender>fitted()
                .rated("loss", "Rated", FlowSender::loss, (x, r) -> new FlowSender(x.tag(), r))
                .all();
    }

    @Override
    public List<Field> gaugePort(GaugePort g) {
        return FieldSheet.<GaugePort>fitted().all();
    }

    @Override
    public List<Field> bulkhead(Bulkhead b) {
        return FieldSheet.<Bulkhead>fitted()
                .rated("loss", "Rated", Bulkhead::loss, Bulkhead::withLoss)
                .all();
    }

    @Override
    public List<Field> quickDisconnect(QuickDisconnect q) {
        return FieldSheet.<QuickDisconnect>fitted()
                .rated("loss", "Rated", QuickDisconnect::loss, (x, r) -> new QuickDisconnect(x.tag(), r))
                .all();
    }

    @Override
    public List<Field> regulator(Regulator r) {
        return FieldSheet.<Regulator>fitted()
                .add(
                        "setting",
                        "Setting",
                        Unit.PSI,
                        Regulator::setting,
                        (x, m) -> new Regulator(x.tag(), x.style(), x.reference(), m, x.loss()))
                .rated(
                        "loss",
                        "Open",
                        Regulator::loss,
                        (x, l) -> new Regulator(x.tag(), x.style(), x.reference(), x.setting(), l))
                .all();
    }

    @Override
    public List<Field> jetPump(JetPump j) {
        return FieldSheet.<JetPump>fitted()
                .add(
                        "nozzle",
                        "Nozzle",
                        Unit.INCH,
                        JetPump::nozzle,
                        (x, m) -> new JetPump(x.tag(), m, x.flowRatio(), x.headRatio()))
                .add(
                        "flowRatio",
                        "Flow ratio",
                        Unit.ONE,
                        JetPump::flowRatio,
                        (x, m) -> new JetPump(x.tag(), x.nozzle(), m, x.headRatio()))
                .add(
                        "headRatio",
                        "Head ratio",
                        Unit.ONE,
                        JetPump::headRatio,
                        (x, m) -> new JetPump(x.tag(), x.nozzle(), x.flowRatio(), m))
                .all();
    }

    @Override
    public List<Field> header(Header h) {
        Sheet<Header> sheet = FieldSheet.<Header>fitted()
                .add("capacity", "Capacity", Unit.GALLON, Header::capacity, Header::withCapacity)
                .add("height", "Height", Unit.INCH, Header::height, Header::withHeight)
                .add("inletRise", "Inlet height above outlet", Unit.INCH, Header::inletRise, Header::withInletRise);
        if (h.build().lowLight().isPresent()) {
            sheet.add(
                    "lowLight",
                    "Low light at",
                    Unit.INCH,
                    Lens.present(x -> x.build().lowLight(), Header::withLowLight));
        }
        return sheet.all();
    }

    @Override
    public List<Field> tee(Tee t) {
        return FieldSheet.<Tee>fitted()
                .add("bore", "Bore", Unit.INCH, Tee::bore, (x, m) -> new Tee(x.tag(), m))
                .all();
    }

    @Override
    public List<Field> engineInlet(EngineInlet e) {
        Sheet<EngineInlet> sheet = fitted();
        if (e.style() == EngineInlet.Style.FLOAT) {
            sheet.add("seat", "Needle seat", Unit.INCH, EngineInlet::seat, EngineInlet::withSeat);
        }
        sheet.add(
                "minimumPressure",
                "Minimum inlet pressure",
                Unit.PSI,
                EngineInlet::minimumPressure,
                (x, m) -> x.withPressures(m, x.maximumPressure()));
        if (e.maximumPressure().isPresent()) {
            sheet.add(
                    "maximumPressure",
                    "Maximum inlet pressure",
                    Unit.PSI,
                    Lens.present(EngineInlet::maximumPressure, (x, m) -> x.withPressures(x.minimumPressure(), m)));
        }
        if (e.grain().isPresent()) {
            sheet.add(
                    "grain",
                    "Coarsest filter allowed",
                    Unit.MICROMETRE,
                    Lens.present(EngineInlet::grain, EngineInlet::withGrain));
        }
        return sheet.all();
    }

    @Override
    public List<Field> run(Run run) {
        Sheet<Run> sheet = new Sheet<>();
        if (run.length().isPresent()) {
            sheet.add("length", "Length", Unit.INCH, r -> r.length().orElseThrow(), (r, m) -> r.withLength(m));
        }
        for (int i = 0; i < run.points().size(); i++) {
            sheet.place("points[" + i + "]", "Point " + (i + 1) + " ", Lens.element(Run::points, Run::withPoints, i));
        }
        return sheet.all();
    }

    @Override
    public List<Field> ventPlenum(VentPlenum p) {
        Sheet<VentPlenum> sheet = FieldSheet.<VentPlenum>fitted();
        ventLine(sheet, p.line(), new Lens<>(VentPlenum::line, VentPlenum::with));
        return sheet.place("vent", "Vent outlet ", new Lens<>(VentPlenum::tip, VentPlenum::withTip))
                .all();
    }

    @Override
    public List<Field> tank(Tank tank) {
        Sheet<Tank> sheet = new Sheet<>();
        sheet.add("unusable", "Unusable", Unit.GALLON, Tank::unusable, Tank::withUnusable);
        for (int i = 0; i < tank.outlets().size(); i++) {
            outlet(
                    sheet,
                    tank.outlets().get(i),
                    "outlets[" + tank.outlets().get(i).name() + "]",
                    tank.outlets().size() == 1 ? "Outlet " : "Outlet " + (i + 1) + " ",
                    tank.outlets().size() > 1,
                    Lens.element(Tank::outlets, Tank::withOutlets, i));
        }
        for (int i = 0; i < tank.returns().size(); i++) {
            Lens<Tank, Tank.Entry> entry = Lens.element(Tank::returns, Tank::withReturns, i);
            sheet.place(
                    "returns[" + tank.returns().get(i).name() + "].at",
                    tank.returns().size() == 1 ? "Return " : "Return " + (i + 1) + " ",
                    entry.to(Tank.Entry::place, (e, p) -> new Tank.Entry(e.name(), p)));
        }
        shape(sheet, tank.shape());
        if (tank.vent().isPresent()) {
            sheet.place("vent", "Vent outlet ", Lens.present(Tank::vent, Tank::withVent));
        }
        if (tank.drain().isPresent()) {
            sheet.place("drain", "Drain ", Lens.present(Tank::drain, Tank::withDrain));
        }
        fitout(sheet, tank.fitout());
        return sheet.all();
    }

    private static void outlet(
            Sheet<Tank> sheet, Outlet o, String key, String prefix, boolean several, Lens<Tank, Outlet> lens) {
        sheet.place(key + ".at", prefix, lens.to(Outlet::place, Outlet::at));
        sheet.add(key + ".bore", prefix + "bore", Unit.INCH, lens.to(Outlet::bore, Outlet::withBore));
        if (o.screen().isPresent()) {
            sheet.rated(
                    key + ".screen",
                    several ? prefix + "screen" : "Screen",
                    lens.to(x -> x.screen().orElseThrow(), (x, r) -> x.withScreen(Optional.of(r))));
        }
        if (o.finger().isPresent()) {
            Lens<Tank, FingerScreen> finger =
                    lens.to(x -> x.finger().orElseThrow(), (x, f) -> x.withFinger(Optional.of(f)));
            sheet.add(
                    key + ".finger.mesh",
                    prefix + "mesh per inch",
                    Unit.ONE,
                    finger.to(FingerScreen::mesh, (f, m) -> new FingerScreen(m, f.wire(), f.diameter(), f.length())));
            sheet.add(
                    key + ".finger.wire",
                    prefix + "wire diameter",
                    Unit.INCH,
                    finger.to(FingerScreen::wire, (f, m) -> new FingerScreen(f.mesh(), m, f.diameter(), f.length())));
            sheet.add(
                    key + ".finger.diameter",
                    prefix + "strainer diameter",
                    Unit.INCH,
                    finger.to(FingerScreen::diameter, (f, m) -> new FingerScreen(f.mesh(), f.wire(), m, f.length())));
            sheet.add(
                    key + ".finger.length",
                    prefix + "strainer length",
                    Unit.INCH,
                    finger.to(FingerScreen::length, (f, m) -> new FingerScreen(f.mesh(), f.wire(), f.diameter(), m)));
        }
    }

    private static void fitout(Sheet<Tank> sheet, Fitout f) {
        Lens<Tank, Fitout> fitout = new Lens<>(Tank::fitout, Tank::with);
        if (f.published().isPresent()) {
            sheet.add(
                    "published",
                    "Manufacturer's unusable",
                    Unit.GALLON,
                    fitout.to(x -> x.published().orElseThrow(), (x, m) -> x.withPublished(Optional.of(m))));
        }
        if (f.vent().isPresent()) {
            Lens<Tank, VentLine> vent = fitout.to(x -> x.vent().orElseThrow(), (x, v) -> x.withVent(Optional.of(v)));
            ventLine(sheet, f.vent().get(), vent);
        }
        if (f.filler().isPresent()) {
            sheet.place(
                    "filler",
                    "Filler neck ",
                    fitout.to(x -> x.filler().orElseThrow(), (x, p) -> x.withFiller(Optional.of(p))));
        }
        if (f.gauge().isPresent()) {
            sheet.place(
                    "gauge",
                    "Gauge bottom ",
                    fitout.to(x -> x.gauge().orElseThrow(), (x, p) -> x.withGauge(Optional.of(p))));
        }
        wells(sheet, f, fitout);
        ribs(sheet, f, fitout);
    }

    private static <T extends Item> void ventLine(Sheet<T> sheet, VentLine line, Lens<T, VentLine> vent) {
        sheet.add("ventLine.bore", "Vent bore", Unit.INCH, vent.to(VentLine::bore, VentLine::withBore));
        sheet.add("ventLine.length", "Vent length", Unit.INCH, vent.to(VentLine::length, VentLine::withLength));
        sheet.add("ventLine.tip", "Vent outlet coefficient", Unit.ONE, vent.to(VentLine::tip, VentLine::withTip));
        for (int i = 0; i < line.pieces().size(); i++) {
            Lens<VentLine, VentPiece> piece = Lens.element(VentLine::pieces, VentLine::withPieces, i);
            String name = line.pieces().get(i).kind().label();
            sheet.add(
                    "ventLine.pieces[" + i + "].opening",
                    name.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + name.substring(1) + ", opening",
                    Unit.INCH,
                    vent.to(piece.get(), piece.with()).to(VentPiece::opening, VentPiece::withOpening));
        }
        for (int i = 0; i < line.points().size(); i++) {
            Lens<VentLine, Place> point = Lens.element(VentLine::points, VentLine::withPoints, i);
            sheet.place(
                    "ventLine.points[" + i + "]", "Vent point " + (i + 1) + " ", vent.to(point.get(), point.with()));
        }
    }

    private static void wells(Sheet<Tank> sheet, Fitout f, Lens<Tank, Fitout> fitout) {
        for (int i = 0; i < f.wells().size(); i++) {
            String name = f.wells().size() == 1 ? "Well " : "Well " + (i + 1) + " ";
            String key = "wells[" + i + "]";
            Lens<Fitout, Fitout.Well> one = Lens.element(Fitout::wells, Fitout::withWells, i);
            Lens<Tank, Fitout.Well> well = fitout.to(one.get(), one.with());
            sheet.place(
                    key + ".floor",
                    name + "floor ",
                    well.to(Fitout.Well::floor, (w, p) -> new Fitout.Well(p, w.length(), w.width())));
            sheet.add(
                    key + ".length",
                    name + "length",
                    Unit.INCH,
                    well.to(Fitout.Well::length, (w, m) -> new Fitout.Well(w.floor(), m, w.width())));
            sheet.add(
                    key + ".width",
                    name + "width",
                    Unit.INCH,
                    well.to(Fitout.Well::width, (w, m) -> new Fitout.Well(w.floor(), w.length(), m)));
        }
    }

    private static void ribs(Sheet<Tank> sheet, Fitout f, Lens<Tank, Fitout> fitout) {
        for (int i = 0; i < f.ribs().size(); i++) {
            String name = "Rib " + (i + 1) + " ";
            String key = "ribs[" + i + "]";
            Lens<Fitout, Fitout.Rib> one = Lens.element(Fitout::ribs, Fitout::withRibs, i);
            Lens<Tank, Fitout.Rib> rib = fitout.to(one.get(), one.with());
            sheet.add(
                    key + ".at",
                    name + "BL",
                    Unit.INCH,
                    rib.to(Fitout.Rib::at, (r, m) -> new Fitout.Rib(m, r.openings())));
            for (int k = 0; k < f.ribs().get(i).openings().size(); k++) {
                Lens<Fitout.Rib, Fitout.Opening> hole =
                        Lens.element(Fitout.Rib::openings, (r, l) -> new Fitout.Rib(r.at(), l), k);
                Lens<Tank, Fitout.Opening> opening = rib.to(hole.get(), hole.with());
                String which = name + "hole " + (k + 1) + " ";
                sheet.add(
                        key + ".openings[" + k + "].station",
                        which + "sta",
                        Unit.INCH,
                        opening.to(Fitout.Opening::along, (o, m) -> new Fitout.Opening(m, o.waterLine(), o.passes())),
                        Optional.of(which.strip()));
                sheet.add(
                        key + ".openings[" + k + "].waterLine",
                        which + "WL",
                        Unit.INCH,
                        opening.to(Fitout.Opening::waterLine, (o, m) -> new Fitout.Opening(o.along(), m, o.passes())),
                        Optional.of(which.strip()));
            }
        }
    }

    private static void shape(Sheet<Tank> sheet, TankShape shape) {
        shape.<Runnable>as(b -> () -> box(sheet), p -> () -> prism(sheet, p), c -> () -> cylinder(sheet), s -> () -> {})
                .run();
    }

    private static void box(Sheet<Tank> sheet) {
        Lens<Tank, TankShape.Box> box = new Lens<>(t -> (TankShape.Box) t.shape(), Tank::withShape);
        sheet.add(
                "shape.length",
                "Length",
                Unit.INCH,
                box.to(TankShape.Box::length, (b, m) -> new TankShape.Box(b.corner(), m, b.width(), b.height())));
        sheet.add(
                "shape.width",
                "Width",
                Unit.INCH,
                box.to(TankShape.Box::width, (b, m) -> new TankShape.Box(b.corner(), b.length(), m, b.height())));
        sheet.add(
                "shape.height",
                "Height",
                Unit.INCH,
                box.to(TankShape.Box::height, (b, m) -> new TankShape.Box(b.corner(), b.length(), b.width(), m)));
        sheet.place(
                "shape.corner",
                "Corner ",
                box.to(TankShape.Box::corner, (b, p) -> new TankShape.Box(p, b.length(), b.width(), b.height())));
    }

    private static void cylinder(Sheet<Tank> sheet) {
        Lens<Tank, TankShape.Cylinder> drum = new Lens<>(t -> (TankShape.Cylinder) t.shape(), Tank::withShape);
        sheet.add(
                "shape.length",
                "Length",
                Unit.INCH,
                drum.to(
                        TankShape.Cylinder::length,
                        (c, m) -> new TankShape.Cylinder(c.from(), c.along(), m, c.diameter())));
        sheet.add(
                "shape.diameter",
                "Diameter",
                Unit.INCH,
                drum.to(
                        TankShape.Cylinder::diameter,
                        (c, m) -> new TankShape.Cylinder(c.from(), c.along(), c.length(), m)));
        sheet.place(
                "shape.end",
                "Middle of end ",
                drum.to(
                        TankShape.Cylinder::from,
                        (c, p) -> new TankShape.Cylinder(p, c.along(), c.length(), c.diameter())));
    }

    private static void prism(Sheet<Tank> sheet, TankShape.Prism shape) {
        Lens<Tank, TankShape.Prism> prism = new Lens<>(t -> (TankShape.Prism) t.shape(), Tank::withShape);
        sheet.add(
                "shape.leftWall",
                "Left wall",
                Unit.INCH,
                prism.to(TankShape.Prism::leftWall, (s, m) -> new TankShape.Prism(s.corners(), m, s.rightWall())));
        sheet.add(
                "shape.rightWall",
                "Right wall",
                Unit.INCH,
                prism.to(TankShape.Prism::rightWall, (s, m) -> new TankShape.Prism(s.corners(), s.leftWall(), m)));
        for (int i = 0; i < shape.corners().size(); i++) {
            Lens<TankShape.Prism, TankShape.Corner> one = Lens.element(
                    TankShape.Prism::corners, (s, l) -> new TankShape.Prism(l, s.leftWall(), s.rightWall()), i);
            Lens<Tank, TankShape.Corner> corner = prism.to(one.get(), one.with());
            sheet.add(
                    "shape.corners[" + i + "].station",
                    "Corner " + (i + 1) + " sta",
                    Unit.INCH,
                    corner.to(TankShape.Corner::station, (c, m) -> new TankShape.Corner(m, c.waterLine())),
                    Optional.of("Corner " + (i + 1)));
            sheet.add(
                    "shape.corners[" + i + "].waterLine",
                    "Corner " + (i + 1) + " WL",
                    Unit.INCH,
                    corner.to(TankShape.Corner::waterLine, (c, m) -> new TankShape.Corner(c.station(), m)),
                    Optional.of("Corner " + (i + 1)));
        }
    }
}
