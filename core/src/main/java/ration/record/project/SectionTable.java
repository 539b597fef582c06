package ration.record.project;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.model.TankShape;
import ration.aircraft.model.TankShape.Section;
import ration.aircraft.model.TankShape.SectionPoint;
import ration.aircraft.plumbing.RunSheet;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;

/**
 * Points of sections as a table, a row a point: where the section lies, where the point lies in it, its water line.
 * Rows with the same place of section belong together.
 */
public final class SectionTable {

    private static final int MOST_POINTS = 600;

    private SectionTable() {}

    /**
     * One row.
     *
     * @param section index of its section
     * @param point index in it
     */
    public record Row(int section, int point, Measured at, Measured across, Measured waterLine) {}

    /** Every point in order. */
    public static List<Row> rows(TankShape.Sections shape) {
        List<Row> rows = new ArrayList<>();
        for (int s = 0; s < shape.sections().size(); s++) {
            Section section = shape.sections().get(s);
            for (int p = 0; p < section.points().size(); p++) {
                SectionPoint point = section.points().get(p);
                rows.add(new Row(s, p, section.at(), point.across(), point.waterLine()));
            }
        }
        return rows;
    }

    /**
     * Sections from a pasted table of three columns; a first line without figures is taken for names.
     *
     * @throws IllegalArgumentException with row and reason
     */
    public static TankShape.Sections parse(String text, TankShape.Along along) {
        List<List<String>> rows = RunSheet.table(text);
        Map<Double, List<SectionPoint>> points = new LinkedHashMap<>();
        Map<Double, Measured> places = new LinkedHashMap<>();
        int count = 0;
        for (int i = 0; i < rows.size(); i++) {
            List<String> row = rows.get(i);
            if (i == 0 && row.stream().noneMatch(c -> c.matches(".*[0-9].*"))) {
                continue;
            }
            if (row.size() < 3) {
                throw new IllegalArgumentException("Row " + (i + 1) + " has " + row.size() + " columns; it needs three:"
                        + " place of the section, place of the point in it, water line.");
            }
            try {
                Measured at = inches(row.get(0));
                places.putIfAbsent(at.si(), at);
                points.computeIfAbsent(at.si(), k -> new ArrayList<>())
                        .add(new SectionPoint(inches(row.get(1)), inches(row.get(2))));
            } catch (IllegalArgumentException e) {
                throw new IllegalArgumentException("Row " + (i + 1) + ": " + e.getMessage(), e);
            }
            if (++count > MOST_POINTS) {
                throw new IllegalArgumentException("More than " + MOST_POINTS + " points: give fewer to a section.");
            }
        }
        List<Section> sections = new ArrayList<>();
        points.forEach((at, list) -> sections.add(new Section(places.get(at), list)));
        sections.sort(java.util.Comparator.comparingDouble(s -> s.at().si()));
        TankShape.Sections shape = new TankShape.Sections(along, sections);
        shape.solid();
        return shape;
    }

    private static Measured inches(String text) {
        return new Measured(Quantity.parse(text, Unit.INCH), "tape");
    }

    /** With one cell changed: 0 the place of its section, 1 the place of the point, 2 its water line. */
    public static TankShape.Sections with(TankShape.Sections shape, Row row, int column, Quantity value) {
        List<Section> sections = new ArrayList<>(shape.sections());
        Section s = sections.get(row.section());
        if (column == 0) {
            sections.set(row.section(), new Section(s.at().with(value), s.points()));
        } else {
            List<SectionPoint> points = new ArrayList<>(s.points());
            SectionPoint p = points.get(row.point());
            points.set(
                    row.point(),
                    column == 1
                            ? new SectionPoint(p.across().with(value), p.waterLine())
                            : new SectionPoint(p.across(), p.waterLine().with(value)));
            sections.set(row.section(), new Section(s.at(), points));
        }
        return new TankShape.Sections(shape.along(), sections);
    }

    /** With a point between this one and the next. */
    public static TankShape.Sections withPointAfter(TankShape.Sections shape, Row row) {
        List<Section> sections = new ArrayList<>(shape.sections());
        Section s = sections.get(row.section());
        List<SectionPoint> points = new ArrayList<>(s.points());
        SectionPoint a = points.get(row.point());
        SectionPoint b = points.get((row.point() + 1) % points.size());
        points.add(
                row.point() + 1,
                new SectionPoint(middle(a.across(), b.across()), middle(a.waterLine(), b.waterLine())));
        sections.set(row.section(), new Section(s.at(), points));
        return new TankShape.Sections(shape.along(), sections);
    }

    /** Without this point; the section goes with its third last point. */
    public static TankShape.Sections without(TankShape.Sections shape, Row row) {
        List<Section> sections = new ArrayList<>(shape.sections());
        Section s = sections.get(row.section());
        List<SectionPoint> points = new ArrayList<>(s.points());
        points.remove(row.point());
        if (points.size() < 3) {
            sections.remove(row.section());
        } else {
            sections.set(row.section(), new Section(s.at(), points));
        }
        return new TankShape.Sections(shape.along(), sections);
    }

    /** With a section more, half-way to the next or as far beyond the last. */
    public static TankShape.Sections withSectionAfter(TankShape.Sections shape, int index) {
        List<Section> sections = new ArrayList<>(shape.sections());
        Section s = sections.get(index);
        double next = index + 1 < sections.size()
                ? (s.at().si() + sections.get(index + 1).at().si()) / 2
                : s.at().si()
                        + Math.abs(s.at().si()
                                - sections.get(Math.max(0, index - 1)).at().si());
        sections.add(
                index + 1,
                new Section(
                        new Measured(
                                Quantity.of(Math.round(Unit.INCH.fromSi(next) * 100) / 100.0, Unit.INCH), "estimate"),
                        s.points()));
        return new TankShape.Sections(shape.along(), sections);
    }

    /** Any shape without curves as two sections or more. */
    public static TankShape.Sections of(TankShape shape) {
        Optional<TankShape.Sections> sections = shape.only(TankShape.Sections.class);
        if (sections.isPresent()) {
            return sections.get();
        }
        List<SectionPoint> points = shape.section().stream()
                .map(p -> new SectionPoint(round(p.x()), round(p.z())))
                .toList();
        return new TankShape.Sections(
                TankShape.Along.BUTT_LINE,
                List.of(new Section(round(shape.left()), points), new Section(round(shape.right()), points)));
    }

    private static Measured middle(Measured a, Measured b) {
        return round((a.si() + b.si()) / 2);
    }

    private static Measured round(double metres) {
        return new Measured(Quantity.of(Math.round(Unit.INCH.fromSi(metres) * 100) / 100.0, Unit.INCH), "tape");
    }
}
