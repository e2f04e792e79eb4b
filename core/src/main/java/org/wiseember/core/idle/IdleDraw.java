package org.wiseember.core.idle;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.wiseember.core.efficiency.LadderMeters;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeanScatter;

/**
 * Idle draw from a trace: directly where DC watts were read, else from the energy that filled the
 * unit up again, else from the charge its display lost.
 *
 * <p>Source: definition, mean of P_dc over time with nothing plugged in; hours to empty = usable DC
 * energy ÷ idle draw. Common practice, no published source.
 */
public final class IdleDraw {
  private static final double SECONDS_PER_HOUR = 3600;

  /**
   * Of what a charger takes from the wall so much reaches the cells; usual range, common practice,
   * no published source.
   */
  private static final double CHARGED = 0.90;

  private static final double CHARGED_HALF_WIDTH = 0.06;

  private static final double FULL_SHARE = 0.01;
  private static final double TAKEN_SHARE = 0.1;
  private static final double CHARGING_WATTS = 2;
  private static final double SHORT_SECONDS = 120;
  private static final double ROUNDING_SHARE = 0.05;

  private final Trace trace;
  private final IdleMethod method;
  private final List<Warning> warnings = new ArrayList<>();

  private IdleDraw(Trace trace, IdleMethod method) {
    this.trace = method.treatment().of(trace);
    this.method = method;
  }

  /** Works out one run. */
  public static IdleFinding of(Trace trace, IdleMethod method) {
    return new IdleDraw(trace, method).find();
  }

  private IdleFinding find() {
    Series volts = trace.series(Channel.DC_VOLTAGE);
    Series amps = trace.series(Channel.DC_CURRENT);
    Series watts = trace.series(Channel.DC_POWER);
    boolean product = watts.size() == 0;
    Series draw = product ? product(volts, amps) : watts;
    if (draw.size() > 0) {
      QuietStretch quiet = QuietStretch.of(trace, draw);
      if (quiet.draw().size() > 0) {
        return direct(quiet, product ? volts : watts, amps, product);
      }
      warnings.add(
          new Warning(
              "never_idle",
              "There was always a load or a source, so nothing of this run is idle."));
      return nothing();
    }
    if (trace.series(Channel.IN_POWER).size() > 1) {
      Optional<IdleFinding> refill = byRefill();
      if (refill.isPresent()) {
        return refill.get();
      }
    }
    return byChargeLost();
  }

  private static Series product(Series volts, Series amps) {
    double reach = Math.max(2, 2.5 * volts.usualInterval());
    double[] t = new double[amps.size()];
    double[] w = new double[amps.size()];
    int n = 0;
    for (int i = 0; i < amps.size(); i++) {
      double v = volts.size() == 0 ? Double.NaN : volts.at(amps.seconds(i), reach);
      if (!Double.isNaN(v)) {
        t[n] = amps.seconds(i);
        w[n++] = v * amps.value(i);
      }
    }
    return Series.of(java.util.Arrays.copyOf(t, n), java.util.Arrays.copyOf(w, n));
  }

  private IdleFinding nothing() {
    noUsable();
    return new IdleFinding(
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Double.NaN,
        Double.NaN,
        warnings);
  }

