package ration.model;

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

    /** Written {@code item.port} in files and network ids. */
    @Override
    public String toString() {
        return item + "." + port;
    }
}
