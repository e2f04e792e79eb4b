/**
 * What goes into a film: captions of what happened when, and lines across the foot of the picture.
 */
package org.wiseember.report.film;
