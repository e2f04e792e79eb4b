package org.wiseember.core.display;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What the unit's own display showed in a run, held against what meters read at the same moments.
 *
 * @param out watts out, display and meter
 * @param in watts in, display and meter
 * @param stuck stretches over which a display stood still
 * @param promises hours to empty as they were shown
 */
public record DisplayAudit(
    List<Pair> out, List<Pair> in, List<Stuck> stuck, List<Promise> promises) {
  public static final DisplayAudit NOTHING =
      new DisplayAudit(List.of(), List.of(), List.of(), List.of());

  /** Display and meter are compared where they were read within this of each other, s. */
  private static final double TOGETHER = 30;

  /** A log gives no more than one pair in this time, s: the rest says the same again. */
  private static final double APART = 60;

  /** A load that moved by more than this share meanwhile is no moment to compare at. */
  private static final double STEADY = 0.05;

  /** Shorter than this a display that does not change may just be right, s; own choice. */
  private static final double STILL_SECONDS = 600;

  private static final int STILL_READINGS = 3;

  /**
   * A moment.
   *
   * @param shown on the display, W
   * @param measured by a meter, W
   * @param within what the meter states, ± W
   */
  public record Pair(double shown, double measured, double within) {}

  /**
   * A display that stood still.
   *
   * @param in whether watts in, else watts out
   * @param shown W, all that time
   * @param seconds how long
   * @param least that a meter read meanwhile, W; NaN for none
   * @param most that a meter read meanwhile, W; NaN for none
   * @param points by which the charge on the display moved meanwhile; NaN where it was not read
   */
  public record Stuck(
      boolean in, double shown, double seconds, double least, double most, double points) {}

  /**
   * Hours to empty as they were shown at a moment.
   *
   * @param hours to empty
   * @param watts taken from the pack on the whole then: out less in, W
   * @param charge shown, %
   */
  public record Promise(double hours, double watts, double charge) {
    /** What the unit would give when full for that to come true, Wh. */
    public double whenFull() {
      return hours * watts / (charge / 100);
    }
  }

  public DisplayAudit {
    out = List.copyOf(out);
    in = List.copyOf(in);
    stuck = List.copyOf(stuck);
    promises = List.copyOf(promises);
  }

  /**
   * Compares what a run read.
   *
   * @param meters of the channels, stated or assumed
   */
  public static DisplayAudit of(Trace trace, Function<Channel, MeterClass> meters) {
    Series shownOut = trace.series(Channel.DISPLAY_POWER);
    Series shownIn = trace.series(Channel.DISPLAY_IN);
    if (shownOut.size() == 0
        && shownIn.size() == 0
        && trace.series(Channel.DISPLAY_TIME_LEFT).size() == 0) {
      return NOTHING;
    }
    Channel outBy = read(trace, Channel.AC_POWER, Channel.DC_POWER);
    // The wall's part of several sources is not what the display sums up.
    Series out = trace.series(outBy);
    Series in = trace.series(Channel.IN_POWER);
    Series charge = trace.series(Channel.DISPLAY_CHARGE);
    List<Stuck> stuck = new ArrayList<>(stuck(false, shownOut, out, charge));
    stuck.addAll(stuck(true, shownIn, in, charge));
    return new DisplayAudit(
        pairs(shownOut, out, meters.apply(outBy)),
        pairs(shownIn, in, meters.apply(Channel.IN_POWER)),
        stuck,
        promises(trace, shownOut.size() > 0 ? shownOut : out, shownIn.size() > 0 ? shownIn : in));
  }

  private static Channel read(Trace trace, Channel first, Channel second) {
    return trace.series(first).size() > 0 ? first : second;
  }

  /** Both together, as of all runs of a unit. */
  public DisplayAudit and(DisplayAudit other) {
    return new DisplayAudit(
        Stream.concat(out.stream(), other.out.stream()).toList(),
        Stream.concat(in.stream(), other.in.stream()).toList(),
        Stream.concat(stuck.stream(), other.stuck.stream()).toList(),
        Stream.concat(promises.stream(), other.promises.stream()).toList());
  }

  public boolean isEmpty() {
    return out.isEmpty() && in.isEmpty() && stuck.isEmpty() && promises.isEmpty();
  }

  private static List<Pair> pairs(Series shown, Series measured, MeterClass meter) {
    List<Pair> pairs = new ArrayList<>();
    double last = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < shown.size(); i++) {
      double at = shown.seconds(i);
      if (at - last < APART) {
        continue;
      }
      Optional<Double> by = steady(measured, at);
      if (by.isPresent()) {
        pairs.add(new Pair(shown.value(i), by.get(), meter.halfWidth(by.get())));
        last = at;
      }
    }
    return pairs;
  }

  /** What was read nearest to a moment; empty where nothing was near, or it was moving. */
  private static Optional<Double> steady(Series measured, double at) {
    double nearest = Double.NaN;
    double distance = TOGETHER;
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (int i = measured.from(at - TOGETHER);
        i < measured.size() && measured.seconds(i) <= at + TOGETHER;
        i++) {
      double away = Math.abs(measured.seconds(i) - at);
      if (away <= distance) {
        distance = away;
        nearest = measured.value(i);
      }
      least = Math.min(least, measured.value(i));
      most = Math.max(most, measured.value(i));
    }
    return Double.isNaN(nearest) || most - least > Math.max(2, STEADY * most)
        ? Optional.empty()
        : Optional.of(nearest);
  }

  private static List<Stuck> stuck(boolean in, Series shown, Series measured, Series charge) {
    List<Stuck> stuck = new ArrayList<>();
    int from = 0;
    for (int i = 1; i <= shown.size(); i++) {
      if (i < shown.size() && shown.value(i) == shown.value(from)) {
        continue;
      }
      double begin = shown.seconds(from);
      double end = shown.seconds(i - 1);
      if (shown.value(from) > 0 && end - begin >= STILL_SECONDS && i - from >= STILL_READINGS) {
        stuck.add(
            new Stuck(
                in,
                shown.value(from),
                end - begin,
                least(measured, begin, end),
                most(measured, begin, end),
                moved(charge, begin, end)));
      }
      from = i;
    }
    return stuck;
  }

  private static double least(Series s, double from, double to) {
    double least = Double.NaN;
    for (int i = s.from(from); i < s.size() && s.seconds(i) <= to; i++) {
      least = Double.isNaN(least) ? s.value(i) : Math.min(least, s.value(i));
    }
    return least;
  }

  private static double most(Series s, double from, double to) {
    double most = Double.NaN;
    for (int i = s.from(from); i < s.size() && s.seconds(i) <= to; i++) {
      most = Double.isNaN(most) ? s.value(i) : Math.max(most, s.value(i));
    }
    return most;
  }

  private static double moved(Series charge, double from, double to) {
    double first = Double.NaN;
    double last = Double.NaN;
    for (int i = charge.from(from); i < charge.size() && charge.seconds(i) <= to; i++) {
      first = Double.isNaN(first) ? charge.value(i) : first;
      last = charge.value(i);
    }
    return last - first;
  }

  private static List<Promise> promises(Trace trace, Series out, Series in) {
    List<Promise> promises = new ArrayList<>();
    Series left = trace.series(Channel.DISPLAY_TIME_LEFT);
    Series charge = trace.series(Channel.DISPLAY_CHARGE);
    double last = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < left.size(); i++) {
      double at = left.seconds(i);
      double shown = nearest(charge, at);
      double net = nearest(out, at) - (in.size() == 0 ? 0 : nearest(in, at));
      if (at - last >= APART && shown > 0 && net > 0 && left.value(i) > 0) {
        promises.add(new Promise(left.value(i) / 60, net, shown));
        last = at;
      }
    }
    return promises;
  }

  private static double nearest(Series s, double at) {
    double nearest = Double.NaN;
    double distance = TOGETHER;
    for (int i = s.from(at - TOGETHER); i < s.size() && s.seconds(i) <= at + TOGETHER; i++) {
      if (Math.abs(s.seconds(i) - at) <= distance) {
        distance = Math.abs(s.seconds(i) - at);
        nearest = s.value(i);
      }
    }
    return nearest;
  }
}
