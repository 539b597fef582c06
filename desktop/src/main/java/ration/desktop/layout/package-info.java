/** The Layout page: the schematic with its keys, the item card, the chooser of what can follow. */
package ration.desktop.layout;
