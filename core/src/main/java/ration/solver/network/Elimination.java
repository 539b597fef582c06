package ration.solver.network;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;

/**
 * The symmetric positive definite equations of one Newton step, conductances between pressures, solved by LDL^T.
 *
 * <p>Which pressures meet does not change from step to step, nor from attitude to attitude, nor with valves that shut:
 * a shut valve only conducts nothing. So the order of elimination and every place an entry goes to are worked out once
 * for a network ({@link Plan}) and only figures are carried through it afterwards. Fuel systems are nearly trees; on
 * those the plan takes about one multiplication an unknown, and on pipe grids of thousands it is a usual sparse
 * factorisation (right-looking, minimum degree; textbook).
 */
final class Elimination {

    /** Where everything goes; shared by all solves of one network. */
    static final class Plan {

        private final int n;
        /** Place in the order of elimination of each node's pressure, or -1 where it is known. */
        private final int[] place;
        /** Places of the two ends of each link; one past the last where an end is known. */
        private final int[] first;

        private final int[] second;
        /** Where the conductance between them stands; one past the last where an end is known. */
        private final int[] between;

        private final int[] start;
        /** Of each entry under the diagonal, column after column. */
        private final int[] column;

        private final int[] row;
        private final int[] target;

        private Plan(int[] place, int n, int[] from, int[] to, List<TreeSet<Integer>> columns) {
            this.n = n;
            this.place = place;
            start = new int[n + 1];
            for (int k = 0; k < n; k++) {
                start[k + 1] = start[k] + columns.get(k).size();
            }
            column = new int[start[n]];
            row = new int[start[n]];
            int pairs = 0;
            for (int k = 0; k < n; k++) {
                int at = start[k];
                Arrays.fill(column, at, start[k + 1], k);
                for (int r : columns.get(k)) {
                    row[at++] = r;
                }
                int size = columns.get(k).size();
                pairs += size * (size - 1) / 2;
            }
            target = new int[pairs];
            int t = 0;
            for (int k = 0; k < n; k++) {
                for (int p = start[k]; p < start[k + 1]; p++) {
                    for (int q = p + 1; q < start[k + 1]; q++) {
                        target[t++] = entry(row[p], row[q]);
                    }
                }
            }
            first = new int[from.length];
            second = new int[from.length];
            between = new int[from.length];
            for (int e = 0; e < from.length; e++) {
                int a = place[from[e]];
                int b = place[to[e]];
                first[e] = a < 0 ? n : a;
                second[e] = b < 0 ? n : b;
                between[e] = a < 0 || b < 0 || a == b ? row.length : entry(Math.min(a, b), Math.max(a, b));
            }
        }

        /**
         * @param known whether the pressure of a node is given
         * @param from node at the start of each link
         * @param to node at its end
         */
        static Plan of(boolean[] known, int[] from, int[] to) {
            int[] index = new int[known.length];
            int n = 0;
            for (int i = 0; i < known.length; i++) {
                index[i] = known[i] ? -1 : n++;
            }
            List<TreeSet<Integer>> neighbours = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                neighbours.add(new TreeSet<>());
            }
            for (int e = 0; e < from.length; e++) {
                int a = index[from[e]];
                int b = index[to[e]];
                if (a >= 0 && b >= 0 && a != b) {
                    neighbours.get(a).add(b);
                    neighbours.get(b).add(a);
                }
            }
            int[] order = FillReducingOrder.minimumDegree(neighbours);
            int[] place = new int[known.length];
            for (int i = 0; i < known.length; i++) {
                place[i] = known[i] ? -1 : order[index[i]];
            }
            return new Plan(place, n, from, to, filled(neighbours, order));
        }

        /** For each column in the order of elimination the rows under its diagonal, with what elimination fills in. */
        private static List<TreeSet<Integer>> filled(List<TreeSet<Integer>> neighbours, int[] order) {
            int n = order.length;
            List<TreeSet<Integer>> columns = new ArrayList<>();
            for (int k = 0; k < n; k++) {
                columns.add(new TreeSet<>());
            }
            for (int i = 0; i < n; i++) {
                for (int other : neighbours.get(i)) {
                    if (order[other] > order[i]) {
                        columns.get(order[i]).add(order[other]);
                    }
                }
            }
            for (int k = 0; k < n; k++) {
                if (!columns.get(k).isEmpty()) {
                    int first = columns.get(k).first();
                    columns.get(first).addAll(columns.get(k).tailSet(first, false));
                }
            }
            return columns;
        }

        private int entry(int column, int under) {
            return Arrays.binarySearch(row, start[column], start[column + 1], under);
        }

        /** Figures to carry through this plan. */
        Elimination figures() {
            return new Elimination(this);
        }
    }

    private final Plan plan;
    /** Both with one more, which takes what belongs to known pressures. */
    private final double[] diagonal;

    private final double[] lower;
    private final double[] work;

    private Elimination(Plan plan) {
        this.plan = plan;
        diagonal = new double[plan.n + 1];
        lower = new double[plan.row.length + 1];
        work = new double[plan.n];
    }

    void clear() {
        Arrays.fill(diagonal, 0);
        Arrays.fill(lower, 0);
    }

    /** Adds the conductance of a link. */
    void add(int link, double conductance) {
        diagonal[plan.first[link]] += conductance;
        diagonal[plan.second[link]] += conductance;
        lower[plan.between[link]] -= conductance;
    }

    /** Ties the pressure of a node to outside by as much as joins it to its neighbours; the conductance of the tie. */
    double tie(int node) {
        int at = plan.place[node];
        double conductance = diagonal[at] > 0 ? diagonal[at] : 1;
        diagonal[at] += conductance;
        return conductance;
    }

    /** Factorises; false if the equations are singular to working precision. */
    boolean factorise() {
        int t = 0;
        for (int k = 0; k < plan.n; k++) {
            double pivot = diagonal[k];
            if (!(pivot > 0) || pivot == Double.POSITIVE_INFINITY) {
                return false;
            }
            double inverse = 1 / pivot;
            int end = plan.start[k + 1];
            for (int p = plan.start[k]; p < end; p++) {
                double value = lower[p];
                double factor = value * inverse;
                diagonal[plan.row[p]] -= factor * value;
                for (int q = p + 1; q < end; q++) {
                    lower[plan.target[t++]] -= factor * lower[q];
                }
                lower[p] = factor;
            }
            diagonal[k] = inverse;
        }
        return true;
    }

    /** Solves for the pressures of all nodes that are not known, in place; false if one is not finite. */
    boolean solve(double[] byNode) {
        for (int i = 0; i < plan.place.length; i++) {
            if (plan.place[i] >= 0) {
                work[plan.place[i]] = byNode[i];
            }
        }
        for (int p = 0; p < plan.row.length; p++) {
            work[plan.row[p]] -= lower[p] * work[plan.column[p]];
        }
        for (int k = work.length - 1, p = plan.row.length - 1; k >= 0; k--) {
            double x = work[k] * diagonal[k];
            for (; p >= plan.start[k]; p--) {
                x -= lower[p] * work[plan.row[p]];
            }
            work[k] = x;
        }
        boolean finite = true;
        for (int i = 0; i < plan.place.length; i++) {
            if (plan.place[i] >= 0) {
                byNode[i] = work[plan.place[i]];
                finite &= Double.isFinite(byNode[i]);
            }
        }
        return finite;
    }
}
