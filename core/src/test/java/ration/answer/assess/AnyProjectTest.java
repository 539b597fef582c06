package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.assertj.core.data.Offset;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.FingerScreen;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.AirPicture;
import ration.publish.drawing.AltitudeMap;
import ration.publish.drawing.Mark;
import ration.publish.drawing.Picture;
import ration.publish.drawing.ShapeViews;
import ration.publish.drawing.TankSection;
import ration.publish.drawing.TextMeasure;
import ration.publish.drawing.VaporPath;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.record.project.ShapePattern;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * Whatever is built from what the program offers, sensible or not, is assessed in words, drawn without holes and comes
 * back from its file the same.
 */
class AnyProjectTest {

    private static <T> T any(Random r, T[] of) {
        return of[r.nextInt(of.length)];
    }

    private static Measured length(Random r, double least, double most) {
        return Measured.of(Math.round((least + r.nextDouble() * (most - least)) * 100) / 100.0, Unit.INCH, "tape");
    }

    private static Place near(Random r, Place p, double inches) {
        return Place.inches(
                Unit.INCH.fromSi(p.point().x()) + inches * (2 * r.nextDouble() - 1),
                Unit.INCH.fromSi(p.point().y()) + inches * (2 * r.nextDouble() - 1),
                Unit.INCH.fromSi(p.point().z()) + inches * (2 * r.nextDouble() - 1));
    }

    private static <T> Optional<T> perhaps(Random r, T value) {
        return r.nextBoolean() ? Optional.of(value) : Optional.empty();
    }

    private static Tank changed(Random r, Tank tank, List<Tank> all) {
        Tank t = tank;
        if (r.nextInt(3) == 0) {
            ShapePattern p = any(r, ShapePattern.values());
            t = t.withShape(p.shape(p.measures().stream()
                    .map(m -> Measured.of(m.usual(), m.unit(), "estimate"))
                    .toList()));
        }
        Place outlet = t.outlets().isEmpty()
                ? Place.inches(0, 0, 0)
                : t.outlets().get(0).place();
        List<Fitout.Rib> ribs = new ArrayList<>();
        for (int i = 0; i < r.nextInt(3); i++) {
            ribs.add(new Fitout.Rib(
                    length(r, -50, 50),
                    List.of(new Fitout.Opening(length(r, 0, 100), length(r, 0, 80), any(r, Fitout.Passes.values())))));
        }
        Optional<String> to =
                r.nextInt(4) == 0 ? Optional.of(any(r, all.toArray(Tank[]::new)).id()) : Optional.empty();
        VentLine vent = new VentLine(
                length(r, 0.05, 0.6),
                length(r, 1, 90),
                Measured.of(r.nextInt(5) / 2.0 - 1, Unit.ONE),
                r.nextBoolean(),
                to,
                List.of(near(r, outlet, 20), near(r, outlet, 30)));
        t = t.with(new Fitout(
                r.nextInt(3) == 0
                        ? List.of(new Fitout.Well(near(r, outlet, 4), length(r, 1, 6), length(r, 1, 6)))
                        : List.of(),
                ribs,
                perhaps(r, near(r, outlet, 15)),
                perhaps(r, near(r, outlet, 5)),
                perhaps(r, Measured.of(r.nextDouble() * 3, Unit.GALLON)),
                perhaps(r, vent),
                Arrays.stream(Fitout.Piece.values())
                        .filter(x -> r.nextBoolean())
                        .collect(Collectors.toSet())));
        return t.withOutlets(t.outlets().stream()
                .map(o -> o.at(near(r, o.place(), 3))
                        .withFinger(perhaps(
                                r,
                                new FingerScreen(
                                        Measured.of(4 + r.nextInt(20), Unit.ONE),
                                        Systems.in(0.01),
                                        Systems.in(0.5),
                                        Systems.in(1)))))
                .toList());
    }

    private static Project any(long seed) {
        Random r = new Random(seed);
        Project p = any(r, Pattern.values()).project();
        for (Tank tank : p.system().tanks()) {
            if (r.nextInt(3) > 0) {
                p = p.with(p.system().replace(changed(r, tank, p.system().tanks())));
            }
        }
        Heat heat = p.heat().with(any(r, Volatility.values()));
        for (HeatFigure f : HeatFigure.values()) {
            if (r.nextInt(4) == 0) {
                heat = heat.with(
                        f,
                        f.usual()
                                .with(ration.base.quantity.Quantity.of(
                                        f.usual().quantity().value() * (0.8 + 0.28 * r.nextDouble()), f.unit())));
            }
        }
        for (Item item : p.system().items()) {
            if (r.nextInt(8) == 0) {
                heat = heat.withZone(item.id(), any(r, Zone.values()));
            }
        }
        return p.with(heat);
    }

