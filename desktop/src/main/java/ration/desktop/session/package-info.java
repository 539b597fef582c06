/**
 * The open document and everything the window shows of it: the project snapshot, undo, the saved mark, recovery after a crash, the
 * case looked at, and the background assessment, newest wins. No nodes here.
 */
package ration.desktop.session;
