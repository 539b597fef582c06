package ration.publish.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Tank;
import ration.publish.drawing.Mark.Spot;

/**
 * Which of the things drawn a text lies next to: it must be plain whose it is. What is drawn of each is found once a
 * picture.
 */
final class Nearness {

    private final Arrangement place;
    private final FuelSystem system;
    private final Map<String, List<double[]>> runs = new HashMap<>();
    private final Map<String, List<double[]>> others = new HashMap<>();

    Nearness(Arrangement place, FuelSystem system) {
        this.place = place;
        this.system = system;
    }

    /**
     * Whether a box beside an item lies nearer to it than to any other that it could be taken to belong to: runs among
     * runs.
     */
    boolean belongs(String id, double left, double top, double right, double bottom) {
        find();
        Optional<Item> item = system.item(id);
        if (item.isEmpty() && !runs.containsKey(id)) {
            return true;
        }
        Map<String, List<double[]>> alike =
                item.filter(i -> i.only(Run.class).isEmpty()).isPresent() ? others : runs;
        List<double[]> drawn = alike.containsKey(id) ? alike.get(id) : boxes(item.get());
        double own = drawn.stream()
                        .mapToDouble(b -> gap(b, left, top, right, bottom))
                        .min()
                        .orElse(Double.MAX_VALUE)
                - 1;
        for (Map.Entry<String, List<double[]>> other : alike.entrySet()) {
            if (!other.getKey().equals(id)) {
                for (double[] b : other.getValue()) {
                    if (gap(b, left, top, right, bottom) <= own) {
                        return false;
                    }
                }
            }
        }
        return true;
    }

    private void find() {
        if (runs.isEmpty() && others.isEmpty()) {
            place.vents().forEach(v -> runs.put(v.name(), stretches(place.way(v))));
            for (Item item : system.items()) {
                boolean run = item.only(Run.class).isPresent();
                if (run || place.placed(item.id())) {
                    (run ? runs : others).put(item.id(), boxes(item));
                }
            }
        }
    }

    /** Left, top, right and bottom of what is drawn of an item, px; of a run its stretches. */
    private List<double[]> boxes(Item item) {
        return item.as(new SomeKinds<List<double[]>>() {
            @Override
            public List<double[]> otherwise(Item fitted) {
                return List.of(place.body((Fitted) fitted));
            }

            @Override
            public List<double[]> tank(Tank tank) {
                double[] b = place.box(tank);
                return List.of(new double[] {b[0], b[2], b[1], b[3]});
            }

            @Override
            public List<double[]> run(Run run) {
                return stretches(place.way(run));
            }
        });
    }

    private static List<double[]> stretches(List<Spot> way) {
        List<double[]> all = new ArrayList<>();
        for (int i = 1; i < way.size(); i++) {
            Spot a = way.get(i - 1);
            Spot b = way.get(i);
            all.add(new double[] {
                Math.min(a.x(), b.x()), Math.min(a.y(), b.y()), Math.max(a.x(), b.x()), Math.max(a.y(), b.y())
            });
        }
        return all;
    }

    private static double gap(double[] box, double left, double top, double right, double bottom) {
        double dx = Math.max(0, Math.max(left - box[2], box[0] - right));
        double dy = Math.max(0, Math.max(top - box[3], box[1] - bottom));
        return Math.hypot(dx, dy);
    }
}
