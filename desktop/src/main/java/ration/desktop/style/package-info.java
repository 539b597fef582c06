/** Tokens, fonts and how a core picture becomes JavaFX shapes. */
package ration.desktop.style;
