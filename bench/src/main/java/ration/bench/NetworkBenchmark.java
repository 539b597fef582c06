package ration.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import ration.base.fluid.Fluid;
import ration.solver.network.Element;
import ration.solver.network.Element.Minor;
import ration.solver.network.FrictionLaw;
import ration.solver.network.Network;
import ration.solver.network.NetworkProblem;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkProblem.Link;
import ration.solver.network.NetworkProblem.Node;
import ration.solver.network.NetworkSolution;
import ration.solver.reference.ReferenceLibrary;

/** One cold solve of a prepared network under EPANET's friction law, as EPANET's own times are taken. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class NetworkBenchmark {

    /** Reference case, or a square grid of about 2,000 pipes. */
    @Param({"c01", "c04", "c14", "c20", "grid2000"})
    public String network;

    private Network prepared;

    @Setup
    public void prepare() throws IOException {
        prepared = Network.of(
                network.equals("grid2000")
                        ? grid(32)
                        : ReferenceLibrary.own(network).problem());
    }

    @Benchmark
    public NetworkSolution solve() {
        return prepared.solve();
    }

    /** side x side nodes, 2 side (side - 1) pipes, a reservoir in one corner and small demands everywhere else. */
    private static NetworkProblem grid(int side) {
        List<Node> nodes = new ArrayList<>();
        List<Link> links = new ArrayList<>();
        for (int i = 0; i < side; i++) {
            for (int k = 0; k < side; k++) {
                String id = i + "-" + k;
                nodes.add(new Node(id, 0, i + k == 0 ? new Boundary.Pressure(20_000) : new Boundary.Demand(2e-8)));
                if (i > 0) {
                    links.add(pipe("v" + id, (i - 1) + "-" + k, id, i * 7 + k));
                }
                if (k > 0) {
                    links.add(pipe("h" + id, i + "-" + (k - 1), id, i + 5 * k));
                }
            }
        }
        return new NetworkProblem(new Fluid(720, 5.5e-7), 9.80665, FrictionLaw.EPANET, nodes, links);
    }

    private static Link pipe(String id, String from, String to, int mix) {
        return new Link(
                id,
                from,
                to,
                new Element.Pipe(0.006 + 0.001 * (mix % 7), 0.4 + 0.1 * (mix % 5), 1.5e-6, Minor.k(mix % 3), false));
    }
}
