/**
 * The packet for the inspector: all of an aircraft's fuel system on standing pages, made from the document alone. A
 * page of it, or a few that belong together, is one type here ({@code CoverSheet}, {@code TankSheet},
 * {@code ComplianceSheet}); {@link ration.publish.packet.Dossier} holds what they all draw from, each answer worked out
 * once; {@link ration.publish.packet.Packet} puts them in order.
 *
 * <p>Each measured figure is printed once, in the table of its part. Predicted and measured never share a column; what
 * no longer counts is struck but legible, with its cause.
 */
package ration.publish.packet;
