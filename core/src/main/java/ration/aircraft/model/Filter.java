package ration.aircraft.model;

import java.util.List;
import java.util.Optional;

/**
 * A filter in the line.
 *
 * @param points rated points when clean, one or more
 * @param fouled as dirty as it may become before it is changed; twice the clean loss if not given
 */
public record Filter(Tag tag, List<Rated> points, Optional<Rated> fouled) implements Fitted {
    public Filter {
        points = List.copyOf(points);
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
        return new Filter(other, points, fouled);
    }
}
