/**
 * How long work is heard of and stopped: {@link ration.base.task.Task} is given to it, {@link ration.base.task.Steps}
 * counts what several threads have done of it.
 */
package ration.base.task;
