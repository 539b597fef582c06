/**
 * The window. It shows an assessment and proposes edits; it computes nothing. Views are plain classes over a
 * {@link ration.desktop.session.Session}; what they show follows from its properties.
 */
package ration.desktop;
