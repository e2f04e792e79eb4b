/** The printed page: one unit, its verdicts and why, as HTML and as PDF from the same source. */
package org.wiseember.report.page;
