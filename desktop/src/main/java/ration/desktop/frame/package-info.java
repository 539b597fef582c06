/** The window round the pages: ledger, rail, conditions bar, messages, and the keys that work everywhere. */
package ration.desktop.frame;
