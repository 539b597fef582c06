package ration.aircraft.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import ration.Systems;
import ration.aircraft.plumbing.SealingPlaces;
import ration.aircraft.plumbing.ShoppingList;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.Form;
import ration.record.evidence.TestKind;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Difference;
import ration.record.project.Joining;
import ration.record.project.Project;

/** A port closed by a cap or plug: no longer open, a place that can leak, kept in the document. */
class CappedPortsTest {

    private static final PortRef BRANCH = new PortRef("tee", "branch");

    /** The Corrie with a tee in its last run whose branch leads nowhere. */
    private static Project teed() {
        Project p = Systems.corrie();
        Run last = p.system()
                .runAt(new PortRef(p.system().inlet().orElseThrow().id(), Item.IN))
                .orElseThrow();
        Tee tee = new Tee(new Tag("tee", "Tee", Place.inches(30, 0, 40)), Measured.of(0.305, Unit.INCH, "tag"));
        return p.with(p.system()
                .plus(tee)
                .change(last.id(), Run.class, r -> r.between(r.from(), new PortRef("tee", Item.IN)))
                .plus(new Run(
                        "on",
                        "On",
                        new PortRef("tee", Item.OUT),
                        last.to(),
                        last.size(),
                        Optional.empty(),
                        List.of(),
                        List.of())));
    }

    private static Project capped() {
        Project p = teed();
        return p.with(Systems.offer(p.system(), "tee", "Cap branch").on(p.system()));
    }

    private static boolean open(Project p) {
        return Assessment.of(p).findings().stream()
                .anyMatch(f -> f.detail().in(UnitSystem.US).contains("branch is open"));
    }

    @Test
    void a_cap_closes_an_open_port_until_it_is_taken_off() {
        assertThat(open(teed())).isTrue();
        Project p = capped();
        assertThat(p.system().cappedPorts()).containsExactly(BRANCH);
        assertThat(p.system().openPorts()).doesNotContain(BRANCH);
        assertThat(open(p)).isFalse();
        assertThat(Systems.offer(p.system(), "tee", "Uncap branch").on(p.system()))
                .isEqualTo(teed().system());
        assertThat(Difference.between(teed(), p)).containsExactly(Joining.words(p.system(), BRANCH) + " is capped");
    }

    @Test
    void it_can_leak_and_has_to_be_bought() {
        Project p = capped();
        assertThat(SealingPlaces.of(p.system()))
                .filteredOn(s -> s.kind() == SealingPlaces.Kind.PORT_CAP)
                .singleElement()
                .satisfies(s -> assertThat(s.port()).contains(BRANCH));
        assertThat(ShoppingList.of(p.system()))
                .filteredOn(l -> l.what().equals("Cap or plug"))
                .singleElement()
                .satisfies(l -> assertThat(l.amount()).isEqualTo("1 pcs"));
    }

    /** A look at every joint that was made before the cap was put on has not seen it. */
    @Test
    void it_is_looked_at_overnight() {
        Form form = Form.of(TestKind.OVERNIGHT).orElseThrow();
        assertThat(form.pieces(teed().system())).doesNotContainKey("tee.branch.cap");
        assertThat(form.pieces(capped().system())).containsKey("tee.branch.cap");
        assertThat(Form.item(capped().system(), "tee.branch.cap").orElseThrow().id())
                .isEqualTo("tee");
    }

    @Test
    void a_line_joined_there_and_the_part_removed_take_it_off() {
        FuelSystem s = capped().system();
        FuelSystem joined = s.plus(new Run(
                "new",
                "New",
                BRANCH,
                new PortRef("nowhere", Item.IN),
                s.runs().get(0).size(),
                Optional.empty(),
                List.of(),
                List.of()));
        assertThat(joined.cappedPorts()).isEmpty();
        assertThat(s.minus("tee").cappedPorts()).isEmpty();
        assertThat(s.capped(new PortRef("tee", "none"), true)).isEqualTo(s);
    }

    @Test
    void a_document_keeps_it_and_refuses_a_cap_on_no_port(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("capped.ration");
        ProjectFile.save(capped(), file);
        assertThat(ProjectFile.open(file).system()).isEqualTo(capped().system());
        String text = Files.readString(file, StandardCharsets.UTF_8);
        Files.writeString(file, text.replace("\"tee.branch\"", "\"tee.none\""), StandardCharsets.UTF_8);
        assertThatThrownBy(() -> ProjectFile.open(file))
                .isInstanceOfSatisfying(ProjectFileException.class, e -> assertThat(e.details())
                        .anyMatch(t -> t.contains("\u201ctee.none\u201d is not an open port")));
    }
}
