package org.wiseember.core.overload;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/** Logs of loads above a rating on an inverter whose trip curve is known. */
final class OverloadLog {
  private final TripCurve truth;
  private final double pace;
  private final double gain;
  private final SplittableRandom random;
  private final List<double[]> rows = new ArrayList<>();
  private double seconds;
  private double image;
  private boolean alive = true;

  OverloadLog(TripCurve truth, double pace, double gain, long seed) {
    this.truth = truth;
    this.pace = pace;
    this.gain = gain;
    this.random = new SplittableRandom(seed);
    // Readings fall anywhere between the steps of the load.
    this.seconds = random.nextDouble() * pace;
  }

  /** Holds a load until it trips or the time is over; returns the time it was held. */
  double hold(double watts, double atMost) {
    alive = true;
    double limit = truth.pickUp() * truth.pickUp();
    double left = truth.fromImage(watts, image);
    double held = Math.min(left, atMost);
    stay(watts, held);
    if (left <= atMost) {
      alive = false;
      image = Math.min(image, limit);
    }
    return held;
  }

  /** Nothing on the outlet. */
  void rest(double time) {
    stay(0, time);
    alive = true;
  }

  private double untilReading;

  private void stay(double watts, double time) {
    double left = time;
    while (left > 0) {
      double step = Math.min(left, untilReading);
      seconds += step;
      image += (watts * watts - image) * -Math.expm1(-step / truth.seconds());
      left -= step;
      untilReading -= step;
      if (untilReading <= 1e-12) {
        double noise = 1 + 0.001 * (random.nextDouble() - 0.5);
        rows.add(new double[] {seconds, watts * gain * noise, alive ? 230 : 0});
        untilReading = pace;
      }
    }
  }

  Trace trace(boolean withVolts) {
    double[] t = rows.stream().mapToDouble(r -> r[0]).toArray();
    double[] p = rows.stream().mapToDouble(r -> r[1]).toArray();
    double[] v = rows.stream().mapToDouble(r -> r[2]).toArray();
    return new Trace(
        t,
        withVolts
            ? Map.of(Channel.AC_POWER, p, Channel.AC_VOLTAGE, v)
            : Map.of(Channel.AC_POWER, p));
  }
}
