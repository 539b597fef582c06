/** The command line over the core: the same answers as the window, as text or JSON. */
package ration.cli;
