package ration.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.evidence.HangarTest;
import ration.model.Item;

/** Two states of a document compared, in words a builder reads. */
public final class Difference {

    private Difference() {
    }

    /** What is otherwise in the second than in the first; empty where nothing is. */
    public static List<String> between(Project first, Project second) {
        List<String> words = new ArrayList<>();
        if (!first.name().equals(second.name())) {
            words.add("named " + second.name());
        }
        if (!first.note().equals(second.note())) {
            words.add("another note");
        }
        if (!first.brief().equals(second.brief())) {
            words.add("the Brief differs");
        }
        if (!first.heat().equals(second.heat())) {
            words.add("heat figures differ");
        }
        if (!first.flight().equals(second.flight())) {
            words.add("the flight differs");
        }
        if (!first.readings().equals(second.readings())) {
            words.add("readings differ");
        }
        if (!first.system().firewall().equals(second.system().firewall())) {
            words.add("the firewall differs");
        }
        for (Item item : second.system().items()) {
            Optional<Item> was = first.system().item(item.id());
            if (was.isEmpty()) {
                words.add(item.name() + " is new");
            } else if (!was.get().equals(item)) {
                words.add(item.name() + " differs");
            }
        }
        first.system().items().stream().filter(i -> second.system().item(i.id()).isEmpty()).forEach(i -> words.add(i.name()
                + " is not there"));
        for (HangarTest test : second.tests()) {
            Optional<HangarTest> was = first.test(test.id());
            if (was.isEmpty()) {
                words.add("test " + test.id() + " is new");
            } else if (!was.get().equals(test)) {
                words.add("test " + test.id() + " differs");
            }
        }
        first.tests().stream().filter(t -> second.test(t.id()).isEmpty()).forEach(t -> words.add("test " + t.id()
                + " is not there"));
        if (!first.unknown().equals(second.unknown())) {
            words.add("fields this version does not know differ");
        }
        return words;
    }
}
