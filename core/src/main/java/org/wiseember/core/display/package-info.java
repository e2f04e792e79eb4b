/**
 * How far the unit's own display can be trusted: its watts by load, its charge by counted energy.
 */
package org.wiseember.core.display;
