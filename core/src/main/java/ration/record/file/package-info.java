/**
 * Documents on disk.
 *
 * <p>One UTF-8 JSON document, {@code *.ration}, with {@code format}, {@code version} and every quantity with its unit;
 * the schema is in {@code docs/format}. Fields this version does not know are kept and written back. A file that is
 * damaged, foreign, newer, too large or hostile is refused with what, where and what to do, and is never changed.
 * Saving writes beside the file, forces it to disk, keeps the previous copy and renames
 * ({@link ration.record.file.SafeWrite}); {@link ration.record.file.DocumentStamp} tells whether something else changed
 * the file meanwhile.
 *
 * <p>Tables beside the document: {@link ration.record.file.TestsCsv} for hangar tests both ways,
 * {@link ration.record.file.LogTable} for the CSV of any logger.
 */
package ration.record.file;
