package ration.desktop.layout;

import java.util.Optional;
import ration.desktop.session.Session;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.project.Edit;
import ration.project.LayoutEdits;
import ration.project.LayoutEdits.Outcome;
import ration.project.LayoutEdits.Spot;
import ration.project.NewItem;
import ration.project.Pattern;
import ration.project.Project;

/** Layout edits on the picked item, each one step to undo, then picks what comes next. */
final class LayoutActions {

    private LayoutActions() {
    }

    static void add(Session session, Spot spot, NewItem kind) {
        FuelSystem system = session.project().system();
        take(session, "Add " + kind.label().toLowerCase(java.util.Locale.ROOT),
                LayoutEdits.add(system, session.picked().get(), spot, kind));
    }

    static void remove(Session session) {
        FuelSystem system = session.project().system();
        String name = system.item(session.picked().get()).map(Item::name).orElse("");
        take(session, "Remove " + name, LayoutEdits.remove(system, session.picked().get()));
    }

    static void vent(Session session) {
        take(session, "Add vent", LayoutEdits.addVent(session.project().system(), session.picked().get()));
    }

    static void drain(Session session) {
        take(session, "Add drain", LayoutEdits.addDrain(session.project().system(), session.picked().get()));
    }

    static void giveBack(Session session) {
        Optional<Outcome> outcome = LayoutEdits.addReturn(session.project().system(), session.picked().get());
        if (outcome.isEmpty()) {
            session.say("A return leaves a rail, a servo, a bypass regulator, a header's vent or a free outlet: pick one.");
        }
        take(session, "Add return", outcome);
    }

    /** Starts the sheet from a pattern; one step to undo. */
    static void start(Session session, Pattern pattern) {
        Project from = pattern.project();
        session.apply(Edit.of("Start from " + pattern.label(), p -> p.with(from.system()).with(from.brief())));
        session.picked().set("");
    }

    private static void take(Session session, String name, Optional<Outcome> outcome) {
        outcome.ifPresent(o -> {
            session.apply(Edit.of(name, p -> p.with(o.system())));
            session.picked().set(o.picked());
        });
    }
}
