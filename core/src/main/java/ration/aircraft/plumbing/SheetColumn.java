package ration.aircraft.plumbing;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import ration.aircraft.model.BarbClamp;
import ration.aircraft.model.Construction;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.HoseEnd;
import ration.aircraft.model.Item;
import ration.aircraft.model.JointEnd;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild.End;
import ration.aircraft.model.RunBuild.Figure;
import ration.aircraft.model.RunBuild.Marks;
import ration.aircraft.model.RunBuild.Papers;
import ration.base.quantity.Measured;
import ration.base.quantity.Method;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;

/**
 * A column of the runs sheet: how a cell reads, and the system with another cell. An empty text clears what may be
 * empty.
 */
public enum SheetColumn {
    RUN("Line", (s, r) -> r.name(), (s, r, t) -> {
        if (t.isBlank() || t.length() > 60) {
            throw new IllegalArgumentException("Enter a line name of 1 to 60 letters.");
        }
        return r.renamed(s.ownName(r, t.strip()));
    }),
    FROM(
            "From",
            (s, r) -> Portname.text(s, r.from()),
            (s, r, t) -> r.between(Portname.parse(s, t, List.of(Item.OUT)), r.to())),
    TO(
            "To",
            (s, r) -> Portname.text(s, r.to()),
            (s, r, t) -> r.between(r.from(), Portname.parse(s, t, List.of(Item.IN)))),
    SIZE("Size", (s, r) -> r.size().label(), (s, r, t) -> r.resized(LineSize.parse(t))),
    CONSTRUCTION(
            "Construction",
            (s, r) -> r.build().construction().map(Construction::label).orElse(""),
            (s, r, t) -> r.with(r.build()
                    .with(
                            t.isBlank()
                                    ? Optional.empty()
                                    : Optional.of(Construction.labelled(t)
                                            .orElseThrow(() -> new IllegalArgumentException(
                                                    "\u201c" + t.strip() + "\u201d is not a construction. Use "
                                                            + constructions() + ".")))))),
    LENGTH(
            "Length",
            (s, r) -> r.length().map(SheetColumn::shown).orElse(""),
            (s, r, t) -> r.withLength(read(t, Unit.INCH, r.length()))),
    BENDS("Bends", (s, r) -> bends(r.fittings()), (s, r, t) -> r.withFittings(fittings(t))),
    TIGHTEST("Tightest bend", Figure.TIGHTEST, Unit.INCH),
    SUPPORTS("Clamp spacing", Figure.SPACING, Unit.INCH),
    HEAT("Heat distance", Figure.HEAT, Unit.INCH),
    CHAFE("Clearance", Figure.CHAFE, Unit.INCH),
    SLEEVE(
            "Fire sleeve",
            (s, r) -> yes(r.build().marks().sleeved()),
            (s, r, t) -> r.with(r.build()
                    .with(new Marks(
                            yes(t),
                            r.build().marks().moving(),
                            r.build().marks().temporary())))),
    MOVES(
            "Ends move relative",
            (s, r) -> yes(r.build().marks().moving()),
            (s, r, t) -> r.with(r.build()
                    .with(new Marks(
                            r.build().marks().sleeved(),
                            yes(t),
                            r.build().marks().temporary())))),
    TEMPORARY(
            "Temporary",
            (s, r) -> yes(r.build().marks().temporary()),
            (s, r, t) -> r.with(r.build()
                    .with(new Marks(
                            r.build().marks().sleeved(), r.build().marks().moving(), yes(t))))),
    SUPPLIED("Length on hand", Figure.SUPPLIED, Unit.INCH),
    TORQUE("Torque", Figure.TORQUE, Unit.POUND_INCH),
    STRIPE(
            "Torque stripe",
            (s, r) -> yes(r.build().papers().stripe()),
            (s, r, t) -> papers(r, r.build().papers().withStripe(yes(t)))),
    CLAMP(
            "Clamp",
            (s, r) -> r.build().papers().clamp(),
            (s, r, t) -> papers(r, r.build().papers().withClamp(brief(t)))),
    PART(
            "Part number",
            (s, r) -> r.build().papers().part(),
            (s, r, t) -> papers(r, r.build().papers().withPart(brief(t)))),
    LOT(
            "Hose lot",
            (s, r) -> r.build().papers().lot(),
            (s, r, t) -> papers(r, r.build().papers().withLot(brief(t)))),
    MADE(
            "Hose made",
            (s, r) -> r.build().papers().made(),
            (s, r, t) -> papers(r, r.build().papers().withMade(day(t)))),
    PROOF(
            "Proof pressure",
            (s, r) -> r.build().papers().proof().map(SheetColumn::shown).orElse(""),
            (s, r, t) -> papers(
                    r,
                    r.build()
                            .papers()
                            .withProof(read(t, Unit.PSI, r.build().papers().proof())))),
    PROOFED(
            "Proof-tested on",
            (s, r) -> r.build().papers().proofed(),
            (s, r, t) -> papers(r, r.build().papers().withProofed(day(t)))),
    INITIALS(
            "Initials",
            (s, r) -> r.build().papers().initials(),
            (s, r, t) -> papers(r, r.build().papers().withInitials(brief(t)))),
    START_FITTING(
            "Start fitting", true, e -> e.fitting().map(JointEnd::text).orElse(""), (e, t) -> e.withFitting(joint(t))),
    START_PORT("Start port", true, e -> e.port().map(JointEnd::text).orElse(""), (e, t) -> e.withPort(joint(t))),
    START_FAMILY(
            "Start fitting for",
            true,
            e -> e.family().map(Construction::label).orElse(""),
            (e, t) -> e.withFamily(family(t))),
    START_ADAPTER("Start adapter", true, End::adapter, End::withAdapter),
    START_SEALANT("Start sealant", true, End::sealant, End::withSealant),
    START_CLAMP("Start clamp", true, e -> e.clamp().map(BarbClamp::label).orElse(""), (e, t) -> e.withClamp(clamp(t))),
    START_SHAPE(
            "Start angle",
            (s, r) -> r.build().start().shape().map(HoseEnd::text).orElse(""),
            (s, r, t) -> r.with(r.build().withStart(r.build().start().withShape(shape(r, t))))),
    END_FITTING(
            "End fitting", false, e -> e.fitting().map(JointEnd::text).orElse(""), (e, t) -> e.withFitting(joint(t))),
    END_PORT("End port", false, e -> e.port().map(JointEnd::text).orElse(""), (e, t) -> e.withPort(joint(t))),
    END_FAMILY(
            "End fitting for",
            false,
            e -> e.family().map(Construction::label).orElse(""),
            (e, t) -> e.withFamily(family(t))),
    END_ADAPTER("End adapter", false, End::adapter, End::withAdapter),
    END_SEALANT("End sealant", false, End::sealant, End::withSealant),
    END_CLAMP("End clamp", false, e -> e.clamp().map(BarbClamp::label).orElse(""), (e, t) -> e.withClamp(clamp(t))),
    END_SHAPE(
            "End angle",
            (s, r) -> r.build().end().shape().map(HoseEnd::text).orElse(""),
            (s, r, t) -> r.with(r.build().withEnd(r.build().end().withShape(shape(r, t)))));

