/** The Air and water page: vents and what they cost, a vent blocked and what follows, low points, traps and drains. */
package ration.desktop.air;
