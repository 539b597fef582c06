/**
 * How long work is heard of and stopped: {@link ration.task.Task} is given to it, {@link ration.task.Steps} counts what
 * several threads have done of it.
 */
package ration.task;
