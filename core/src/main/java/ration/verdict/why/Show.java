package ration.verdict.why;

import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/** In which unit a number of a formula is written. */
public interface Show {

    Unit unit(UnitSystem units);

    /** What follows the number: the symbol of its unit. */
    default String symbol(UnitSystem units) {
        return unit(units).symbol();
    }

    /** The number written for a value in SI. */
    default double written(double si, UnitSystem units) {
        return unit(units).fromSi(si);
    }

    /** As results of a dimension are shown. */
    static Show as(Dimension dimension) {
        return u -> u.unit(dimension);
    }

    /** Always in one unit: what is small, or belongs to a formula printed so. */
    static Show in(Unit unit) {
        return u -> unit;
    }

    /** A figure per another: psi/in. */
    static Show per(Dimension of, Dimension each) {
        return new Show() {
            @Override
            public Unit unit(UnitSystem u) {
                return u.unit(of);
            }

            @Override
            public String symbol(UnitSystem u) {
                return u.unit(of).symbol() + "/" + u.unit(each).symbol();
            }

            @Override
            public double written(double si, UnitSystem u) {
                return si / u.unit(of).toSi(1) * u.unit(each).toSi(1);
            }
        };
    }
}
