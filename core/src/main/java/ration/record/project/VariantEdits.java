package ration.record.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Layouts beside the one that is built: kept, taken over, renamed, left out. */
public final class VariantEdits {

    private VariantEdits() {}

    /** The layout of a project kept under a name; a name that is taken gets a number. */
    public static Edit keep(String name) {
        return keep(name, p -> p);
    }

    /** The layout as a change would make it, kept beside; the one that is built stays as it is. */
    public static Edit keep(String name, java.util.function.UnaryOperator<Project> changed) {
        return Edit.of("Keep " + name, p -> {
            Project then = changed.apply(p);
            List<Variant> all = new ArrayList<>(p.variants());
            all.add(new Variant(free(p, name), then.brief(), then.system(), then.heat()));
            return p.withVariants(all);
        });
    }

    /**
     * A variant made the layout; the one that was stays beside it under the name given. Tests stay with the document:
     * what no longer stands for them ends them.
     */
    public static Edit make(String name, String former) {
        return Edit.of("Make " + name + " the layout", p -> find(p, name)
                .map(v -> {
                    List<Variant> all = new ArrayList<>(p.variants());
                    all.remove(v);
                    Project rest = p.withVariants(all);
                    all.add(new Variant(free(rest, former), p.brief(), p.system(), p.heat()));
                    return rest.with(v.brief()).with(v.system()).with(v.heat()).withVariants(all);
                })
                .orElse(p));
    }

    /** Another name; one that is taken gets a number. */
    public static Edit rename(String name, String other) {
        return Edit.of(
                "Rename " + name,
                p -> p.withVariants(p.variants().stream()
                        .map(v -> v.name().equals(name) && !other.equals(name)
                                ? new Variant(free(p, other), v.brief(), v.system(), v.heat())
                                : v)
                        .toList()));
    }

    public static Edit delete(String name) {
        return Edit.of(
                "Delete " + name,
                p -> p.withVariants(p.variants().stream()
                        .filter(v -> !v.name().equals(name))
                        .toList()));
    }

    public static Optional<Variant> find(Project p, String name) {
        return p.variants().stream().filter(v -> v.name().equals(name)).findFirst();
    }

    /** The document as if a variant were built: its tests count where they still would. */
    public static Project as(Project p, Variant v) {
        return p.withVariants(List.of())
                .withName(p.name() + ", " + v.name())
                .with(v.brief())
                .with(v.system())
                .with(v.heat());
    }

    private static String free(Project p, String name) {
        String wanted = name.strip();
        for (int n = 2; find(p, wanted).isPresent(); n++) {
            wanted = name.strip() + " " + n;
        }
        return wanted;
    }
}
