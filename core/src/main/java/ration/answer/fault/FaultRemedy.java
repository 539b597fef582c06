package ration.answer.fault;

import ration.record.project.Edit;

/**
 * A change of the layout, with the fault asked again.
 *
 * @param title what to do
 * @param detail what it takes
 * @param edit does it
 * @param after the same fault then
 * @param shorts faults that end in Fails then, of all
 */
public record FaultRemedy(String title, String detail, Edit edit, FaultAnswer after, int shorts) {}
