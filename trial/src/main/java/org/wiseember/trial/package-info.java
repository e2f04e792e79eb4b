/**
 * A trial: a unit's test set up on the bench, recorded in the workbook, and judged against its
 * label. Also the demo workbook, made by really running trials on the simulated bench.
 */
package org.wiseember.trial;
