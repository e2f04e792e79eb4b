package org.wiseember.core.efficiency;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * Conversion efficiency from the trace of a ladder: settled loads, η = P_ac ÷ P_dc at the same
 * moments, the loss curve through them, its peak, the weighted figures and the droop.
 *
 * <p>Source: IEC 61683 for the procedure (recalled from memory); EN 50530 and the CEC protocol for
 * the weights.
 */
public final class EfficiencyLadder {
  /**
   * A weighting point counts as measured up to this share beyond the lightest and heaviest load.
   */
  private static final double BEYOND = 0.1;

  /** Loads within this many points of the peak are good ones. */
  private static final double GOOD = 0.02;

  /**
   * Rounding of the volts is worth a word when it alone moves the efficiency by so much, points.
   */
  private static final double ROUNDING_POINTS = 0.3;

  private final LadderMeters meters;
  private final double ratedWatts;
  private final Trace trace;
  private final List<Warning> warnings = new ArrayList<>();

  private EfficiencyLadder(Trace trace, LadderMeters meters, double ratedWatts) {
    this.trace = trace;
    this.meters = meters;
    this.ratedWatts = ratedWatts;
  }

  /**
   * Works out a ladder.
   *
   * @param trace with AC watts, and DC watts or DC volts and amps; may be empty
   * @param ratedWatts the unit's rating for the weighted figures, W; NaN where unknown
   * @param treatment what the tester left out
   */
  public static EfficiencyFinding of(
      Trace trace, LadderMeters meters, double ratedWatts, Treatment treatment) {
    return new EfficiencyLadder(treatment.of(trace), meters, ratedWatts).find();
  }

  private EfficiencyFinding find() {
    LadderReadings readings = LadderReadings.of(trace);
    warnings.addAll(readings.warnings());
    if (readings.isEmpty()) {
      warnings.add(new Warning("no_pairs", missing()));
      return none();
    }
    if (meters.assumed()) {
      warnings.add(
          new Warning(
              "accuracy_assumed",
              "The meters' accuracy was not given; ± 2 % of reading is assumed of watts, volts and"
                  + " amps."));
    }
    StepFinder finder = new StepFinder(readings, meters);
    List<LoadStep> steps = finder.find();
    warnings.addAll(finder.warnings());
    noteRounding(readings, steps);
    List<LoadStep> empty = steps.stream().filter(s -> s.acWatts() <= NO_LOAD).toList();
    List<LoadPoint> points = grouped(steps.stream().filter(s -> s.acWatts() > NO_LOAD).toList());
    points = possible(points);
    if (points.isEmpty()) {
      warnings.add(
          new Warning(
              "no_steps", "No load lasted long enough to settle, so there is no efficiency."));
      return none();
    }
    Optional<LossFit> fit = fit(points, empty);
    return withFigures(points, empty, fit);
  }

  private static final double NO_LOAD = 0.5;

  private String missing() {
    boolean ac =
        trace.has(Channel.AC_POWER)
            || (trace.has(Channel.AC_VOLTAGE) && trace.has(Channel.AC_CURRENT));
    boolean dc =
        trace.has(Channel.DC_POWER)
            || (trace.has(Channel.DC_VOLTAGE) && trace.has(Channel.DC_CURRENT));
    if (!ac && trace.has(Channel.DISPLAY_POWER)) {
      return "The only AC watts in this log are those of the unit's own display, which is what a"
          + " test is to check; log a meter's watts.";
    }
    if (!ac) {
      return "This log has no AC watts, so there is no efficiency.";
    }
    return dc
        ? "AC and DC were never read at the same moment, so there is no efficiency."
        : "This log has no DC watts, and no DC volts with DC amps, so there is no efficiency.";
  }

