/**
 * How long an inverter bears more than its rating: holds and trips from a trace, the heat it
 * remembers, the curve through the trips, and the label's overload steps held against them.
 */
package org.wiseember.core.overload;
