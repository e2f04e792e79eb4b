/**
 * Why a figure is what it is, as data: the sum with its numbers, the budget, what to watch out for.
 * Made where the figure is made, shown by the window and the printed page alike.
 */
package org.wiseember.core.because;
