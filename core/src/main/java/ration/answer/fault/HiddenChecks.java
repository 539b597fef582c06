package ration.answer.fault;

import java.util.List;
import java.util.Optional;
import ration.aircraft.model.Item;
import ration.answer.fault.HiddenSearch.Hidden;
import ration.record.project.Edit;
import ration.record.project.Project;
import ration.record.upkeep.Upkeep;

/** The checks that find hidden failures: which of them a document has, and the one act that puts the others there. */
public final class HiddenChecks {

    private HiddenChecks() {}

    /** Those that stop the engine and that no check on the preflight card or in Maintenance finds. */
    public static List<Hidden> without(HiddenSearch s, Upkeep upkeep) {
        return s.stopping().stream().filter(h -> !found(h, upkeep)).toList();
    }

    /** Whether a check of the document finds it. */
    public static boolean found(Hidden h, Upkeep upkeep) {
        return h.finder().tracked(upkeep, h.fault().item()).isPresent();
    }

    /** Puts the check of each on the card, or in Maintenance: of an age nobody knows, due until somebody has looked. */
    public static Edit put(List<Hidden> hidden) {
        return Edit.of("Add the checks of hidden failures", p -> {
            Project now = p;
            for (Hidden h : hidden) {
                String item = h.fault().item();
                if (!found(h, now.upkeep())) {
                    String name = now.system().item(item).map(Item::name).orElse(item);
                    Finder finder = h.finder();
                    now = now.with(now.upkeep().plus(finder.named(name), item, finder.kind(), Optional.empty(), ""));
                }
            }
            return now;
        });
    }
}
