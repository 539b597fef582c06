package ration.aircraft.model;

import java.util.Optional;
import ration.base.quantity.Measured;

/**
 * What the maker says of a strainer or filter beside its loss.
 *
 * @param opening the largest grain that passes it
 * @param rating greatest pressure its bowl or can stands, gauge
 */
public record Mesh(Optional<Measured> opening, Optional<Measured> rating) {

    /** Nothing said. */
    public static final Mesh UNSAID = new Mesh(Optional.empty(), Optional.empty());

    public Mesh withOpening(Optional<Measured> other) {
        return new Mesh(other, rating);
    }

    public Mesh withRating(Optional<Measured> other) {
        return new Mesh(opening, other);
    }
}
