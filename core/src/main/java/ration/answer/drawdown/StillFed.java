package ration.answer.drawdown;

import java.util.List;
import java.util.Map;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.model.Tank;
import ration.physics.breathing.VentPath;
import ration.physics.flow.ClosedAirspace;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;

/** What of the fuel aboard still gets to the engine with what failed: fuel in a tank that cannot feed is no reserve. */
final class StillFed {

    private final FlowBasis basis;
    private final List<Choice> choices;
    private final Stretch here;
    private final Faults faults;

    /** @param here the stretch flown then, with what failed in its case */
    StillFed(FlowBasis basis, List<Choice> choices, Stretch here, Faults faults) {
        this.basis = basis;
        this.choices = choices;
        this.here = here;
        this.faults = faults;
    }

    /** Above the placards, in tanks that can feed, m3; headers count by what they hold short of full. */
    double usable(Holding there) {
        double headers =
                there.inHeaders() - Holding.of(basis.system(), Map.of()).inHeaders();
        double sum = 0;
        for (Tank tank : basis.system().tanks()) {
            double over = there.tank(tank.id()) - tank.unusable().si();
            sum += faults.none() ? over : over > 0 && feeds(tank, there) ? over : 0;
        }
        return faults.none() ? sum + headers : Math.max(0, sum + headers);
    }

    /** Whether a tank feeds the engine on some handle position: beside others, or by itself. */
    private boolean feeds(Tank tank, Holding there) {
        VentPath air = VentPath.of(basis.system(), tank);
        if (!tank.fitout().secondAir()
                && faults.all().stream().anyMatch(f -> f.kind() == Fault.Kind.VENT_SHUT && air.through(f.item()))) {
            return false;
        }
        Holding alone = Holding.of(basis.system(), Map.of(tank.id(), there.tank(tank.id())))
                .headersEmpty();
        return choices.stream().anyMatch(c -> {
            Stretch set = new Stretch(
                    here.condition().withPositions(c.positions()),
                    here.demand(),
                    here.from(),
                    here.to(),
                    here.climbs());
            Look beside = look(set, there);
            return beside.delivered() && beside.answer().outflow(tank) > FlowAnswer.NO_FLOW
                    || look(set, alone).delivered();
        });
    }

    private Look look(Stretch set, Holding holding) {
        return new Drawdown(basis, holding, set.condition(), ClosedAirspace.ADIABATIC).begin(set, holding);
    }
}
