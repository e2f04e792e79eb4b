/**
 * What a unit will run and for how long: appliances laid over days, the energy its own drains
 * showed, idle draw, the first overload and the hardest start, and what feeds bring in meanwhile.
 */
package org.wiseember.core.runtime;
