/**
 * Log files of any meter: CSV read kindly, with a word about everything that was not as expected.
 */
package org.wiseember.workbook.log;
