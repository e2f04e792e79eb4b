/** What goes out of a workbook whole and comes in again: a run, or a unit with all its runs. */
package org.wiseember.workbook.pack;
