package ration.aircraft.model;

/**
 * A port of an item.
 *
 * @param item id of the item
 * @param port name of the port on it
 */
public record PortRef(String item, String port) {

    public PortRef {
        if (item == null || item.isBlank() || port == null || port.isBlank()) {
            throw new IllegalArgumentException("A port needs an item and a name");
        }
    }

    /** As a record's own, without what those cost before they are compiled: ports are looked up by the thousand. */
    @Override
    public boolean equals(Object other) {
        return other instanceof PortRef p && item.equals(p.item) && port.equals(p.port);
    }

    @Override
    public int hashCode() {
        return 31 * item.hashCode() + port.hashCode();
    }

    /** Written {@code item.port} in files and network ids. */
    @Override
    public String toString() {
        return item + "." + port;
    }
}
