package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.Firewall;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.base.quantity.Dimension;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Standard;
import ration.verdict.standard.Subject;

/** What stands in the firewall and on which side of it. */
final class FirewallChecks {

    private final FuelSystem system;
    private final Standard basis;
    private final List<Finding> findings = new ArrayList<>();

    private FirewallChecks(FuelSystem system, Standard basis) {
        this.system = system;
        this.basis = basis;
    }

    static List<Finding> of(FuelSystem system, Standard basis) {
        FirewallChecks checks = new FirewallChecks(system, basis);
        checks.shutOffPlace();
        checks.bulkheads();
        return checks.findings;
    }

    /** A bulkhead fitting sits in the firewall, or it is something else. */
    private void bulkheads() {
        system.firewall().ifPresent(wall -> system.all(Bulkhead.class).forEach(b -> {
            double off = Math.abs(b.place().point().x() - wall.station().si());
            boolean in = off < Firewall.IN_IT;
            findings.add(new Finding(
                    Check.BUILD_BULKHEAD,
                    b.id(),
                    b.name() + " in the firewall",
                    b.id(),
                    in ? Verdict.HOLDS : Verdict.FAILS,
                    in ? Finding.MET : Finding.MISSED,
                    u -> u.text(off, Dimension.LENGTH) + " from the firewall at FS "
                            + u.text(wall.station().si(), Dimension.LENGTH) + ".",
                    Checks.PRACTICE,
                    in ? "" : "Measure its station, or the firewall's, again."));
        }));
    }

    /** 23.995(b): no shut-off on the engine side of the firewall. */
    private void shutOffPlace() {
        system.firewall().ifPresent(wall -> {
            for (Fitted item : system.all(Fitted.class).toList()) {
                if (item.only(Selector.class).isPresent()
                        || item.only(ShutOff.class).isPresent()) {
                    boolean behind = engineSide(item, wall) <= 0;
                    findings.add(new Finding(
                            Check.BUILD_SHUT_OFF,
                            item.id(),
                            "Shutoff valve aft of the firewall",
                            item.id(),
                            behind ? Verdict.HOLDS : Verdict.FAILS,
                            behind ? Finding.MET : Finding.MISSED,
                            u -> item.name() + (behind ? " is" : " is not")
                                    + " on the cabin side: FS "
                                    + u.text(item.place().point().x(), Dimension.LENGTH) + ", firewall FS "
                                    + u.text(wall.station().si(), Dimension.LENGTH) + ".",
                            basis.cite(Subject.SHUTOFF_PLACE),
                            behind ? "" : "Move the valve to the cabin side of the firewall."));
                }
            }
        });
    }

    /** Positive on the engine's side of the firewall, whichever way the engine faces. */
    private double engineSide(Fitted item, Firewall wall) {
        double engine = system.inlet().map(i -> i.place().point().x()).orElse(0.0)
                - wall.station().si();
        return (item.place().point().x() - wall.station().si()) * Math.signum(engine);
    }
}
