/**
 * Starting motors: what a nameplate says it takes, what a capture shows it took, how often it went,
 * and whether a unit will start another one.
 */
package org.wiseember.core.start;
