package org.wiseember.core.efficiency;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Levels;
import org.wiseember.core.trace.Series;
import org.wiseember.core.uncertainty.MeanScatter;

/**
 * Finds the loads of a ladder in its readings. A new load begins where the watts leave those before
 * by more than 4 % and 2 W for longer than one reading; what counts of it is told by {@link
 * SteadyRule}.
 */
final class StepFinder {
  private static final double APART = 0.04;
  private static final double APART_WATTS = 2;

  /** Below this there is no load, W. */
  private static final double NO_LOAD = 0.5;

  /** An output with less than this share of its usual volts is off. */
  private static final double ALIVE_SHARE = 0.5;

  private static final double FED_WATTS = 5;

  /** A load shorter than it takes to settle is looked at from so many readings and seconds on. */
  private static final int LEAST_READINGS = 5;

  private static final double LEAST_SECONDS = 5;

  private final LadderReadings readings;
  private final double acStep;
  private final double dcStep;
  private final double voltStep;
  private final double ampStep;
  private final List<Warning> warnings = new ArrayList<>();

  /**
   * A last digit is what the meter's data sheet says, or what its readings show if that is more.
   */
  StepFinder(LadderReadings readings, LadderMeters meters) {
    this.readings = readings;
    this.acStep = Math.max(readings.acStep(), meters.acPower().resolution());
    this.dcStep = Math.max(readings.dcStep(), meters.dcPower().resolution());
    this.voltStep = Math.max(readings.voltStep(), meters.dcVoltage().resolution());
    this.ampStep = Math.max(readings.ampStep(), meters.dcCurrent().resolution());
  }

  List<Warning> warnings() {
    return warnings;
  }

  /** All steps in order of time, no-load ones among them, where the output was alive. */
  List<LoadStep> find() {
    List<LoadStep> steps = new ArrayList<>();
    List<LoadStep> hurried = new ArrayList<>();
    double usualVolts = usualVolts();
    for (Levels.Level level : Levels.of(readings.ac(), APART, APART_WATTS)) {
      if (fed(level)) {
        continue;
      }
      LoadStep step = step(level.first(), level.last());
      if (step == null) {
        hurried(level.first(), level.last()).ifPresent(hurried::add);
        continue;
      }
      boolean loaded = step.acWatts() > NO_LOAD;
      boolean alive =
          step.acVolts().isPresent() && step.acVolts().getAsDouble() > ALIVE_SHARE * usualVolts;
      if (loaded || alive) {
        steps.add(step);
      }
    }
    takeHurried(steps, hurried);
    noteUnsteady(steps);
    steps.sort(Comparator.comparingDouble(LoadStep::from));
    return steps;
  }

  /** A load that went before it could settle is better than none at that load. */
  private void takeHurried(List<LoadStep> steps, List<LoadStep> hurried) {
    List<LoadStep> needed =
        hurried.stream()
            .filter(h -> steps.stream().noneMatch(s -> !apart(h.acWatts(), s.acWatts())))
            .toList();
    if (!needed.isEmpty()) {
      warnings.add(
          new Warning(
              "too_short_step",
              "Did not last the 30 s a load needs to settle: "
                  + watts(needed)
                  + ". The last readings are used and the uncertainty widened by the drift."));
      steps.addAll(needed);
    }
  }

  private Optional<LoadStep> hurried(int from, int to) {
    Series ac = readings.ac();
    boolean enough =
        to - from + 1 >= LEAST_READINGS && ac.seconds(to) - ac.seconds(from) >= LEAST_SECONDS;
    return enough && ac.value(to) > NO_LOAD
        ? Optional.of(mean(to - (to - from) / 3 - 1, to - 1, false))
        : Optional.empty();
  }

  private static String watts(List<LoadStep> steps) {
    return String.join(
        ", ",
        steps.stream()
            .map(s -> Figures.plain(Math.rint(s.acWatts()), Unit.WATT))
            .distinct()
            .toList());
  }

  private void noteUnsteady(List<LoadStep> steps) {
    List<LoadStep> moving =
        steps.stream()
            .filter(
                s ->
                    !s.settled()
                        && s.readings() > 1
                        && s.to() - s.from() >= SteadyRule.SETTLE_SECONDS / 3)
            .toList();
    if (!moving.isEmpty()) {
      warnings.add(
          new Warning(
              "not_settled",
              "Still moving when it was read: "
                  + watts(moving)
                  + ". The last readings are used and the uncertainty widened by the drift."));
    }
    if (steps.stream().anyMatch(s -> s.readings() == 1)) {
      warnings.add(
          new Warning(
              "one_reading",
              "Some loads have a single reading: nobody can see whether they had settled."));
    }
  }

  private static boolean apart(double watts, double reference) {
    return Math.abs(watts - reference) > Math.max(APART_WATTS, APART * Math.abs(reference));
  }

