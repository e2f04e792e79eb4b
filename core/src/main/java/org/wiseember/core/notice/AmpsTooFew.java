package org.wiseember.core.notice;

import java.util.List;
import java.util.Map;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * True RMS volts times true RMS amps are never less than the watts (the Cauchy–Schwarz inequality).
 * Where they are, the meter answers to the mean, on a wave or a current that is no sine.
 */
public final class AmpsTooFew implements Watcher {
  private static final int FRAMES = 30;
  private static final double LEAST_WATTS = 20;
  private static final MeterClass ASSUMED = MeterClass.ofReading(2, 2, 0.1);
  private static final MeterClass ASSUMED_AMPS = MeterClass.ofReading(2, 2, 0.01);

  private final Map<Channel, MeterClass> accuracy;
  private double watts;
  private double voltAmperes;
  private double volts;
  private int n;
  private boolean said;

  /**
   * Watches one meter.
   *
   * @param accuracy class of volts, amps and watts; ± 2 % is assumed where it is not stated
   */
  public AmpsTooFew(Map<Channel, MeterClass> accuracy) {
    this.accuracy = Map.copyOf(accuracy);
  }

  @Override
  public List<Notice> take(Frame frame) {
    double p = frame.value(Channel.AC_POWER);
    double v = frame.value(Channel.AC_VOLTAGE);
    double i = frame.value(Channel.AC_CURRENT);
    if (said || !(p > LEAST_WATTS) || Double.isNaN(v) || Double.isNaN(i)) {
      return List.of();
    }
    watts += p;
    voltAmperes += v * i;
    volts += v;
    n++;
    if (n < FRAMES) {
      return List.of();
    }
    double meanWatts = watts / n;
    double meanVa = voltAmperes / n;
    double meanVolts = volts / n;
    watts = 0;
    voltAmperes = 0;
    volts = 0;
    n = 0;
    double amps = meanVa / meanVolts;
    double allowed =
        relative(Channel.AC_POWER, ASSUMED, meanWatts)
            + relative(Channel.AC_VOLTAGE, ASSUMED, meanVolts)
            + relative(Channel.AC_CURRENT, ASSUMED_AMPS, amps);
    if (meanVa >= meanWatts * (1 - allowed)) {
      return List.of();
    }
    said = true;
    return List.of(
        new Notice(
            frame.seconds(),
            "averaging_meter",
            "The meter's volts × amps make "
                + Figures.fixed(meanVa, 0)
                + " VA, less than its "
                + Figures.fixed(meanWatts, 0)
                + " W. That cannot be: it averages instead of showing true RMS. Do not use its volts"
                + " and amps with this load."));
  }

  private double relative(Channel channel, MeterClass otherwise, double reading) {
    MeterClass meter = accuracy.getOrDefault(channel, otherwise);
    return (meter.halfWidth(reading) + meter.resolution() / 2) / reading;
  }
}
