package org.wiseember.core.efficiency;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeanScatter;

/**
 * The efficiency at one load, from one step or from several at the same load.
 *
 * @param steps in order of time, at least one
 * @param budget of the efficiency, %
 */
public record LoadPoint(List<LoadStep> steps, Budget budget) {
  /** Steps count as repeats of one load within this share of it, or within 2 W. */
  static final double SAME_LOAD = 0.02;

  static final double SAME_WATTS = 2;

  public LoadPoint {
    steps = List.copyOf(steps);
  }

  static LoadPoint of(List<LoadStep> steps, LadderMeters meters) {
    LoadPoint bare = new LoadPoint(steps, new Budget(List.of()));
    return new LoadPoint(steps, bare.budget(meters));
  }

  /** Mean watts out. */
  public double acWatts() {
    return weighted(LoadStep::acWatts);
  }

  /** Mean watts in. */
  public double dcWatts() {
    return weighted(LoadStep::dcWatts);
  }

  /** Efficiency, %. */
  public Figure efficiency() {
    return EfficiencyFigures.at(this);
  }

  /** The efficiency alone, %. */
  double percent() {
    return 100 * ratio();
  }

  public OptionalDouble dcVolts() {
    return optional(LoadStep::dcVolts);
  }

  public OptionalDouble acVolts() {
    return optional(LoadStep::acVolts);
  }

  /** What the unit's own display showed. */
  public OptionalDouble displayWatts() {
    return optional(LoadStep::displayWatts);
  }

  public int repeats() {
    return steps.size();
  }

  private double ratio() {
    return dcWatts() > 0 ? acWatts() / dcWatts() : 0;
  }

  private double weighted(ToDoubleFunction<LoadStep> what) {
    double sum = 0;
    double n = 0;
    for (LoadStep step : steps) {
      sum += what.applyAsDouble(step) * step.readings();
      n += step.readings();
    }
    return sum / n;
  }

  private OptionalDouble optional(Function<LoadStep, OptionalDouble> what) {
    return steps.stream()
        .map(what)
        .filter(OptionalDouble::isPresent)
        .mapToDouble(OptionalDouble::getAsDouble)
        .average();
  }

  private Budget budget(LadderMeters meters) {
    double percent = 100 * ratio();
    double ac = acWatts();
    double dc = dcWatts();
    if (!(ac > 0) || !(dc > 0)) {
      return new Budget(List.of());
    }
    double within = 0;
    double drift = 0;
    for (LoadStep step : steps) {
      double u = percent * step.lossScatter() / dc;
      within += u * u;
      drift = Math.max(drift, 100 * step.drift());
    }
    within = Math.sqrt(within) / steps.size();
    double between =
        steps.size() < 2
            ? 0
            : MeanScatter.of(steps.stream().mapToDouble(s -> 100 * s.efficiency()).toArray());
    Budget budget =
        Budget.of(
            between > within
                ? Contribution.typeA(
                    "Scatter of " + steps.size() + " repeats", between, steps.size())
                : Contribution.normal("Scatter and rounding", within));
    if (drift > 0) {
      budget = budget.with(Contribution.rectangular("Still moving", drift));
    }
    for (Contribution line : meters.acPower().limits("AC watts", ac, percent / ac)) {
      budget = budget.with(line);
    }
    for (Contribution line : meters.dcLimits(dcVolts(), dc, percent / dc)) {
      budget = budget.with(line);
    }
    return budget.with(Repeats.once(percent, Repeats.WHOLE_TEST));
  }
}
