/**
 * The simulated bench: a pack, an inverter, a heater and meters that obey physics, so that every
 * test has something true to measure. Repeatable from a seed; energy in = out + loss + stored.
 */
package org.wiseember.bench.simulated;
