/**
 * What is kept: the document and its edits, tests done and what they rest on, readings, parts with a life, sign-off,
 * files.
 */
package ration.record;
