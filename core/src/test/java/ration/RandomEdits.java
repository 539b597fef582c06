package ration;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.ItemEdits;
import ration.record.project.LayoutEdits;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** Documents to begin with, and what a builder might do to them next. */
public final class RandomEdits {

    private RandomEdits() {}

    /** A demo, a whole system or a starting layout. */
    public static Project start(Random random) throws ProjectFileException {
        List<Project> all = new ArrayList<>(
                List.of(ProjectFile.demo("corrie-b1"), ProjectFile.demo("tansy-l3"), ProjectFile.demo("brindle-a2")));
        for (String s : ProjectFile.systems()) {
            all.add(ProjectFile.demo(s));
        }
        Arrays.stream(Pattern.values()).forEach(p -> all.add(p.project()));
        return all.get(random.nextInt(all.size()));
    }

    /** A tube resized or led straight, a tank raised, an item taken out, another engine, or a chip of a card. */
    public static Project edited(Project p, Random random) {
        FuelSystem system = p.system();
        if (system.items().size() < 2) {
            return p;
        }
        return switch (random.nextInt(7)) {
            case 0, 1 -> system.runs().isEmpty() ? p : p.with(rerun(system, random));
            case 2 -> system.tanks().isEmpty() ? p : p.with(raised(system, random));
            case 3 ->
                p.with(LayoutEdits.remove(system, any(system.items(), random).id())
                        .map(LayoutEdits.Outcome::system)
                        .orElse(system));
            case 4 -> p.with(p.brief().withEngine("another " + random.nextInt(9)));
            default -> p.with(offered(system, random));
        };
    }

    private static <T> T any(List<T> all, Random random) {
        return all.get(random.nextInt(all.size()));
    }

    private static FuelSystem rerun(FuelSystem system, Random random) {
        Run run = any(system.runs(), random);
        return system.replace(
                random.nextBoolean() ? run.resized(run.size().nextUp().orElse(run.size())) : run.withPoints(List.of()));
    }

    private static FuelSystem raised(FuelSystem system, Random random) {
        Tank tank = any(system.tanks(), random);
        return system.replace(tank.raised(0.02 * (random.nextInt(5) - 2)));
    }

    private static FuelSystem offered(FuelSystem system, Random random) {
        Item item = any(system.items(), random);
        List<ItemEdits.Offer> offers = ItemEdits.of(system, item.id());
        return offers.isEmpty() ? system : any(offers, random).on(system);
    }
}
