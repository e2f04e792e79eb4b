package org.wiseember.core.charge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * The figures of a charge from its log: E = ∫P dt from the first charging reading to the last,
 * trapezoid on real times; the most over half a minute; 80 % and 100 % of that energy; and where
 * the power begins to fall for good.
 */
public final class ChargeProfile {
  /** Less is no charging, W; common practice, no published source. */
  private static final double LEAST_WATTS = 3;

  /** Of the peak; what is left on standby lies below. */
  private static final double CHARGING_SHARE = 0.04;

  private static final double PEAK_SECONDS = 30;

  /** Fewer readings would let their noise stand for a peak. */
  private static final int LEAST_READINGS = 20;

  private static final double SEEN_SECONDS = 60;

  /** A second fall counts where so much of the energy came in since the first. */
  private static final double LATE = 0.03;

  /** A cooler case holds nothing back, °C: common practice, no published source. */
  static final double WARM = 30;

  /** What warmth takes away falls more gently than a taper, by this factor at least. */
  private static final double GENTLER = 0.6;

  /** The part of a taper that tells its steepness; its very end flattens. */
  private static final double STRAIGHT = 0.6;

  private final Series power;
  private final EnergyIn in;
  private final Fullness fullness;
  private final Series warmth;
  private final MeterClass meter;
  private final boolean assumed;
  private final List<Warning> warnings;

  private ChargeProfile(Trace trace, Inputs input, MeterClass meter, boolean assumed) {
    this.power = input.whole();
    this.in = EnergyIn.of(power);
    this.fullness = Fullness.of(trace, input);
    this.warmth = trace.series(Channel.CASE_TEMPERATURE);
    this.meter = meter;
    this.assumed = assumed;
    this.warnings = new ArrayList<>(input.warnings());
  }

  /**
   * Works a log out.
   *
   * @param meter class of the meter on the input; empty where nobody said, then ± 2 % is assumed
   */
  public static ChargeFinding of(Trace trace, Optional<MeterClass> meter) {
    Optional<Inputs> input = Inputs.of(trace);
    if (input.isEmpty()) {
      return ChargeFinding.none(
          List.of(
              new Warning(
                  "no_input",
                  "There is no charge power in the log: in_power, or in_voltage and in_current, are"
                      + " needed.")));
    }
    return new ChargeProfile(
            trace, input.get(), meter.orElseGet(() -> AssumedMeter.of(Unit.WATT)), meter.isEmpty())
        .find();
  }

  private ChargeFinding find() {
    double most = robustPeak();
    double threshold = Math.max(LEAST_WATTS, CHARGING_SHARE * most);
    int first = -1;
    int last = -1;
    for (int i = 0; i < power.size(); i++) {
      if (power.value(i) > threshold) {
        first = first < 0 ? i : first;
        last = i;
      }
    }
    if (first < 0 || last - first < 2) {
      warnings.add(new Warning("no_charge", "Nothing charges in this log."));
      return ChargeFinding.none(warnings);
    }
    double start = power.seconds(first);
    double end = power.seconds(last);
    if (!(end > start)) {
      warnings.add(
          new Warning(
              "too_short",
              "Charging was read at one moment only: there is no time for it to take."));
      return ChargeFinding.none(warnings);
    }
    double energy = in.between(first, last);
    double interval = power.usualInterval();
    Budget budget =
        new Budget(List.of())
            .with("Input meter", meter, energy, 1)
            .with(
                Contribution.rectangular(
                    "Beginning and end, half a reading", most * interval / 3600 / 2));
    budget = budget.with(Repeats.once(energy, Repeats.WHOLE_TEST));
    double holes = holes(first, last);
    if (holes > 0) {
      budget = budget.with(Contribution.rectangular("Holes in the log", holes));
    }
    if (assumed) {
      warnings.add(
          new Warning(
              "accuracy_assumed",
              "The meter's accuracy was not given; ± 2 % of reading is assumed."));
    }
    double after = power.seconds(power.size() - 1) - end;
    boolean full = last < power.size() - 1 && after >= Math.min(SEEN_SECONDS, 3 * interval);
    if (!full) {
      warnings.add(
          new Warning(
              "not_full",
              "The log ends while it charges; when it is full, and 80 % of what, cannot be told."));
    }
    OptionalDouble knee = knee(first, last);
    if (knee.isEmpty()) {
      warnings.add(new Warning("no_taper", "The power does not fall before the charge ends."));
    }
    double u = Math.max(interval, 1);
    ChargeFigures figures = new ChargeFigures(start, end, full, meter);
    Figure total = figures.energyIn(energy, budget);
    Optional<Figure> taper =
        knee.isPresent()
            ? Optional.of(figures.taperStart(knee.getAsDouble() - start, u))
            : Optional.empty();
    Optional<Figure> share =
        taper.map(
            t -> {
              int from = power.from(start);
              int by = Math.max(from, power.from(knee.getAsDouble()));
              return figures.taperShare(100 * in.between(from, by) / energy, total, t);
            });
    double to80 = in.reached(first, last, 0.8 * energy) - start;
    return new ChargeFinding(
        Optional.of(total),
        Optional.of(figures.peak(most)),
        Optional.of(figures.mean(total)),
        full ? Optional.of(figures.timeTo80(to80, u, total)) : Optional.empty(),
        full ? Optional.of(figures.timeToFull(end - start, u)) : Optional.empty(),
        taper,
        share,
        start,
        end,
        warnings);
  }