  private EfficiencyFinding none() {
    return new EfficiencyFinding(
        List.of(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Map.of(),
        Double.NaN,
        Double.NaN,
        Optional.empty(),
        warnings);
  }

  /** Rounded volts move the efficiency without anybody seeing it. */
  private void noteRounding(LadderReadings readings, List<LoadStep> steps) {
    double least =
        steps.stream()
            .map(LoadStep::dcVolts)
            .flatMapToDouble(OptionalDouble::stream)
            .filter(v -> v > 0)
            .min()
            .orElse(Double.NaN);
    double points = 100 * readings.voltStep() / 2 / least;
    if (points >= ROUNDING_POINTS) {
      warnings.add(
          new Warning(
              "rounded_volts",
              "The DC volts are read in steps of "
                  + Figures.plain(readings.voltStep(), Unit.VOLT)
                  + "; rounding alone may move the efficiency by "
                  + Figures.fixed(points, 1)
                  + " points. Note one more digit."));
    }
  }

  /** Steps at the same load together, from light to heavy. */
  private List<LoadPoint> grouped(List<LoadStep> steps) {
    List<LoadStep> sorted = new ArrayList<>(steps);
    sorted.sort(Comparator.comparingDouble(LoadStep::acWatts));
    List<LoadPoint> points = new ArrayList<>();
    List<LoadStep> group = new ArrayList<>();
    for (LoadStep step : sorted) {
      if (!group.isEmpty()) {
        double apart = step.acWatts() - group.get(0).acWatts();
        if (apart > Math.max(LoadPoint.SAME_WATTS, LoadPoint.SAME_LOAD * step.acWatts())) {
          points.add(inTime(group));
          group.clear();
        }
      }
      group.add(step);
    }
    if (!group.isEmpty()) {
      points.add(inTime(group));
    }
    return points;
  }

  private LoadPoint inTime(List<LoadStep> group) {
    return LoadPoint.of(
        group.stream().sorted(Comparator.comparingDouble(LoadStep::from)).toList(), meters);
  }

  /** More out than in beyond all doubt is a slip of the rig and no efficiency. */
  private List<LoadPoint> possible(List<LoadPoint> points) {
    List<LoadPoint> good =
        points.stream().filter(p -> p.efficiency().low() <= 100 && p.dcWatts() > 0).toList();
    if (good.size() < points.size()) {
      LoadPoint odd = points.stream().filter(p -> !good.contains(p)).findFirst().orElseThrow();
      warnings.add(
          new Warning(
              "more_out_than_in",
              "At "
                  + Figures.fixed(odd.acWatts(), 0)
                  + " W more came out than went in ("
                  + Figures.fixed(odd.dcWatts(), 0)
                  + " W): a source fed the unit, the clamp is not on every lead, or a meter is"
                  + " wrong. Left out."));
    }
    return good;
  }

  private Optional<LossFit> fit(List<LoadPoint> points, List<LoadStep> empty) {
    List<LoadStep> steps = new ArrayList<>(empty);
    points.forEach(p -> steps.addAll(p.steps()));
    if (points.size() + (empty.isEmpty() ? 0 : 1) < LossFit.LEAST_LOADS) {
      warnings.add(
          new Warning(
              "too_few_loads",
              "A loss curve needs three different loads; this log has "
                  + points.size()
                  + (empty.isEmpty() ? "" : " and the draw without load")
                  + "."));
      return Optional.empty();
    }
    return Optional.of(
        LossFit.through(
            LadderShifts.points(steps),
            LadderShifts.of(steps, meters),
            LadderShifts.bends(steps, meters)));
  }

  private EfficiencyFinding withFigures(
      List<LoadPoint> points, List<LoadStep> empty, Optional<LossFit> fit) {
    Optional<Figure> peak = Optional.empty();
    Optional<Figure> at = Optional.empty();
    Map<Weighting, Figure> weighted = new EnumMap<>(Weighting.class);
    double from = Double.NaN;
    double to = Double.NaN;
    double heaviest = points.get(points.size() - 1).acWatts();
    double lightest = points.get(0).acWatts();
    if (fit.isPresent()) {
      LossCurve curve = fit.get().curve();
      double load = curve.peakLoad();
      if (load > 0 && Double.isFinite(load)) {
        from = crossing(curve, lightest / 10, load);
        to = Math.min(crossing(curve, heaviest * 2, load), heaviest);
        notePeak(load, lightest, heaviest);
        peak = Optional.of(EfficiencyFigures.peak(fit.get(), points, from, to, warnings));
        at = Optional.of(EfficiencyFigures.peakLoad(fit.get(), points));
      } else {
        noteNoPeak(load);
      }
      weigh(fit.get(), points, weighted);
    } else {
      warnings.add(
          new Warning("no_peak", "Without a curve there is no peak and no weighted efficiency."));
    }
    List<LoadStep> all = new ArrayList<>(empty);
    points.forEach(p -> all.addAll(p.steps()));
    return new EfficiencyFinding(
        points,
        noLoad(empty),
        fit,
        peak,
        at,
        weighted,
        from,
        to,
        Droop.of(all, Double.isNaN(ratedWatts) ? heaviest : ratedWatts),
        warnings);
  }

  private void notePeak(double load, double lightest, double heaviest) {
    if (load < lightest || load > heaviest) {
      warnings.add(
          new Warning(
              "peak_extrapolated",
              "The peak of the curve lies at "
                  + Figures.fixed(load, 0)
                  + " W, "
                  + (load > heaviest ? "above the heaviest" : "below the lightest")
                  + " load that was measured; a load there would show it."));
    }
  }

  private void noteNoPeak(double load) {
    warnings.add(
        new Warning(
            "no_peak",
            load == 0
                ? "The losses show no draw without load, so the efficiency only falls with load and"
                    + " has no peak. Measure lighter loads."
                : "The losses show no part that grows with the square of the load, so the"
                    + " efficiency only rises and has no peak. Measure heavier loads."));
  }

  private void weigh(LossFit fit, List<LoadPoint> points, Map<Weighting, Figure> weighted) {
    double lightest = points.get(0).acWatts();
    double heaviest = points.get(points.size() - 1).acWatts();
    if (Double.isNaN(ratedWatts)) {
      warnings.add(
          new Warning(
              "no_rating",
              "No rated power was given, so there are no European and Californian efficiencies."));
      return;
    }
    for (Weighting weighting : Weighting.values()) {
      weighted.put(weighting, EfficiencyFigures.weighted(weighting, ratedWatts, fit, points));
      List<String> beyond =
          weighting.shares().stream()
              .filter(
                  s -> {
                    double load = s.percent() / 100 * ratedWatts;
                    return load < lightest * (1 - BEYOND) || load > heaviest * (1 + BEYOND);
                  })
              .map(s -> Figures.plain(s.percent()) + " %")
              .toList();
      if (!beyond.isEmpty()) {
        warnings.add(
            new Warning(
                "extrapolated",
                weighting.words()
                    + " efficiency: read off the curve beyond the measured loads at "
                    + String.join(", ", beyond)
                    + " of the rating."));
      }
    }
  }

  /** The load between the peak and a far one where the efficiency leaves the good ones. */
  private static double crossing(LossCurve curve, double far, double peak) {
    double least = curve.peakEfficiency() - GOOD;
    if (curve.efficiency(far) >= least) {
      return far;
    }
    double bad = far;
    double good = peak;
    for (int i = 0; i < 60; i++) {
      double middle = (bad + good) / 2;
      if (curve.efficiency(middle) >= least) {
        good = middle;
      } else {
        bad = middle;
      }
    }
    return good;
  }

  private Optional<Figure> noLoad(List<LoadStep> empty) {
    if (empty.isEmpty()) {
      return Optional.empty();
    }
    double watts = empty.stream().mapToDouble(LoadStep::dcWatts).average().orElse(0);
    double scatter =
        Math.sqrt(empty.stream().mapToDouble(s -> s.lossScatter() * s.lossScatter()).sum())
            / empty.size();
    List<Contribution> lines = new ArrayList<>();
    lines.add(Contribution.normal("Scatter and rounding", scatter));
    lines.addAll(meters.dcLimits(empty.get(0).dcVolts(), watts, 1));
    return Optional.of(EfficiencyFigures.noLoad(watts, new Budget(lines), empty.size()));
  }
}
