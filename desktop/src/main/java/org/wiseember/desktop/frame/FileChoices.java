package org.wiseember.desktop.frame;

/**
 * What asks for a file.
 *
 * @param open a workbook
 * @param saveCopy where a copy of the workbook goes
 * @param readIn a log, a capture or a packed run
 */
record FileChoices(Runnable open, Runnable saveCopy, Runnable readIn) {}
