/**
 * The look that screen, chart and print share: colours by meaning, faces, the scale of the seam.
 */
package org.wiseember.report.look;
