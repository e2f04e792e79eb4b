package org.wiseember.core.solar;

/**
 * Light on a tilted panel through one day, from where the sun stands.
 *
 * <p>Sources, all recalled from memory: declination by Cooper (1969), direct light by air mass
 * after Meinel and Meinel (1976), 1 353 · 0.7^(AM^0.678) W/m², a tenth of it as diffuse light of
 * the sky, and clouds by Kasten and Czeplak (1980), 1 − 0.75 · c^3.4. Real days differ by a fifth
 * and more.
 *
 * @param latitude ° north, −66 to 66
 * @param dayOfYear 1 to 366
 * @param tilt of the panel from flat, °, 0 to 90
 * @param turned of the panel from due to the equator, °, west above 0
 * @param cloudiness 0 for a clear sky to 1 for overcast
 */
public record SunDay(
    double latitude, int dayOfYear, double tilt, double turned, double cloudiness) {
  private static final double DIFFUSE = 0.1;
  private static final double HOUR_DEGREES = 15;

  public SunDay {
    if (!(Math.abs(latitude) <= 66) || dayOfYear < 1 || dayOfYear > 366) {
      throw new IllegalArgumentException("a day is 1 to 366, a latitude within 66 degrees");
    }
    if (!(tilt >= 0 && tilt <= 90) || !(cloudiness >= 0 && cloudiness <= 1)) {
      throw new IllegalArgumentException("a tilt is 0 to 90 degrees, cloudiness 0 to 1");
    }
  }

  /** Declination of the sun, rad. */
  double declination() {
    return Math.toRadians(23.45) * Math.sin(2 * Math.PI * (284 + dayOfYear) / 365);
  }

  /**
   * Height of the sun over the horizon, °.
   *
   * @param solarHour 0 to 24, 12 where it stands highest
   */
  public double height(double solarHour) {
    double phi = Math.toRadians(latitude);
    double d = declination();
    double h = Math.toRadians(HOUR_DEGREES * (solarHour - 12));
    return Math.toDegrees(
        Math.asin(Math.sin(phi) * Math.sin(d) + Math.cos(phi) * Math.cos(d) * Math.cos(h)));
  }

  /**
   * Light on the panel, W/m².
   *
   * @param solarHour 0 to 24, 12 where the sun stands highest
   */
  public double light(double solarHour) {
    double up = Math.sin(Math.toRadians(height(solarHour)));
    if (up <= 0.01) {
      return 0;
    }
    double direct = 1353 * Math.pow(0.7, Math.pow(1 / up, 0.678));
    double sky = DIFFUSE * direct * (1 + Math.cos(Math.toRadians(tilt))) / 2;
    double clouds = 1 - 0.75 * Math.pow(cloudiness, 3.4);
    return clouds * (direct * Math.max(0, incidence(solarHour)) + sky);
  }

  /** Cosine of the angle between the sun and the panel's own upright. */
  private double incidence(double solarHour) {
    // East, north and up of the sun; the panel faces the equator, turned to the west.
    double phi = Math.toRadians(latitude);
    double d = declination();
    double h = Math.toRadians(HOUR_DEGREES * (solarHour - 12));
    double east = -Math.cos(d) * Math.sin(h);
    double north = Math.cos(phi) * Math.sin(d) - Math.sin(phi) * Math.cos(d) * Math.cos(h);
    double up = Math.sin(phi) * Math.sin(d) + Math.cos(phi) * Math.cos(d) * Math.cos(h);
    double t = Math.toRadians(tilt);
    double a = Math.toRadians(turned);
    double towards = latitude >= 0 ? -1 : 1;
    double panelNorth = towards * Math.sin(t) * Math.cos(a);
    double panelEast = -Math.sin(t) * Math.sin(a);
    return east * panelEast + north * panelNorth + up * Math.cos(t);
  }
}
