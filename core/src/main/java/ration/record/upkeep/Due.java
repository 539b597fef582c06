package ration.record.upkeep;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import ration.base.quantity.UnitSystem;
import ration.verdict.check.Verdict;

/**
 * How a part stands on a day.
 *
 * @param part itself
 * @param used share of its life that is over; NaN where its age is not known
 * @param on day it falls due by the calendar; empty where that does not count or is not known
 * @param atHours of the airframe at which it falls due; NaN where they do not count or are not known
 * @param left in words
 * @param verdict on it
 */
public record Due(Part part, double used, Optional<LocalDate> on, double atHours, String left, Verdict verdict) {

    /** Thin within a tenth of a life. */
    private static final double THIN = 0.9;

    /** All of a document, the most urgent first. */
    public static List<Due> of(Upkeep upkeep, LocalDate today) {
        List<Due> all = new ArrayList<>();
        upkeep.parts().forEach(p -> all.add(of(upkeep, p, today)));
        all.sort(Comparator.comparing(Due::verdict)
                .reversed()
                .thenComparing(Comparator.comparingDouble((Due d) -> Double.isNaN(d.used) ? 2 : d.used)
                        .reversed())
                .thenComparing(d -> d.part().name()));
        return all;
    }

    /**
     * Those that fall due. What is done before every flight never does, and that it was done is recorded nowhere: it
     * neither holds nor is it open.
     */
    public static List<Due> falling(Upkeep upkeep, LocalDate today) {
        return of(upkeep, today).stream()
                .filter(d -> d.part().life().ends() != Life.Ends.EACH_FLIGHT)
                .toList();
    }

    /** Of one part. */
    public static Due of(Upkeep upkeep, Part p, LocalDate today) {
        if (p.life().ends() == Life.Ends.REMOVE) {
            return new Due(p, 1, Optional.empty(), Double.NaN, "remove before flight", Verdict.FAILS);
        }
        if (p.life().ends() == Life.Ends.EACH_FLIGHT) {
            return new Due(p, 0, Optional.empty(), Double.NaN, "before every flight, not recorded", Verdict.NOT_SHOWN);
        }
        Optional<Entry> looked = p.life().ends() == Life.Ends.LOOK ? last(upkeep, p) : Optional.empty();
        Optional<LocalDate> begins = looked.map(Entry::on)
                .or(() -> p.fitted().map(f -> p.life().ends() == Life.Ends.LOOK ? f.on() : f.begins()));
        double from = looked.map(Entry::hours)
                .orElseGet(() -> p.fitted().map(Part.Fitted::hours).orElse(Double.NaN));
        if (begins.isEmpty()) {
            return new Due(p, Double.NaN, Optional.empty(), Double.NaN, "age unknown: treat as due", Verdict.NOT_SHOWN);
        }
        LocalDate start = begins.get();
        Optional<LocalDate> end =
                p.life().months() > 0 ? Optional.of(start.plusMonths(p.life().months())) : Optional.empty();
        double endHours = p.life().hours() > 0 ? from + p.life().hours() : Double.NaN;
        double byDate = end.map(e -> share(start, e, today)).orElse(0.0);
        double byHours =
                Double.isNaN(endHours) ? 0 : (upkeep.hours() - from) / p.life().hours();
        double used = Math.max(byDate, byHours);
        Verdict verdict = used >= 1 ? Verdict.FAILS : used >= THIN ? Verdict.THIN : Verdict.HOLDS;
        return new Due(
                p,
                used,
                end,
                endHours,
                byHours > byDate
                        ? hours(endHours - upkeep.hours())
                        : days(ChronoUnit.DAYS.between(today, end.orElse(today))),
                verdict);
    }

    private static double share(LocalDate start, LocalDate end, LocalDate today) {
        double whole = Math.max(1, ChronoUnit.DAYS.between(start, end));
        return ChronoUnit.DAYS.between(start, today) / whole;
    }

    /** The last look, or change, that nobody put right since. */
    private static Optional<Entry> last(Upkeep upkeep, Part p) {
        return upkeep.history(p.id()).stream()
                .filter(e -> e.what() == Entry.What.LOOKED && !upkeep.corrected(e))
                .filter(e -> p.fitted().map(f -> !e.on().isBefore(f.on())).orElse(true))
                .findFirst();
    }

    private static String hours(double left) {
        return left < 0 ? UnitSystem.figure(-left, 1) + " h overdue" : UnitSystem.figure(left, 1) + " h remaining";
    }

    private static String days(long left) {
        long n = Math.abs(left);
        String span = n < 21
                ? n + (n == 1 ? " day" : " days")
                : n < 120 ? Math.round(n / 7.0) + " weeks" : Math.round(n / 30.4) + " months";
        return left < 0 ? span + " overdue" : span + " remaining";
    }
}
