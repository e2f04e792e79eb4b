/**
 * What can stand on a pair of axes, as data: lines, areas, dots, boxes and words in the colours of
 * a meaning. Every picture of the program but photos and the film is described in these, and drawn
 * in one place for screen, page and print.
 */
package org.wiseember.report.plot;
