package org.wiseember.core.solar;

/**
 * Where and when panels stand.
 *
 * @param day the sun's way, the panels' tilt and turn, and the clouds
 * @param coldestCelsius of the coldest morning that can come, °C, −60 to 60
 * @param airCelsius on the day, °C, −60 to 60
 */
public record Site(SunDay day, double coldestCelsius, double airCelsius) {
  /**
   * A midsummer's day on the 50th parallel, panels tilted by 35°, a few clouds, −10 °C in winter.
   */
  public static final Site USUAL = new Site(new SunDay(50, 172, 35, 0, 0.3), -10, 22);

  public Site {
    if (!(Math.abs(coldestCelsius) <= 60) || !(Math.abs(airCelsius) <= 60)) {
      throw new IllegalArgumentException("air on earth lies between −60\u00a0°C and 60\u00a0°C");
    }
  }
}
