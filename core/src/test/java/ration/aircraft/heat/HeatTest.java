package ration.aircraft.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import ration.aircraft.condition.Power;
import ration.aircraft.model.Tank;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/** Heat balances against closed forms, soak against its relaxation, fits against made-up logs. */
class HeatTest {

    /** The exponential of the textbook against the balance of many short pieces. */
    @Property(tries = 20)
    void aLineFollowsTheExponential(
            @ForAll @DoubleRange(min = 280, max = 340) double in,
            @ForAll @DoubleRange(min = 250, max = 400) double zone,
            @ForAll @DoubleRange(min = 0.01, max = 0.3) double tenth) {
        double mass = tenth / 10;
        double conduct = Math.PI * 0.0077 * 25 * 2;
        double pieces = in;
        int n = 2000;
        for (int i = 0; i < n; i++) {
            pieces += (zone - pieces) * conduct / n / (mass * Warming.SPECIFIC_HEAT);
        }
        double closed = Warming.along(in, zone, conduct, mass);
        assertThat(closed).isCloseTo(pieces, Offset.offset(0.02));
        assertThat(closed).isBetween(Math.min(in, zone) - 1e-9, Math.max(in, zone) + 1e-9);
        double taken = mass * Warming.SPECIFIC_HEAT * (closed - in);
        if (Math.abs(zone - in) > 1) {
            double mean = (closed - in) / Math.log((zone - in) / (zone - closed));
            assertThat(taken)
                    .as("energy taken is conductance times the log mean difference")
                    .isCloseTo(conduct * mean, Offset.offset(1e-9 * Math.abs(conduct * (zone - in))));
        }
    }

    @Test
    void whatStandsTakesTheZonesTemperature() {
        assertThat(Warming.along(290, 340, 1, 0)).isEqualTo(340);
    }

    /** Nothing burnt: T = Tinf + (T0 - Tinf) exp(-t UA/(m cp)) with Tinf = outside + return's heat over UA. */
    @Test
    void aTankWithAReturnWarmsTowardsItsBalance() {
        Warming.Tank tank = new Warming.Tank(60, 0, 0.02, 6, 8, 300);
        double end = 300 + 0.02 * Warming.SPECIFIC_HEAT * 6 / 8;
        double closed = end + (295 - end) * Math.exp(-3600 * 8 / (60 * Warming.SPECIFIC_HEAT));
        assertThat(tank.after(3600, 295)).isCloseTo(closed, Offset.offset(1e-7));
        assertThat(tank.after(0, 295)).isEqualTo(295);
    }

    /** Burning fuel leaves less to warm: energy balance m cp dT = heat dt closes to 1e-9. */
    @Test
    void lessFuelWarmsFaster() {
        Warming.Tank burning = new Warming.Tank(60, 0.01, 0.02, 6, 0, 300);
        double closed = 300 + 0.02 * 6 / 0.01 * Math.log(60 / (60 - 0.01 * 3600));
        assertThat(burning.after(3600, 300)).isCloseTo(closed, Percentage.withPercentage(1e-7));
    }

    // soak

    /** In air that stays, a part relaxes as exp(-t/lag). */
    @Test
    void inSteadyAirAPartRelaxes() {
        Soak soak = new Soak(310, 0, 0, 2000, 600, 350);
        assertThat(soak.at(600)).isCloseTo(310 + 40 / Math.E, Offset.offset(1e-9));
        assertThat(soak.every(600, 1)[1]).isCloseTo(310 + 40 / Math.E, Offset.offset(1e-6));
    }

    @Property(tries = 20)
    void theClosedFormIsTheIntegratedOne(
            @ForAll @DoubleRange(min = 30, max = 3000) double lag,
            @ForAll @DoubleRange(min = 200, max = 6000) double fade,
            @ForAll @DoubleRange(min = 0, max = 90) double over) {
        Soak soak = new Soak(300, 30, over, fade, lag, 315);
        double[] integrated = soak.every(300, 8);
        for (int i = 0; i <= 8; i++) {
            assertThat(integrated[i]).isCloseTo(soak.at(300 * i), Offset.offset(1e-5));
        }
    }

    @Test
    void aLagEqualToTheRiseHasNoHole() {
        double beside = new Soak(300, 30, 50, 2000, Soak.RISE * 1.00001, 315).at(500);
        assertThat(new Soak(300, 30, 50, 2000, Soak.RISE, 315).at(500)).isCloseTo(beside, Offset.offset(1e-3));
    }

    // fit

    private static SoakFit.Channel logged(Soak truth, Soak guess, double noise, Random random) {
        double[] t = new double[60];
        double[] y = new double[60];
        for (int i = 0; i < t.length; i++) {
            t[i] = 60 * i;
            y[i] = truth.at(t[i]) + noise * random.nextGaussian();
        }
        return new SoakFit.Channel(guess, t, y);
    }

