package ration.aircraft.model;

import ration.base.quantity.Measured;

/** A drilled restriction. */
public record Orifice(Tag tag, Measured bore, double dischargeCoefficient) implements Fitted {
    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.orifice(this);
    }

    @Override
    public String kind() {
        return "Orifice";
    }

    @Override
    public Orifice with(Tag other) {
        return new Orifice(other, bore, dischargeCoefficient);
    }
}
