package ration.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import ration.aircraft.condition.Faults;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Switching;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.FaultWords;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightEvent;
import ration.answer.drawdown.FlightRun;
import ration.answer.drawdown.FlightTable;
import ration.answer.drawdown.FlightVapor;
import ration.answer.drawdown.OnBoth;
import ration.answer.drawdown.UsualFlight;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.verdict.check.Verdict;

/** {@code ration fly FILE [--plan hand|clock|quantity|both|balance] [--json|--csv]}: a flight drawn down. */
@Command(
        name = "fly",
        mixinStandardHelpOptions = true,
        description = "Fuel in each tank over a flight, and events. Runs the document's flight, or a typical one."
                + " Exit code 0: lands with its reserve; 1: does not; 2: the file cannot be used.")
final class FlyCommand implements Callable<Integer> {

    private static final double GALLON = Unit.GALLON.toSi(1);

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "FILE", description = "A .ration document, or an example by name.")
    private String file;

    @Option(
            names = "--plan",
            paramLabel = "RULE",
            description = "Fuel management: hand, clock, quantity, both, balance; default: the document's.")
    private String plan;

    /** One or the other. */
    static final class Form {
        @Option(names = "--json", description = "Print as JSON: time series and events; SI units, minutes.")
        private boolean json;

        @Option(names = "--csv", description = "Print the time series as CSV.")
        private boolean csv;
    }

    @ArgGroup
    private final Form form = new Form();

    @Option(
            names = "--fault",
            paramLabel = "FAULT",
            description = "A failure during the flight, written as for solve --fault.")
    private String fault;

    @Option(
            names = "--at",
            paramLabel = "MIN",
            defaultValue = "0",
            description = "Minutes after the start at which it fails; default 0.")
    private double at;

    @Override
    public Integer call() {
        PrintWriter err = spec.commandLine().getErr();
        Optional<Assessment> found = Documents.assess(file, err);
        if (found.isEmpty() || found.get().basis().isEmpty()) {
            found.ifPresent(a -> err.println("ration: nothing to fly yet: no tank or no demand."));
            return 2;
        }
        Assessment a = found.get();
        FlightPlan meant = UsualFlight.meant(a.project());
        if (plan != null) {
            Optional<Switching.Mode> mode = java.util.Arrays.stream(Switching.Mode.values())
                    .filter(m -> m.name().equalsIgnoreCase(plan))
                    .findFirst();
            if (mode.isEmpty()) {
                err.println("ration: --plan takes hand, clock, quantity, both or balance, not " + plan + ".");
                return 2;
            }
            meant = meant.with(mode.get());
        }
        Flight f;
        try {
            f = FlightRun.of(
                    a,
                    meant,
                    fault == null
                            ? Faults.NONE
                            : Faults.of(FaultWords.parse(a.project().system(), fault)),
                    at,
                    Task.QUIET);
        } catch (IllegalArgumentException e) {
            err.println("ration: " + e.getMessage());
            return 2;
        }
        spec.commandLine()
                .getOut()
                .print(form.json ? asJson(a, f) : form.csv ? FlightTable.csv(a.project(), f) : asText(a, f));
        return f.verdict() == Verdict.FAILS || f.verdict() == Verdict.NOT_SHOWN ? 1 : 0;
    }

    private static String clock(double minutes) {
        return FlightTable.clock(minutes);
    }

    private static String asText(Assessment a, Flight f) {
        StringBuilder out = new StringBuilder(a.project().name())
                .append(", flight: ")
                .append(f.verdict().word())
                .append('\n');
        out.append(String.format(
                Locale.ROOT,
                "%n  " + (f.lands() ? "lands" : "does not land at")
                        + " %s with %.1f gal usable, needs %.1f gal: reserve %.0f min  %s%n",
                clock(f.landing().minutes()),
                f.landing().usable() / GALLON,
                f.landing().needs() / GALLON,
                f.landing().reserve(),
                f.landingVerdict().word()));
        out.append(String.format(
                Locale.ROOT,
                "  used %.1f gal until %s, placards say %.1f gal usable  %s%n",
                f.reached().burnt() / GALLON,
                clock(f.reached().endurance()),
                f.reached().placards() / GALLON,
                f.reachedVerdict().word()));
        if (f.reached().spilt() > 0.05 * GALLON) {
            out.append(String.format(
                    Locale.ROOT, "  %.1f gal vented overboard%n", f.reached().spilt() / GALLON));
        }
        if (f.balance().sides()) {
            out.append(String.format(
                    Locale.ROOT,
                    "  lateral imbalance maximum %.1f gal at %s, limit %.1f gal  %s%n",
                    f.balance().most() / GALLON,
                    clock(f.balance().at()),
                    f.balance().limit() / GALLON,
                    f.balanceVerdict().word()));
        }
        FlightVapor vapor = FlightVapor.of(a, f);
        out.append("  vapor margin ")
                .append(vapor.words(a.project(), UnitSystem.US))
                .append(vapor.crossing().map(t -> "; boils at " + clock(t)).orElse(""))
                .append("  ")
                .append(vapor.verdict().word())
                .append('\n');
        if (!f.trouble().isEmpty()) {
            out.append("  ").append(f.trouble()).append('\n');
        }
        out.append('\n');
        for (FlightEvent e : f.events()) {
            List<String> left = new ArrayList<>();
            Flight.Sample s = f.at(e.minutes());
            for (Tank t : a.project().system().tanks()) {
                left.add(t.name() + " " + String.format(Locale.ROOT, "%.1f", s.tank(t.id()) / GALLON));
            }
            out.append(String.format(
                    Locale.ROOT,
                    "  %5s  %-26s %s%n",
                    clock(e.minutes()),
                    e.kind() == FlightEvent.Kind.PHASE || e.kind() == FlightEvent.Kind.SWITCH
                            ? e.kind().word() + " " + e.words()
                            : e.words(),
                    String.join(", ", left) + " gal"));
        }
        OnBoth.of(a, f.plan()).ifPresent(b -> {
            out.append(String.format(
                    Locale.ROOT,
                    "%n  On BOTH %s empties first, at %s with %.1f gal in the other tanks%s:%n",
                    name(a, b.first()),
                    clock(b.minutes()),
                    b.left() / GALLON,
                    b.stops() ? "; then fuel starvation" : ""));
            b.causes()
                    .forEach(c ->
                            out.append(String.format(Locale.ROOT, "    %3.0f %% %s%n", 100 * b.share(c), c.words())));
        });
        return out.append("\nA computed flight does not clear you to fly. Dip the tanks, watch the clock.\n")
                .toString();
    }

    private static String name(Assessment a, String tank) {
        return a.project()
                .system()
                .item(tank)
                .map(ration.aircraft.model.Item::name)
                .orElse(tank);
    }

    private static String asJson(Assessment a, Flight f) {
        ObjectNode root = Json.answer();
        root.put("aircraft", a.project().name())
                .put("rule", f.plan().switching().mode().name().toLowerCase(Locale.ROOT))
                .put("verdict", Json.word(f.verdict()))
                .put("trouble", f.trouble());
        ObjectNode landing = root.putObject("landing")
                .put("minutes", f.landing().minutes())
                .put("usable", f.landing().usable())
                .put("needs", f.landing().needs())
                .put("verdict", Json.word(f.landingVerdict()));
        Json.figure(landing, "reserveMinutes", f.landing().reserve());
        root.putObject("reached")
                .put("burnt", f.reached().burnt())
                .put("placards", f.reached().placards())
                .put("spilt", f.reached().spilt())
                .put("enduranceMinutes", f.reached().endurance())
                .put("verdict", Json.word(f.reachedVerdict()));
        ObjectNode balance = root.putObject("balance")
                .put("sides", f.balance().sides())
                .put("most", f.balance().most())
                .put("minutes", f.balance().at())
                .put("limit", f.balance().limit());
        balance.put("verdict", Json.word(f.balanceVerdict()));
        FlightVapor vapor = FlightVapor.of(a, f);
        ObjectNode boiling = root.putObject("vapor")
                .put("verdict", Json.word(vapor.verdict()))
                .put("wanted", vapor.wanted());
        vapor.crossing().ifPresent(t -> boiling.put("boilsAt", t));
        ArrayNode gaps = boiling.putArray("points");
        vapor.points().forEach(v -> gaps.addObject()
                .put("minutes", v.minutes())
                .put("fuelKelvin", v.kelvin())
                .put("degrees", v.degrees())
                .put("item", v.item()));
        ArrayNode events = root.putArray("events");
        f.events().forEach(e -> events.addObject()
                .put("minutes", e.minutes())
                .put("kind", e.kind().word())
                .put("about", e.about())
                .put("words", e.words()));
        ArrayNode series = root.putArray("series");
        for (Flight.Sample s : f.samples()) {
            ObjectNode node = series.addObject()
                    .put("minutes", s.minutes())
                    .put("phase", f.phase(s).kind().label())
                    .put("burnt", s.burnt())
                    .put("headers", s.headers())
                    .put("altitude", s.condition().air().day().altitudeM())
                    .put("mass", s.moments().massKg());
            Json.figure(node, "station", s.moments().stationM());
            node.put("lateralMoment", s.moments().lateralKgM())
                    .put("leftLessRight", s.moments().leftLessRight());
            ObjectNode tanks = node.putObject("tanks");
            a.project().system().tanks().forEach(t -> tanks.put(t.id(), s.tank(t.id())));
            ObjectNode handles = node.putObject("handles");
            s.positions().forEach(handles::put);
            ArrayNode standing = node.putArray("stopped");
            s.stopped().stream().sorted().forEach(standing::add);
        }
        OnBoth.of(a, f.plan())
                .ifPresentOrElse(
                        b -> {
                            ObjectNode both = root.putObject("onBoth")
                                    .put("first", b.first())
                                    .put("minutes", b.minutes())
                                    .put("left", b.left())
                                    .put("starves", b.stops());
                            ArrayNode causes = both.putArray("causes");
                            b.causes().forEach(c -> causes.addObject()
                                    .put("cause", c.words())
                                    .put("share", b.share(c))
                                    .put("flow", c.flow()));
                        },
                        () -> root.putNull("onBoth"));
        return Json.text(root);
    }
}
