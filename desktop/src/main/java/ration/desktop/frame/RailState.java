package ration.desktop.frame;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.answer.assess.Assessment;
import ration.answer.drawdown.Flight;
import ration.answer.fault.FaultSum;
import ration.record.project.Unsaid;
import ration.record.upkeep.Due;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * What the rail says of each page. A page of which nothing is known is Not shown, never Holds.
 *
 * @param bars of every page but the one that seeks causes and the schedule of the build, which have no verdict
 */
record RailState(Map<Page, Bar> bars) {

    /** How far along its bar a page is, and its verdict. */
    record Bar(double ratio, Verdict verdict) {}

    private static final Bar NOTHING = new Bar(Finding.MISSED, Verdict.NOT_SHOWN);
    /** Half a bar: something is short that has no ratio. */
    private static final double SHORT = 0.5;

    /**
     * @param faults as they were last worked out; none where they were not
     * @param flight as it was last flown; empty where it was not
     * @param today for what is due
     */
    static RailState of(Assessment a, FaultSum faults, Optional<Flight> flight, LocalDate today) {
        Map<Page, Bar> bars = new EnumMap<>(Page.class);
        for (Page page : Page.values()) {
            bars.put(page, worst(a, page));
        }
        bars.put(Page.FAULTS, new Bar(faults.ratio(), faults.worst()));
        bars.put(Page.FLIGHT, flight.map(f -> whole(f.verdict())).orElse(NOTHING));
        List<Due> due = Due.falling(a.project().upkeep(), today);
        bars.put(Page.UPKEEP, due.isEmpty() ? NOTHING : whole(due.get(0).verdict()));
        bars.put(
                Page.BRIEF,
                a.project().brief().demand() > 0 && Unsaid.of(a.project()).all().isEmpty()
                        ? new Bar(Finding.MET, Verdict.HOLDS)
                        : NOTHING);
        bars.remove(Page.FIND);
        bars.remove(Page.BUILD);
        bars.remove(Page.VARIANTS);
        return new RailState(bars);
    }

    private static Bar whole(Verdict verdict) {
        return new Bar(
                verdict == Verdict.NOT_SHOWN ? Finding.MISSED : verdict == Verdict.FAILS ? SHORT : Finding.MET,
                verdict);
    }

    /**
     * The worst of its findings; a page on which nothing was found is not shown, but a layout with nothing wrong in it.
     */
    private static Bar worst(Assessment a, Page page) {
        return a.findings().stream()
                .filter(page::concerns)
                .findFirst()
                .map(f -> new Bar(f.ratio(), f.verdict()))
                .orElseGet(() ->
                        page == Page.LAYOUT && !a.blocked() && a.problems().isEmpty()
                                ? new Bar(Finding.MET, Verdict.HOLDS)
                                : NOTHING);
    }
}
