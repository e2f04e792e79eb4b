package org.wiseember.core.notice;

import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * Two meters in line see the same watts. When a minute's means differ by more than both classes
 * allow together, at least one of them is worse than its class.
 */
public final class MetersApart implements Watcher {
  private static final int FRAMES = 60;
  private static final double LEAST_WATTS = 5;

  private final MeterClass a;
  private final MeterClass b;
  private double sumA;
  private double sumB;
  private int n;
  private boolean said;

  public MetersApart(MeterClass a, MeterClass b) {
    this.a = a;
    this.b = b;
  }

  /** Most by which the two may differ at these watts, W. */
  public static double allowed(MeterClass a, MeterClass b, double watts) {
    return a.halfWidth(watts) + b.halfWidth(watts) + (a.resolution() + b.resolution()) / 2;
  }

  @Override
  public List<Notice> take(Frame frame) {
    double first = frame.value(Channel.AC_POWER);
    double second = frame.value(Channel.SECOND_AC_POWER);
    if (said || !(first > LEAST_WATTS) || !(second > LEAST_WATTS)) {
      return List.of();
    }
    sumA += first;
    sumB += second;
    n++;
    if (n < FRAMES) {
      return List.of();
    }
    double meanA = sumA / n;
    double meanB = sumB / n;
    sumA = 0;
    sumB = 0;
    n = 0;
    double apart = Math.abs(meanA - meanB);
    double allowed = allowed(a, b, Math.max(meanA, meanB));
    if (apart <= allowed) {
      return List.of();
    }
    said = true;
    return List.of(
        new Notice(
            frame.seconds(),
            "meters_apart",
            "The two meters in line differ by "
                + Figures.fixed(100 * apart / meanA, 1)
                + " %, more than their classes allow together ("
                + Figures.fixed(100 * allowed / meanA, 1)
                + " %). Both are kept; check them against a third."));
  }
}
