package ration.solver.reference;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ration.base.fluid.Fluid;
import ration.solver.network.Element;
import ration.solver.network.FrictionLaw;
import ration.solver.network.NetworkProblem;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkProblem.Link;
import ration.solver.network.NetworkProblem.Node;
import ration.solver.network.PumpCurve;

/**
 * One network with flows known from outside.
 *
 * @param id the case's own id
 * @param title what it shows
 * @param problem the network, its friction law still to be chosen (EPANET's as read)
 * @param flows expected flow of each link, m3/s
 */
public record ReferenceCase(String id, String title, NetworkProblem problem, Map<String, Double> flows) {

    private static final ObjectMapper JSON = new ObjectMapper();

    public ReferenceCase {
        flows = Collections.unmodifiableMap(new LinkedHashMap<>(flows));
    }

    /** The same network under another friction law. */
    public NetworkProblem under(FrictionLaw law) {
        return new NetworkProblem(problem.fluid(), problem.gravity(), law, problem.nodes(), problem.links());
    }

    /** Expected flows of one of the file's other friction laws, by its name there. */
    public static Map<String, Double> alternative(InputStream in, String law) throws IOException {
        return flowsOf(JSON.readTree(in).path("alt").path(law).path("flows_m3_s"), "alt." + law);
    }

    /** Reads a case; the message of the exception says what the file lacks. */
    public static ReferenceCase read(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return read(in, file.getFileName().toString());
        }
    }

    public static ReferenceCase read(InputStream in, String name) throws IOException {
        try {
            JsonNode root = JSON.readTree(in);
            String id = root.path("id").asText(name);
            Fluid fluid = new Fluid(number(root.path("fluid"), "rho_kg_m3"), number(root.path("fluid"), "nu_m2_s"));
            double gravity = root.path("g_m_s2").asDouble(9.80665);
            double weight = fluid.density() * gravity;
            List<Node> nodes = new ArrayList<>();
            for (JsonNode n : list(root, "nodes")) {
                nodes.add(node(n, weight));
            }
            List<Link> links = new ArrayList<>();
            for (JsonNode l : list(root, "links")) {
                links.add(new Link(text(l, "id"), text(l, "from"), text(l, "to"), element(l, weight)));
            }
            JsonNode answers = root.path("exact").has("flows_m3_s") ? root.path("exact") : root.path("epanet");
            Map<String, Double> flows = flowsOf(answers.path("flows_m3_s"), "exact");
            for (Link link : links) {
                if (!flows.containsKey(link.id())) {
                    throw new IllegalArgumentException("no expected flow for link " + link.id());
                }
            }
            return new ReferenceCase(
                    id,
                    root.path("title").asText(""),
                    new NetworkProblem(fluid, gravity, FrictionLaw.EPANET, nodes, links),
                    flows);
        } catch (JsonProcessingException e) {
            throw new IOException(name + " is not JSON: " + e.getOriginalMessage(), e);
        } catch (IllegalArgumentException e) {
            throw new IOException(name + " is not a reference case: " + e.getMessage(), e);
        }
    }

    private static Map<String, Double> flowsOf(JsonNode object, String where) {
        if (!object.isObject()) {
            throw new IllegalArgumentException("no flows_m3_s under " + where);
        }
        Map<String, Double> flows = new LinkedHashMap<>();
        object.properties().forEach(f -> flows.put(f.getKey(), f.getValue().asDouble()));
        return flows;
    }

    private static Node node(JsonNode n, double weight) {
        double height = number(n, "elevation_m");
        return switch (text(n, "type")) {
            case "reservoir" ->
                new Node(text(n, "id"), height, new Boundary.Pressure(weight * (number(n, "head_m") - height)));
            case "junction" ->
                new Node(
                        text(n, "id"),
                        height,
                        new Boundary.Demand(n.path("demand_m3_s").asDouble(0)));
            default -> throw new IllegalArgumentException("node " + text(n, "id") + " has an unknown type");
        };
    }

    private static Element element(JsonNode l, double weight) {
        if ("closed".equalsIgnoreCase(l.path("status").asText("open"))) {
            return new Element.Shut();
        }
        return switch (text(l, "type")) {
            case "pipe" ->
                new Element.Pipe(
                        number(l, "diameter_m"),
                        number(l, "length_m"),
                        number(l, "roughness_m"),
                        Element.Minor.k(l.path("K").asDouble(0)),
                        l.path("checkValve").asBoolean(false));
            case "pump" -> new Element.Pump(curve(l.path("curve"), weight));
            default -> throw new IllegalArgumentException("link " + text(l, "id") + " has an unknown type");
        };
    }

    private static PumpCurve curve(JsonNode c, double weight) {
        return switch (text(c, "kind")) {
            case "power" -> new PumpCurve.Power(weight * number(c, "A"), weight * number(c, "B"), number(c, "n"));
            case "piecewiseLinear" -> {
                List<PumpCurve.Point> points = new ArrayList<>();
                for (JsonNode p : list(c, "points_q_m3s_h_m")) {
                    points.add(new PumpCurve.Point(
                            p.path(0).asDouble(), weight * p.path(1).asDouble()));
                }
                yield Element.curve(points);
            }
            default -> throw new IllegalArgumentException("a pump curve has an unknown kind");
        };
    }

    private static JsonNode list(JsonNode parent, String field) {
        if (!parent.path(field).isArray()) {
            throw new IllegalArgumentException("the list " + field + " is missing");
        }
        return parent.path(field);
    }

    private static double number(JsonNode parent, String field) {
        if (!parent.path(field).isNumber()) {
            throw new IllegalArgumentException("the number " + field + " is missing");
        }
        return parent.path(field).asDouble();
    }

    private static String text(JsonNode parent, String field) {
        if (!parent.path(field).isTextual()) {
            throw new IllegalArgumentException("the text " + field + " is missing");
        }
        return parent.path(field).asText();
    }
}
