/**
 * The height-true schematic as a picture of simple marks, drawn the same for the screen and for paper.
 *
 * <p>{@link ration.publish.drawing.Schematic} places everything: heights are measured and true, x is order and not
 * place. It returns a {@link ration.publish.drawing.Picture}: pieces that belong to an item, each a list of lines,
 * boxes, discs and labels in named inks. No interface toolkit is seen here; whoever shows the picture supplies text
 * widths and turns inks into colours.
 */
package ration.publish.drawing;
