package org.wiseember.core.notice;

import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/**
 * A meter's total is its own watts over its own time. Where the total grows faster or slower than
 * the watts over the bench clock, the meter's clock is off; where it falls, it was reset.
 */
public final class TotalAgainstWatts implements Watcher {
  /** Longer holes between frames are left out of both sums, s. */
  private static final double LONGEST_STEP = 10;

  private static final double ENOUGH_WATT_HOURS = 30;

  /** Left for readings that are not taken at the same instant as the total is. */
  private static final double ALLOWED = 0.015;

  private final String meter;
  private final Channel watts;
  private final Channel total;
  private Frame last;
  private double counted;
  private double gained;
  private double step = Double.POSITIVE_INFINITY;
  private int pieces = 1;
  private boolean said;

  /**
   * Watches one meter.
   *
   * @param meter as the tester calls it
   */
  public TotalAgainstWatts(String meter, Channel watts, Channel total) {
    this.meter = meter;
    this.watts = watts;
    this.total = total;
  }

  @Override
  public List<Notice> take(Frame frame) {
    if (Double.isNaN(frame.value(watts)) || Double.isNaN(frame.value(total))) {
      return List.of();
    }
    Frame before = last;
    last = frame;
    if (before == null) {
      return List.of();
    }
    double rise = frame.value(total) - before.value(total);
    if (rise < 0) {
      restart();
      return List.of(
          new Notice(
              frame.seconds(),
              "total_fell",
              meter
                  + "'s total fell from "
                  + Figures.plain(before.value(total))
                  + " to "
                  + Figures.plain(frame.value(total))
                  + " Wh: it was reset or lost power. What it had is kept."));
    }
    double seconds = frame.seconds() - before.seconds();
    if (seconds > LONGEST_STEP) {
      pieces++;
      return List.of();
    }
    counted += (frame.value(watts) + before.value(watts)) / 2 * seconds / 3600;
    gained += rise;
    step = rise > 0 ? Math.min(step, rise) : step;
    double doubt = ALLOWED * counted + (step < 1e9 ? step * pieces : 0);
    if (said || counted < ENOUGH_WATT_HOURS || Math.abs(gained - counted) <= doubt) {
      return List.of();
    }
    said = true;
    double off = 100 * (gained / counted - 1);
    return List.of(
        new Notice(
            frame.seconds(),
            "meter_clock",
            meter
                + "'s total grows "
                + Figures.fixed(Math.abs(off), 1)
                + " % "
                + (off > 0 ? "faster" : "slower")
                + " than its watts over the bench clock: its own clock is wrong. Its watts are used,"
                + " not its total."));
  }

  private void restart() {
    counted = 0;
    gained = 0;
    pieces = 1;
  }
}
