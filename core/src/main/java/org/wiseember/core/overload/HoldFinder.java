package org.wiseember.core.overload;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Levels;
import org.wiseember.core.trace.Series;
import org.wiseember.core.uncertainty.MeanScatter;

/**
 * Finds the loads that were put on in a trace, and how each of them ended. A load is put on where
 * the watts step up and stay; it tripped where they fall below a tenth of the load for longer than
 * two readings with the output dead, and was taken off where they fall with the output alive.
 */
final class HoldFinder {
  private static final double STEP = 0.06;
  private static final double STEP_WATTS = 5;

  /** A fall by more than this share is a load taken off, less is drift. */
  private static final double FALL = 0.15;

  /** Below this share of the load the output is dropped. */
  private static final double DROPPED = 0.10;

  /** It has to stay so for more readings than this. */
  private static final int MOMENTS = 2;

  private static final double ALIVE_SHARE = 0.5;

  /** Each reading of a slow meter that fades is below the one before it by this share or more. */
  private static final double FADES = 0.25;

  /** A meter that takes more readings than this to fade shows nothing of a trip. */
  private static final int MOST_FADING = 8;

  /** Two readings by hand further apart may be of two tries, s. */
  private static final double TOGETHER_SECONDS = 180;

  private final Series power;
  private final Series volts;
  private final double origin;
  private final double usualVolts;
  private final boolean byHand;
  private final List<Warning> warnings = new ArrayList<>();

  HoldFinder(Series power, Series volts, double origin) {
    this(power, volts, origin, false);
  }

  /** Of readings a person wrote down now and then: nothing is known between two of them. */
  static HoldFinder readByHand(Series power, Series volts) {
    return new HoldFinder(power, volts, 0, true);
  }

  private HoldFinder(Series power, Series volts, double origin, boolean byHand) {
    this.byHand = byHand;
    this.power = power;
    this.volts = volts;
    this.origin = origin;
    this.usualVolts = usual(volts);
  }

  List<Warning> warnings() {
    return warnings;
  }

  private static double usual(Series volts) {
    double[] alive = new double[volts.size()];
    int n = 0;
    for (int i = 0; i < volts.size(); i++) {
      if (volts.value(i) > 1) {
        alive[n++] = volts.value(i);
      }
    }
    Arrays.sort(alive, 0, n);
    return n == 0 ? Double.NaN : alive[n / 2];
  }

  /** A stretch at one load, W. */
  private record Stay(int first, int last, double watts) {}

  /** Every load put on, in order of time. */
  List<Hold> find() {
    List<Stay> stays = stays();
    List<Hold> holds = new ArrayList<>();
    int k = 0;
    while (k < stays.size()) {
      Stay stay = stays.get(k);
      double before = k == 0 ? 0 : stays.get(k - 1).watts();
      if (!steppedUp(before, stay.watts())) {
        k++;
        continue;
      }
      int end = k;
      while (end + 1 < stays.size()
          && goesOn(stay.watts(), stays.get(end).last(), stays.get(end + 1))) {
        end++;
      }
      holds.add(hold(stays, k, end, before));
      k = end + 1;
    }
    return holds;
  }

  private static boolean steppedUp(double before, double watts) {
    return watts > before * (1 + STEP) + STEP_WATTS;
  }

  /** Whether the next stretch is the same load, drifting or dipping for a moment. */
  private boolean goesOn(double watts, int last, Stay next) {
    if (byHand && power.seconds(next.first()) - power.seconds(last) > TOGETHER_SECONDS) {
      return false;
    }
    if (power.gapAfter(last)) {
      return next.watts() > watts * (1 - FALL) && next.watts() < watts * (1 + STEP) + STEP_WATTS;
    }
    boolean moment = next.last() - next.first() < MOMENTS && next.last() + 1 < power.size();
    boolean comesBack =
        moment
            && power.value(next.last() + 1) > watts * (1 - FALL)
            && power.value(next.last() + 1) < watts * (1 + STEP) + STEP_WATTS;
    return comesBack || (next.watts() > watts * (1 - FALL) && !steppedUp(watts, next.watts()));
  }

  /** Levels, with the one or two readings of a switching given to the level after it. */
  private List<Stay> stays() {
    List<Stay> stays = new ArrayList<>();
    int first = -1;
    List<Levels.Level> levels = Levels.of(power, STEP, STEP_WATTS);
    for (int k = 0; k < levels.size(); k++) {
      Levels.Level level = levels.get(k);
      boolean passing = level.size() <= MOMENTS && k + 1 < levels.size() && k > 0;
      boolean dead = mean(level.first(), level.last()) < STEP_WATTS;
      boolean gap = level.last() < power.size() - 1 && power.gapAfter(level.last());
      if (passing && !dead && !gap && betweenOrSpike(levels, k)) {
        first = first < 0 ? level.first() : first;
        continue;
      }
      int from = first < 0 ? level.first() : first;
      if (byHand) {
        addApart(stays, from, level.last());
      } else {
        stays.add(new Stay(from, level.last(), mean(level.first(), level.last())));
      }
      first = -1;
    }
    return stays;
  }

