package org.wiseember.bench.simulated.feed;

import java.util.function.DoubleUnaryOperator;
import org.wiseember.core.charge.LimitingFactor;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.CellWarmth;
import org.wiseember.core.solar.DiodeModel;
import org.wiseember.core.solar.Light;
import org.wiseember.core.solar.Port;

/** Panels in the sun on the unit's DC input, which tracks the best point it is allowed to. */
public final class PanelFeed implements DcFeed {
  /** Light that changed by less is taken for the same, as a share. */
  private static final double SAME = 0.002;

  private static final int HALVINGS = 40;

  private final Arrangement arrangement;
  private final DiodeModel model;
  private final DoubleUnaryOperator light;
  private final double airCelsius;

  private double lightOfBest = Double.NaN;
  private Port portOfBest;
  private DiodeModel.Curve curve;
  private double[] best;
  private double wattsOfLast = Double.NaN;
  private Point last;

  /**
   * Puts panels up.
   *
   * @param light W/m² by seconds on the bench clock
   */
  public PanelFeed(Arrangement arrangement, DoubleUnaryOperator light, double airCelsius) {
    this.arrangement = arrangement;
    this.model = DiodeModel.of(arrangement.panel());
    this.light = light;
    this.airCelsius = airCelsius;
  }

  @Override
  public double lux(double seconds) {
    return light.applyAsDouble(seconds) * Light.LUX;
  }

  @Override
  public double openVolts(double seconds) {
    double now = light.applyAsDouble(seconds);
    return arrangement.series() * model.at(now, cells(now)).open();
  }

  private double cells(double now) {
    return CellWarmth.celsius(airCelsius, now);
  }

  @Override
  public Point drawn(Port port, double mostWatts, double seconds) {
    double now = light.applyAsDouble(seconds);
    if (!(Math.abs(now - lightOfBest) <= SAME * lightOfBest) || !port.equals(portOfBest)) {
      lightOfBest = now;
      portOfBest = port;
      curve = model.at(now, cells(now));
      best = arrangement.drawn(model, port, now, cells(now));
      last = null;
    }
    if (best[2] <= 0) {
      return new Point(arrangement.series() * curve.open(), 0, LimitingFactor.VOLTS);
    }
    if (best[2] <= mostWatts) {
      return new Point(best[0], best[1], limit(port));
    }
    if (last == null || Math.abs(mostWatts - wattsOfLast) > SAME * wattsOfLast) {
      wattsOfLast = mostWatts;
      last = towardsOpen(mostWatts);
    }
    return last;
  }

  private LimitingFactor limit(Port port) {
    if (best[2] >= 0.999 * port.watts()) {
      return LimitingFactor.WATTS;
    }
    if (best[1] >= 0.999 * port.amps()) {
      return LimitingFactor.AMPS;
    }
    boolean atEnd = best[0] <= 1.001 * port.leastVolts() || best[0] >= 0.999 * port.mostVolts();
    return atEnd ? LimitingFactor.VOLTS : LimitingFactor.SOURCE;
  }

  /** A port that wants less goes up the curve from its best point. */
  private Point towardsOpen(double watts) {
    double low = best[0];
    double high = arrangement.series() * curve.open();
    for (int i = 0; i < HALVINGS; i++) {
      double volts = (low + high) / 2;
      if (volts * amps(volts) > watts) {
        low = volts;
      } else {
        high = volts;
      }
    }
    return new Point(low, watts / low, LimitingFactor.NOTHING);
  }

  private double amps(double volts) {
    return arrangement.parallel() * curve.amps(volts / arrangement.series());
  }
}
