package org.wiseember.workbook;

import org.wiseember.core.label.Label;

/**
 * A unit on the shelf.
 *
 * @param id key in the workbook
 * @param name as the tester calls it
 * @param label the label in force
 */
public record Unit(long id, String name, Label label) {}
