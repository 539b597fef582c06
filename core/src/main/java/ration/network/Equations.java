package ration.network;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.dense.row.factory.LinearSolverFactory_DDRM;
import org.ejml.interfaces.linsol.LinearSolverDense;
import org.ejml.sparse.csc.decomposition.chol.CholeskyUpLooking_DSCC;
import org.ejml.sparse.csc.misc.TriangularSolver_DSCC;

/**
 * The symmetric positive definite equations of one Newton step: conductances between unknown pressures. The same
 * answers dense or sparse; EJML does the algebra.
 */
interface Equations {

    void clear();

    /** Adds the conductance of a link. */
    void add(int link, double conductance);

    /** Solves; false if the equations are singular to working precision. */
    boolean solve(double[] right, double[] solved);

    /**
     * @param unknowns number of unknown pressures
     * @param unknown  index of each node's unknown or -1
     * @param out      links that carry nothing
     */
    static Equations of(int unknowns, int[] unknown, int[] from, int[] to, boolean[] out, boolean sparse) {
        return sparse ? new Sparse(unknowns, unknown, from, to, out) : new Dense(unknowns, unknown, from, to);
    }

    /** For small systems. */
    class Dense implements Equations {

        private final int n;
        private final int[] row;
        private final int[] column;
        private final DMatrixRMaj matrix;
        private final DMatrixRMaj rightSide;
        private final DMatrixRMaj result;
        private final LinearSolverDense<DMatrixRMaj> solver;

        Dense(int n, int[] unknown, int[] from, int[] to) {
            this(n, unknown, from, to, LinearSolverFactory_DDRM.chol(n));
        }

        Dense(int n, int[] unknown, int[] from, int[] to, LinearSolverDense<DMatrixRMaj> solver) {
            this.n = n;
            row = new int[from.length];
            column = new int[from.length];
            for (int e = 0; e < from.length; e++) {
                row[e] = unknown[from[e]];
                column[e] = unknown[to[e]];
            }
            matrix = new DMatrixRMaj(n, n);
            rightSide = new DMatrixRMaj(n, 1);
            result = new DMatrixRMaj(n, 1);
            this.solver = solver;
        }

        @Override
        public void clear() {
            Arrays.fill(matrix.data, 0);
        }

        final void put(int r, int c, double g) {
            matrix.data[r * n + c] += g;
        }

        @Override
        public void add(int link, double g) {
            int a = row[link];
            int b = column[link];
            if (a >= 0) {
                matrix.data[a * n + a] += g;
            }
            if (b >= 0) {
                matrix.data[b * n + b] += g;
            }
            if (a >= 0 && b >= 0) {
                matrix.data[a * n + b] -= g;
                matrix.data[b * n + a] -= g;
            }
        }

        @Override
        public boolean solve(double[] right, double[] solved) {
            System.arraycopy(right, 0, rightSide.data, 0, n);
            if (!solver.setA(matrix)) {
                return false;
            }
            solver.solve(rightSide, result);
            for (int i = 0; i < n; i++) {
                solved[i] = result.data[i];
                if (!Double.isFinite(solved[i])) {
                    return false;
                }
            }
            return true;
        }
    }

    /**
     * Which equation the balance at each node goes into, and which unknown its pressure is; -1 for none.
     *
     * @param row     by node
     * @param unknown by node
     * @param from    by link
     * @param to      by link
     */
    record Ends(int[] row, int[] unknown, int[] from, int[] to) {
    }

    /** For systems in which some balances are handed on, so that the equations are not symmetric. */
    final class General extends Dense {

        private final Ends ends;

        General(int n, Ends ends) {
            super(n, ends.unknown, ends.from, ends.to, LinearSolverFactory_DDRM.lu(n));
            this.ends = ends;
        }

        @Override
        public void add(int link, double g) {
            int a = ends.from[link];
            int b = ends.to[link];
            leaves(ends.row[a], ends.unknown[a], ends.unknown[b], g);
            leaves(ends.row[b], ends.unknown[b], ends.unknown[a], g);
        }