    /** A run with another cell; throws IllegalArgumentException with a sentence. */
    @FunctionalInterface
    interface Setter {
        Run apply(FuelSystem system, Run run, String text);
    }

    private final String label;
    private final BiFunction<FuelSystem, Run, String> get;
    private final Setter set;

    SheetColumn(String label, BiFunction<FuelSystem, Run, String> get, Setter set) {
        this.label = label;
        this.get = get;
        this.set = set;
    }

    SheetColumn(String label, Figure figure, Unit unit) {
        this(
                label,
                (s, r) -> r.build().figure(figure).map(SheetColumn::shown).orElse(""),
                (s, r, t) ->
                        r.with(r.build().with(figure, read(t, unit, r.build().figure(figure)))));
    }

    SheetColumn(String label, boolean start, Function<End, String> get, BiFunction<End, String, End> set) {
        this(
                label,
                (s, r) -> get.apply(start ? r.build().start() : r.build().end()),
                (s, r, t) -> r.with(
                        start
                                ? r.build().withStart(set.apply(r.build().start(), t.strip()))
                                : r.build().withEnd(set.apply(r.build().end(), t.strip()))));
    }

    /** Of the runs themselves. */
    public static List<SheetColumn> ofRuns() {
        return List.of(values()).subList(0, START_FITTING.ordinal());
    }

