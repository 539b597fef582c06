package ration.record.upkeep;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import ration.base.quantity.UnitSystem;
import ration.record.build.StepKey;

/**
 * What is kept of the parts with a life.
 *
 * @param hours of the airframe now, 0 to 100,000
 * @param parts in the order they were entered
 * @param log of what was done; it only grows
 */
public record Upkeep(double hours, List<Part> parts, List<Entry> log) {

    /** Kinds that do not lie in the way of the fuel. */
    private static final Set<Part.Kind> BESIDE = EnumSet.of(Part.Kind.VENT, Part.Kind.SIGHT_TUBE, Part.Kind.CAP_SEAL);

    /** Nothing kept. */
    public static final Upkeep NONE = new Upkeep(0, List.of(), List.of());

    public Upkeep {
        if (!(hours >= 0 && hours <= 100_000)) {
            throw new IllegalArgumentException("Airframe time: 0 to 100,000 h.");
        }
        parts = List.copyOf(parts);
        log = List.copyOf(log);
    }

    /** An act on a part. */
    public record Act(LocalDate on, double hours, String who, String paper, Optional<LocalDate> made) {}

    public boolean none() {
        return hours == 0 && parts.isEmpty() && log.isEmpty();
    }

    public Optional<Part> part(String id) {
        return parts.stream().filter(p -> p.id().equals(id)).findFirst();
    }

    public Upkeep withHours(double other) {
        return new Upkeep(other, parts, log);
    }

    /** With a part more; its id is made of its name. */
    public Upkeep plus(String name, String item, Part.Kind kind, Optional<Part.Fitted> fitted, String paper) {
        String stem =
                name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        String id = stem.isEmpty() ? "part" : stem;
        for (int n = 2; part(id).isPresent(); n++) {
            id = stem + "-" + n;
        }
        List<Part> all = new ArrayList<>(parts);
        all.add(new Part(id, name, item, kind, kind.usual(), fitted, paper));
        return new Upkeep(hours, all, log);
    }

    public Upkeep with(Part part) {
        return new Upkeep(
                hours,
                parts.stream().map(p -> p.id().equals(part.id()) ? part : p).toList(),
                log);
    }

    /** The history of a part, the last first; what was put right later says so. */
    public List<Entry> history(String part) {
        List<Entry> all =
                new ArrayList<>(log.stream().filter(e -> e.part().equals(part)).toList());
        java.util.Collections.reverse(all);
        return all;
    }

    /**
     * The last renewal on each item that has one, by the item's id; vents, gauges and caps do not lie in the way of the
     * fuel.
     */
    public Map<String, String> renewed() {
        Map<String, String> all = new TreeMap<>();
        for (Entry e : log) {
            if (e.what() == Entry.What.REPLACED && !corrected(e)) {
                part(e.part())
                        .filter(p -> !p.item().isEmpty() && !BESIDE.contains(p.kind()))
                        .ifPresent(
                                p -> all.put(p.item(), e.on() + ", " + p.name().toLowerCase(Locale.ROOT)));
            }
        }
        return all;
    }

    /** Whether a later entry puts this one right. */
    public boolean corrected(Entry e) {
        return log.stream().anyMatch(o -> o.corrects() == e.number());
    }

    private Upkeep noted(Act act, String part, Entry.What what, String words, int corrects) {
        List<Entry> all = new ArrayList<>(log);
        all.add(new Entry(
                log.stream().mapToInt(Entry::number).max().orElse(0) + 1,
                act.on(),
                act.hours(),
                part,
                what,
                words,
                act.who(),
                corrects));
        return new Upkeep(Math.max(hours, act.hours()), parts, all);
    }

    /** The end fittings of a hose that was made anew. */
    public enum Ends {
        UNSAID(""),
        NEW("End fittings new. "),
        /** Barb or cone and thread looked at. */
        REUSED("End fittings reused, inspected. ");

        private final String words;

        Ends(String words) {
            this.words = words;
        }
    }

    /**
     * A part that is replaced in a campaign.
     *
     * @param lot and length as cut, in the builder's words; blank where nothing is said
     */
    public record Renewed(String part, String lot, Ends ends) {
        public Renewed {
            lot = lot.strip();
        }

        /** Of which nothing more is said. */
        public Renewed(String part) {
            this(part, "", Ends.UNSAID);
        }
    }

