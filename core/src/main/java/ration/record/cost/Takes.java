package ration.record.cost;

/**
 * What a change needs.
 *
 * @param part of which there is a row
 * @param size of line, as 3/8; empty where it has none
 * @param amount feet or pieces, above 0
 */
public record Takes(Part part, String size, double amount) {

    public Takes {
        if (!(amount > 0) || !Double.isFinite(amount)) {
            throw new IllegalArgumentException("Amount must be above 0.");
        }
    }

    public static Takes one(Part part) {
        return new Takes(part, "", 1);
    }
}