  /**
   * Where the power begins to fall for good. A unit that is held back by its warmth until the cells
   * fill falls twice; then the second fall counts.
   */
  private OptionalDouble knee(int first, int last) {
    // One part may have been read at other times than the whole: indices do not carry over.
    Series watts = fullness.series();
    double start = Math.max(power.seconds(first), fullness.from());
    double end = power.seconds(last);
    int begin = watts.from(start);
    int over = Math.min(watts.size() - 1, watts.from(end));
    OptionalDouble falls = Taper.start(watts, begin, over);
    OptionalDouble tail = LinearTail.start(watts, begin, over);
    if (falls.isEmpty() || tail.isEmpty() || warmth.size() < 2) {
      return falls;
    }
    double from = falls.getAsDouble();
    double to = tail.getAsDouble();
    double between = meanWarmth(from, to);
    boolean warmed = between >= WARM && between > meanWarmth(start, from);
    double late = energyBetween(from, to) / energyBetween(start, end);
    boolean gentler =
        steepness(watts, from, to) < GENTLER * steepness(watts, to, to + STRAIGHT * (end - to));
    return warmed && gentler && late > LATE ? tail : falls;
  }

  /** Watts lost for each watt-hour taken in between two moments. */
  private double steepness(Series watts, double from, double to) {
    int last = watts.size() - 1;
    double lost =
        watts.value(Math.min(last, watts.from(from))) - watts.value(Math.min(last, watts.from(to)));
    return lost / Math.max(1e-6, energyBetween(from, to));
  }

  private double energyBetween(double from, double to) {
    return in.between(power.from(from), Math.min(power.size() - 1, power.from(to)));
  }

  private double meanWarmth(double from, double to) {
    double sum = 0;
    int n = 0;
    for (int i = warmth.from(from); i < warmth.size() && warmth.seconds(i) <= to; i++) {
      sum += warmth.value(i);
      n++;
    }
    return sum / n;
  }

  /**
   * The highest median over half a minute, so that neither a spike nor a meter's noise is a peak.
   */
  private double robustPeak() {
    int last = power.size() - 1;
    double width = Math.max(power.usualInterval(), PEAK_SECONDS / LEAST_READINGS);
    int count = (int) Math.floor((power.seconds(last) - power.seconds(0)) / width);
    if (count <= LEAST_READINGS) {
      return IntStream.rangeClosed(0, last).mapToDouble(power::value).max().orElse(0);
    }
    double[] bins = new Bins(power.seconds(0), power.seconds(last), count).medians(power);
    double most = 0;
    for (int c = 0; c + LEAST_READINGS <= count; c++) {
      double[] some = Arrays.copyOfRange(bins, c, c + LEAST_READINGS);
      Arrays.sort(some);
      most = Math.max(most, (some[LEAST_READINGS / 2 - 1] + some[LEAST_READINGS / 2]) / 2);
    }
    return most;
  }

  /** By how much the holes may be off, Wh; each is said. */
  private double holes(int first, int last) {
    double unsure = 0;
    for (Series.Gap gap : in.holes(first, last)) {
      double bridged = in.bridged(gap);
      unsure += bridged;
      warnings.add(
          new Warning(
              "gap",
              "Readings are missing for "
                  + Figures.duration(gap.seconds())
                  + "; "
                  + Figures.fixed(bridged, 1)
                  + " Wh are put in for it and may be off by as much."));
    }
    return unsure;
  }
}
