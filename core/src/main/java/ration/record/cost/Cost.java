package ration.record.cost;

/**
 * One row of a list: what a foot or a piece costs.
 *
 * @param price in the builder's own money, 0 or above
 * @param hours of work, 0 or above
 * @param weightKg added, kg; below 0 where it takes off
 * @param source where it comes from
 * @param date of when, as written
 */
public record Cost(double price, double hours, double weightKg, String source, String date) {

    public Cost {
        if (!(price >= 0) || !(hours >= 0) || !Double.isFinite(price + hours + weightKg)) {
            throw new IllegalArgumentException("Price and hours must be 0 or above.");
        }
    }
}