  private IdleFinding direct(QuietStretch quiet, Series first, Series amps, boolean product) {
    if (method.meters().assumed()) {
      warnings.add(
          new Warning(
              "accuracy_assumed",
              product
                  ? "The meters' accuracy was not given; amps ± 2 % and volts ± 0.5 % of reading are"
                      + " assumed."
                  : "The meter's accuracy was not given; ± 2 % of reading is assumed."));
    }
    noteLeftOut(quiet);
    Series draw = quiet.draw();
    if (IntStream.range(0, draw.size()).allMatch(i -> draw.value(i) == 0)) {
      warnings.add(
          new Warning(
              "no_draw",
              "The meter shows 0 throughout: a draw below its last digit is not none. A clamp with a"
                  + " finer range, or a shunt, would tell."));
      return nothing();
    }
    noteHoles(draw);
    double seconds = draw.seconds(draw.size() - 1) - draw.seconds(0);
    double watts = mean(draw);
    double[] values = new double[draw.size()];
    for (int i = 0; i < values.length; i++) {
      values[i] = draw.value(i);
    }
    double volts = product ? meanBetween(first, draw) : Double.NaN;
    double ampsMean = product ? watts / volts : Double.NaN;
    LadderMeters meters = method.meters();
    double rounding =
        product
            ? Math.hypot(
                volts * Math.max(amps.step(), meters.dcCurrent().resolution()) / 2,
                ampsMean * Math.max(first.step(), meters.dcVoltage().resolution()) / 2)
            : Math.max(first.step(), meters.dcPower().resolution()) / 2;
    Budget budget =
        Budget.of(
            Contribution.typeA("Scatter", MeanScatter.of(values), Math.min(10, values.length)));
    for (Contribution line :
        method
            .meters()
            .dcLimits(product ? OptionalDouble.of(volts) : OptionalDouble.empty(), watts, 1)) {
      budget = budget.with(line);
    }
    if (rounding > 0) {
      budget = budget.with(Contribution.rectangular("Last digits", rounding));
    }
    if (watts > 0 && rounding > ROUNDING_SHARE * watts) {
      warnings.add(
          new Warning(
              "coarse_reading",
              "The last digit is "
                  + Figures.fixed(100 * rounding / watts, 0)
                  + " % of so small a draw. A clamp with a finer range, or a shunt, would tell more."));
    }
    if (draw.size() > 2 && seconds < SHORT_SECONDS) {
      warnings.add(
          new Warning(
              "short",
              "Only "
                  + Figures.duration(seconds)
                  + " of idling; a fan or a check of the cells that comes now and then may be"
                  + " missed."));
    }
    List<String> sum = new ArrayList<>();
    if (product) {
      sum.add(
          "Mean of volts × amps = "
              + Figures.fixed(volts, 2)
              + " V × "
              + Figures.fixed(ampsMean, 3)
              + " A = "
              + Figures.fixed(watts, 2)
              + " W");
    } else {
      sum.add("Mean of DC watts = " + Figures.fixed(watts, 2) + " W");
    }
    sum.add("over " + Figures.plain(draw.size()) + " readings in " + Figures.duration(seconds));
    return finding(
        watts,
        budget,
        product && watts != 0 ? volts : Double.NaN,
        IdleWay.DIRECT,
        draw.seconds(0),
        draw.seconds(draw.size() - 1),
        sum);
  }

  private void noteLeftOut(QuietStretch quiet) {
    if (quiet.skippedLoad()) {
      warnings.add(
          new Warning("load_left_out", "Readings with a load on the outlet are left out."));
    }
    if (quiet.skippedInput()) {
      warnings.add(
          new Warning("input_left_out", "Readings while the unit was charged are left out."));
    }
    if (quiet.levels() > 1) {
      warnings.add(
          new Warning(
              "several_levels",
              "The draw stood at several levels; the longest is taken. The next longest was at "
                  + Figures.fixed(quiet.other(), 1)
                  + " W: an output that was switched, or eco mode."));
    }
  }

  private void noteHoles(Series draw) {
    List<Series.Gap> holes = draw.gaps(0, draw.size() - 1);
    if (!holes.isEmpty()) {
      warnings.add(
          new Warning(
              "gap",
              "Readings are missing "
                  + (holes.size() == 1 ? "once" : holes.size() + " times")
                  + ", for "
                  + Figures.duration(holes.stream().mapToDouble(Series.Gap::seconds).sum())
                  + " in all; what was drawn then is not in the mean."));
    }
    if (draw.size() == 1) {
      warnings.add(
          new Warning(
              "one_reading",
              "One reading is no mean: what comes and goes, a fan or a check of the cells, is not in"
                  + " it."));
    }
  }

  /** Mean over time, so that readings close together do not weigh more. */
  private static double mean(Series draw) {
    int last = draw.size() - 1;
    double seconds = draw.seconds(last) - draw.seconds(0);
    for (Series.Gap gap : draw.gaps(0, last)) {
      seconds -= gap.seconds();
    }
    if (!(seconds > 0)) {
      double sum = 0;
      for (int i = 0; i <= last; i++) {
        sum += draw.value(i);
      }
      return sum / (last + 1);
    }
    return draw.integral(0, last) / seconds;
  }

