package ration.model;

/** Where the firewall stands: its station and the water lines of its top and foot. */
public record Firewall(Measured station, Measured top, Measured foot) {
}
