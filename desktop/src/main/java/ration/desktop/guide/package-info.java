/**
 * The guide: the steps of the job beside the document, {@link ration.desktop.guide.GuidePage}. Texts and what a
 * document misses come from {@code ration.answer.guide}.
 */
package ration.desktop.guide;
