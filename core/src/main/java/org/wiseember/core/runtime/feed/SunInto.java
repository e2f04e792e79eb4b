package org.wiseember.core.runtime.feed;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.DayCurve;
import org.wiseember.core.solar.Port;
import org.wiseember.core.solar.Site;

/** Panels as the sun has them give, the same on every day of a plan. */
public final class SunInto {
  private static final double QUARTER = 0.25;
  private static final double DAY = 24;

  private SunInto() {}

  /**
   * Of an arrangement at a site. The clock is taken for the sun's: noon is where it stands highest.
   *
   * @param port it goes into, or that of the controller between
   * @param start of the plan
   * @param hours it covers
   */
  public static Feed.Panels of(
      Arrangement arrangement, Port port, Site site, LocalTime start, double hours) {
    double begin = start.toSecondOfDay() / 3600.0;
    List<Feed.Giving> giving = new ArrayList<>();
    List<DayCurve.Point> points = DayCurve.of(arrangement, port, site).points();
    for (double midnight = -begin; midnight < hours; midnight += DAY) {
      for (DayCurve.Point point : points) {
        double from = midnight + point.hour();
        if (point.could() > 0 && from >= 0 && from < hours) {
          giving.add(
              new Feed.Giving(
                  new HourSpan(minute(from), minute(from + QUARTER)), Math.rint(point.could())));
        }
      }
    }
    return new Feed.Panels(
        giving,
        arrangement.series() * arrangement.panel().peakVolts(),
        arrangement.coldVolts(site.coldestCelsius()));
  }

  private static double minute(double hour) {
    return Math.rint(hour * 60) / 60;
  }
}