    /** Of one end of a run. */
    public static List<SheetColumn> ofEnd(boolean start) {
        return start
                ? List.of(values()).subList(START_FITTING.ordinal(), END_FITTING.ordinal())
                : List.of(values()).subList(END_FITTING.ordinal(), values().length);
    }

    public String label() {
        return label;
    }

    /** What columns were called in tables written before 2026-12. */
    private static final Map<String, SheetColumn> OLDER = Map.of(
            "run", RUN,
            "supports", SUPPORTS,
            "to heat", HEAT,
            "chafe gap", CHAFE,
            "sleeved", SLEEVE,
            "ends move", MOVES,
            "supplied", SUPPLIED,
            "proved on", PROOFED);

    /** The column with this label, in any case; older labels are read too. */
    public static Optional<SheetColumn> labelled(String text) {
        SheetColumn older = OLDER.get(text.strip().toLowerCase(Locale.ROOT));
        if (older != null) {
            return Optional.of(older);
        }
        for (SheetColumn c : values()) {
            if (c.label.equalsIgnoreCase(text.strip())) {
                return Optional.of(c);
            }
        }
        return Optional.empty();
    }

    public String text(FuelSystem system, Run run) {
        return get.apply(system, run);
    }

    /**
     * The system with another cell.
     *
     * @throws IllegalArgumentException with a sentence for the writer
     */
    public FuelSystem set(FuelSystem system, Run run, String text) {
        Run changed = set.apply(system, run, text);
        if (!changed.from().equals(run.from()) || !changed.to().equals(run.to())) {
            for (Run other : system.runs()) {
                boolean taken = !other.id().equals(run.id())
                        && java.util.stream.Stream.of(changed.from(), changed.to())
                                .anyMatch(p ->
                                        other.from().equals(p) || other.to().equals(p));
                if (taken || changed.from().equals(changed.to())) {
                    throw new IllegalArgumentException(
                            taken ? "That port already carries " + other.name() + "." : "Both ends on the same port.");
                }
            }
        }
        return system.replace(changed);
    }

    private static String constructions() {
        List<String> words = new ArrayList<>();
        for (Construction c : Construction.values()) {
            words.add(c.label().toLowerCase(Locale.ROOT));
        }
        return String.join(", ", words);
    }

    private static String shown(Measured m) {
        return m.quantity().shown();
    }

    /** How it was measured may stand behind a figure, 47 in tape; where it does not, it stays as it was. */
    private static Optional<Measured> read(String text, Unit unit, Optional<Measured> before) {
        if (text.isBlank()) {
            return Optional.empty();
        }
        String written = text.strip();
        for (int at = written.indexOf(' '); at > 0; at = written.indexOf(' ', at + 1)) {
            String by = written.substring(at + 1).strip();
            if (Method.written(by).isPresent()) {
                return read(written.substring(0, at), unit, before).map(m -> new Measured(m.quantity(), by));
            }
        }
        Quantity q = Quantity.parse(text, before.map(b -> b.quantity().unit()).orElse(unit));
        if (q.si() < 0) {
            throw new IllegalArgumentException("\u201c" + text.strip() + "\u201d: must be 0 or more.");
        }
        return Optional.of(before.map(b -> b.with(q)).orElse(new Measured(q, "tape")));
    }

    private static Run papers(Run r, Papers papers) {
        return r.with(r.build().with(papers));
    }

