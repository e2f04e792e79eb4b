/**
 * A figure and why it is what it is, as data: the value with its uncertainty and its bound, the sum
 * with its numbers, the budget, the figures it was made from, what to watch out for. Made where the
 * formula stands, shown by the window, the printed page and the command line alike.
 */
package org.wiseember.core.figure;
