package ration.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import ration.aircraft.condition.Condition;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.CaseWords;
import ration.answer.assess.FaultWords;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.solver.network.NetworkProblem;
import ration.solver.network.NetworkSolution;

/** {@code ration solve FILE --case WORDS}: every pressure and flow of one case. */
@Command(
        name = "solve",
        mixinStandardHelpOptions = true,
        description = "Prints every pressure and flow of one case, with residual and states. Exit code 0: an answer; "
                + "1: no answer, with the reason; 2: the file or the case cannot be used.")
final class SolveCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "FILE", description = "A .ration document, or an example by name.")
    private String file;

    @Option(
            names = "--case",
            paramLabel = "WORDS",
            defaultValue = CaseWords.GOVERNING,
            description =
                    "The case, as in 'climb, fuselage, low' or 'level, both pumps, filters fouled'; the governing "
                            + "one if not given.")
    private String words;

    @Option(
            names = "--ask",
            paramLabel = "QUESTION",
            defaultValue = "capacity",
            description = "capacity: inlet at its least pressure; demand: the engine takes its demand; open: the line "
                    + "off at the inlet; or a flow, such as '18 gph'.")
    private String question;

    @Option(
            names = "--fault",
            paramLabel = "WAY:PART[=HOW MUCH]",
            description = "A part that has failed, as in 'pump-dead:boost-pump' or 'outlet-clogged:upper=4'; any word"
                    + " lists the"
                    + " ways. May be said again.")
    private List<String> faults = List.of();

    @Option(names = "--json", description = "Print as JSON, SI units.")
    private boolean json;

    @Override
    public Integer call() {
        PrintWriter err = spec.commandLine().getErr();
        Optional<Assessment> assessment = Documents.assess(file, err);
        if (assessment.isEmpty() || assessment.get().blocked()) {
            assessment.ifPresent(
                    a -> err.println("ration: nothing can be computed yet: there is no tank or no demand."));
            return 2;
        }
        CaseAnswer look;
        FlowAnswer answer;
        try {
            Condition condition = CaseWords.parse(assessment.get(), words);
            for (String fault : faults) {
                condition = condition.with(
                        FaultWords.parse(assessment.get().project().system(), fault));
            }
            look = assessment.get().look(condition).orElseThrow();
            answer = asked(look);
        } catch (IllegalArgumentException e) {
            err.println("ration: " + e.getMessage());
            return 2;
        }
        String label = look.label(assessment.get().project().system(), UnitSystem.US);
        spec.commandLine().getOut().print(json ? asJson(label, look, answer) : asText(label, answer));
        return answer.usable() ? 0 : 1;
    }

    private FlowAnswer asked(CaseAnswer look) {
        return switch (question.toLowerCase(Locale.ROOT)) {
            case "capacity" -> look.capacity();
            case "demand" -> look.demand();
            case "open" -> look.openLine();
            default -> look.at(Quantity.parse(question, Unit.GALLON_PER_HOUR).si());
        };
    }

    private String asText(String label, FlowAnswer a) {
        StringBuilder out =
                new StringBuilder(label).append(", ").append(question).append('\n');
        NetworkSolution s = a.solution();
        out.append(evidence(s)).append('\n');
        if (!a.usable()) {
            return out.append(a.reason()).append('\n').toString();
        }
        out.append(
                String.format(Locale.ROOT, "Into the engine: %.3f gph%n", Unit.GALLON_PER_HOUR.fromSi(a.inletFlow())));
        a.airDrawn().forEach(o -> out.append("Air is drawn through ").append(o).append('\n'));
        a.dryHeaders().forEach(h -> out.append("Runs dry: ").append(h).append('\n'));
        out.append("\nFlows, gph\n");
        for (NetworkProblem.Link l : a.problem().links()) {
            out.append(String.format(
                    Locale.ROOT,
                    "  %-28s %10.3f  %s%n",
                    l.id(),
                    Unit.GALLON_PER_HOUR.fromSi(s.flow(l.id())),
                    s.state(l.id()).name().toLowerCase(Locale.ROOT).replace('_', ' ')));
        }
        out.append("\nPressures, psi gauge\n");
        for (NetworkProblem.Node n : a.problem().nodes()) {
            OptionalDouble p = s.pressure(n.id());
            out.append(String.format(
                    Locale.ROOT,
                    "  %-28s %10s%n",
                    n.id(),
                    p.isPresent() ? String.format(Locale.ROOT, "%.4f", Unit.PSI.fromSi(p.getAsDouble())) : "cut off"));
        }
        return out.toString();
    }

    private static String evidence(NetworkSolution s) {
        return String.format(
                Locale.ROOT,
                "%s, %d steps, mass within %.1e m3/s, pressure within %.1e Pa%s",
                s.status().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                s.evidence().iterations(),
                s.evidence().massResidual(),
                s.evidence().pressureResidual(),
                s.evidence().worst().isEmpty()
                        ? ""
                        : ", worst at " + s.evidence().worst());
    }

    private String asJson(String label, CaseAnswer look, FlowAnswer a) {
        ObjectMapper mapper = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);
        ObjectNode root = Json.answer();
        NetworkSolution s = a.solution();
        root.put("case", label)
                .put("question", question)
                .put("status", s.status().name())
                .put("reason", a.reason());
        root.putObject("evidence")
                .put("iterations", s.evidence().iterations())
                .put("mass_residual_m3_s", s.evidence().massResidual())
                .put("pressure_residual_Pa", s.evidence().pressureResidual())
                .put("worst", s.evidence().worst());
        root.put("fuel_kg_m3", a.problem().fluid().density())
                .put("fuel_m2_s", a.problem().fluid().viscosity());
        root.put("demand_m3_s", look.need());
        if (a.usable()) {
            root.put("inlet_m3_s", a.inletFlow());
            a.airDrawn().forEach(root.withArray("air_drawn")::add);
            a.dryHeaders().forEach(root.withArray("dry_headers")::add);
            ObjectNode links = root.putObject("links");
            for (NetworkProblem.Link l : a.problem().links()) {
                links.putObject(l.id())
                        .put("from", l.from())
                        .put("to", l.to())
                        .put("flow_m3_s", s.flow(l.id()))
                        .put("state", s.state(l.id()).name());
            }
            ObjectNode nodes = root.putObject("nodes");
            for (NetworkProblem.Node n : a.problem().nodes()) {
                ObjectNode node = nodes.putObject(n.id()).put("height_m", n.height());
                OptionalDouble p = s.pressure(n.id());
                if (p.isPresent()) {
                    node.put("gauge_Pa", p.getAsDouble());
                } else {
                    node.put("cut_off", true);
                }
            }
        }
        try {
            return mapper.writeValueAsString(root) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("The result could not be written as JSON", e);
        }
    }
}
