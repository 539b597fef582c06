package ration.record.upkeep;

/**
 * How long a part lives, or how often it is looked at.
 *
 * @param months by the calendar, 0 to 600; 0 where the calendar does not count
 * @param hours of the airframe, 0 to 100,000; 0 where they do not count
 * @param ends what happens then
 */
public record Life(int months, double hours, Ends ends) {

    /** What is done when it is over. */
    public enum Ends {
        REPLACE("replace"),
        /** On condition: looked at, and then for as long again. */
        LOOK("look"),
        /** Not meant to stay: nobody flies with it. */
        REMOVE("remove before flight"),
        /** On the preflight card, and never due in between. */
        EACH_FLIGHT("check before every flight");

        private final String word;

        Ends(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    public Life {
        if (months < 0 || months > 600 || !(hours >= 0 && hours <= 100_000)) {
            throw new IllegalArgumentException("Interval: 0 to 600 months, 0 to 100,000 h.");
        }
        if (ends != Ends.REMOVE && ends != Ends.EACH_FLIGHT && months == 0 && hours == 0) {
            throw new IllegalArgumentException("Enter an interval in months or hours.");
        }
    }

    public static Life of(int months, double hours, Ends ends) {
        return new Life(months, hours, ends);
    }

    /** In words: 5 years; look every 12 months or 100 h. */
    public String words() {
        if (ends == Ends.REMOVE) {
            return "until removed";
        }
        if (ends == Ends.EACH_FLIGHT) {
            return "before every flight";
        }
        String calendar =
                months == 0 ? "" : months % 12 == 0 && months > 12 ? months / 12 + " years" : months + " months";
        String flown = hours == 0 ? "" : ration.base.quantity.UnitSystem.figure(hours, 0) + " h";
        String both = calendar.isEmpty() ? flown : flown.isEmpty() ? calendar : calendar + " or " + flown;
        return ends == Ends.LOOK ? "inspect every " + both : both;
    }
}
