/**
 * Written standards as data: what each asks of a fuel system, by paragraph, with its figures, the test that shows it,
 * and how sure the citation is. One file a standard ({@code ration/verdict/standard/*.csv} in the resources); a new one
 * is a file and a constant in {@link ration.verdict.standard.Standard}. All of them are cited from memory, as a guide:
 * no rule binds an amateur-built aircraft to them.
 *
 * <p>A document is judged by one of them: every finding, card, packet page and test step cites that one, or common
 * practice where it says nothing. Where it asks for something and its figure is not known for certain, the figure of
 * common practice is taken and said to be that: none here is laxer.
 */
package ration.verdict.standard;
