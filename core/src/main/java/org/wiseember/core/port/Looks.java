package org.wiseember.core.port;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * What a person found each time the output was looked at during a soak. Between two looks nobody
 * knows; an output that was off at one of them went off somewhere since the look before.
 *
 * @param all in order of time
 */
public record Looks(List<Look> all) {
  private static final double DEAD_SHARE = 0.3;

  /**
   * One look.
   *
   * @param seconds on the run's clock
   * @param within ± s; infinite where nobody knows
   * @param on whether the output was on
   */
  public record Look(double seconds, double within, boolean on) {}

  public Looks {
    all = List.copyOf(all);
  }

  /** Presses, and volts that were read: an outlet without them is off. */
  public static Looks of(Trace typed, List<TimedOperatorEvent> presses) {
    List<Look> looks = new ArrayList<>();
    for (TimedOperatorEvent p : presses) {
      boolean on = p.is(OperatorEvent.LOAD_ON, OperatorEvent.STILL_ON, OperatorEvent.CAME_BACK);
      if (on || p.is(OperatorEvent.WENT_OFF, OperatorEvent.DROPPED_OUT, OperatorEvent.TRIPPED)) {
        looks.add(new Look(p.seconds(), p.within(), on));
      }
    }
    Series volts = typed.series(Channel.AC_VOLTAGE);
    double usual = 0;
    for (int i = 0; i < volts.size(); i++) {
      usual = Math.max(usual, volts.value(i));
    }
    for (int i = 0; i < volts.size(); i++) {
      looks.add(new Look(volts.seconds(i), 0, volts.value(i) > DEAD_SHARE * usual));
    }
    looks.sort(Comparator.comparingDouble(Look::seconds));
    return new Looks(looks);
  }

  /** How often it was found on. */
  public int on() {
    return (int) all.stream().filter(Look::on).count();
  }

  /** From the first look that found it on to the last before one that did not, s. */
  public double onFor() {
    double first = Double.NaN;
    double last = Double.NaN;
    for (Look look : all) {
      if (!look.on() && !Double.isNaN(first)) {
        break;
      }
      if (look.on()) {
        first = Double.isNaN(first) ? look.seconds() : first;
        last = look.seconds();
      }
    }
    return Double.isNaN(first) ? 0 : last - first;
  }

  /** When it went off, from what was read beside; empty where no look found it off after on. */
  public Optional<SwitchedOff> off(Trace typed) {
    Look before = null;
    for (Look look : all) {
      if (look.on()) {
        before = look;
      } else if (before != null) {
        double from = before.seconds() - before.within();
        double to = look.seconds() + look.within();
        Series watts = typed.series(Channel.AC_POWER).upTo(to);
        Series display = typed.series(Channel.DISPLAY_CHARGE);
        int near = display.from(from);
        double charge = near < display.size() ? display.value(near) : Double.NaN;
        double start = all.get(0).seconds();
        boolean known = Double.isFinite(from) && Double.isFinite(to);
        double at = known ? (from + to) / 2 : before.seconds();
        double within = known ? (to - from) / 2 : Double.POSITIVE_INFINITY;
        return Optional.of(new SwitchedOff(at - start, within, mean(watts), charge));
      }
    }
    return Optional.empty();
  }

  private static double mean(Series s) {
    double sum = 0;
    for (int i = 0; i < s.size(); i++) {
      sum += s.value(i);
    }
    return s.size() == 0 ? Double.NaN : sum / s.size();
  }
}