    /** Known coefficients come back from a made-up noisy log, and the error is the noise. */
    @Test
    void aFitFindsWhatMadeTheLog() {
        Random random = new Random(11);
        List<SoakFit.Channel> channels = new ArrayList<>();
        for (double lag : new double[] {420, 900}) {
            Soak truth = new Soak(308, 32, 62, 2600, lag, 320);
            channels.add(logged(truth, new Soak(308, 32, 40, 1500, 600, 320), 0.3, random));
        }
        SoakFit fit = SoakFit.of(channels);
        assertThat(fit.soakOver()).isCloseTo(62, Offset.offset(1.5));
        assertThat(fit.fade()).isCloseTo(2600, Percentage.withPercentage(5));
        assertThat(fit.lags().get(0)).isCloseTo(420, Percentage.withPercentage(6));
        assertThat(fit.lags().get(1)).isCloseTo(900, Percentage.withPercentage(6));
        assertThat(fit.error()).isBetween(0.2, 0.4);
    }

    @Test
    void tooFewReadingsAreRefused() {
        Soak s = new Soak(300, 30, 50, 2000, 500, 310);
        assertThatThrownBy(() ->
                        SoakFit.of(List.of(new SoakFit.Channel(s, new double[] {0, 60}, new double[] {310, 312}))))
                .hasMessageContaining("too few readings");
        assertThatThrownBy(() -> SoakFit.of(List.of())).hasMessageContaining("too few");
    }

    // figures

    @Test
    void theHotDayCoolsWithHeight() {
        Heat heat = Heat.usual(Volatility.AVGAS_100LL);
        assertThat(Unit.FAHRENHEIT.fromSi(heat.outside(0))).isCloseTo(100, Offset.offset(1e-9));
        assertThat(Unit.FAHRENHEIT.fromSi(heat.outside(Unit.FOOT.toSi(5000)))).isCloseTo(82, Offset.offset(1e-6));
        assertThat(heat.air(Zone.ENGINE_BAY, Power.TAKE_OFF, 0) - heat.outside(0))
                .isCloseTo(40, Offset.offset(1e-9));
    }

    /** In flight its own figure over outside, never more than the bay; idling it has no blast. */
    @Test
    void aShroudHasItsOwnAirInFlight() {
        Heat heat = Heat.usual(Volatility.AVGAS_100LL).with(HeatFigure.SHROUD_OVER, Measured.of(12, Unit.CELSIUS));
        for (Power p : new Power[] {Power.TAKE_OFF, Power.CRUISE}) {
            assertThat(heat.air(Zone.SHROUD, p, 0) - heat.outside(0)).isCloseTo(12, Offset.offset(1e-9));
        }
        assertThat(heat.air(Zone.SHROUD, Power.IDLE, 0)).isEqualTo(heat.air(Zone.ENGINE_BAY, Power.IDLE, 0));
        Heat hotter = heat.with(HeatFigure.SHROUD_OVER, Measured.of(60, Unit.CELSIUS));
        assertThat(hotter.air(Zone.SHROUD, Power.CRUISE, 0)).isEqualTo(hotter.air(Zone.ENGINE_BAY, Power.CRUISE, 0));
    }

    @Test
    void figuresOutsideTheirRangeAreRefusedAndDifferencesKeepTheirUnit() {
        Heat heat = Heat.usual(Volatility.MOGAS_A);
        assertThatThrownBy(() -> heat.with(HeatFigure.NEEDED, Measured.of(90, Unit.CELSIUS)))
                .hasMessageContaining("lies between");
        assertThat(heat.with(HeatFigure.NEEDED, Measured.of(9, Unit.FAHRENHEIT)).si(HeatFigure.NEEDED))
                .isCloseTo(5, Offset.offset(1e-9));
        for (HeatFigure f : HeatFigure.values()) {
            assertThat(f.checked(f.usual())).isEqualTo(f.usual());
            assertThat(f.source()).isNotBlank();
        }
    }

    /** A soak said to be nothing has no logarithm: the fit starts from a degree instead of failing. */
    @Test
    void aSoakOfNothingCanBeFitted() {
        Soak real = new Soak(300, 0, 30, 2000, 300, 300);
        double[] seconds = new double[40];
        double[] kelvin = new double[40];
        for (int i = 0; i < seconds.length; i++) {
            seconds[i] = 60.0 * i;
            kelvin[i] = real.at(seconds[i]);
        }
        SoakFit fit = SoakFit.of(
                java.util.List.of(new SoakFit.Channel(new Soak(300, 0, 0, 2000, 300, 300), seconds, kelvin)));
        assertThat(fit.soakOver()).isCloseTo(30, org.assertj.core.data.Offset.offset(0.5));
    }

    /** Of a half full box only the wetted walls and the floor take heat out, and the surface a little. */
    @Test
    void aTankCoolsThroughWhatItsFuelWets() {
        Tank t = ration.Systems.tank("t", 10, 0, 0);
        double in2 = 0.0254 * 0.0254;
        double half = ration.answer.assess.Cooling.of(
                t, new ration.base.geometry.Point3(0, 0, 1), 20 * 10 * 5 * Math.pow(0.0254, 3));
        assertThat(half)
                .isCloseTo(
                        (5 * (20 * 10 + 2 * 5 * (20 + 10)) + 1 * 20 * 10) * in2,
                        org.assertj.core.data.Percentage.withPercentage(0.1));
    }
}
