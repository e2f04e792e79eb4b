package org.wiseember.core.overload;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.MeanScatter;

/**
 * The loads of a ladder that was made by hand: each from the press that it is on to the press that
 * it tripped or was taken off, with the watts that were read in between. A load whose end nobody
 * said was held as long as it was last read under load; one under which no watts were read has no
 * watts and is no hold.
 */
final class OperatorHolds {
  /**
   * A heater drifts by about this share while it is held; one reading does not show it. Common
   * practice, no published source.
   */
  private static final double DRIFT = 0.01;

  private final List<TimedOperatorEvent> presses;
  private final Series watts;
  private final List<Hold> holds = new ArrayList<>();
  private final List<Warning> warnings = new ArrayList<>();

  OperatorHolds(List<TimedOperatorEvent> presses, Trace typed) {
    this.presses = presses;
    this.watts = typed.series(Channel.AC_POWER);
    List<TimedOperatorEvent> on =
        presses.stream().filter(p -> p.is(OperatorEvent.LOAD_ON)).toList();
    for (int k = 0; k < on.size(); k++) {
      double next = k + 1 < on.size() ? on.get(k + 1).seconds() : Double.POSITIVE_INFINITY;
      take(on.get(k), next);
    }
  }

  /** In order of time. */
  List<Hold> holds() {
    return holds;
  }

  List<Warning> warnings() {
    return warnings;
  }

  /** Watts over time as they were said and read: what warmed the inverter before a later try. */
  Series power() {
    double[] seconds = new double[4 * holds.size()];
    double[] values = new double[seconds.length];
    double last = Double.NEGATIVE_INFINITY;
    for (int k = 0; k < holds.size(); k++) {
      Hold h = holds.get(k);
      double[] at = {h.from() - 1e-3, h.from(), h.to(), h.to() + 1e-3};
      double[] drawn = {h.before(), h.watts(), h.watts(), 0};
      for (int i = 0; i < at.length; i++) {
        last = Math.max(at[i], Math.nextUp(last));
        seconds[4 * k + i] = last;
        values[4 * k + i] = drawn[i];
      }
    }
    return Series.of(seconds, values);
  }

  private void take(TimedOperatorEvent on, double next) {
    TimedOperatorEvent end =
        TimedOperatorEvent.first(
                presses,
                on.seconds(),
                next,
                OperatorEvent.TRIPPED,
                OperatorEvent.DROPPED_OUT,
                OperatorEvent.WENT_OFF,
                OperatorEvent.TAKEN_OFF)
            .orElse(null);
    double until = end == null ? next : end.latest();
    // What was written before the key was read before it.
    double[] read = read(Math.nextUp(on.seconds()), until);
    if (read.length == 0) {
      unread(on, end);
      return;
    }
    double mean = mean(read);
    double drift = DRIFT * mean / Math.sqrt(3);
    double scatter = read.length == 1 ? drift : Math.hypot(MeanScatter.of(read), drift / 2);
    double before = before(on);
    if (end == null) {
      double seen = lastRead(until);
      holds.add(
          new Hold(
              on.seconds(),
              mean,
              scatter,
              Math.max(0, seen - on.seconds()),
              on.within(),
              Hold.End.NOT_SAID,
              before));
      warnings.add(
          new Warning(
              "end_not_said",
              "How "
                  + Figures.fixed(mean, 0)
                  + " W ended was not said; it was on when it was last read, and no more is known."));
      return;
    }
    if (!on.when().isKnown() || !end.when().isKnown()) {
      untimed(on, end, mean, scatter, before);
      return;
    }
    holds.add(
        new Hold(
            on.seconds(),
            mean,
            scatter,
            Math.max(0, end.seconds() - on.seconds()),
            on.within() + end.within(),
            end.is(OperatorEvent.TAKEN_OFF) ? Hold.End.TAKEN_OFF : Hold.End.TRIPPED,
            before));
  }

  /** How long nobody knows: what was taken off was held for as long as it surely was on. */
  private void untimed(
      TimedOperatorEvent on, TimedOperatorEvent end, double mean, double scatter, double before) {
    double surely = end.earliest() - on.latest();
    warnings.add(
        new Warning(
            "moment_unknown",
            "How long "
                + Figures.fixed(mean, 0)
                + " W were on nobody noted"
                + (end.is(OperatorEvent.TAKEN_OFF)
                    ? "."
                    : "; that it tripped is known, and not after how long.")));
    if (end.is(OperatorEvent.TAKEN_OFF) && surely > 0) {
      holds.add(new Hold(on.seconds(), mean, scatter, surely, 0, Hold.End.TAKEN_OFF, before));
    }
  }

  private void unread(TimedOperatorEvent on, TimedOperatorEvent end) {
    String load =
        Double.isNaN(on.subject())
            ? "A load"
            : Figures.plain(on.subject(), Unit.WATT) + " by the plates";
    String ended =
        end == null
            ? " was put on"
            : (end.is(OperatorEvent.TAKEN_OFF) ? " was taken off" : " tripped")
                + " after "
                + Figures.duration(end.seconds() - on.seconds());
    warnings.add(
        new Warning(
            "watts_not_read",
            load
                + ended
                + "; no watts were read under it, so it judges nothing. Write the watts."));
  }

  private double[] read(double from, double to) {
    int first = watts.from(from);
    int end = watts.from(to);
    double[] loaded = new double[Math.max(0, end - first)];
    int n = 0;
    for (int i = first; i < end; i++) {
      if (watts.value(i) > 0) {
        loaded[n++] = watts.value(i);
      }
    }
    return java.util.Arrays.copyOf(loaded, n);
  }

  private double lastRead(double before) {
    return watts.seconds(watts.from(before) - 1);
  }

  /** What was read last before it was put on, since the load before it ended. */
  private double before(TimedOperatorEvent on) {
    double since =
        presses.stream()
            .filter(p -> p.seconds() < on.seconds())
            .filter(
                p ->
                    p.is(
                        OperatorEvent.TRIPPED,
                        OperatorEvent.DROPPED_OUT,
                        OperatorEvent.WENT_OFF,
                        OperatorEvent.TAKEN_OFF))
            .mapToDouble(TimedOperatorEvent::latest)
            .max()
            .orElse(Double.NEGATIVE_INFINITY);
    int last = watts.from(Math.nextUp(on.seconds())) - 1;
    return last >= 0 && watts.seconds(last) > since ? watts.value(last) : 0;
  }

  private static double mean(double[] values) {
    double sum = 0;
    for (double value : values) {
      sum += value;
    }
    return sum / values.length;
  }
}
