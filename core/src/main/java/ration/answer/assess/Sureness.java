package ration.answer.assess;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.base.quantity.Measured;
import ration.base.quantity.Method;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * How sure the flow margin is, given how well the figures it rests on are known: which of them decide it, how many of
 * those nobody measured, and how often it would be short.
 *
 * @param deciding figures by their share of what the margin may be off, the largest first, until nearly all of that is
 *     told
 * @param guessed share of it that comes from figures nobody measured
 * @param shorts samples that were short; 0 where none was needed
 * @param samples drawn; 0 where the margin stands so far off what is needed that none was needed
 */
public record Sureness(List<Deciding> deciding, double guessed, int shorts, int samples) {

    /**
     * Further from what is needed than so many standard deviations no sample is short, or none holds: a normal law has
     * 3 in 100,000 there.
     */
    private static final double FAR = 4;
    /** Figures are told until so much of the variance is. */
    private static final double TOLD = 0.95;

    private static final double THIN = 1.0 / 20;
    private static final double OPEN = 1.0 / 3;
    private static final double MOSTLY = 0.5;

    public Sureness {
        deciding = List.copyOf(deciding);
    }

    /**
     * A figure that decides the margin.
     *
     * @param item it belongs to
     * @param label as its card calls it
     * @param as it stands
     * @param share of the variance of the margin, 0 to 1
     */
    public record Deciding(Item item, String label, Measured as, double share) {
        public boolean guessed() {
            return Method.of(as).guessed();
        }

        String words() {
            return item.name() + " " + label.toLowerCase(java.util.Locale.ROOT) + " ("
                    + UnitSystem.figure(100 * share, 0) + " %)";
        }
    }

    /** What is not worked out yet, or could not be: not shown. */
    static final Sureness PENDING = new Sureness(List.of(), 1, 0, 0);

    private static final Sureness UNKNOWN = new Sureness(List.of(), 1, 0, 0);
    /** Where nothing flows there is nothing to be sure of. */
    private static final Sureness NOTHING = new Sureness(List.of(), 0, 0, 0);

    /** Of the case that governs; when asked to stop, what stands for nothing known. */
    static Sureness of(Assessment a, BooleanSupplier stop) {
        try {
            return found(a, stop).orElse(NOTHING);
        } catch (RuntimeException e) {
            return UNKNOWN;
        }
    }

    private static Optional<Sureness> found(Assessment a, BooleanSupplier stop) {
        if (a.governing().isEmpty()
                || a.governing().get().verdict() == Verdict.FAILS
                        && !a.governing().get().capacity().usable()) {
            return Optional.empty();
        }
        CaseAnswer c = a.governing().get();
        Project project = a.project().withTests(List.of());
        Optional<LeastMargin> stands = LeastMargin.of(project, List.of(c.setting()), Optional.of(a));
        if (stands.isEmpty()) {
            return Optional.empty();
        }
        List<Draws.Figure> figures = Draws.figures(project.system().items().stream()
                .filter(i -> rests(c.capacity(), i))
                .toList());
        record Moved(Draws.Figure figure, double square) {}
        List<Moved> moved = figures.parallelStream()
                .map(f -> new Moved(
                        f,
                        stop.getAsBoolean()
                                ? 0
                                : square(a, project, c, f, stands.get().ratio())))
                .toList();
        double variance = moved.stream().mapToDouble(Moved::square).sum();
        double guessed = variance <= 0
                ? 0
                : moved.stream()
                                .filter(m -> Method.of(m.figure.as()).guessed())
                                .mapToDouble(Moved::square)
                                .sum()
                        / variance;
        List<Moved> ranked = moved.stream()
                .sorted(Comparator.comparingDouble(Moved::square).reversed())
                .toList();
        List<Deciding> deciding = new java.util.ArrayList<>();
        double told = 0;
        for (Moved m : ranked) {
            if (told >= TOLD * variance || m.square <= 0) {
                break;
            }
            told += m.square;
            deciding.add(new Deciding(m.figure.item(), m.figure.label(), m.figure.as(), m.square / variance));
        }
        double off = (c.ratio() - 1) / Math.sqrt(Math.max(1e-18, variance));
        // what is short, or not shown anyway, needs no samples
        if (c.verdict() == Verdict.FAILS || c.verdict() == Verdict.NOT_SHOWN || off > FAR) {
            return Optional.of(new Sureness(deciding, guessed, 0, 0));
        }
        Draws.Samples s = Draws.sample(
                        a.project(),
                        a.nearest(Draws.NEAREST_CASES),
                        Optional.of(a),
                        Draws.SEED,
                        Draws.USUAL_SAMPLES,
                        done -> {},
                        stop)
                .orElse(null);
        return s == null
                ? Optional.of(UNKNOWN)
                : Optional.of(new Sureness(deciding, guessed, s.shorts(), Draws.USUAL_SAMPLES));
    }

