package ration.aircraft.model;

import java.util.Objects;

/** Id, name and place of a fitted item. */
public record Tag(String id, String name, Place place) {
    public Tag {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(place, "place");
    }
}
