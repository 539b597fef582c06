package ration.aircraft.plumbing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import ration.aircraft.model.Construction;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.JointEnd;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.base.geometry.Point3;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/**
 * What to cut for a run. Tube: the measured way from seat to seat, less what each bend saves over its corner where the
 * way is only known by points (0.43 R for a right angle), and, for each flare, what forming it takes up. Hose: the way
 * with 5 % slack, less what each end fitting reaches beyond the hose. Allowances are common practice, no source:
 * measure one of your own fittings before cutting.
 *
 * @param length m
 * @param sum how it came about, in inches
 */
public record CutLength(double length, String sum) {

    /** What a 37 degree flare takes up, in, by dash. */
    private static final Map<Integer, Double> FLARE =
            Map.of(3, 0.08, 4, 0.09, 5, 0.10, 6, 0.11, 8, 0.13, 10, 0.15, 12, 0.17, 16, 0.20);
    /** What an end fitting adds to the hose, in, by dash. */
    private static final Map<Integer, Double> HOSE_END =
            Map.of(3, 0.70, 4, 0.75, 5, 0.80, 6, 0.85, 8, 0.95, 10, 1.05, 12, 1.15, 16, 1.30);

    /** What an end fitting of a hose usually reaches beyond it, m. */
    static double usualLeg(Run run) {
        return Unit.INCH.toSi(HOSE_END.getOrDefault(run.size().dash(), USUAL_END));
    }

    private static final double USUAL_END = 0.85;

    /** The cut length of a run. */
    public static CutLength of(FuelSystem system, Run run) {
        double way = system.point(run.from()).isPresent()
                        && system.point(run.to()).isPresent()
                ? run.lengthM(
                        system.point(run.from()).get(), system.point(run.to()).get())
                : run.length().map(l -> l.si()).orElse(0.0);
        Construction c = LineRules.construction(run);
        int dash = run.size().dash();
        String measured = UnitSystem.figure(Unit.INCH.fromSi(way), 2);
        if (run.size().kind() == LineSize.Kind.BORE) {
            return new CutLength(way, measured);
        }
        if (c.hose() && HoseMade.said(run)) {
            HoseMade made = HoseMade.of(system, run).orElseThrow();
            return new CutLength(
                    made.cut(),
                    UnitSystem.figure(Unit.INCH.fromSi(made.way()), 2) + " between end fittings + 5 % slack"
                            + (made.trouble().isEmpty() ? "" : ". " + made.trouble()));
        }
        if (c.hose()) {
            double end = usualLeg(run);
            double cut = way * (1 + LineRules.LEAST_SLACK) - 2 * end;
            return new CutLength(
                    Math.max(0, cut),
                    measured + " + 5 % slack \u2212 2 \u00d7 " + UnitSystem.figure(Unit.INCH.fromSi(end), 2)
                            + " end fittings");
        }
        double saved = run.length().isEmpty() ? bends(system, run) : 0;
        int flares = flare(run.build().start()) + flare(run.build().end());
        double each = Unit.INCH.toSi(FLARE.getOrDefault(dash, 0.11));
        return new CutLength(
                Math.max(0, way - saved + flares * each),
                measured
                        + (saved > 1e-4
                                ? " \u2212 " + UnitSystem.figure(Unit.INCH.fromSi(saved), 2) + " round the bends"
                                : "")
                        + " + " + flares + " \u00d7 "
                        + UnitSystem.figure(Unit.INCH.fromSi(each), 2) + " flares");
    }

    /**
     * What the bends save over the corners of the measured points, m: {@code R (2 tan(a/2) - a)} for a turn by a, with
     * the tightest bend as recorded, else the least the table allows. A turn cannot save more than the legs beside it.
     */
    private static double bends(FuelSystem system, Run run) {
        double radius = run.build().tightest().map(m -> m.si()).orElseGet(() -> LineRules.leastRadius(run)
                .orElse(0));
        if (system.point(run.from()).isEmpty() || system.point(run.to()).isEmpty()) {
            return 0;
        }
        List<Point3> way = new ArrayList<>(List.of(system.point(run.from()).get()));
        run.points().forEach(p -> way.add(p.point()));
        way.add(system.point(run.to()).get());
        double saved = 0;
        for (int i = 1; i + 1 < way.size(); i++) {
            Point3 in = way.get(i).minus(way.get(i - 1));
            Point3 out = way.get(i + 1).minus(way.get(i));
            double shorter = Math.min(in.length(), out.length());
            if (shorter > 1e-6) {
                double turn = Math.acos(Math.max(-1, Math.min(1, in.dot(out) / in.length() / out.length())));
                double tangent = Math.tan(Math.min(turn, Math.PI * 0.9) / 2);
                double r = Math.min(radius, tangent > 1e-9 ? shorter / tangent : radius);
                saved += Math.max(0, r * (2 * tangent - Math.min(turn, Math.PI * 0.9)));
            }
        }
        return saved;
    }

    /** One unless the end is known to be something else than a flare. */
    private static int flare(RunBuild.End end) {
        return end.fitting()
                .map(f -> f.way() == JointEnd.Way.FLARE || f.way() == JointEnd.Way.FLARE_45 ? 1 : 0)
                .orElse(1);
    }

    /** In inches to a sixteenth, as a tape reads. */
    public String text() {
        return sixteenths(length);
    }

    /** A length in inches to a sixteenth, as a tape reads: 15 1/2 in, of m. */
    public static String sixteenths(double length) {
        long sixteenths = Math.round(Unit.INCH.fromSi(length) * 16);
        long whole = sixteenths / 16;
        long part = sixteenths % 16;
        long divisor = 16;
        while (part > 0 && part % 2 == 0) {
            part /= 2;
            divisor /= 2;
        }
        return part == 0 ? whole + " in" : (whole == 0 ? "" : whole + " ") + part + "/" + divisor + " in";
    }
}
