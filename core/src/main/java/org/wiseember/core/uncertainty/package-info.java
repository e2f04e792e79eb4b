/**
 * How sure a figure is: contributions by name, combined by the law of propagation (JCGM 100:2008,
 * "GUM"), and the interval that holds 95 % of what they may come to, folded from how each of them
 * is spread (JCGM 101:2008). Only where a single bell stands for all of it is that Student's t at
 * the effective degrees of freedom.
 */
package org.wiseember.core.uncertainty;
