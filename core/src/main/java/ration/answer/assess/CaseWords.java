package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.condition.Power;
import ration.aircraft.model.Selector;
import ration.record.project.Project;

/**
 * A case as people say it: {@code climb, fuselage, low, boost pump alone, filters fouled}. Words not said stay level,
 * full, first position, everything on, clean, at take-off power.
 */
public final class CaseWords {

    /** The governing case. */
    public static final String GOVERNING = "governing";

    private CaseWords() {}

    /**
     * The condition meant.
     *
     * @throws IllegalArgumentException with a sentence that lists what may be said
     */
    public static Condition parse(Assessment assessment, String written) {
        Project project = assessment.project();
        if (written.isBlank() || written.strip().equalsIgnoreCase(GOVERNING)) {
            return assessment.governing().map(CaseAnswer::condition).orElseGet(() -> StartingCase.of(project));
        }
        Condition c = StartingCase.of(project);
        for (String part : written.split(",")) {
            String word = part.strip().toLowerCase(Locale.ROOT);
            Condition next = word.isEmpty() ? c : said(project, c, today(word));
            if (next == null) {
                throw new IllegalArgumentException("\u201c" + part.strip() + "\u201d not recognized. Use: "
                        + String.join(", ", known(project)) + "; or pitch 12, tilt -3.");
            }
            c = next;
        }
        return c;
    }

    /** A word as it was written before 2026-12, as it is now. */
    private static String today(String word) {
        return word.replace("take-off", "takeoff")
                .replace("push-over", "pushover")
                .replaceAll("^(filters )?fouled$", "filters dirty");
    }

    private static Condition said(Project project, Condition c, String word) {
        for (Attitude a : attitudes(project)) {
            if (a.name().toLowerCase(Locale.ROOT).equals(word)) {
                return c.with(a);
            }
        }
        for (Contents k : Contents.values()) {
            if (k.label().toLowerCase(Locale.ROOT).equals(word)) {
                return c.withContents(StartingCase.filled(project, k));
            }
        }
        for (Selector s : project.system().selectors()) {
            for (Selector.Position p : s.positions()) {
                if (p.name().toLowerCase(Locale.ROOT).equals(word)) {
                    return c.withPosition(s.id(), p.name());
                }
            }
        }
        for (PumpSet set : PumpSet.of(project.system())) {
            if (set.label().toLowerCase(Locale.ROOT).equals(word)) {
                return c.withStopped(set.stopped());
            }
        }
        for (Power p : Power.values()) {
            if (p.label().toLowerCase(Locale.ROOT).equals(word)) {
                return c.with(p);
            }
        }
        return word.equals("filters dirty") || word.equals("dirty")
                ? c.withFouled(true)
                : word.equals("filters clean") || word.equals("clean") ? c.withFouled(false) : angle(c, word);
    }

    /** Those of the envelope, and the same under load. */
    private static List<Attitude> attitudes(Project project) {
        List<Attitude> all = new ArrayList<>(project.brief().envelope().attitudes());
        project.brief().practice().loads(project.brief().envelope()).forEach(l -> all.add(l.attitude()));
        return all;
    }

    private static Condition angle(Condition c, String word) {
        String[] parts = word.split("\\s+");
        // the tilt of the fuel was called bank before
        boolean tilt = parts[0].equals("tilt") || parts[0].equals("bank");
        if (parts.length == 2 && (parts[0].equals("pitch") || tilt)) {
            try {
                double degrees =
                        Double.parseDouble(parts[1].replace("\u00b0", "").replace('\u2212', '-'));
                return c.with(Attitude.ofDegrees(
                                "Set by hand",
                                parts[0].equals("pitch")
                                        ? degrees
                                        : c.attitude().pitchDegrees(),
                                tilt ? degrees : c.attitude().tiltDegrees())
                        .under("Set by hand", c.attitude().load(), c.attitude().forward()));
            } catch (NumberFormatException e) {
                return null;
            }
        }
        return null;
    }

    private static List<String> known(Project project) {
        List<String> words = new ArrayList<>(List.of(GOVERNING));
        attitudes(project).forEach(a -> words.add(a.name().toLowerCase(Locale.ROOT)));
        for (Contents k : Contents.values()) {
            words.add(k.label().toLowerCase(Locale.ROOT));
        }
        project.system().selectors().forEach(s -> s.positions().forEach(p -> words.add(p.name())));
        PumpSet.of(project.system()).stream()
                .map(PumpSet::label)
                .filter(l -> !l.isEmpty())
                .forEach(l -> words.add(l.toLowerCase(Locale.ROOT)));
        words.addAll(List.of("filters dirty", "takeoff", "cruise", "idle"));
        return words;
    }
}
