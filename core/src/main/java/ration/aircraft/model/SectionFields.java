package ration.aircraft.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * Figures of a tank given by sections. They are too many for a card, where they stand as a table; they may be off as
 * any other figure may.
 */
public final class SectionFields {

    private SectionFields() {}

    /** Of a tank given by sections; none of any other. */
    public static List<Field> of(Tank tank) {
        List<Field> all = new ArrayList<>();
        tank.shape().only(TankShape.Sections.class).ifPresent(s -> {
            for (int i = 0; i < s.sections().size(); i++) {
                section(all, s, i);
            }
        });
        return all;
    }

    private static void section(List<Field> all, TankShape.Sections shape, int i) {
        String name = "Section " + (i + 1);
        all.add(field(
                "shape.sections[" + i + "].at",
                name,
                t -> at(t, i).at(),
                (t, m) -> with(t, i, s -> new TankShape.Section(m, s.points()))));
        boolean span = shape.along() == TankShape.Along.BUTT_LINE;
        for (int k = 0; k < shape.sections().get(i).points().size(); k++) {
            int n = k;
            String path = "shape.sections[" + i + "].points[" + k + "].";
            String point = name + " point " + (k + 1);
            all.add(field(
                    path + (span ? "station" : "buttLine"),
                    point + (span ? " sta" : " BL"),
                    t -> at(t, i).points().get(n).across(),
                    (t, m) -> with(t, i, s -> point(s, n, p -> new TankShape.SectionPoint(m, p.waterLine())))));
            all.add(field(
                    path + "waterLine",
                    point + " WL",
                    t -> at(t, i).points().get(n).waterLine(),
                    (t, m) -> with(t, i, s -> point(s, n, p -> new TankShape.SectionPoint(p.across(), m)))));
        }
    }

    private static Field field(
            String key, String label, Function<Tank, Measured> get, BiFunction<Tank, Measured, Tank> with) {
        return new Field(
                key,
                label,
                Unit.INCH,
                i -> get.apply(i.only(Tank.class).orElseThrow()),
                (i, m) -> with.apply(i.only(Tank.class).orElseThrow(), m),
                Optional.empty());
    }

    private static TankShape.Section at(Tank t, int i) {
        return t.shape().only(TankShape.Sections.class).orElseThrow().sections().get(i);
    }

    private static Tank with(Tank t, int i, UnaryOperator<TankShape.Section> change) {
        TankShape.Sections s = t.shape().only(TankShape.Sections.class).orElseThrow();
        List<TankShape.Section> all = new ArrayList<>(s.sections());
        all.set(i, change.apply(all.get(i)));
        return t.withShape(new TankShape.Sections(s.along(), all));
    }

    private static TankShape.Section point(TankShape.Section s, int n, UnaryOperator<TankShape.SectionPoint> change) {
        List<TankShape.SectionPoint> all = new ArrayList<>(s.points());
        all.set(n, change.apply(all.get(n)));
        return new TankShape.Section(s.at(), all);
    }
}
