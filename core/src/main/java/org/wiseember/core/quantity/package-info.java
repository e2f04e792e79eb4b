/**
 * Units of the bench and how a figure is written: thin spaces between thousands, as many digits as
 * the uncertainty supports, times as a person says them.
 */
package org.wiseember.core.quantity;
