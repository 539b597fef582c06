package ration.answer.remedy;

import ration.answer.assess.LeastMargin;
import ration.record.project.Edit;

/**
 * One change, solved.
 *
 * @param title what to do, as on its row
 * @param detail what it takes
 * @param edit does it
 * @param after the least margin with it, and the case that then governs
 */
public record Remedy(String title, String detail, Edit edit, LeastMargin after) {}
