package ration.desktop.flight;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.Item;
import ration.answer.assess.Assessment;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightEvent;
import ration.answer.drawdown.FlightTable;
import ration.answer.drawdown.FlightVapor;
import ration.answer.drawdown.OnBoth;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * What the card says of how a flight ends, before any of it is a node.
 *
 * @param flight flown
 * @param vapor along it; empty while it is worked out
 * @param units results are shown in
 */
record LandingWords(Flight flight, Optional<FlightVapor> vapor, UnitSystem units) {

    /** Least that is told as gone overboard, m3. */
    private static final double SPILT = 2e-4;

    /**
     * A figure with what it is held against.
     *
     * @param verdict on it; empty where it is only told
     */
    record Row(String label, String figure, String beside, Optional<Verdict> verdict) {}

    String volume(double m3) {
        return UnitSystem.figure(units.unit(Dimension.VOLUME).fromSi(m3), 1);
    }

    String symbol() {
        return units.unit(Dimension.VOLUME).symbol();
    }

    String title() {
        return flight.lands()
                ? "Landing at " + FlightTable.clock(flight.landing().minutes())
                : flight.trouble().isEmpty()
                        ? "Engine stops at "
                                + FlightTable.clock(flight.reached().endurance())
                        : "Flight not completed";
    }

    String usable() {
        return volume(Math.max(0, flight.landing().usable()));
    }

    String needs() {
        return "needs " + volume(flight.landing().needs()) + " for "
                + UnitSystem.figure(flight.plan().reserve(), 0) + " min";
    }

    double ratio() {
        return flight.landing().needs() > 0
                ? Math.min(
                        Finding.MET,
                        Math.max(0, flight.landing().usable() / flight.landing().needs()))
                : Finding.MET;
    }

    /** What goes wrong before it lands, what stopped the sum, what goes overboard. */
    List<String> wrong() {
        List<String> all = new ArrayList<>();
        flight.belowPlacard()
                .ifPresent(e -> all.add("At " + FlightTable.clock(e.minutes()) + " " + e.words()
                        + ", before landing: unusable fuel may not be planned on."));
        flight.firstTrouble()
                .ifPresent(
                        e -> all.add("At " + FlightTable.clock(e.minutes()) + " " + e.words() + ", before landing."));
        if (!flight.trouble().isEmpty()) {
            all.add("Not shown: " + flight.trouble());
        }
        if (flight.reached().spilt() > SPILT) {
            all.add(volume(flight.reached().spilt()) + " " + symbol() + " vented overboard.");
        }
        return all;
    }

    /** What nobody said; empty where all was. */
    String unsaid() {
        return flight.said() ? "" : "Not shown: engine demand is assumed. Enter it on Aircraft.";
    }

    List<Row> rows() {
        List<Row> rows = new ArrayList<>();
        rows.add(new Row(
                "Reserve",
                Double.isInfinite(flight.landing().reserve())
                        ? "\u2013"
                        : UnitSystem.figure(flight.landing().reserve(), 0) + " min",
                "at reserve power",
                Optional.of(flight.landingVerdict())));
        rows.add(new Row(
                "Reached",
                volume(flight.reached().burnt()) + " " + symbol(),
                "placards " + volume(flight.reached().placards()),
                Optional.of(flight.reachedVerdict())));
        rows.add(new Row(
                "Endurance", FlightTable.clock(flight.reached().endurance()), "to exhaustion", Optional.empty()));
        if (flight.balance().sides()) {
            rows.add(new Row(
                    "Imbalance",
                    volume(flight.balance().most()) + " " + symbol(),
                    "limit " + volume(flight.balance().limit()),
                    Optional.of(flight.balanceVerdict())));
        }
        vapor.ifPresent(v -> rows.add(new Row(
                "Vapor margin",
                v.least().map(l -> units.difference(l.degrees())).orElse("\u2013"),
                v.crossing()
                        .map(t -> "boils at " + FlightTable.clock(t))
                        .orElse("needs " + units.difference(v.wanted())),
                Optional.of(v.verdict()))));
        return rows;
    }

    /** How the usable fuel at landing came about: full less burnt less what the placards keep back. */
    String why(Assessment a) {
        double total = flight.samples().get(0).condition().contents().values().stream()
                .mapToDouble(v -> v)
                .sum();
        double held = a.project().system().tanks().stream()
                .mapToDouble(t -> t.unusable().si())
                .sum();
        if (flight.events().stream().anyMatch(e -> e.kind() == FlightEvent.Kind.FAILS)
                || !flight.samples().get(0).condition().faults().none()) {
            return volume(flight.landing().usable())
                    + " above the placards can still be fed with this failure; fuel in the other tanks is no reserve.";
        }
        String spare = flight.events().stream()
                .filter(e -> e.kind() == FlightEvent.Kind.LEAST)
                .findFirst()
                .map(e -> " Down to reserve fuel at " + FlightTable.clock(e.minutes()) + ".")
                .orElse("");
        double waiting = flight.landing().waiting();
        return volume(flight.landing().usable()) + " = " + volume(total) + " \u2212 "
                + volume(total - held - waiting - flight.landing().usable()) + " burned \u2212 " + volume(held)
                + " unusable (placards)"
                + (waiting > 0 ? " \u2212 " + volume(waiting) + " in a tank nothing is pumped from any more." : ".")
                + spare;
    }

    /** Which tank would empty first with all of them open, and why. */
    String both(Assessment a, OnBoth b) {
        String name = a.project().system().item(b.first()).map(Item::name).orElse(b.first());
        StringBuilder words = new StringBuilder(
                name + " empties first, at " + FlightTable.clock(b.minutes()) + " with " + volume(b.left()) + " "
                        + symbol() + " in the other tanks" + (b.stops() ? "; then fuel starvation." : "."));
        b.causes().stream().filter(c -> b.share(c) > 0.01).forEach(c -> words.append(' ')
                .append(UnitSystem.figure(100 * b.share(c), 0))
                .append(" % ")
                .append(c.words())
                .append(c.flow() < 0 ? " (opposite sense)" : "")
                .append(';'));
        return words.substring(0, words.length() - 1) + ".";
    }
}
