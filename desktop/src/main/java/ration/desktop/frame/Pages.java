package ration.desktop.frame;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Supplier;
import ration.answer.guide.StepState;
import ration.desktop.air.AirPage;
import ration.desktop.brief.BriefPage;
import ration.desktop.build.BuildPage;
import ration.desktop.control.Arriving;
import ration.desktop.faults.FaultsPage;
import ration.desktop.find.FindPage;
import ration.desktop.flight.FlightPage;
import ration.desktop.flow.FlowPage;
import ration.desktop.guide.GuidePage;
import ration.desktop.hangar.HangarPage;
import ration.desktop.layout.LayoutPage;
import ration.desktop.runs.RunsPage;
import ration.desktop.session.Session;
import ration.desktop.signoff.SignOffPage;
import ration.desktop.tanks.TanksPage;
import ration.desktop.upkeep.UpkeepPage;
import ration.desktop.vapor.VaporPage;
import ration.desktop.variants.VariantsPage;
import ration.desktop.walk.WalkPage;

/**
 * The pages of one document and its conditions bar. Another document has pages of its own: what was chosen, typed, read
 * or laid over on these goes with them. Pages but the first are made when they are first wanted: the window stands
 * sooner.
 */
final class Pages {

    /** What pages ask of the window they stand in. */
    interface Asked {

        /** The case of a failure, with the failure in it. */
        void fault(ration.answer.fault.FaultAnswer f);

        void look(ration.aircraft.condition.Condition c);

        /** A test by its key, ready to be run. */
        void test(String key);

        /** An item on the layout. */
        void item(String id);

        /** A logger's table over the Vapor page. */
        void layOver(Path log);

        /** Where something the guide misses is entered. */
        void missing(StepState.Missing m);

        /** Measuring, place by place. */
        void walk();

        /** The page shown is of the case looked at now, or is no longer. */
        void byCase();

        /** Back to the page that the guide, or measuring, stands in place of. */
        void back();
    }

    private final ConditionsBar conditions;
    private final LayoutPage layout;
    private final Supplier<BriefPage> brief;
    private final Supplier<RunsPage> runs;
    private final Supplier<TanksPage> tanks;
    private final Supplier<VaporPage> vapor;
    private final Supplier<HangarPage> hangar;
    private final Supplier<GuidePage> guide;
    private final Supplier<WalkPage> walk;
    private final Map<Page, Supplier<? extends Arriving>> all = new EnumMap<>(Page.class);

    Pages(Session session, Exports exports, Asked window) {
        Consumer<String> item = window::item;
        conditions = new ConditionsBar(session);
        layout = new LayoutPage(session, conditions::operate);
        tanks = once(() -> new TanksPage(session, exports::gaugeCard));
        vapor = once(() -> new VaporPage(session, item, exports));
        guide = once(() -> new GuidePage(session, window::missing, window::walk, window::back, exports::guide));
        walk = once(() -> new WalkPage(session, window::back));
        brief = once(() -> new BriefPage(session));
        all.put(Page.BRIEF, brief);
        all.put(Page.LAYOUT, () -> layout);
        runs = once(() -> new RunsPage(session, exports));
        all.put(Page.RUNS, runs);
        all.put(Page.FLOW, once(() -> {
            FlowPage flow = new FlowPage(session, item, exports::readTable, exports::readings);
            flow.byCase().addListener((o, was, now) -> window.byCase());
            return flow;
        }));
        all.put(Page.TANKS, tanks);
        all.put(Page.VAPOR, vapor);
        all.put(Page.AIR, once(() -> new AirPage(session, item, exports::samplingCard)));
        all.put(Page.FAULTS, once(() -> new FaultsPage(session, window::fault)));
        all.put(Page.FLIGHT, once(() -> new FlightPage(session, exports::switchingCard)));
        all.put(Page.BUILD, once(() -> new BuildPage(session, LocalDate::now, exports::build, window::test)));
        hangar = once(() -> new HangarPage(session, exports, LocalDate::now, window::layOver));
        all.put(Page.HANGAR, hangar);
        all.put(Page.FIND, once(() -> new FindPage(session, window::look)));
        all.put(
                Page.UPKEEP,
                once(() -> new UpkeepPage(session, LocalDate::now, exports::upkeep, exports::work, window::test)));
        all.put(Page.VARIANTS, once(() -> new VariantsPage(session)));
        all.put(Page.SIGN_OFF, once(() -> new SignOffPage(session, exports, LocalDate::now, window::test)));
    }

    Arriving page(Page page) {
        return all.get(page).get();
    }

    ConditionsBar conditions() {
        return conditions;
    }

    LayoutPage layout() {
        return layout;
    }

    TanksPage tanks() {
        return tanks.get();
    }

    BriefPage brief() {
        return brief.get();
    }

    RunsPage runs() {
        return runs.get();
    }

    HangarPage hangar() {
        return hangar.get();
    }

    GuidePage guide() {
        return guide.get();
    }

    WalkPage walk() {
        return walk.get();
    }

    VaporPage vapor() {
        return vapor.get();
    }

    private static <T> Supplier<T> once(Supplier<T> make) {
        return new Supplier<>() {
            private T made;

            @Override
            public T get() {
                if (made == null) {
                    made = make.get();
                }
                return made;
            }
        };
    }
}