    /** The old one out, a new one in: a sentence for the logbook goes into the log. */
    public Upkeep replaced(String id, Act act) {
        return replaced(new Renewed(id), act);
    }

    private Upkeep replaced(Renewed one, Act act) {
        String id = one.part();
        Part old = part(id).orElseThrow();
        String papers =
                act.paper().isBlank() || one.lot().isBlank() ? act.paper() + one.lot() : act.paper() + ", " + one.lot();
        String words = "Replaced " + old.name() + (papers.isBlank() ? "" : ", ref. " + papers) + ". " + one.ends().words
                + "Removed part: "
                + old.fitted()
                        .map(f -> "installed " + f.on() + " at " + hours(f.hours()))
                        .orElse("age unknown") + (old.paper().isBlank() ? "" : ", ref. " + old.paper()) + ".";
        return with(old.fitted(new Part.Fitted(act.on(), act.hours(), act.made()), papers))
                .noted(act, id, Entry.What.REPLACED, words, 0);
    }

    /** Looked at, and found good for as long again. */
    public Upkeep looked(String id, Act act, String found) {
        return noted(
                act,
                id,
                Entry.What.LOOKED,
                "Inspected " + part(id).orElseThrow().name() + (found.isBlank() ? "" : ": " + found.strip()) + ".",
                0);
    }

    /** Many parts in one act: those replaced and those kept and inspected, each with its own entry under one paper. */
    public Upkeep campaign(List<Renewed> replaced, List<String> inspected, Act act) {
        Upkeep now = this;
        for (Renewed r : replaced) {
            now = now.part(r.part()).orElseThrow().life().ends() == Life.Ends.REMOVE
                    ? now.removed(r.part(), act)
                    : now.replaced(r, act);
        }
        for (String id : inspected) {
            now = now.looked(id, act, act.paper().isBlank() ? "" : "kept, ref. " + act.paper());
        }
        return now;
    }

    /** A joint undone for work: open until it is done up. The layout does not change. */
    public Upkeep opened(StepKey joint, String name, Act act) {
        return noted(act, joint.text(), Entry.What.OPENED, "Opened " + name + ref(act) + ".", 0);
    }

    /**
     * A joint done up again.
     *
     * @param torque as it was set; blank where the joint takes none
     */
    public Upkeep closed(StepKey joint, String name, Act act, String torque) {
        return noted(
                act,
                joint.text(),
                Entry.What.CLOSED,
                "Done up " + name + (torque.isBlank() ? "" : ", " + torque.strip()) + ref(act) + ".",
                0);
    }

    private static String ref(Act act) {
        return act.paper().isBlank() ? "" : ", ref. " + act.paper();
    }

    /** The last that was done to each joint and put right by no later entry: joint key, and that entry. */
    public Map<StepKey, Entry> joints() {
        Map<StepKey, Entry> last = new TreeMap<>();
        for (Entry e : log) {
            if ((e.what() == Entry.What.OPENED || e.what() == Entry.What.CLOSED) && !corrected(e)) {
                StepKey.written(e.part()).ifPresent(k -> last.put(k, e));
            }
        }
        return last;
    }

    /** Taken out for good: a temporary thing, or a part that is no more. */
    public Upkeep removed(String id, Act act) {
        Part old = part(id).orElseThrow();
        Upkeep noted = noted(act, id, Entry.What.REMOVED, "Removed " + old.name() + ".", 0);
        return new Upkeep(
                noted.hours, parts.stream().filter(p -> !p.id().equals(id)).toList(), noted.log);
    }

    /** An entry put right by a new one that names it; the old one stays. */
    public Upkeep corrected(int number, Act act, String words) {
        Entry old = log.stream()
                .filter(e -> e.number() == number)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no entry " + number + " in the log."));
        return noted(
                act, old.part(), Entry.What.CORRECTED, "Entry " + number + " should read: " + words.strip(), number);
    }

    private static String hours(double h) {
        return UnitSystem.figure(h, 1) + " h";
    }

    /** The sentence of an entry, ready for a paper logbook. */
    public static String logbook(Entry e) {
        return e.on() + ", " + hours(e.hours()) + ": " + e.words() + (e.who().isBlank() ? "" : " " + e.who());
    }
}
