/** Small controls used by several pages, and what every page that follows the session has in common. */
package ration.desktop.control;
