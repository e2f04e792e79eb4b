package org.wiseember.core.uncertainty;

import org.wiseember.core.quantity.Unit;

/**
 * What is taken of a meter nobody described. An unknown meter is never a perfect one; where it
 * matters the figure says that its class is assumed. Common practice, no published source.
 */
public final class AssumedMeter {
  private AssumedMeter() {}

  /** The class taken for readings of a unit. */
  public static MeterClass of(Unit unit) {
    return switch (unit) {
      case HERTZ -> MeterClass.ofReading(0.1, 0, 0);
      case CELSIUS, KELVIN -> limits(2);
      case DECIBEL -> limits(2);
      case SECOND, MINUTE, HOUR -> MeterClass.ofReading(0.01, 0, 0);
      case PERCENT -> limits(1);
      case LUX -> MeterClass.ofReading(10, 0, 0);
      case ONE -> MeterClass.ofReading(0, 0, 0);
      default -> MeterClass.ofReading(2, 0, 0);
    };
  }

  /** ± so much whatever is read. */
  private static MeterClass limits(double halfWidth) {
    return new MeterClass(0, 100, halfWidth, 0, 0);
  }

  /** Begins the line of a budget: {@code Voltmeter}, or that its class is assumed. */
  public static String named(String meter, boolean assumed) {
    return assumed ? meter + ", class assumed" : meter;
  }
}
