/**
 * Measured by walking round: {@link ration.desktop.walk.WalkPage} asks for one place after the other in figures that
 * are read from the wing, and puts each reading into the document as it comes.
 */
package ration.desktop.walk;
