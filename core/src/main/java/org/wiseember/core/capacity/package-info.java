/**
 * Usable capacity: what a drain delivered, from the first loaded reading to the cut-off. Delivered
 * energy over the label is called yield here; it mixes cells, reserve and inverter losses and is
 * not conversion efficiency.
 */
package org.wiseember.core.capacity;
