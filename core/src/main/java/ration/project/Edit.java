package ration.project;

import java.util.function.UnaryOperator;

/**
 * A change with a name for the undo list.
 *
 * @param name    what was done, such as "Set size of R3"
 * @param change  from one project to the next; must not fail
 */
public record Edit(String name, UnaryOperator<Project> change) {

    public static Edit of(String name, UnaryOperator<Project> change) {
        return new Edit(name, change);
    }

    /** Replaces one item. */
    public static Edit replace(String name, ration.model.Item item) {
        return new Edit(name, p -> p.with(p.system().replace(item)));
    }
}
