package ration.record.project;

import java.util.function.UnaryOperator;
import ration.aircraft.model.Item;

/**
 * A change with a name for the undo list.
 *
 * @param name what was done, such as "Set size of R3"
 * @param change from one project to the next; must not fail
 */
public record Edit(String name, UnaryOperator<Project> change) {

    public static Edit of(String name, UnaryOperator<Project> change) {
        return new Edit(name, change);
    }

    /** Changes one item as it stands in the project given; nothing where it is no longer laid out. */
    public static <T extends Item> Edit onItem(String name, String id, Class<T> kind, UnaryOperator<T> change) {
        return new Edit(name, p -> p.with(p.system().change(id, kind, change)));
    }
}
