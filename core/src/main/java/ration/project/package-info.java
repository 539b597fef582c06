/**
 * The document: what the builder said about engine, envelope and fuel, and the system laid out.
 *
 * <p>{@link ration.project.Project} is immutable; an {@link ration.project.Edit} is a name and a function from one
 * project to the next. Layout edits that touch several items at once (insert into a run, branch, remove and join again)
 * are in {@link ration.project.LayoutEdits}. {@link ration.project.Practice} is what is asked beyond the standards,
 * {@link ration.project.Difference} says in words how two documents differ.
 */
package ration.project;
