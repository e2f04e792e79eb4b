package org.wiseember.bench.simulated;

/** Where the simulated bench measures DC volts and amps. */
public enum Clamped {
  /** Nowhere: the battery cannot be reached. */
  NOWHERE,
  /** At the inverter's battery terminals. */
  BATTERY,
  /** At the DC port, where the electronic load hangs. */
  PORT
}
