package org.wiseember.core.efficiency;

import static java.util.Comparator.comparingDouble;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.wiseember.core.uncertainty.Contribution;

/**
 * The points of a ladder, and what they would be if one of the meters were off as far as its class
 * allows. A meter is off by the same share, or by the same digits, at every load.
 */
final class LadderShifts {
  /** Even a perfect row of readings is not surer than this share of what went in. */
  private static final double LEAST_SCATTER = 1e-4;

  private static final double LEAST_WATTS = 0.01;

  private LadderShifts() {}

  static List<LossFit.Point> points(List<LoadStep> steps) {
    return steps.stream().map(s -> point(s, 0, 0)).toList();
  }

  static List<LossFit.Shift> of(List<LoadStep> steps, LadderMeters meters) {
    List<LossFit.Shift> shifts = new ArrayList<>();
    LoadStep any = steps.get(steps.size() - 1);
    int acLines = meters.acPower().limits("AC watts", any.acWatts(), 1).size();
    for (int k = 0; k < acLines; k++) {
      int line = k;
      shifts.add(
          shift(
              meters.acPower().limits("AC watts", any.acWatts(), 1).get(line).name(),
              steps,
              s ->
                  halfWidth(
                      meters.acPower().limits("", s.acWatts(), s.acWatts() > 0 ? 1 : 0), line),
              s -> 0.0));
    }
    int dcLines = dc(meters, any).size();
    for (int k = 0; k < dcLines; k++) {
      int line = k;
      shifts.add(
          shift(
              dc(meters, any).get(line).name(),
              steps,
              s -> 0.0,
              s -> halfWidth(dc(meters, s), line)));
    }
    return shifts;
  }

  /** The same at one load alone, for each load and cause. */
  static List<LossFit.Shift> bends(List<LoadStep> steps, LadderMeters meters) {
    List<LossFit.Shift> bends = new ArrayList<>();
    List<LossFit.Point> as = points(steps);
    for (LossFit.Shift all : of(steps, meters)) {
      double done = -1;
      for (LoadStep at : steps.stream().sorted(comparingDouble(LoadStep::acWatts)).toList()) {
        if (at.acWatts() <= done) {
          continue;
        }
        double upTo = at.acWatts() * (1 + LoadPoint.SAME_LOAD) + LoadPoint.SAME_WATTS;
        done = upTo;
        List<LossFit.Point> one = new ArrayList<>(as);
        for (int i = 0; i < one.size(); i++) {
          double watts = steps.get(i).acWatts();
          if (watts >= at.acWatts() && watts <= upTo) {
            one.set(i, all.points().get(i));
          }
        }
        bends.add(new LossFit.Shift(all.name(), one));
      }
    }
    return bends;
  }

  private static List<Contribution> dc(LadderMeters meters, LoadStep step) {
    OptionalDouble volts = step.dcVolts();
    return meters.dcLimits(volts, step.dcWatts(), 1);
  }

  private static double halfWidth(List<Contribution> lines, int line) {
    return line < lines.size() ? lines.get(line).standard() * Math.sqrt(3) : 0;
  }

  private interface Off {
    double at(LoadStep step);
  }

  private static LossFit.Shift shift(String name, List<LoadStep> steps, Off ac, Off dc) {
    return new LossFit.Shift(name, steps.stream().map(s -> point(s, ac.at(s), dc.at(s))).toList());
  }

  private static LossFit.Point point(LoadStep step, double acOff, double dcOff) {
    double scatter =
        Math.max(
            LEAST_WATTS,
            Math.hypot(
                Math.hypot(step.lossScatter(), LEAST_SCATTER * step.dcWatts()),
                step.drift() * step.dcWatts() / Math.sqrt(3)));
    return new LossFit.Point(
        Math.max(0, step.acWatts() + acOff), step.loss() + dcOff - acOff, scatter);
  }
}
