/**
 * Conversion efficiency of an inverter: the loads of a ladder, the loss curve through them, its
 * peak, and the weighted figures. Never the ratio of delivered to rated energy, which is a yield.
 */
package org.wiseember.core.efficiency;
