package ration.model;

import java.util.Optional;

/**
 * A strainer with a bowl.
 *
 * @param loss   clean
 * @param fouled as dirty as it may become before it is cleaned; twice the clean loss if not given
 * @param bowl   what its sediment bowl holds
 */
public record Strainer(Tag tag, Rated loss, Optional<Rated> fouled, boolean drain, Optional<Measured> bowl) implements Fitted {

    /** A strainer of whose bowl nobody told the size. */
    public Strainer(Tag tag, Rated loss, Optional<Rated> fouled, boolean drain) {
        this(tag, loss, fouled, drain, Optional.empty());
    }

    public Strainer withBowl(Optional<Measured> other) {
        return new Strainer(tag, loss, fouled, drain, other);
    }

    /** A strainer whose fouled loss nobody gave. */
    public Strainer(Tag tag, Rated loss, boolean drain) {
        this(tag, loss, Optional.empty(), drain);
    }

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.strainer(this);
    }

    @Override
    public String kind() {
        return "Strainer";
    }

    @Override
    public Strainer with(Tag other) {
        return new Strainer(other, loss, fouled, drain, bowl);
    }
}