  private static double meanBetween(Series volts, Series draw) {
    double sum = 0;
    int n = 0;
    double to = draw.seconds(draw.size() - 1);
    for (int i = volts.from(draw.seconds(0)); i < volts.size() && volts.seconds(i) <= to; i++) {
      sum += volts.value(i);
      n++;
    }
    return n == 0 ? volts.value(0) : sum / n;
  }

  /** Full, idle for some hours, filled up again: what went in is what it had drawn. */
  private Optional<IdleFinding> byRefill() {
    Series in = trace.series(Channel.IN_POWER);
    int first = -1;
    int last = -1;
    for (int i = 0; i < in.size(); i++) {
      if (in.value(i) > CHARGING_WATTS) {
        first = first < 0 ? i : first;
        last = i;
      }
    }
    if (first < 0 || in.seconds(first) - trace.seconds(0) < SHORT_SECONDS) {
      return Optional.empty();
    }
    int end = Math.min(last + 1, in.size() - 1);
    double seconds = in.seconds(first) - trace.seconds(0);
    double hours = seconds / SECONDS_PER_HOUR;
    double taken = in.integral(Math.max(0, first - 1), end) / SECONDS_PER_HOUR;
    double stored = CHARGED * taken;
    double watts = stored / hours;
    Budget budget =
        new Budget(List.of())
            .with("Charge meter", method.meters().acPower(), taken / hours, CHARGED)
            .with(
                Contribution.rectangular("Charger's own loss", CHARGED_HALF_WIDTH * taken / hours))
            .with(
                Contribution.rectangular(
                    "Between readings", watts * in.usualInterval() / Math.max(1, seconds)))
            .with(Contribution.rectangular("How well full repeats", sameFull(taken) / hours));
    if (last == in.size() - 1) {
      warnings.add(
          new Warning(
              "not_refilled",
              "Charging had not ended when the log did; the draw is more than this."));
    }
    warnings.add(
        new Warning(
            "by_refill",
            "Found from the energy that filled the unit up again, 90 ± 6 % of it taken as stored."));
    return Optional.of(
        finding(
            watts,
            budget,
            Double.NaN,
            IdleWay.REFILL,
            trace.seconds(0),
            in.seconds(first),
            List.of(
                Figures.plain(taken, Unit.WATT_HOUR)
                    + " to fill it up × 0.90 stored = "
                    + Figures.plain(stored, Unit.WATT_HOUR),
                "÷ " + Figures.duration(seconds) + " idle = " + Figures.fixed(watts, 2) + " W")));
  }

  /**
   * By how much one full charge differs from the next, Wh: a hundredth of what the pack holds, or a
   * tenth of what went in where nobody knows what it holds. Common practice, no published source.
   */
  private double sameFull(double taken) {
    return method.usableWattHours().map(e -> FULL_SHARE * e.value()).orElse(TAKEN_SHARE * taken);
  }

  /** The display's charge lost over hours or days, of what the pack holds. */
  private IdleFinding byChargeLost() {
    Series shown = trace.series(Channel.DISPLAY_CHARGE);
    int last = shown.size() - 1;
    double seconds = last < 1 ? 0 : shown.seconds(last) - shown.seconds(0);
    double lost = last < 1 ? 0 : shown.value(0) - shown.value(last);
    if (last < 1 || seconds < SHORT_SECONDS || method.usableWattHours().isEmpty() || lost <= 0) {
      warnings.add(
          new Warning(
              "no_idle_data",
              last >= 1 && lost <= 0 && seconds > 0
                  ? "The display lost no charge in "
                      + Figures.duration(seconds)
                      + "; wait longer, or measure on the DC side."
                  : "This log has no DC watts, no charging after a rest, and no charge display with"
                      + " a known capacity, so there is no idle draw."));
      return nothing();
    }
    Estimate usable = method.usableWattHours().get();
    double hours = seconds / SECONDS_PER_HOUR;
    double watts = lost / 100 * usable.value() / hours;
    double step = Math.max(1, shown.step() >= 1 ? shown.step() : 1);
    Budget budget =
        Budget.of(
            Contribution.rectangular("Steps of the display", step * usable.value() / 100 / hours),
            Contribution.mostlyLimits("Capacity", watts * usable.u95() / usable.value()));
    warnings.add(
        new Warning(
            "by_charge_lost",
            "Found from the charge the display lost, which is coarse and not straight near full."));
    return finding(
        watts,
        budget,
        Double.NaN,
        IdleWay.CHARGE_LOST,
        shown.seconds(0),
        shown.seconds(last),
        List.of(
            Figures.plain(lost)
                + " % of "
                + Figures.plain(usable.value(), Unit.WATT_HOUR)
                + " = "
                + Figures.plain(lost / 100 * usable.value(), Unit.WATT_HOUR),
            "÷ " + Figures.duration(seconds) + " = " + Figures.fixed(watts, 2) + " W"));
  }

