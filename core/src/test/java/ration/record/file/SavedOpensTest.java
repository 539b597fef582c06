package ration.record.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import ration.RandomEdits;
import ration.Samples;
import ration.Systems;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.plumbing.RunSheet;
import ration.aircraft.plumbing.SheetColumn;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.project.ItemEdits;
import ration.record.project.ItemEdits.Offer;
import ration.record.project.Joining;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;
import ration.record.project.Pattern;
import ration.record.project.Project;

/**
 * What is saved opens again and is the same, after any edits in any order; what could not be opened is not written over
 * what can.
 */
class SavedOpensTest {

    @TempDir
    Path folder;

    private static List<Project> documents() {
        List<Project> all = new ArrayList<>(List.of(Project.empty()));
        ProjectFile.demos().forEach(d -> all.add(Systems.demo(d)));
        ProjectFile.systems().forEach(d -> all.add(Systems.demo(d)));
        Arrays.stream(Pattern.values()).forEach(p -> all.add(p.project()));
        return all;
    }

    /** Edits of every kind, offers taken up late, undo between. */
    @Test
    void afterAnyEdits() {
        List<Project> documents = documents();
        int edits = Samples.of(40, 2200);
        for (int d = 0; d < documents.size(); d++) {
            Random random = new Random(1000L * d + 5);
            Deque<Project> before = new ArrayDeque<>();
            Optional<Offer> late = Optional.empty();
            Project p = documents.get(d);
            for (int n = 0; n < edits; n++) {
                String as = "document " + d + ", edit " + n;
                Project next = random.nextInt(8) == 0 && !before.isEmpty() ? before.pop() : edited(p, random, late, as);
                if (random.nextInt(5) == 0 && !p.system().items().isEmpty()) {
                    List<Offer> offers = ItemEdits.of(
                            p.system(), any(p.system().items(), random).id());
                    late = offers.isEmpty() ? late : Optional.of(any(offers, random));
                }
                if (!next.equals(p)) {
                    before.push(p);
                    assertThat(read(next, as)).as(as).isEqualTo(next);
                }
                // a layout that grows without end is no aircraft
                p = next.system().items().size() > 60 ? documents.get(d) : next;
            }
        }
    }

    private static Project read(Project p, String as) {
        try {
            return ProjectFile.read(ProjectFile.text(p).getBytes(StandardCharsets.UTF_8), "x");
        } catch (ProjectFileException e) {
            throw new AssertionError(as + ": " + e.fullText(), e);
        }
    }

    private static <T> T any(List<T> all, Random random) {
        return all.get(random.nextInt(all.size()));
    }

    private static Project edited(Project p, Random random, Optional<Offer> late, String as) {
        FuelSystem s = p.system();
        if (s.items().isEmpty()) {
            return p;
        }
        String picked = any(s.items(), random).id();
        try {
            return switch (random.nextInt(10)) {
                case 0 -> late.map(o -> p.with(o.on(s))).orElse(p);
                case 1 ->
                    p.with(LayoutEdits.addReturn(s, picked)
                            .map(LayoutEdits.Outcome::system)
                            .orElse(s));
                case 2 ->
                    p.with(LayoutEdits.addingAt(s, picked)
                            .flatMap(at ->
                                    LayoutEdits.add(s, picked, at, any(LayoutEdits.offers(s, picked, at), random)))
                            .map(LayoutEdits.Outcome::system)
                            .orElse(s));
                case 3 ->
                    p.with(LayoutEdits.remove(s, picked)
                            .map(LayoutEdits.Outcome::system)
                            .orElse(s));
                case 4 ->
                    p.with(Joining.of(s, picked).stream()
                            .findAny()
                            .flatMap(j -> Joining.join(s, j))
                            .map(LayoutEdits.Outcome::system)
                            .orElse(s));
                case 5 ->
                    p.with((random.nextBoolean() ? LayoutEdits.addVent(s, picked) : LayoutEdits.addDrain(s, picked))
                            .map(LayoutEdits.Outcome::system)
                            .orElse(s));
                case 6, 7 -> typed(p, random);
                default -> RandomEdits.edited(p, random);
            };
        } catch (RuntimeException e) {
            throw new AssertionError(as + ", " + picked, e);
        }
    }

