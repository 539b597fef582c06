package ration.base.geometry;

import java.util.ArrayList;
import java.util.List;

/** Several solids that fill and empty as one. */
final class JoinedSolid implements Solid {

    private final List<Solid> parts;

    JoinedSolid(List<Solid> parts) {
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("Nothing to join");
        }
        this.parts = List.copyOf(parts);
    }

    @Override
    public double volume() {
        return parts.stream().mapToDouble(Solid::volume).sum();
    }

    @Override
    public double volumeBelow(Point3 up, double level) {
        double sum = 0;
        for (Solid part : parts) {
            sum += part.volumeBelow(up, level);
        }
        return sum;
    }

    @Override
    public double volumeBelow(Point3 up, double level, Slab within) {
        double sum = 0;
        for (Solid part : parts) {
            sum += part.volumeBelow(up, level, within);
        }
        return sum;
    }

    @Override
    public double lowest(Point3 up) {
        return parts.stream().mapToDouble(p -> p.lowest(up)).min().orElseThrow();
    }

    @Override
    public double highest(Point3 up) {
        return parts.stream().mapToDouble(p -> p.highest(up)).max().orElseThrow();
    }

    @Override
    public List<List<Point3>> faces() {
        List<List<Point3>> all = new ArrayList<>();
        parts.forEach(p -> all.addAll(p.faces()));
        return all;
    }

    @Override
    public List<List<Point3>> cut(Point3 normal, double offset) {
        List<List<Point3>> all = new ArrayList<>();
        parts.forEach(p -> all.addAll(p.cut(normal, offset)));
        return all;
    }
}
