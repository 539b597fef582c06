/**
 * Paper: {@link ration.publish.paper.PdfSheet} is a PDF drawn page by page in points, pictures, text and lines in the
 * program's typeface, to last as PDF/A where it is asked to; {@link ration.publish.paper.Pages} are standing pages of
 * running text, facts, tables and pictures that flow from page to page, marked and numbered at the end. It knows no
 * aircraft: what is written on it is made in {@code export}.
 *
 * <p>Text uses B612 (SIL Open Font License, beside the font files) and stays text.
 */
package ration.publish.paper;
