/**
 * The page the program starts with when no document is asked for: layouts to start from, each drawn at its true
 * heights, documents opened last with the verdict they were saved with, the examples, and the sheet to measure by.
 */
package ration.desktop.start;
