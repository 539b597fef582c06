/**
 * What to measure next: which figures as entered decide a verdict, and the few readings that would settle it.
 *
 * <p>{@link ration.answer.assess.Doubt} moves each figure by what it may be off; here figures read in one go are one
 * {@link ration.answer.measure.Job}, each with its {@link ration.answer.measure.Tool}, and
 * {@link ration.answer.measure.MeasureNext} ranks them and looks for the smallest set that settles an answer in eight
 * outcomes of ten, Fails included: a reading is never promised to make anything hold.
 */
package ration.answer.measure;
