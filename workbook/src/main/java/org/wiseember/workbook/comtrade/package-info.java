/**
 * Captures as COMTRADE records, IEEE C37.111-1999 and -2013 (recalled from memory), read and
 * written: a configuration in text and the samples beside it, or both in one file.
 */
package org.wiseember.workbook.comtrade;
