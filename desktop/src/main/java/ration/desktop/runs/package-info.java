/** The Runs page: every run, every joint, what to cut and what to buy, as a sheet worked by keyboard. */
package ration.desktop.runs;