    private static final List<String> CELLS = List.of(
            "",
            "3/8",
            "17 1/2",
            "-4",
            "1e9",
            "3/8 x 0.035 tube",
            "-6 hose",
            "alu",
            "ptfe",
            "2 x 90",
            "0",
            "R1",
            "R9",
            "Tank outlet",
            "Carburetor in",
            "=1+1",
            "\u0007bell",
            "x".repeat(80),
            "NaN",
            "60 lb-in");

    /** Cells typed over, tables pasted, rows added: taken, or refused with a sentence. */
    private static Project typed(Project p, Random random) {
        FuelSystem s = p.system();
        List<String> ports = s.items().stream()
                .flatMap(i -> i.ports().stream().map(x -> i.name() + " " + x))
                .toList();
        try {
            if (random.nextInt(3) == 0) {
                String port = ports.isEmpty() ? "" : any(ports, random);
                return p.with(RunSheet.add(
                        s,
                        Map.of(
                                SheetColumn.FROM,
                                port,
                                SheetColumn.TO,
                                random.nextInt(4) == 0 || ports.isEmpty() ? port : any(ports, random),
                                SheetColumn.RUN,
                                random.nextBoolean() ? "" : any(CELLS, random))));
            }
            if (s.runs().isEmpty()) {
                return p;
            }
            if (random.nextBoolean()) {
                return p.with(SheetColumn.values()[random.nextInt(SheetColumn.values().length)].set(
                        s, any(s.runs(), random), any(CELLS, random)));
            }
            List<List<String>> table = new ArrayList<>();
            for (int r = 1 + random.nextInt(3); r > 0; r--) {
                table.add(List.of(any(CELLS, random), any(CELLS, random), any(CELLS, random)));
            }
            return p.with(RunSheet.paste(
                            s,
                            table,
                            random.nextInt(s.runs().size() + 1),
                            SheetColumn.values()[random.nextInt(SheetColumn.values().length)])
                    .system());
        } catch (IllegalArgumentException e) {
            assertThat(e.getMessage()).isNotBlank();
            return p;
        }
    }

    /** A run from a port to the same port is refused as it is typed. */
    @Test
    void aRunGoesFromOnePortToAnother() {
        FuelSystem s = Systems.corrie().system().minus("r3");
        Run was = (Run) Systems.corrie().system().item("r3").orElseThrow();
        String port = ration.aircraft.plumbing.Portname.text(s, was.from());
        assertThatThrownBy(() -> RunSheet.add(s, Map.of(SheetColumn.FROM, port, SheetColumn.TO, port)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("another");
    }

    /** What would be refused when it is opened is said before anything is written; the file that is there stays. */
    @Test
    void whatWouldNotOpenIsNotWritten() throws Exception {
        Project p = Systems.corrie();
        Path file = folder.resolve("a.ration");
        ProjectFile.save(p, file);
        byte[] good = Files.readAllBytes(file);
        Run r3 = (Run) p.system().item("r3").orElseThrow();
        Project torn = p.with(p.system().replace(r3.between(r3.from(), r3.from())));
        assertThatThrownBy(() -> ProjectFile.save(torn, file))
                .isInstanceOf(ProjectFileException.class)
                .satisfies(e -> assertThat(((ProjectFileException) e).fullText())
                        .contains("could not be" + " opened again")
                        .contains("r3"));
        assertThat(Files.readAllBytes(file)).isEqualTo(good);
    }

    /** No tee, and no tank whose well does not hang under it, throws when a return is led from it. */
    @Test
    void aReturnIsLedOrNot() {
        FuelSystem s = Systems.corrie().system();
        Tank t = s.tanks().get(0);
        FuelSystem odd = s.replace(t.with(t.fitout()
                        .withWells(List.of(new ration.aircraft.model.Fitout.Well(
                                t.outlets().get(0).place().raised(5),
                                Measured.of(0, Unit.INCH, "tape"),
                                Measured.of(1, Unit.INCH, "tape"))))))
                .plus(new Tee(new Tag("tee", "Tee", t.outlets().get(0).place()), Measured.of(0.3, Unit.INCH, "tape")));
        for (Item i : odd.items()) {
            assertThat(LayoutEdits.addReturn(odd, i.id())
                            .map(LayoutEdits.Outcome::system)
                            .orElse(odd))
                    .as(i.name())
                    .isNotNull();
        }
        assertThat(NewItem.values()).isNotEmpty();
    }
}
