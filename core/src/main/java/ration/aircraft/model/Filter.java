package ration.aircraft.model;

import java.util.List;
import java.util.Optional;

/**
 * A filter in the line.
 *
 * @param points rated points when clean, one or more
 * @param fouled as dirty as it may become before it is changed; twice the clean loss if not given
 * @param mesh what its maker says of it beside its loss
 */
public record Filter(Tag tag, List<Rated> points, Optional<Rated> fouled, Mesh mesh) implements Fitted {
    public Filter {
        points = List.copyOf(points);
    }

    /** Of whose fineness nobody said anything. */
    public Filter(Tag tag, List<Rated> points, Optional<Rated> fouled) {
        this(tag, points, fouled, Mesh.UNSAID);
    }

    public Filter with(Mesh other) {
        return new Filter(tag, points, fouled, other);
    }

    public Filter withPoints(List<Rated> other) {
        return new Filter(tag, other, fouled, mesh);
    }

    public Filter withFouled(Rated other) {
        return new Filter(tag, points, Optional.of(other), mesh);
    }

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.filter(this);
    }

    @Override
    public String kind() {
        return "Filter";
    }

    @Override
    public Filter with(Tag other) {
        return new Filter(other, points, fouled, mesh);
    }
}
