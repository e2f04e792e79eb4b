/**
 * Readings typed by hand: taken in any sensible notation, said back in words, and held at once
 * against the trace, the label and physics.
 */
package org.wiseember.core.typed;