  /** Readings by hand that are too far apart are stretches of their own. */
  private void addApart(List<Stay> stays, int first, int last) {
    int from = first;
    for (int i = first; i <= last; i++) {
      boolean ends = i == last || power.seconds(i + 1) - power.seconds(i) > TOGETHER_SECONDS;
      if (ends) {
        stays.add(new Stay(from, i, mean(from, i)));
        from = i + 1;
      }
    }
  }

  /** A ramp between two levels, or the spike of something cold as it is switched on. */
  private boolean betweenOrSpike(List<Levels.Level> levels, int k) {
    double before = mean(levels.get(k - 1).first(), levels.get(k - 1).last());
    double after = mean(levels.get(k + 1).first(), levels.get(k + 1).last());
    return steppedUp(before, after)
        && steppedUp(before, mean(levels.get(k).first(), levels.get(k).last()));
  }

  private double mean(int first, int last) {
    double sum = 0;
    for (int i = first; i <= last; i++) {
      sum += power.value(i);
    }
    return sum / (last - first + 1);
  }

  private Hold hold(List<Stay> stays, int k, int end, double before) {
    int first = stays.get(k).first();
    int last = stays.get(end).last();
    double pace = power.usualInterval();
    double startWidth =
        first == 0 || byHand ? 0 : (power.seconds(first) - power.seconds(first - 1)) / 2;
    startWidth = !byHand && first > 0 && power.gapAfter(first - 1) ? pace / 2 : startWidth;
    double start = power.seconds(first) - startWidth;
    Hold.End how = Hold.End.STILL_ON;
    double stop = power.seconds(last);
    double stopWidth = 0;
    if (byHand && !deadAfter(last)) {
      how = Hold.End.NOT_SAID;
    } else if (last + 1 < power.size()) {
      stopWidth = (power.seconds(last + 1) - power.seconds(last)) / 2;
      stop = power.seconds(last) + stopWidth;
      how = byHand ? Hold.End.TRIPPED : how(stays.get(k).watts(), last);
      if (!byHand && power.gapAfter(last)) {
        warnings.add(
            new Warning(
                "gap",
                "Readings are missing for "
                    + Figures.duration(2 * stopWidth)
                    + " from "
                    + Figures.clock(power.seconds(last) - origin)
                    + " on, where the load ended; when it did is only known to so much."));
      }
    }
    double[] inside = inside(first, last);
    return new Hold(
        start,
        Arrays.stream(inside).average().orElse(stays.get(k).watts()),
        MeanScatter.of(inside),
        stop - start,
        startWidth + stopWidth,
        how,
        before);
  }

  /** The readings of a hold without those at its ends, which may have caught the switching. */
  private double[] inside(int first, int last) {
    int trim = last - first >= 4 ? 1 : 0;
    double[] values = new double[last - first + 1 - 2 * trim];
    for (int i = 0; i < values.length; i++) {
      values[i] = power.value(first + trim + i);
    }
    return values;
  }

  private Hold.End how(double watts, int last) {
    int dead = faded(watts, last);
    if (dead < 0) {
      return Hold.End.TAKEN_OFF;
    }
    double alive = voltsSoonAfter(dead - 1);
    if (!Double.isNaN(alive)) {
      return alive > ALIVE_SHARE * usualVolts ? Hold.End.TAKEN_OFF : Hold.End.TRIPPED;
    }
    return Hold.End.TRIPPED;
  }

  /** Whether the next volts that were read are gone, and the watts with them. */
  private boolean deadAfter(int last) {
    double alive = last + 1 < power.size() ? voltsSoonAfter(last) : Double.NaN;
    return alive < DROPPED * usualVolts && power.value(last + 1) < DROPPED * power.value(last);
  }

  /**
   * The first reading after a hold at which the output is dropped; -1 where the load only became
   * less. A slow meter averages, so that its watts fade over several readings, each well below the
   * one before it; a load that is taken off in steps stands still between them.
   */
  private int faded(double watts, int last) {
    double before = watts;
    for (int i = last + 1; i < power.size() && i <= last + MOST_FADING; i++) {
      double now = power.value(i);
      if (now < DROPPED * watts) {
        return i;
      }
      if (power.gapAfter(i - 1) || now > (1 - FADES) * before) {
        return -1;
      }
      before = now;
    }
    return -1;
  }

  /** Lowest volts over the next few readings; NaN where none were read. */
  private double voltsSoonAfter(int last) {
    int from = volts.from(power.seconds(last + 1));
    double lowest = Double.NaN;
    for (int i = from; i < volts.size() && i <= from + MOMENTS; i++) {
      lowest = Double.isNaN(lowest) ? volts.value(i) : Math.min(lowest, volts.value(i));
    }
    return lowest;
  }
}
