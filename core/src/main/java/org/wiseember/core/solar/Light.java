package org.wiseember.core.solar;

/** Light in the units of a lux meter and of a data sheet. */
public final class Light {
  /**
   * Sunlight, lx for each W/m²; common practice says 110 to 126, no published source. The share it
   * may be off by is {@link #UNSURE}.
   */
  public static final double LUX = 120;

  /** Half width of what people use, as a share. */
  public static final double UNSURE = 0.07;

  private Light() {}

  /** W/m² of so many lux of sunlight. */
  public static double ofLux(double lux) {
    return lux / LUX;
  }
}
