package org.wiseember.desktop.look;

import java.util.Locale;
import java.util.OptionalDouble;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.quantity.Figures;

/** A moment as well as it is known, in so many words. */
public final class MomentWords {
  /** Known to so much it is one moment, s. */
  private static final double ONE = 5;

  private static final double DAY = 86_400;

  private MomentWords() {}

  /**
   * Writes one.
   *
   * @param zero time of the day at which the run's clock shows 0, s; empty where nobody noted one
   */
  public static String of(Moment when, OptionalDouble zero) {
    boolean from = Double.isFinite(when.earliest());
    boolean to = Double.isFinite(when.latest());
    if (!from && !to) {
      return "some time";
    }
    if (!from || !to) {
      return from
          ? "after " + clock(when.earliest(), zero)
          : "before " + clock(when.latest(), zero);
    }
    if (when.latest() - when.earliest() <= ONE) {
      return clock(when.at(), zero);
    }
    return clock(when.earliest(), zero) + " – " + clock(when.latest(), zero);
  }

  private static String clock(double seconds, OptionalDouble zero) {
    if (zero.isEmpty()) {
      return "+" + Figures.clock(Math.max(0, seconds));
    }
    double ofDay = ((seconds + zero.getAsDouble()) % DAY + DAY) % DAY;
    int s = (int) Math.floor(ofDay + 1e-6);
    return String.format(Locale.ROOT, "%02d:%02d:%02d", s / 3600, s / 60 % 60, s % 60);
  }
}
