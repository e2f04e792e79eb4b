/**
 * The workbook: one SQLite file with the units, their labels, the runs and every raw reading. Raw
 * readings are never altered; figures are derived from them at will and not kept.
 */
package org.wiseember.workbook;
