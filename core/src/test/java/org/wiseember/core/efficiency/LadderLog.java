package org.wiseember.core.efficiency;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/** A log of an inverter whose losses are known, for tests. */
public final class LadderLog {
  private final LossCurve truth;
  private final SplittableRandom random;
  private final double noise;
  private final double acGain;
  private final double dcGain;
  private final List<double[]> rows = new ArrayList<>();
  private double now;
  private double interval = 1;
  private double warmUp;

  /**
   * @param noise standard deviation of a reading, share of it
   * @param acGain what the AC meter multiplies by
   * @param dcGain what the clamp multiplies by
   */
  public LadderLog(LossCurve truth, long seed, double noise, double acGain, double dcGain) {
    this.truth = truth;
    this.random = new SplittableRandom(seed);
    this.noise = noise;
    this.acGain = acGain;
    this.dcGain = dcGain;
  }

  public static LadderLog exact(LossCurve truth) {
    return new LadderLog(truth, 1, 0, 1, 1);
  }

  /** Readings this far apart from now on, s. */
  public LadderLog every(double seconds) {
    interval = seconds;
    return this;
  }

  /** Loads draw this share more when they come on, and settle within minutes. */
  public LadderLog warmingUp(double share) {
    warmUp = share;
    return this;
  }

  /** A load for a time; 0 W for the output alive with nothing plugged in. */
  public LadderLog load(double watts, double seconds) {
    for (double t = 0; t < seconds; t += interval) {
      double ac = watts * (1 + warmUp * Math.exp(-t / 90));
      double dc = truth.dcWatts(ac);
      double volts = 51.2 - 0.001 * dc;
      row(ac * acGain * scatter(), 230 - ac * 0.003, volts, dc / volts * dcGain * scatter());
    }
    return this;
  }

  /** Nothing is read for a time. */
  public LadderLog silence(double seconds) {
    now += seconds;
    return this;
  }

  /** One row of any values. */
  public LadderLog row(double ac, double acVolts, double dcVolts, double dcAmps) {
    rows.add(new double[] {now, ac, acVolts, dcVolts, dcAmps});
    now += interval;
    return this;
  }

  private double scatter() {
    return noise == 0 ? 1 : 1 + noise * random.nextGaussian();
  }

  public Trace trace() {
    Map<Channel, double[]> values = new EnumMap<>(Channel.class);
    values.put(Channel.AC_POWER, column(1));
    values.put(Channel.AC_VOLTAGE, column(2));
    values.put(Channel.DC_VOLTAGE, column(3));
    values.put(Channel.DC_CURRENT, column(4));
    return new Trace(column(0), values);
  }

  private double[] column(int i) {
    return rows.stream().mapToDouble(r -> r[i]).toArray();
  }
}
