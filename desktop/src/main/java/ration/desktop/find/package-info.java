/** Readings in, cause out: the page Find, its log of readings, what explains them, and what to read next. */
package ration.desktop.find;
