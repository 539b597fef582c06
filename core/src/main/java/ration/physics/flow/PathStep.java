package ration.physics.flow;

/**
 * One item on the way from tank to engine.
 *
 * @param item id
 * @param loss pressure it costs, Pa; negative for a pump
 * @param headIn grade line before it, m above the aircraft datum along up
 * @param headOut grade line after it, m
 */
public record PathStep(String item, double loss, double headIn, double headOut) {}
