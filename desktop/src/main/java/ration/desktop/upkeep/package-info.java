/** Parts with a life: what falls due when, what was done, what to test again. */
package ration.desktop.upkeep;
