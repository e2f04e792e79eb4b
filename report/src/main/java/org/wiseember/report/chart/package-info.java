/** Charts, defined once and drawn on screen, as SVG and in print. */
package org.wiseember.report.chart;
