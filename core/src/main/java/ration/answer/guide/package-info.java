/**
 * The guide: the job in the order of the work, a step at a time. {@link ration.answer.guide.Step} are the steps and
 * their texts, which are the files of {@code docs/guide}; {@link ration.answer.guide.StepState} says what a document
 * has of a step and what it still misses, counted from the document and never ticked by hand.
 */
package ration.answer.guide;
