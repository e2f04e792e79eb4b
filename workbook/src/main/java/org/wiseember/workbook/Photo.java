package org.wiseember.workbook;

/**
 * A photo of a moment of a run. The picture stays where it is.
 *
 * @param path as it was when it was added
 * @param sha256 of the file then, hexadecimal
 */
public record Photo(double seconds, String path, String sha256, String words) {}
