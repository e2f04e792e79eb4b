package org.wiseember.core.display;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * The time to full that a display showed while it charged, held against how long it really took.
 *
 * @param moments at which it is looked at, in order of time
 */
public record TimeToFull(List<Moment> moments) {
  private static final double MINUTE = 60;

  /** Displays are read after the charge has settled, and at each of these shares of its time. */
  private static final double[] AT = {0.02, 0.25, 0.5, 0.75, 0.9};

  /** Off by less than this share nobody is misled. */
  private static final double FAIR = 0.1;

  /**
   * One look.
   *
   * @param seconds in the log
   * @param shown minutes to full, as displayed
   * @param took minutes until it was full
   */
  public record Moment(double seconds, double shown, double took) {
    /** Shown less true, min; below 0 where it promised too much. */
    public double error() {
      return shown - took;
    }
  }

  public TimeToFull {
    moments = List.copyOf(moments);
  }

  /**
   * Compares them.
   *
   * @return empty where the display was not read, or the end was not seen
   */
  public static Optional<TimeToFull> of(Trace trace, ChargeFinding charge) {
    Series shown = trace.series(Channel.DISPLAY_TIME);
    if (shown.size() == 0 || charge.timeToFull().isEmpty()) {
      return Optional.empty();
    }
    double whole = charge.timeToFull().get().value();
    double full = charge.startTime() + whole;
    List<Moment> moments = new ArrayList<>();
    for (double share : AT) {
      double at = charge.startTime() + share * whole;
      int i = shown.from(at);
      boolean near = i < shown.size() && shown.seconds(i) <= at + whole / 10;
      if (near && shown.seconds(i) < full && !seen(moments, shown.seconds(i))) {
        moments.add(
            new Moment(shown.seconds(i), shown.value(i), (full - shown.seconds(i)) / MINUTE));
      }
    }
    return moments.isEmpty() ? Optional.empty() : Optional.of(new TimeToFull(moments));
  }

  private static boolean seen(List<Moment> moments, double seconds) {
    return moments.stream().anyMatch(m -> m.seconds() == seconds);
  }

  /** The look at which it was off the most. */
  public Moment worst() {
    return moments.stream()
        .reduce((a, b) -> Math.abs(a.error()) >= Math.abs(b.error()) ? a : b)
        .orElseThrow();
  }

  /** One sentence. */
  public String words() {
    Moment worst = worst();
    double off = Math.abs(worst.error());
    if (off < Math.max(2, FAIR * worst.took())) {
      return "The display's time to full was right within " + minutes(Math.max(1, off)) + ".";
    }
    return "The display promised full in "
        + minutes(worst.shown())
        + " when it still took "
        + minutes(worst.took())
        + (worst.error() < 0 ? ": it does not count the taper in." : ".");
  }

  private static String minutes(double minutes) {
    return Figures.duration(MINUTE * Math.rint(minutes));
  }
}
