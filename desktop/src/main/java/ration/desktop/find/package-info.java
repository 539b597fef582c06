/**
 * Readings in, cause out: the page Find, its log of readings, what explains them, and what to read next. What is
 * entered and said stands apart from its nodes: {@link ration.desktop.find.ReadingEntry},
 * {@link ration.desktop.find.FindWords}.
 */
package ration.desktop.find;
