package ration.publish.packet;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import ration.aircraft.flight.Phase;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightEvent;
import ration.answer.drawdown.FlightTable;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.FlightPicture;
import ration.publish.paper.Cell;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** The flight flown on paper: fuel in each tank, what happens when, what is left. */
final class FlightSheet {

    static final String KEY = "flight";

    /** So many tanks have their fuel beside what was assumed. */
    private static final int FEW = 3;

    private final Pages pages;
    private final Dossier d;

    FlightSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
    }

    void write() throws IOException {
        Optional<Flight> flown = d.flight();
        if (flown.isEmpty()) {
            pages.page(KEY, "Flight", Optional.of(Verdict.NOT_SHOWN), "");
            pages.text("Not shown: " + d.grounded().orElse(""), 8.5, false);
            return;
        }
        Flight f = flown.get();
        UnitSystem u = d.units();
        pages.page(
                KEY,
                "Flight",
                Optional.of(f.verdict()),
                (d.project().flight().isPresent() ? "as planned" : "a usual flight; none was planned") + "; lands at "
                        + FlightTable.clock(f.landing().minutes()));
        if (!f.trouble().isEmpty()) {
            pages.warning("Not shown:", f.trouble());
        }
        pages.section("Fuel in each tank", "time from the start, h:min", 220);
        pages.picture(FlightPicture.draw(
                d.project(),
                f,
                Optional.empty(),
                f.landing().minutes(),
                u,
                pages.sheet().measure(),
                760,
                430));
        reserves(f);
        if (d.system().tanks().size() <= FEW) {
            pages.beside(0.56, () -> events(f), () -> phases(f));
        } else {
            events(f);
            phases(f);
        }
    }

    /** One line of what is asked of the flight. */
    private record Row(String what, String needs, String is, Verdict verdict) {}

    private void reserves(Flight f) throws IOException {
        UnitSystem u = d.units();
        pages.section("Reserves", "usable fuel is above the placards' unusable fuel");
        List<Row> rows = new java.util.ArrayList<>(List.of(
                new Row(
                        "Usable fuel at landing",
                        u.text(f.landing().needs(), Dimension.VOLUME),
                        u.text(Math.max(0, f.landing().usable()), Dimension.VOLUME),
                        f.landingVerdict()),
                new Row(
                        "Fuel the engine gets before exhaustion",
                        u.text(f.reached().placards(), Dimension.VOLUME) + " by placard",
                        u.text(f.reached().burnt(), Dimension.VOLUME) + ", until "
                                + FlightTable.clock(f.reached().endurance()),
                        f.reachedVerdict())));
        if (f.balance().sides()) {
            rows.add(new Row(
                    "Left against right, most before landing",
                    u.text(f.balance().limit(), Dimension.VOLUME) + " maximum",
                    u.text(f.balance().most(), Dimension.VOLUME),
                    f.balanceVerdict()));
        }
        pages.table(
                List.of(
                        Column.<Row>strong("What", Row::what),
                        Column.figure("Needs", Row::needs),
                        Column.figure("Computed", Row::is),
                        Column.cell(
                                "",
                                r -> Cell.state(
                                        r.verdict() == Verdict.HOLDS
                                                ? Finding.MET
                                                : r.verdict() == Verdict.THIN ? 1.02 : 0.5,
                                        r.verdict()))),
                rows);
    }

    private void events(Flight f) throws IOException {
        UnitSystem u = d.units();
        pages.section(
                "What happens when", "fuel left, " + u.unit(Dimension.VOLUME).symbol());
        List<Column<FlightEvent>> columns = new java.util.ArrayList<>(List.of(
                Column.strong("Time", e -> FlightTable.clock(e.minutes())), Column.text("Event", FlightEvent::words)));
        d.system()
                .tanks()
                .forEach(t -> columns.add(Column.figure(
                        t.name(), e -> u.figure(Math.max(0, f.at(e.minutes()).tank(t.id())), Dimension.VOLUME))));
        pages.table(columns, f.events());
    }

    private void phases(Flight f) throws IOException {
        pages.section("What was assumed", d.project().flight().isPresent() ? "as entered" : "usual figures, estimates");
        pages.table(
                List.of(
                        Column.<Phase>strong("Phase", p -> p.kind().label()),
                        Column.figure("Minutes", p -> UnitSystem.figure(p.lasts(), 0)),
                        Column.figure(
                                "Power, % of takeoff",
                                p -> UnitSystem.figure(100 * p.share().si(), 0)),
                        Column.text("Attitude", p -> p.attitude().label()),
                        Column.figure("To", p -> d.units().altitude(p.altitude().si()))),
                f.plan().phases());
    }
}
