/**
 * The document: what the builder said about engine, envelope and fuel, and the system laid out.
 *
 * <p>{@link ration.record.project.Project} is immutable; an {@link ration.record.project.Edit} is a name and a function
 * from one project to the next. Layout edits that touch several items at once (insert into a run, branch, remove and
 * join again) are in {@link ration.record.project.LayoutEdits}. {@link ration.record.project.Practice} is what is asked
 * beyond the standards, {@link ration.record.project.Difference} says in words how two documents differ.
 * {@link ration.record.project.Variant} is another layout of the aircraft, not built.
 */
package ration.record.project;
