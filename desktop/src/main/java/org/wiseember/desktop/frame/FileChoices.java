package org.wiseember.desktop.frame;

/**
 * What asks for a file.
 *
 * @param open a workbook
 * @param saveCopy where a copy of the workbook goes
 * @param merge another workbook, onto this shelf
 * @param readIn a log, a capture, a packed run, or somebody else's unit
 */
record FileChoices(Runnable open, Runnable saveCopy, Runnable merge, Runnable readIn) {}
