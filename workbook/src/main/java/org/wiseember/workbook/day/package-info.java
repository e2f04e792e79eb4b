/** A day to run on a unit, as JSON: its appliances, the unit it is asked of, what feeds it. */
package org.wiseember.workbook.day;
