package ration.desktop.layout;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.answer.proof.Touched;
import ration.desktop.session.Session;
import ration.record.project.Brief;
import ration.record.project.Edit;
import ration.record.project.ItemEdits;
import ration.record.project.Joining;
import ration.record.project.LayoutEdits;
import ration.record.project.LayoutEdits.Outcome;
import ration.record.project.LayoutEdits.Spot;
import ration.record.project.NewItem;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.record.project.Returns;

/** Layout edits on the picked item, each one step to undo, then picks what comes next. */
public final class LayoutActions {

    private LayoutActions() {}

    static void add(Session session, Spot spot, NewItem kind) {
        String picked = session.picked().get();
        take(
                session,
                "Add " + kind.label().toLowerCase(java.util.Locale.ROOT),
                s -> LayoutEdits.add(s, picked, spot, kind));
    }

    static void join(Session session, Joining.Join join) {
        take(
                session,
                "Join " + Joining.words(session.project().system(), join.near()) + " to "
                        + Joining.words(session.project().system(), join.far()),
                s -> Joining.join(s, join));
    }

    static void branchTo(Session session, PortRef port) {
        String run = session.picked().get();
        take(
                session,
                "Branch to " + Joining.words(session.project().system(), port),
                s -> Joining.branch(s, run, port));
    }

    /** Takes up what an item's card offers. */
    static void take(Session session, String id, ItemEdits.Offer offer) {
        session.apply(Edit.of(
                offer.label() + ", "
                        + session.project().system().item(id).map(Item::name).orElse(""),
                p -> p.with(offer.on(p.system()))));
    }

    static void remove(Session session) {
        String picked = session.picked().get();
        String name = session.project().system().item(picked).map(Item::name).orElse("");
        if (!take(session, "Remove " + name, s -> LayoutEdits.remove(s, picked))) {
            session.say(
                    name.isEmpty()
                            ? "Select an item first. Remove also rejoins its line."
                            : name + " stays: every layout ends at the engine.");
        }
    }

    /** Moves the picked item across the drawing by so many of its widths; its height stays true. */
    static void shift(Session session, String id, double widths) {
        session.project()
                .system()
                .item(id)
                .filter(i -> i.only(Run.class).isEmpty())
                .ifPresentOrElse(
                        i -> session.apply(Edit.of(
                                "Draw " + i.name() + " further " + (widths > 0 ? "right" : "left"),
                                p -> p.system().item(id).isEmpty()
                                        ? p
                                        : p.with(p.system()
                                                .shifted(id, p.system().shifts().getOrDefault(id, 0.0) + widths)))),
                        () -> session.say("Pick an item first: it moves across, never in height."
                                + " Lines follow what they join."));
    }

    /** Says, before it is changed, which tests a change of the picked part would end. */
    static void testAgain(Session session) {
        String picked = session.picked().get();
        session.project()
                .system()
                .item(picked)
                .ifPresent(
                        i -> session.say(Touched.by(session.project(), picked).words(i.name())));
    }

    static void vent(Session session) {
        String picked = session.picked().get();
        if (!take(session, "Add vent", s -> LayoutEdits.addVent(s, picked))) {
            session.say("A vent belongs to a tank that has none: pick one.");
        }
    }

    static void drain(Session session) {
        String picked = session.picked().get();
        if (!take(session, "Add drain", s -> LayoutEdits.addDrain(s, picked))) {
            session.say("A drain belongs to a tank, a header or a strainer that has none: pick one.");
        }
    }

    /** Leads a return from the picked item; asks where to, where there is a choice. */
    static void giveBack(Session session, Consumer<List<Chooser.Option>> ask) {
        String picked = session.picked().get();
        FuelSystem system = session.project().system();
        List<Chooser.Option> ways = Returns.of(system, picked).stream()
                .map(to -> new Chooser.Option(
                        "return-" + to.port().item() + "-" + to.port().port(),
                        "to "
                                + (to.fresh()
                                        ? system.item(to.port().item())
                                                .map(Item::name)
                                                .orElse("")
                                        : Joining.words(system, to.port())),
                        to.fresh() ? "new port at its top" : "open port",
                        () -> take(session, "Add return", s -> Returns.lead(s, picked, to))))
                .toList();
        if (ways.size() == 1) {
            ways.get(0).chosen().run();
        } else if (!ways.isEmpty()) {
            ask.accept(ways);
        } else {
            session.say("Select a rail, fuel servo, bypass regulator, header vent or free outlet for the return.");
        }
    }

    /** Starts the sheet from a pattern; one step to undo. What the brief says already stays said. */
    public static void start(Session session, Pattern pattern) {
        Project from = pattern.project();
        session.apply(Edit.of("Start from " + pattern.label(), p -> p.with(from.system())
                .with(
                        p.brief().equals(Brief.usual())
                                ? from.brief()
                                : p.brief().withDelivery(from.brief().delivery()))));
        session.picked().set("");
    }

    /**
     * Makes the change in the project as it is when it is made, and picks what came of it; whether there was one to
     * make.
     */
    private static boolean take(Session session, String name, Function<FuelSystem, Optional<Outcome>> change) {
        Optional<Outcome> now = change.apply(session.project().system());
        now.ifPresent(o -> {
            session.apply(Edit.of(
                    name,
                    p -> change.apply(p.system()).map(x -> p.with(x.system())).orElse(p)));
            session.picked().set(o.picked());
        });
        return now.isPresent();
    }
}
