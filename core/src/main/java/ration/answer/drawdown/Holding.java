package ration.answer.drawdown;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Tank;

/** What there is at a moment, m3: in each tank, in each header, burnt and spilt since the start. */
public final class Holding {

    private final List<Tank> tanks;
    private final List<Header> headers;
    private final double[] state;

    Holding(List<Tank> tanks, List<Header> headers, double[] state) {
        this.tanks = tanks;
        this.headers = headers;
        this.state = state;
    }

    /** Tanks filled so, m3 by tank id, and full headers. */
    public static Holding of(FuelSystem system, Map<String, Double> contents) {
        List<Tank> tanks = system.tanks();
        List<Header> headers = system.all(Header.class).toList();
        double[] state = new double[tanks.size() + headers.size() + 2];
        for (int i = 0; i < tanks.size(); i++) {
            state[i] = contents.getOrDefault(tanks.get(i).id(), 0.0);
        }
        for (int i = 0; i < headers.size(); i++) {
            state[tanks.size() + i] = headers.get(i).capacity().si();
        }
        return new Holding(tanks, headers, state);
    }

    Holding at(double[] other) {
        return new Holding(tanks, headers, other.clone());
    }

    double[] state() {
        return state.clone();
    }

    boolean same(double[] other) {
        return Arrays.equals(state, other);
    }

    List<Tank> tanks() {
        return tanks;
    }

    List<Header> headers() {
        return headers;
    }

    /** In a tank; never under zero. */
    public double tank(String id) {
        for (int i = 0; i < tanks.size(); i++) {
            if (tanks.get(i).id().equals(id)) {
                return Math.max(0, state[i]);
            }
        }
        throw new IllegalArgumentException("There is no tank " + id);
    }

    double header(int n) {
        return state[tanks.size() + n];
    }

    Holding withoutHeader(int n) {
        double[] other = state.clone();
        other[other.length - 2] += other[tanks.size() + n];
        other[tanks.size() + n] = 0;
        return at(other);
    }

    /** The same with nothing in any header. */
    Holding headersEmpty() {
        double[] other = state.clone();
        Arrays.fill(other, tanks.size(), tanks.size() + headers.size(), 0);
        return at(other);
    }

    /** In all headers. */
    public double inHeaders() {
        double sum = 0;
        for (int i = 0; i < headers.size(); i++) {
            sum += header(i);
        }
        return sum;
    }

    /** By tank id. */
    public Map<String, Double> contents() {
        Map<String, Double> all = new HashMap<>();
        tanks.forEach(t -> all.put(t.id(), tank(t.id())));
        return all;
    }

    /** In all tanks. */
    public double inTanks() {
        return tanks.stream().mapToDouble(t -> tank(t.id())).sum();
    }

    public double burnt() {
        return state[state.length - 2];
    }

    /** Overboard, or out of a part that leaks. */
    public double spilt() {
        return state[state.length - 1];
    }
}
