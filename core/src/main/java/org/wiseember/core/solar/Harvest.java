package org.wiseember.core.solar;

import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What panels really gave where nothing but the light held them back, brought to full light and
 * cells of 25 °C, so that two days, two panels or a converter between can be compared.
 *
 * @param watts mean into the port over that time, W
 * @param lux mean light, lx
 * @param scaled W at 1 000 W/m² and 25 °C
 * @param ofPlate scaled over the plates' watts, %
 */
public record Harvest(double watts, double lux, Figure scaled, Figure ofPlate) {
  private static final int LEAST_READINGS = 5;

  /**
   * Works it out.
   *
   * @param trace with volts and amps of the DC input and the light
   * @param bySource whether the source was what bound at a moment, s in the log
   * @param airCelsius °C
   * @param meter of the light; empty where nobody said, then ± 5 % is assumed
   * @return empty where no light was logged while the source bound
   */
  public static Optional<Harvest> of(
      Trace trace,
      DoublePredicate bySource,
      Arrangement panels,
      double airCelsius,
      Optional<MeterClass> meter) {
    Series watts = trace.product(Channel.IN_VOLTAGE, Channel.IN_CURRENT);
    Series light = trace.series(Channel.ILLUMINANCE);
    double reach = Math.max(Series.GAP_SECONDS, 2 * light.usualInterval());
    double w = 0;
    double l = 0;
    int n = 0;
    for (int i = 0; i < watts.size(); i++) {
      double at = watts.seconds(i);
      double lux = light.nearest(at, reach);
      if (lux > 0 && bySource.test(at)) {
        w += watts.value(i);
        l += lux;
        n++;
      }
    }
    return n < LEAST_READINGS
        ? Optional.empty()
        : Optional.of(of(w / n, l / n, panels, airCelsius, meter));
  }

  private static Harvest of(
      double watts, double lux, Arrangement panels, double airCelsius, Optional<MeterClass> meter) {
    double light = Light.ofLux(lux);
    double cells = CellWarmth.celsius(airCelsius, light);
    DiodeModel model = DiodeModel.of(panels.panel());
    double[] there = model.at(light, cells).peak();
    double[] full = model.at(1000, 25).peak();
    double factor = full[0] * full[1] / (there[0] * there[1]);
    double scaled = watts * factor;
    double[] warmer = model.at(light, cells + CellWarmth.IN_FULL_SUN / 2).peak();
    double byWarmth = Math.abs(warmer[0] * warmer[1] / (there[0] * there[1]) - 1);
    MeterClass luxMeter = meter.orElse(MeterClass.ofReading(5, 0, 0));
    Budget budget =
        new Budget(List.of())
            .with(Contribution.rectangular("Lux meter", scaled * luxMeter.halfWidth(lux) / lux))
            .with(Contribution.rectangular("Lux for each W/m²", scaled * Light.UNSURE))
            .with(Contribution.rectangular("Warmth of the cells", scaled * byWarmth));
    Figure atFull = atFull(watts, lux, cells, scaled, budget);
    return new Harvest(watts, lux, atFull, ofPlate(atFull, panels));
  }

  private static Figure atFull(
      double watts, double lux, double cells, double scaled, Budget budget) {
    return Figure.of(
        "harvest",
        "Harvest at full light",
        scaled,
        Unit.WATT,
        Because.of(
                budget,
                Figures.fixed(watts, 0)
                    + " W at "
                    + Figures.fixed(lux, 0)
                    + " lx, which is "
                    + Figures.fixed(Light.ofLux(lux), 0)
                    + " W/m² at "
                    + Figures.plain(Light.LUX)
                    + " lx for each W/m²",
                "Cells taken to be at "
                    + Figures.fixed(cells, 0)
                    + "\u00a0°C, 30\u00a0K over the air in full sun",
                "Brought to 1 000 W/m² and 25\u00a0°C by the panel's single-diode model: "
                    + Figures.rounded(scaled, budget.u95())
                    + " W")
            .summed("where nothing but the light held the panels back")
            .watching("The light has to be measured in the plane of the panels.")
            .otherwise(
                "Some compare watts as read; at unlike light that says nothing of the panels."));
  }

  private static Figure ofPlate(Figure atFull, Arrangement panels) {
    Budget budget = atFull.budget().scaled(100 / panels.plateWatts());
    double percent = 100 * atFull.value() / panels.plateWatts();
    return Figure.of(
        "harvest_of_plate",
        "Harvest over the plates",
        percent,
        Unit.PERCENT,
        Because.of(
                budget,
                Figures.fixed(atFull.value(), 0)
                    + " W ÷ "
                    + Figures.fixed(panels.plateWatts(), 0)
                    + " W of the plates = "
                    + Figures.rounded(percent, budget.u95())
                    + " %")
            .summed("of what the plates say")
            .from(atFull)
            .watching(
                "About 70 % of the plate is usual and 80 % is good (common practice, no published"
                    + " source)."));
  }
}
