package ration.record.cost;

import java.util.List;

/**
 * What several changes take together.
 *
 * @param price in the builder's money
 * @param hours of work
 * @param weightKg added, kg
 * @param missing what the list has no row for, in words: it is not in the sums
 */
public record Bill(double price, double hours, double weightKg, List<String> missing) {

    public Bill {
        missing = List.copyOf(missing);
    }

    /** Of changes, by a list. */
    public static Bill of(CostList list, List<Takes> all) {
        double price = 0;
        double hours = 0;
        double weight = 0;
        List<String> missing = new java.util.ArrayList<>();
        for (Takes t : all) {
            Cost c = list.of(t.part(), t.size()).orElse(null);
            if (c == null) {
                missing.add(t.part().label() + (t.size().isEmpty() ? "" : " " + t.size()));
            } else {
                price += t.amount() * c.price();
                hours += t.amount() * c.hours();
                weight += t.amount() * c.weightKg();
            }
        }
        return new Bill(price, hours, weight, missing.stream().distinct().toList());
    }
}
