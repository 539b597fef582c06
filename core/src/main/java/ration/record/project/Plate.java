package ration.record.project;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;

/**
 * What stands on the plates and placards of the aircraft: it is printed, and nothing is computed from it.
 *
 * @param said what was entered; a field that was not is missing
 */
public record Plate(Map<Field, String> said) {

    /** Nothing entered. */
    public static final Plate NONE = new Plate(Map.of());

    /** One line of it. */
    public enum Field {
        REGISTRATION("Registration"),
        SERIAL("Serial number"),
        BUILDER("Builder"),
        ENGINE_MODEL("Engine model"),
        ENGINE_SERIAL("Engine serial number"),
        /** The words beside the fuel filler. */
        FUEL_PLACARD("Fuel placard");

        private final String label;

        Field(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** As it stands in documents. */
        public String key() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    public Plate {
        Map<Field, String> kept = new EnumMap<>(Field.class);
        said.forEach((f, text) -> {
            if (!text.isBlank()) {
                kept.put(f, text.strip());
            }
        });
        said = java.util.Collections.unmodifiableMap(kept);
    }

    /** What was entered; empty where nothing was. */
    public String get(Field field) {
        return said.getOrDefault(field, "");
    }

    public Plate with(Field field, String text) {
        Map<Field, String> other = new EnumMap<>(Field.class);
        other.putAll(said);
        other.put(field, text);
        return new Plate(other);
    }

    public boolean none() {
        return said.isEmpty();
    }
}
