/**
 * How sure a figure is: contributions by name, combined by the law of propagation, expanded to 95 %
 * with the effective degrees of freedom (JCGM 100:2008, "GUM").
 */
package org.wiseember.core.uncertainty;
