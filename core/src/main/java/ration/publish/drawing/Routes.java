package ration.publish.drawing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Tank;

/**
 * Ways of the runs of the layouts last drawn. They depend on where things stand and what is joined, and on nothing
 * else: another case, a tilt, a zoom, another size of tube or figure of a pump finds them here.
 */
final class Routes {

    private static final int KEPT = 16;
    private static final Map<Key, CompletableFuture<Map<String, Router.Routed>>> LAST = new LinkedHashMap<>();
    /** Until something is drawn, as a new window draws it. */
    private static volatile double[] size = {852, 462};
    /** Of the air side; null until it is first drawn. */
    private static volatile double[] airSize;

    /** What ways depend on. */
    private record Key(List<Object> layout, List<Attitude> presets, boolean air, SchematicView view) {
        static Key of(SchematicSubject subject, SchematicView view) {
            List<Object> layout = new ArrayList<>();
            subject.system().items().forEach(i -> layout.add(i.as(WHERE)));
            layout.add(view.layers().air() ? Line.vents(subject.system()) : List.of());
            layout.add(subject.system().firewall());
            layout.add(subject.system().shifts());
            return new Key(layout, subject.presets(), view.layers().air(), view.plain());
        }
    }

    /** Where an item stands and what it is joined to. */
    private static final SomeKinds<Object> WHERE = new SomeKinds<>() {
        @Override
        public Object otherwise(Item item) {
            Fitted fitted = (Fitted) item;
            return List.of(item.id(), item.getClass(), fitted.place().point(), item.ports());
        }

        @Override
        public Object header(Header item) {
            return List.of(otherwise(item), item.height().si(), item.inletRise().si());
        }

        @Override
        public Object tank(Tank item) {
            return List.of(item.id(), item.shape(), item.outlets(), item.returns());
        }

        @Override
        public Object run(Run item) {
            return List.of(item.id(), item.from(), item.to(), item.points(), SchematicPart.width(item));
        }
    };

    private Routes() {}

    /** Of a layout; waits where somebody is looking for them already. */
    static Map<String, Router.Routed> of(SchematicSubject subject, SchematicView view) {
        double[] drawn = {view.width(), view.height()};
        if (view.layers().air()) {
            airSize = drawn;
        } else {
            size = drawn;
        }
        return found(subject, view).join();
    }

    /**
     * Begins to look for them at the size last drawn, on the calling thread, so that they are there when it is drawn.
     */
    static void prepare(SchematicSubject subject) {
        double[] last = size;
        found(subject, SchematicView.of(last[0], last[1]));
    }

    /** The same of the air side; nothing while nobody has looked at it. */
    static void prepareAir(SchematicSubject subject) {
        double[] last = airSize;
        if (last != null) {
            found(subject, new SchematicView(last[0], last[1], 1, 0, 0, SchematicView.Layers.AIR));
        }
    }

    private static CompletableFuture<Map<String, Router.Routed>> found(SchematicSubject subject, SchematicView view) {
        Key key = Key.of(subject, view);
        CompletableFuture<Map<String, Router.Routed>> mine = new CompletableFuture<>();
        synchronized (LAST) {
            CompletableFuture<Map<String, Router.Routed>> known = LAST.get(key);
            if (known != null) {
                return known;
            }
            LAST.put(key, mine);
            if (LAST.size() > KEPT) {
                LAST.remove(LAST.keySet().iterator().next());
            }
        }
        try {
            mine.complete(Router.of(subject, view));
        } catch (RuntimeException | Error e) {
            // whoever waits for it is told: nobody else will finish it
            synchronized (LAST) {
                LAST.remove(key);
            }
            mine.completeExceptionally(e);
        }
        return mine;
    }
}