  private boolean fed(Levels.Level level) {
    for (int i = level.first(); i <= level.last(); i++) {
      if (readings.inWatts()[i] > FED_WATTS) {
        if (warnings.stream().noneMatch(w -> w.code().equals("input_on"))) {
          warnings.add(
              new Warning(
                  "input_on",
                  "A source fed the unit at some loads; in pass-through the socket shows the"
                      + " source's power, not the inverter's. Those loads are left out."));
        }
        return true;
      }
    }
    return false;
  }

  private LoadStep step(int from, int to) {
    Series ac = readings.ac();
    double span = ac.seconds(to) - ac.seconds(from);
    // Readings noted by hand stand alone, long after the load was set.
    boolean alone = from == to && standsAlone(from);
    if (alone) {
      return mean(from, to, false);
    }
    int first = SteadyRule.steadyFrom(ac, from, to);
    // The last reading may have caught the switching to the next load.
    int last = to == ac.size() - 1 || to - from < 3 ? to : to - 1;
    if (first <= last) {
      return mean(first, last, true);
    }
    if (span < SteadyRule.SETTLE_SECONDS) {
      return null;
    }
    return mean(Math.min(last, to - (to - from) / 3), last, false);
  }

  private boolean standsAlone(int i) {
    Series ac = readings.ac();
    boolean before = i == 0 || ac.seconds(i) - ac.seconds(i - 1) >= SteadyRule.SETTLE_SECONDS;
    boolean after =
        i + 1 == ac.size() || ac.seconds(i + 1) - ac.seconds(i) >= SteadyRule.SETTLE_SECONDS;
    return before && after;
  }

  private LoadStep mean(int from, int to, boolean settled) {
    int n = to - from + 1;
    double[] ac = new double[n];
    double[] dc = new double[n];
    double[] loss = new double[n];
    for (int i = 0; i < n; i++) {
      ac[i] = readings.ac().value(from + i);
      dc[i] = readings.dcWatts()[from + i];
      loss[i] = dc[i] - ac[i];
    }
    double acWatts = mean(ac);
    double dcWatts = mean(dc);
    OptionalDouble volts = meanOf(readings.dcVolts(), from, to);
    double rounding = rounding(volts, dcWatts, n, spread(ac), spread(dc));
    double drift = n < 2 ? 0 : drift(ac, dc);
    return new LoadStep(
        readings.ac().seconds(from),
        readings.ac().seconds(to),
        n,
        acWatts,
        dcWatts,
        volts,
        meanOf(readings.acVolts(), from, to),
        meanOf(readings.displayWatts(), from, to),
        Math.hypot(MeanScatter.of(loss), rounding),
        settled ? 0 : drift,
        settled);
  }

  /** How far the efficiency of the second half lies from that of the first. */
  private static double drift(double[] ac, double[] dc) {
    int half = ac.length / 2;
    double early = mean(Arrays.copyOf(ac, half)) / mean(Arrays.copyOf(dc, half));
    double late =
        mean(Arrays.copyOfRange(ac, half, ac.length))
            / mean(Arrays.copyOfRange(dc, half, dc.length));
    double apart = Math.abs(late - early);
    return Double.isFinite(apart) ? apart : 0;
  }

  /**
   * What rounding to the last digit leaves in a mean: as much as in one reading while the digit
   * stands still, less by √n once it flickers.
   */
  private double rounding(
      OptionalDouble volts, double dcWatts, int n, double acSpread, double dcSpread) {
    double out = rounded(acStep, acSpread, n);
    if (!readings.byProduct() || volts.isEmpty() || volts.getAsDouble() <= 0) {
      return Math.hypot(out, rounded(dcStep, dcSpread, n));
    }
    double amps = dcWatts / volts.getAsDouble();
    double byAmps = volts.getAsDouble() * rounded(ampStep, dcSpread / volts.getAsDouble(), n);
    double byVolts = amps * rounded(voltStep, 0, n);
    return Math.hypot(out, Math.hypot(byAmps, byVolts));
  }

  private static double rounded(double step, double spread, int n) {
    double one = step / Math.sqrt(12);
    return spread > step / 2 ? one / Math.sqrt(n) : one;
  }

  private static double mean(double[] values) {
    return Arrays.stream(values).average().orElse(0);
  }

  private static double spread(double[] values) {
    return MeanScatter.deviation(values);
  }

  private static OptionalDouble meanOf(double[] column, int from, int to) {
    double sum = 0;
    int n = 0;
    for (int i = from; i <= to; i++) {
      if (!Double.isNaN(column[i])) {
        sum += column[i];
        n++;
      }
    }
    return n == 0 ? OptionalDouble.empty() : OptionalDouble.of(sum / n);
  }

  private double usualVolts() {
    double[] volts =
        Arrays.stream(readings.acVolts()).filter(v -> !Double.isNaN(v) && v > 1).sorted().toArray();
    return volts.length == 0 ? 0 : volts[volts.length / 2];
  }
}
