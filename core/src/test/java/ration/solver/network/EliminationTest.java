package ration.solver.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import org.junit.jupiter.api.Test;

/** The elimination against the dense solver of the matrix library EJML, on graphs of any form. */
class EliminationTest {

    @Property(tries = 500)
    void solvesWhatADenseSolverSolves(@ForAll long seed, @ForAll @IntRange(min = 2, max = 40) int nodes) {
        Random random = new Random(seed);
        int links = nodes - 1 + random.nextInt(nodes);
        int[] from = new int[links];
        int[] to = new int[links];
        double[] conductance = new double[links];
        for (int e = 0; e < links; e++) {
            from[e] = e < nodes - 1 ? e + 1 : random.nextInt(nodes);
            to[e] = e < nodes - 1 ? random.nextInt(e + 1) : (from[e] + 1 + random.nextInt(nodes - 1)) % nodes;
            conductance[e] = Math.pow(10, -3 + 6 * random.nextDouble());
        }
        boolean[] known = new boolean[nodes];
        known[random.nextInt(nodes)] = true;
        for (int i = 0; i < nodes; i++) {
            known[i] |= random.nextInt(5) == 0;
        }
        Elimination sparse = Elimination.Plan.of(known, from, to).figures();
        DMatrixRMaj dense = new DMatrixRMaj(nodes, nodes);
        for (int e = 0; e < links; e++) {
            sparse.add(e, conductance[e]);
            for (int[] ends : new int[][] {{from[e], to[e]}, {to[e], from[e]}}) {
                dense.add(ends[0], ends[0], conductance[e]);
                dense.add(ends[0], ends[1], -conductance[e]);
            }
        }
        double[] right = new double[nodes];
        DMatrixRMaj b = new DMatrixRMaj(nodes, 1);
        for (int i = 0; i < nodes; i++) {
            if (known[i]) {
                for (int k = 0; k < nodes; k++) {
                    dense.set(i, k, 0);
                    dense.set(k, i, 0);
                }
                dense.set(i, i, 1);
            } else {
                right[i] = random.nextDouble() - 0.5;
                b.set(i, 0, right[i]);
            }
        }
        DMatrixRMaj x = new DMatrixRMaj(nodes, 1);
        assertThat(CommonOps_DDRM.solve(dense, b, x)).isTrue();
        assertThat(sparse.factorise()).isTrue();
        assertThat(sparse.solve(right)).isTrue();
        for (int i = 0; i < nodes; i++) {
            if (!known[i]) {
                assertThat(right[i])
                        .isCloseTo(
                                x.get(i, 0), org.assertj.core.data.Offset.offset(1e-7 * (1 + Math.abs(x.get(i, 0)))));
            }
        }
    }

    @Test
    void whatNothingSetsIsSingularUntilItIsTied() {
        Elimination figures = Elimination.Plan.of(new boolean[2], new int[] {0}, new int[] {1})
                .figures();
        figures.add(0, 2);
        assertThat(figures.factorise()).isFalse();
        figures.clear();
        figures.add(0, 2);
        double tie = figures.tie(0);
        assertThat(figures.factorise()).isTrue();
        double[] x = {3 * tie, 0};
        assertThat(figures.solve(x)).isTrue();
        assertThat(x).containsExactly(3, 3);
    }
}
