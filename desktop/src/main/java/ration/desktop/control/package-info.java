/**
 * Small controls used by several pages.
 */
package ration.desktop.control;
