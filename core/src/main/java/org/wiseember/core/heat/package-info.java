/** Warming up: the rise above the room, and where an unfinished one is heading. */
package org.wiseember.core.heat;
