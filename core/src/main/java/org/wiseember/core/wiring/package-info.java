/** Cables of a rig: gauge, drop, heat and fuse for the amps they carry. */
package org.wiseember.core.wiring;