    /** Whether the flow of a case can rest on a part: fuel goes through it, or comes out of it. */
    private static boolean rests(FlowAnswer a, Item i) {
        return a.carries(i.id())
                || i.only(ration.aircraft.model.EngineInlet.class).isPresent()
                || i.only(Tank.class)
                        .filter(t -> Math.abs(a.outflow(t)) > FlowAnswer.NO_FLOW)
                        .isPresent();
    }

    /**
     * By how much the margin over what is needed moves for one standard deviation of a figure, squared; the other way
     * where it cannot go this way.
     */
    private static double square(Assessment a, Project project, CaseAnswer c, Draws.Figure f, double stands) {
        return Stream.of(1.0, -1.0)
                .map(n -> {
                    try {
                        return LeastMargin.of(
                                        project.with(project.system().replace(f.moved(n))),
                                        List.of(c.setting()),
                                        Optional.of(a))
                                .map(m -> m.ratio() - stands);
                    } catch (IllegalArgumentException e) {
                        return Optional.<Double>empty();
                    }
                })
                .flatMap(Optional::stream)
                .findFirst()
                .map(d -> d * d)
                .orElse(0.0);
    }

    /** Figures that decide it and that nobody measured. */
    public List<Deciding> open() {
        return deciding.stream().filter(Deciding::guessed).toList();
    }

    public double share() {
        return samples == 0 ? 0 : (double) shorts / samples;
    }

    /** More than one sample in twenty short is never better than Thin, more than one in three is Not shown. */
    public static Verdict ofShare(double share) {
        return share > OPEN ? Verdict.NOT_SHOWN : share > THIN ? Verdict.THIN : Verdict.HOLDS;
    }

    /** A margin that rests mostly on estimates is not shown. */
    public boolean mostlyGuessed() {
        return guessed > MOSTLY;
    }

    public Verdict verdict() {
        return ofShare(share()).worse(mostlyGuessed() ? Verdict.NOT_SHOWN : Verdict.HOLDS);
    }

    /** n of m figures that decide this are estimates. */
    public String words() {
        return this == PENDING
                ? "how sure it is is being worked out"
                : this == UNKNOWN
                        ? "how sure it is could not be worked out"
                        : open().size() + " of " + deciding.size() + " figures that decide it are estimates";
    }

    /** The same for the strip, where two lines hold case and all. */
    String brief() {
        return this == PENDING
                ? "computing"
                : this == UNKNOWN
                        ? "how sure: not known"
                        : open().size() + " of " + deciding.size() + " figures estimated";
    }

    /** Why a margin is no better than this, as a sentence; empty where it holds. */
    String reason() {
        String why = this == PENDING || this == UNKNOWN
                ? words()
                : mostlyGuessed()
                        ? "it rests mostly on estimates: " + words()
                        : "under what is needed in " + shorts + " of " + samples + " samples of its figures";
        return verdict() == Verdict.HOLDS
                ? ""
                : why.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + why.substring(1) + ".";
    }

    /** What the checks say of it: the part whose figure is to be measured first is the finding's own. */
    Finding finding() {
        List<Deciding> open = open();
        String sampled = samples == 0
                ? ""
                : " Under what is needed in " + shorts + " of " + samples
                        + " samples with every figure off by what its method allows.";
        String first = open.isEmpty()
                ? ""
                : ": " + open.stream().limit(3).map(Deciding::words).collect(Collectors.joining(", "))
                        + (open.size() > 3 ? " and " + (open.size() - 3) + " more" : "");
        return new Finding(
                Check.FLOW_SURE,
                "",
                "How sure the flow margin is",
                open.stream()
                        .findFirst()
                        .or(() -> deciding.stream().findFirst())
                        .map(d -> d.item().id())
                        .orElse(""),
                verdict(),
                verdict() == Verdict.HOLDS || verdict() == Verdict.THIN
                        ? Finding.MET
                        : Math.min(0.99, 1 - Math.max(guessed, share())),
                u -> (this == PENDING || this == UNKNOWN)
                        ? reason()
                        : words() + first + ". They carry " + UnitSystem.figure(100 * guessed, 0)
                                + " % of what the margin may be off." + sampled,
                "Tolerances by how each figure was measured: common practice, no source",
                open.isEmpty() ? "" : "Measure " + open.get(0).item().name() + " first, and say how on its card.");
    }
}
