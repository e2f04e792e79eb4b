/**
 * The workbook: one SQLite file with the units, their labels, the runs and every raw reading. Raw
 * readings are never altered. What was found in them is kept beside them with what it rests on, so
 * that it is worked out again once that changes, and never taken for a reading.
 */
package org.wiseember.workbook;
