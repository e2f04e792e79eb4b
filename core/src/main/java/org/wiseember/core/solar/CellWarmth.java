package org.wiseember.core.solar;

/** How warm the cells of a panel get in the sun; common practice, no published source. */
public final class CellWarmth {
  /**
   * Over the air at 1 000 W/m², K; wind and mounting make it half as much, or half as much more.
   */
  public static final double IN_FULL_SUN = 30;

  private CellWarmth() {}

  /**
   * Of the cells, °C.
   *
   * @param airCelsius °C
   * @param light W/m²
   */
  public static double celsius(double airCelsius, double light) {
    return airCelsius + IN_FULL_SUN * light / 1000;
  }
}
