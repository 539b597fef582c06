package ration.aircraft.model;

import java.util.Optional;
import ration.base.quantity.Measured;

/**
 * A strainer with a bowl.
 *
 * @param loss clean
 * @param fouled as dirty as it may become before it is cleaned; twice the clean loss if not given
 * @param drain whether its bowl can be drained
 * @param bowl what its sediment bowl holds
 * @param capped whether the drain is a capped service port and not a sprung quick drain
 * @param mesh what its maker says of it beside its loss
 */
public record Strainer(
        Tag tag, Rated loss, Optional<Rated> fouled, boolean drain, Optional<Measured> bowl, boolean capped, Mesh mesh)
        implements Fitted {

    public Strainer {
        capped &= drain;
    }

    /** Of whose fineness nobody said anything. */
    public Strainer(
            Tag tag, Rated loss, Optional<Rated> fouled, boolean drain, Optional<Measured> bowl, boolean capped) {
        this(tag, loss, fouled, drain, bowl, capped, Mesh.UNSAID);
    }

    public Strainer with(Mesh other) {
        return new Strainer(tag, loss, fouled, drain, bowl, capped, other);
    }

    /** With a quick drain, if it has any. */
    public Strainer(Tag tag, Rated loss, Optional<Rated> fouled, boolean drain, Optional<Measured> bowl) {
        this(tag, loss, fouled, drain, bowl, false);
    }

    /** A strainer of whose bowl nobody told the size. */
    public Strainer(Tag tag, Rated loss, Optional<Rated> fouled, boolean drain) {
        this(tag, loss, fouled, drain, Optional.empty());
    }

    public Strainer withBowl(Optional<Measured> other) {
        return new Strainer(tag, loss, fouled, drain, other, capped, mesh);
    }

    public Strainer withLoss(Rated other) {
        return new Strainer(tag, other, fouled, drain, bowl, capped, mesh);
    }

    public Strainer withFouled(Rated other) {
        return new Strainer(tag, loss, Optional.of(other), drain, bowl, capped, mesh);
    }

    public Strainer withDrain(boolean other, boolean asPort) {
        return new Strainer(tag, loss, fouled, other, bowl, asPort, mesh);
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
        return new Strainer(other, loss, fouled, drain, bowl, capped, mesh);
    }
}
