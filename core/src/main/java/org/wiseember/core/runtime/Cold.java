package org.wiseember.core.runtime;

import java.util.OptionalDouble;

/**
 * What a cold pack gives less. Cells of iron phosphate and of nickel alike give about 0.6 % less
 * for each kelvin below 20 °C, a mild one less, a hard one twice that; common practice, no
 * published source. A warm pack gives no more.
 */
final class Cold {
  /** Where packs are tested, °C. */
  static final double ROOM = 20;

  /** Below it lithium must not be charged, °C. */
  static final double FREEZING = 0;

  private static final double PER_KELVIN = 0.006;

  /** However cold, this share is left; below −40 °C nobody has looked. */
  private static final double LEAST = 0.4;

  private Cold() {}

  /** Of what it gives in a room, the share it gives at a temperature. */
  static double share(OptionalDouble celsius) {
    return Math.max(LEAST, 1 - missing(celsius));
  }

  /** By how much that share may be off either way. */
  static double halfWidth(OptionalDouble celsius) {
    return (1 - share(celsius)) / 2;
  }

  private static double missing(OptionalDouble celsius) {
    return celsius.isPresent() ? PER_KELVIN * Math.max(0, ROOM - celsius.getAsDouble()) : 0;
  }
}
