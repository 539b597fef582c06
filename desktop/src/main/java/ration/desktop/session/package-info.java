/**
 * The open document and everything the window shows of it: the project snapshot, undo, the saved mark, recovery after a
 * crash, the case looked at, and the background assessment, newest wins. Work that fails in the background ends as a
 * {@link ration.desktop.session.Failure} that is shown. Recovery copies live in a {@link ration.desktop.session.Home}
 * of random names, each locked while its window lives. No nodes here.
 */
package ration.desktop.session;
