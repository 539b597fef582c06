package ration.physics.breathing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.aircraft.model.VentPiece;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.physics.breathing.AirLine.Gap;
import ration.physics.breathing.VentSearch.Heard;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Pieces in vents: what air loses in them, what a breath brings, and which one is blocked. */
class VentPiecesTest {

    private static final double INCH = Unit.INCH.toSi(1);
    /** So short and wide that only its pieces count. */
    private static AirLine pieces(Gap... gaps) {
        return new AirLine(2 * INCH, 0, false, List.of(gaps));
    }

    private static Gap hole(double inches) {
        return new Gap(inches * INCH, false);
    }

    /** 5 gpm of air through 0.150 in: 1,220 Pa, 4.897 inH2O, 6.802 in of fuel of 720 kg/m3. Worked example. */
    @Test
    void airThroughAHoleLosesWhatTheOrificeLawSays() {
        double q = Unit.GALLON.toSi(5) / 60;
        double drop = pieces(hole(0.150)).drop(q) - pieces().drop(q);
        assertThat(drop).isCloseTo(1220, within(1.0));
        assertThat(Unit.INCH_OF_WATER.fromSi(drop)).isCloseTo(4.897, within(0.005));
        assertThat(drop / (720 * 9.80665) / INCH).isCloseTo(6.802, within(0.005));
    }

    /** A breath of 10 inH2O brings 27.05 L/min through 0.150 in, 25.45 with 0.250 in behind it. Worked example. */
    @Test
    void aBreathBringsWhatTheOrificeLawSays() {
        double alone = pieces(hole(0.150)).passes(VentSearch.BREATH);
        assertThat(alone * 60_000).isCloseTo(27.05, within(0.02));
        assertThat(pieces(hole(0.150), hole(0.250)).passes(VentSearch.BREATH) * 60_000)
                .isCloseTo(25.45, within(0.02));
        assertThat(AirLine.passes(List.of(pieces(hole(0.150)), pieces(hole(0.250))), VentSearch.BREATH) * 60_000)
                .as("one line or two")
                .isCloseTo(25.45, within(0.02));
    }

    /** Two holes side by side share by their areas: 0.150 beside 0.100 takes 69.23 %. Worked example. */
    @Test
    void aBranchTakesItsShare() {
        double beside = pieces(new Gap(0.100 * INCH, true), hole(0.150)).passes(VentSearch.BREATH);
        double through = pieces(hole(0.150)).passes(VentSearch.BREATH);
        assertThat(through / beside).isCloseTo(0.6923, within(0.001));
        assertThat(pieces(new Gap(0, true), hole(0.150)).passes(VentSearch.BREATH))
                .as("a branch that is shut is none")
                .isCloseTo(through, within(1e-9));
        assertThat(pieces(hole(0)).passes(VentSearch.BREATH)).as("shut").isZero();
    }

    @ParameterizedTest
    @CsvSource({"30, FREE", "14, FREE", "13, WEAK", "3, WEAK", "2, BLOCKED", "0, BLOCKED"})
    void aBreathIsGraded(double liters, Heard heard) {
        assertThat(Heard.of(liters, 27.05)).isEqualTo(heard);
    }

    private static FuelSystem vented(List<VentPiece> pieces) {
        FuelSystem s = Systems.twoTanks(10, 10);
        Tank t = s.tanks().get(0);
        VentLine line = new VentLine(Systems.in(0.305), Systems.in(36), Measured.of(0, Unit.ONE), false, List.of())
                .withPieces(pieces);
        return s.replace(t.with(t.fitout().withVent(Optional.of(line))));
    }

    /**
     * On 200 made-up vents of up to eight places each place blocked in turn is found in three looks at most, by what a
     * breath would bring there.
     */
    @Test
    void anyBlockedPieceIsFoundInThreeLooks() {
        Random r = new Random(7);
        VentPiece.Kind[] kinds = VentPiece.Kind.values();
        int asked = 0;
        for (int n = 0; n < 200; n++) {
            List<VentPiece> pieces = new ArrayList<>();
            for (VentPiece.Kind k : kinds) {
                if (r.nextBoolean()) {
                    pieces.add(new VentPiece(k, Measured.of(0.08 + 0.3 * r.nextDouble(), Unit.INCH, "gauge")));
                }
            }
            FuelSystem s = vented(pieces);
            VentSearch fresh = VentSearch.of(s, s.tanks().get(0)).orElseThrow();
            assertThat(fresh.places()).hasSizeLessThanOrEqualTo(8);
            for (int blocked = 0; blocked < fresh.places().size(); blocked++) {
                VentSearch search = fresh;
                int looks = 0;
                while (search.next().isPresent()) {
                    int joint = fresh.places().indexOf(search.next().get());
                    List<AirLine> beyond = new ArrayList<>();
                    for (int i = joint; i < fresh.places().size(); i++) {
                        beyond.add(
                                i == blocked
                                        ? pieces(hole(0))
                                        : fresh.places().get(i).alone());
                    }
                    search = search.heard(Heard.of(AirLine.passes(beyond, VentSearch.BREATH), search.expected()));
                    looks++;
                    asked++;
                }
                assertThat(search.found()).contains(fresh.places().get(blocked));
                assertThat(looks).isLessThanOrEqualTo(3);
            }
        }
        assertThat(asked).isGreaterThan(1000);
    }

    /** What nobody measured shows nothing; measured, it costs what it costs. */
    @Test
    void aPieceNobodyMeasuredShowsNothing() {
        Project p = Systems.demo("brindle-a2");
        Tank hull = p.system().tanks().get(0);
        VentLine line = hull.fitout().vent().orElseThrow();
        Finding was = vent(p);
        assertThat(was.verdict()).isNotEqualTo(Verdict.NOT_SHOWN);
        Project guessed = p.with(p.system()
                .replace(hull.with(hull.fitout()
                        .withVent(Optional.of(line.withPieces(List.of(VentPiece.usual(VentPiece.Kind.CANISTER))))))));
        assertThat(vent(guessed).verdict()).isEqualTo(Verdict.NOT_SHOWN);
        Project wide = p.with(p.system()
                .replace(hull.with(hull.fitout()
                        .withVent(Optional.of(line.withPieces(List.of(
                                new VentPiece(VentPiece.Kind.CANISTER, Measured.of(1.5, Unit.INCH, "gauge")))))))));
        assertThat(vent(wide).verdict()).isEqualTo(was.verdict());
        Project narrow = p.with(p.system()
                .replace(hull.with(hull.fitout()
                        .withVent(Optional.of(line.withPieces(List.of(
                                new VentPiece(VentPiece.Kind.CANISTER, Measured.of(0.02, Unit.INCH, "gauge")))))))));
        assertThat(vent(narrow).verdict()).isEqualTo(Verdict.FAILS);
    }

    private static Finding vent(Project p) {
        return Assessment.of(p).findings().stream()
                .filter(f -> f.check() == Check.AIR_VENT)
                .findFirst()
                .orElseThrow();
    }
}