  private void noUsable() {
    if (method.usableWattHours().isEmpty()) {
      warnings.add(
          new Warning("no_usable", "No usable energy was given, so there are no hours to empty."));
    }
  }

  /**
   * @param volts the mean volts of the pack; NaN where amps were not read
   */
  private IdleFinding finding(
      double watts,
      Budget budget,
      double volts,
      IdleWay way,
      double from,
      double to,
      List<String> sum) {
    noUsable();
    Optional<Estimate> usable = method.usableWattHours();
    if (usable.isPresent() && !(watts > 0)) {
      warnings.add(new Warning("no_draw", "There is no draw to speak of, so no hours to empty."));
    }
    List<String> watch = new ArrayList<>();
    watch.add("Drawn from the pack with nothing plugged in, as long as the output stays on.");
    warnings.stream()
        .filter(w -> !w.code().equals("no_usable"))
        .forEach(w -> watch.add(w.message()));
    Budget repeated = budget.with(Repeats.once(watts, Repeats.WHOLE_TEST));
    Figure power =
        Figure.of(
            "idle_power",
            "Idle draw",
            watts,
            Unit.WATT,
            Because.of(repeated, sum)
                .summed(way.words())
                .watching(watch)
                .otherwise(
                    "Some give the idle draw in amps of the battery, some as charge lost a day. Watts"
                        + " on the DC side compare between units of different volts."));
    Figure bounded = warned("not_refilled") ? power.bounded(Bound.AT_LEAST) : power;
    return new IdleFinding(
        Optional.of(bounded),
        Double.isNaN(volts) ? Optional.empty() : Optional.of(current(bounded, volts)),
        usable.filter(e -> watts > 0).map(e -> hours(bounded, e)),
        Optional.of(way),
        from,
        to,
        warnings);
  }

  private boolean warned(String code) {
    return warnings.stream().anyMatch(w -> w.code().equals(code));
  }

  private static Figure current(Figure power, double volts) {
    Budget budget = power.budget().scaled(1 / volts);
    double amps = power.value() / volts;
    return Figure.of(
        "idle_current",
        "Idle amps",
        amps,
        Unit.AMPERE,
        Because.of(
                budget,
                Figures.rounded(power.value(), power.u95())
                    + " W ÷ "
                    + Figures.fixed(volts, 2)
                    + " V = "
                    + Figures.rounded(amps, budget.u95())
                    + " A")
            .summed("at the pack's own volts")
            .from(power)
            .watching("Amps compare only between packs of the same volts."));
  }

  private static Figure hours(Figure power, Estimate usable) {
    double hours = usable.value() / power.value();
    Budget budget =
        power
            .budget()
            .scaled(hours / power.value())
            .with(
                Contribution.mostlyLimits("Usable energy", hours * usable.u95() / usable.value()));
    Figure figure =
        Figure.of(
            "idle_hours",
            "Until empty",
            hours,
            Unit.HOUR,
            Because.of(
                    budget,
                    Figures.plain(usable.value(), Unit.WATT_HOUR)
                        + " ÷ "
                        + Figures.fixed(power.value(), 1)
                        + " W = "
                        + Figures.rounded(hours, budget.u95())
                        + " h")
                .summed("from full, with nothing plugged in")
                .from(power));
    return power.bound() == Bound.AT_LEAST ? figure.bounded(Bound.AT_MOST) : figure;
  }
}
