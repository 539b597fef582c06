/**
 * Readings in, cause out.
 *
 * <p>Every fault of the catalogue, "nothing is wrong" and "this instrument is wrong" predicts every reading by the same
 * network ({@link ration.answer.find.Predictor}); how well it does, with the errors of instrument and of the model, and
 * how common it is, makes its share of belief ({@link ration.answer.find.Search}). What is not known keeps a share:
 * when nothing fits, it says so. {@link ration.answer.find.NextReading} is the reading that would leave the fewest
 * suspects ({@link ration.answer.find.Weighing}), among those that can be taken here
 * ({@link ration.answer.find.Readable}). {@link ration.answer.find.Signs} is what is seen, heard and smelt,
 * {@link ration.answer.find.Rig} the aircraft that the program plays.
 *
 * <p>How common things are and how long readings take is common practice without a source. Two things that fail at once
 * are not looked for.
 */
package ration.answer.find;
