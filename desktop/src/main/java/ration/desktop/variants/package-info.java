/**
 * Variants: other layouts of the aircraft beside the one that is built, side by side, one made the layout by one act.
 */
package ration.desktop.variants;
