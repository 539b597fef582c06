package ration.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import ration.check.Finding;
import ration.file.ProjectFile;
import ration.file.ProjectFileException;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.Run;
import ration.model.Tank;
import ration.project.ItemEdits;
import ration.project.Pattern;
import ration.project.Project;
import ration.quantity.UnitSystem;

/**
 * A document assessed edit by edit says what the same document says when it is opened anew: each figure of the ledger, each finding
 * with its verdict and its words, each test with how it stands.
 */
class EditByEditTest {

    private static List<Project> starts() throws ProjectFileException {
        List<Project> all = new ArrayList<>(List.of(ProjectFile.demo("corrie-b1"), ProjectFile.demo("corrie-b1"), ProjectFile.demo("tansy-l3"), ProjectFile.demo("brindle-a2")));
        for (String s : ProjectFile.systems()) {
            all.add(ProjectFile.demo(s));
        }
        Arrays.stream(Pattern.values()).forEach(p -> all.add(p.project()));
        return all;
    }

    @Property(tries = 8)
    void edit_by_edit_is_as_if_opened_anew(@ForAll long seed) throws ProjectFileException {
        Random random = new Random(seed);
        List<Project> starts = starts();
        Project project = starts.get(random.nextInt(starts.size()));
        Assessment carried = Assessment.of(project);
        for (int i = 0; i < 4; i++) {
            Project before = project;
            project = edited(project, random);
            carried = Assessment.of(project, Optional.of(carried));
            same(carried, Assessment.of(project));
            if (random.nextInt(4) == 0) {
                project = before;
                carried = Assessment.of(project, Optional.of(carried));
                same(carried, Assessment.of(project));
            }
        }
    }

    private static Project edited(Project p, Random random) {
        FuelSystem system = p.system();
        Item item = system.items().get(random.nextInt(system.items().size()));
        return switch (random.nextInt(6)) {
            case 0 -> system.runs().isEmpty() ? p : p.with(resized(system, random));
            case 1 -> system.tanks().isEmpty() ? p : p.with(raised(system, random));
            case 2 -> p.with(system.minus(item.id()));
            case 3 -> p.with(p.brief().withEngine("another " + random.nextInt(9)));
            default -> p.with(offered(system, item, random));
        };
    }

    private static FuelSystem resized(FuelSystem system, Random random) {
        Run run = system.runs().get(random.nextInt(system.runs().size()));
        return system.replace(run.resized(run.size().nextUp().orElse(run.size())));
    }

    private static FuelSystem raised(FuelSystem system, Random random) {
        Tank tank = system.tanks().get(random.nextInt(system.tanks().size()));
        return system.replace(tank.raised(0.02 * (random.nextInt(5) - 2)));
    }

    private static FuelSystem offered(FuelSystem system, Item item, Random random) {
        List<ItemEdits.Offer> offers = ItemEdits.of(system, item.id());
        return offers.isEmpty() ? system : offers.get(random.nextInt(offers.size())).result();
    }

    private static void same(Assessment carried, Assessment fresh) {
        for (UnitSystem units : UnitSystem.values()) {
            List<Ledger.Entry> a = Ledger.of(carried, units).entries();
            List<Ledger.Entry> b = Ledger.of(fresh, units).entries();
            for (int i = 0; i < a.size(); i++) {
                assertThat(a.get(i).figure() + " " + a.get(i).verdict() + " " + a.get(i).detail()).isEqualTo(b.get(i).figure() + " " + b.get(i).verdict() + " " + b.get(i).detail());
            }
        }
        assertThat(words(carried.findings())).containsExactlyInAnyOrderElementsOf(words(fresh.findings()));
        assertThat(carried.programme().tests().stream().map(t -> t.wanted().name() + ": " + t.state() + ", " + t.verdict()).toList()).isEqualTo(fresh.programme().tests().stream().map(
                t -> t.wanted().name() + ": " + t.state() + ", " + t.verdict()).toList());
        assertThat(carried.cases()).hasSameSizeAs(fresh.cases());
    }

    private static List<String> words(List<Finding> findings) {
        return findings.stream().map(f -> f.check() + " " + f.of() + " " + f.item() + " " + f.verdict() + " " + f.detail().in(UnitSystem.US) + " " + f.remedy()).toList();
    }
}