    @Property(tries = 16)
    void isAssessedInWordsAndInOrder(@ForAll long seed) {
        Assessment a = Assessment.of(any(seed));
        for (Finding f : a.findings()) {
            for (UnitSystem u : UnitSystem.values()) {
                assertThat(f.detail().in(u))
                        .as(f.id())
                        .isNotBlank()
                        .doesNotContain("NaN", "Infinity", "\u221e", "null");
            }
            assertThat(f.ratio()).as(f.id()).isNotNaN();
            assertThat(f.source()).as(f.id()).isNotBlank();
        }
        assertThat(a.findings())
                .extracting(f -> f.id() + f.item() + f.detail().in(UnitSystem.US))
                .as("nothing is said twice")
                .doesNotHaveDuplicates();
        Ledger.of(a, UnitSystem.US).entries().forEach(e -> assertThat(e.figure() + e.detail())
                .doesNotContain("NaN", "Infinity"));
        if (a.blocked()) {
            assertThat(a.findings())
                    .as("what blocks is said")
                    .anyMatch(f -> f.verdict() == Verdict.FAILS || f.verdict() == Verdict.NOT_SHOWN);
        }
    }

    /** What is in a tank is what can be used and what stays, in every attitude flown. */
    @Property(tries = 10)
    void tanksAddUp(@ForAll long seed) {
        Project p = any(seed);
        for (TankAnswer t : Assessment.of(p).tanks()) {
            assertThat(t.full()).as(t.tank().id()).isBetween(0.0, t.body().capacity() * (1 + 1e-9));
            assertThat(t.full() + t.expansion()).isCloseTo(t.body().capacity(), Offset.offset(1e-9));
            assertThat(t.predicted().volume()).isBetween(0.0, t.body().capacity() * (1 + 1e-9));
            assertThat(t.unusable()).isGreaterThanOrEqualTo(t.predicted().volume());
            for (Attitude flown : p.brief().envelope().corners()) {
                assertThat(t.body().stranded(flown.gravity().up(), t.feed()).volume())
                        .as(flown.label())
                        .isLessThanOrEqualTo(t.predicted().volume() + 1e-9);
            }
        }
    }

    @Property(tries = 10)
    void isDrawnWithoutHoles(@ForAll long seed) {
        Project p = any(seed);
        Assessment a = Assessment.of(p);
        TextMeasure measure = TextMeasure.approximate();
        List<Picture> all = new ArrayList<>();
        a.vapor().ifPresent(v -> {
            var path = VaporAnswer.path(p, v.look(), v.air());
            all.add(VaporPath.draw(
                    new VaporPath.Subject(p, path, Optional.empty(), v.air(), UnitSystem.METRIC), 690, 300, measure));
            all.add(AltitudeMap.draw(p, path, v.air(), ration.base.quantity.UnitSystem.US, 470, 330, measure));
        });
        all.add(AirPicture.draw(
                a,
                StartingCase.of(p),
                a.look(StartingCase.of(p)),
                new AirPicture.Shown(
                        AirMoves.of(a, a.look(StartingCase.of(p)), AirMoves.Kind.FEEDING, Set.of()), Set.of()),
                UnitSystem.US,
                700,
                420,
                measure));
        a.tanks().forEach(t -> {
            all.add(TankSection.draw(t, t.predicted().attitude(), TankSection.From.SIDE, t.full() / 2, 300, 160));
            all.add(TankSection.draw(t, t.predicted().attitude(), TankSection.From.BEHIND, t.full() / 3, 300, 160));
            all.add(ShapeViews.draw(t.tank(), null, UnitSystem.US, 700, 600));
        });
        for (Picture picture : all) {
            picture.pieces().stream().flatMap(x -> x.marks().stream()).forEach(m -> {
                if (m instanceof Mark.Path path) {
                    assertThat(path.spots()).allSatisfy(s -> {
                        assertThat(s.x()).isFinite();
                        assertThat(s.y()).isFinite();
                    });
                } else if (m instanceof Mark.Label label) {
                    assertThat(label.text()).doesNotContain("NaN", "Infinity", "null");
                    assertThat(label.x()).isFinite();
                    assertThat(label.y()).isFinite();
                }
            });
        }
    }

    @Property(tries = 20)
    void comesBackFromItsFile(@ForAll long seed) throws ProjectFileException {
        Project p = any(seed);
        assertThat(ProjectFile.read(ProjectFile.text(p).getBytes(StandardCharsets.UTF_8), "x"))
                .isEqualTo(p);
    }

    /** The same question twice has the same answer, whatever ran beside it. */
    @Property(tries = 5)
    void isRepeatable(@ForAll long seed) {
        Assessment a = Assessment.of(any(seed));
        Assessment b = Assessment.of(any(seed));
        assertThat(b.findings())
                .extracting(f -> f.id() + f.detail().in(UnitSystem.US))
                .isEqualTo(a.findings().stream()
                        .map(f -> f.id() + f.detail().in(UnitSystem.US))
                        .toList());
        assertThat(b.vapor().map(v -> v.degrees())).isEqualTo(a.vapor().map(v -> v.degrees()));
    }
}
