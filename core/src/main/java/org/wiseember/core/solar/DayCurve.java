package org.wiseember.core.solar;

import java.util.ArrayList;
import java.util.List;

/**
 * What an arrangement gives through a day, quarter hour by quarter hour.
 *
 * @param points from before sunrise to after sunset
 */
public record DayCurve(List<Point> points) {
  private static final double FIRST_HOUR = 3;
  private static final double LAST_HOUR = 21;
  private static final double STEP_HOURS = 0.25;

  /** Less light than this no port begins with, W/m². */
  private static final double DARK = 20;

  public DayCurve {
    points = List.copyOf(points);
  }

  /**
   * One moment.
   *
   * @param hour of the sun's own day, 12 where it stands highest
   * @param light on the panels, W/m²
   * @param could what the panels could give, W
   * @param drawn what the port draws of it, W
   */
  public record Point(double hour, double light, double could, double drawn) {}

  /** Works it out. */
  public static DayCurve of(Arrangement arrangement, Port port, Site site) {
    DiodeModel model = DiodeModel.of(arrangement.panel());
    List<Point> points = new ArrayList<>();
    for (double hour = FIRST_HOUR; hour <= LAST_HOUR; hour += STEP_HOURS) {
      double light = site.day().light(hour);
      double cells = CellWarmth.celsius(site.airCelsius(), light);
      double could = 0;
      double drawn = 0;
      if (light > DARK) {
        double[] peak = model.at(light, cells).peak();
        could = arrangement.panels() * peak[0] * peak[1];
        drawn = arrangement.drawn(model, port, light, cells)[2];
      }
      points.add(new Point(hour, light, could, drawn));
    }
    return new DayCurve(points);
  }

  /** Drawn on the day, Wh. */
  public double wattHours() {
    return points.stream().mapToDouble(Point::drawn).sum() * STEP_HOURS;
  }
}