        private void leaves(int row, int here, int there, double g) {
            if (row >= 0 && here >= 0) {
                put(row, here, g);
            }
            if (row >= 0 && there >= 0) {
                put(row, there, -g);
            }
        }
    }

    /** For hundreds and thousands of pipes: fill-reducing order found once, structure kept from step to step. */
    final class Sparse implements Equations {

        private final int n;
        private final int[] place;
        private final DMatrixSparseCSC matrix;
        private final int[] diagonalA;
        private final int[] diagonalB;
        private final int[] offUpper;
        private final int[] offLower;
        private final CholeskyUpLooking_DSCC cholesky = new CholeskyUpLooking_DSCC();
        private final double[] work;

        Sparse(int n, int[] unknown, int[] from, int[] to, boolean[] out) {
            this.n = n;
            List<TreeSet<Integer>> neighbours = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                neighbours.add(new TreeSet<>());
            }
            for (int e = 0; e < from.length; e++) {
                int a = unknown[from[e]];
                int b = unknown[to[e]];
                if (!out[e] && a >= 0 && b >= 0 && a != b) {
                    neighbours.get(a).add(b);
                    neighbours.get(b).add(a);
                }
            }
            place = FillReducingOrder.minimumDegree(neighbours);
            matrix = structure(neighbours);
            diagonalA = new int[from.length];
            diagonalB = new int[from.length];
            offUpper = new int[from.length];
            offLower = new int[from.length];
            for (int e = 0; e < from.length; e++) {
                int a = unknown[from[e]];
                int b = unknown[to[e]];
                diagonalA[e] = a < 0 ? -1 : entry(place[a], place[a]);
                diagonalB[e] = b < 0 ? -1 : entry(place[b], place[b]);
                boolean both = !out[e] && a >= 0 && b >= 0;
                offUpper[e] = both ? entry(place[a], place[b]) : -1;
                offLower[e] = both ? entry(place[b], place[a]) : -1;
            }
            work = new double[n];
        }

        private DMatrixSparseCSC structure(List<TreeSet<Integer>> neighbours) {
            int[] at = new int[n];
            for (int i = 0; i < n; i++) {
                at[place[i]] = i;
            }
            int total = n + neighbours.stream().mapToInt(TreeSet::size).sum();
            DMatrixSparseCSC m = new DMatrixSparseCSC(n, n, total);
            int k = 0;
            for (int column = 0; column < n; column++) {
                m.col_idx[column] = k;
                TreeSet<Integer> rows = new TreeSet<>();
                rows.add(column);
                for (int other : neighbours.get(at[column])) {
                    rows.add(place[other]);
                }
                for (int r : rows) {
                    m.nz_rows[k++] = r;
                }
            }
            m.col_idx[n] = k;
            m.nz_length = k;
            m.indicesSorted = true;
            return m;
        }

        private int entry(int row, int column) {
            return Arrays.binarySearch(matrix.nz_rows, matrix.col_idx[column], matrix.col_idx[column + 1], row);
        }

        @Override
        public void clear() {
            Arrays.fill(matrix.nz_values, 0);
        }

        @Override
        public void add(int link, double g) {
            if (diagonalA[link] >= 0) {
                matrix.nz_values[diagonalA[link]] += g;
            }
            if (diagonalB[link] >= 0) {
                matrix.nz_values[diagonalB[link]] += g;
            }
            if (offUpper[link] >= 0) {
                matrix.nz_values[offUpper[link]] -= g;
                matrix.nz_values[offLower[link]] -= g;
            }
        }

        @Override
        public boolean solve(double[] right, double[] solved) {
            if (!cholesky.decompose(matrix)) {
                return false;
            }
            cholesky.setStructureLocked(true);
            for (int i = 0; i < n; i++) {
                work[place[i]] = right[i];
            }
            TriangularSolver_DSCC.solveL(cholesky.getL(), work);
            TriangularSolver_DSCC.solveTranL(cholesky.getL(), work);
            for (int i = 0; i < n; i++) {
                solved[i] = work[place[i]];
            }
            return true;
        }
    }
}