    private static String brief(String text) {
        if (text.strip().length() > 60) {
            throw new IllegalArgumentException("Maximum 60 letters.");
        }
        return text.strip();
    }

    private static String day(String text) {
        if (text.isBlank()) {
            return "";
        }
        try {
            return LocalDate.parse(text.strip()).toString();
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException("\u201c" + text.strip() + "\u201d is not a date. Use 2026-03-09.", e);
        }
    }

    private static String yes(boolean value) {
        return value ? "yes" : "";
    }

    private static boolean yes(String text) {
        String t = text.strip().toLowerCase(Locale.ROOT);
        if (List.of("yes", "y", "x", "1", "true").contains(t)) {
            return true;
        }
        if (List.of("", "no", "n", "0", "false", "-").contains(t)) {
            return false;
        }
        throw new IllegalArgumentException("\u201c" + text.strip() + "\u201d: enter yes, or leave blank.");
    }

    private static Optional<JointEnd> joint(String text) {
        return text.isBlank() ? Optional.empty() : Optional.of(JointEnd.parse(text));
    }

    private static Optional<BarbClamp> clamp(String text) {
        return text.isBlank()
                ? Optional.empty()
                : Optional.of(BarbClamp.labelled(text)
                        .orElseThrow(() -> new IllegalArgumentException("\u201c" + text.strip()
                                + "\u201d is not a clamp. Use band, crimped ear, worm drive or none by design.")));
    }

    private static Optional<HoseEnd> shape(Run run, String text) {
        if (!text.isBlank() && run.size().kind() != LineSize.Kind.HOSE) {
            throw new IllegalArgumentException(
                    "Only the end fittings of a hose have an angle; bends of a tube are bent.");
        }
        return text.isBlank() ? Optional.empty() : Optional.of(HoseEnd.parse(text, CutLength.usualLeg(run)));
    }

    private static Optional<Construction> family(String text) {
        return text.isBlank()
                ? Optional.empty()
                : Optional.of(Construction.labelled(text)
                        .orElseThrow(() -> new IllegalArgumentException("\u201c" + text.strip()
                                + "\u201d is not a construction. Use " + constructions() + ".")));
    }

    private static final Pattern BEND = Pattern.compile(
            "(?:(\\d{1,2})\\s*[x\u00d7]?\\s*)??(90|45)\\s*\u00b0?\\s*(bends?|elbows?)?", Pattern.CASE_INSENSITIVE);

    private static String bends(List<Fitting> fittings) {
        List<String> words = new ArrayList<>();
        for (Fitting f : Fitting.values()) {
            long n = fittings.stream().filter(x -> x == f).count();
            if (n > 0) {
                words.add(n + " x " + (f == Fitting.BEND_90 || f == Fitting.ELBOW_90 ? "90" : "45")
                        + (f == Fitting.ELBOW_90 || f == Fitting.ELBOW_45 ? " elbow" : ""));
            }
        }
        return String.join(", ", words);
    }

    private static List<Fitting> fittings(String text) {
        List<Fitting> fittings = new ArrayList<>();
        for (String part : text.split("[,;+]")) {
            if (part.isBlank()) {
                continue;
            }
            Matcher m = BEND.matcher(part.strip());
            if (!m.matches()) {
                throw new IllegalArgumentException(
                        "\u201c" + part.strip() + "\u201d is not a bend. Use 2 x 90, 1 x 45 or" + " 1 x 90 elbow.");
            }
            boolean elbow =
                    m.group(3) != null && m.group(3).toLowerCase(Locale.ROOT).startsWith("elbow");
            Fitting f = m.group(2).equals("90")
                    ? elbow ? Fitting.ELBOW_90 : Fitting.BEND_90
                    : elbow ? Fitting.ELBOW_45 : Fitting.BEND_45;
            for (int i = m.group(1) == null ? 1 : Integer.parseInt(m.group(1)); i > 0; i--) {
                fittings.add(f);
            }
        }
        return fittings;
    }
}
