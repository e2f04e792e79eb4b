/**
 * The label: lines as they are printed on a box or a data sheet, the claims they make, and whether
 * they agree with each other.
 */
package org.wiseember.core.label;
