package ration.answer.proof;

import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ration.aircraft.condition.Handles;
import ration.aircraft.condition.PositionKey;
import ration.record.evidence.HangarTest;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;

/**
 * A test that an aircraft gets.
 *
 * @param kind of test
 * @param subject id of the part it is done on; empty of the whole aircraft
 * @param handles as they are set; nothing set where they do not matter
 * @param name with what it is done on
 * @param brief the same for a narrow column
 * @param asked whether it is asked for; others are advised
 * @param asks what is asked of it, in a clause
 * @param source of that
 */
public record Wanted(
        TestKind kind,
        String subject,
        Handles handles,
        String name,
        String brief,
        boolean asked,
        String asks,
        String source) {

    static final Handles NONE = new Handles(Map.of(), Set.of(), Set.of());

    /** Stable: flow.selector:LEFT, tank-pressure.upper. */
    public String key() {
        return kind.key() + (on().isEmpty() ? "" : "." + on());
    }

    /** What it is done on: part, positions; empty of the whole aircraft. */
    public String on() {
        return Stream.of(subject, new PositionKey(handles.positions()).text())
                .filter(s -> !s.isEmpty())
                .collect(Collectors.joining("."));
    }

    /** Whether a record is of this test. */
    public boolean is(HangarTest t) {
        return t.work().kind() == kind
                && t.subject().equals(subject)
                && t.work().sheet().map(s -> s.handles().equals(handles)).orElse(true);
    }

    /** Nothing done yet. */
    public Work.Sheet begun() {
        return Work.Sheet.begun(kind, handles);
    }
}
