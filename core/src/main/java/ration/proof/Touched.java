package ration.proof;

import java.util.List;
import java.util.stream.Collectors;
import ration.evidence.AsBuilt;
import ration.evidence.Form;
import ration.evidence.Inputs;
import ration.evidence.Named;
import ration.evidence.Standing;
import ration.evidence.Work;
import ration.project.Project;

/**
 * What a change of one part would have to be shown again.
 *
 * @param ended tests on record that count and rest on it
 * @param asked tests asked for that would rest on it
 */
public record Touched(List<String> ended, List<String> asked) {

    public Touched {
        ended = List.copyOf(ended);
        asked = List.copyOf(asked);
    }

    /** Of a part that is laid out. */
    public static Touched by(Project project, String item) {
        AsBuilt built = project.asBuilt();
        List<String> ended = project.tests().stream()
                .filter(t -> Standing.of(t, built).counts() && rests(built, t.subject(), t.work(), item))
                .map(t -> Named.of(project.system(), t))
                .distinct()
                .toList();
        List<String> asked = Programme.wanted(project).stream()
                .filter(Wanted::asked)
                .filter(w -> Form.of(w.kind()).isPresent()
                        ? rests(built, w.subject(), w.begun(), item)
                        : w.subject().equals(item))
                .map(Wanted::name)
                .distinct()
                .toList();
        return new Touched(ended, asked);
    }

    private static boolean rests(AsBuilt built, String subject, Work work, String item) {
        if (!(work instanceof Work.Sheet)) {
            return subject.equals(item);
        }
        Inputs rests = Standing.restsOn(built, subject, work);
        return subject.equals(item) || rests.lines().keySet().stream().anyMatch(l -> l.startsWith(item + ": "));
    }

    /** In a sentence or two. */
    public String words(String name) {
        String first = ended.isEmpty()
                ? "No recorded test depends on " + name + "."
                : "Changing " + name + " invalidates " + (ended.size() == 1 ? "1 test" : ended.size() + " tests") + ": "
                        + String.join(", ", ended) + ".";
        return asked.isEmpty()
                ? first
                : first + " Retest: " + asked.stream().limit(MOST).collect(Collectors.joining(", "))
                        + (asked.size() > MOST ? " and " + (asked.size() - MOST) + " more" : "") + ".";
    }

    private static final int MOST = 8;
}
