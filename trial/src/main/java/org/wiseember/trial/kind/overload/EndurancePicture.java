package org.wiseember.trial.kind.overload;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.overload.Hold;
import org.wiseember.core.overload.OverloadFinding;
import org.wiseember.core.overload.TripFit;
import org.wiseember.report.drawing.EnduranceDrawing;

/** Holds above the rating against the steps of the label, as a chart. */
final class EndurancePicture {
  private static final int STEPS = 60;

  private EndurancePicture() {}

  /** Every hold of a unit against the label's steps. */
  static EnduranceDrawing of(Label label, OverloadFinding finding) {
    List<EnduranceDrawing.Try> tries = new ArrayList<>();
    double heaviest = 0;
    double before = 0;
    int trips = 0;
    for (Hold h : finding.holds()) {
      tries.add(new EnduranceDrawing.Try(h.seconds(), h.watts(), h.tripped()));
      heaviest = Math.max(heaviest, h.watts());
      before += h.tripped() ? h.before() : 0;
      trips += h.tripped() ? 1 : 0;
    }
    List<EnduranceDrawing.Point> curve = new ArrayList<>();
    Optional<TripFit> fit = finding.fit();
    if (fit.isPresent() && trips > 0) {
      double base = before / trips;
      double from = fit.get().curve().pickUp() * 1.004;
      for (int i = 0; i <= STEPS; i++) {
        double watts = heaviest * 1.2 * Math.pow(from / (heaviest * 1.2), (double) i / STEPS);
        fit.get()
            .seconds(watts, base)
            .ifPresent(
                b -> curve.add(new EnduranceDrawing.Point(watts, b.low(), b.value(), b.high())));
      }
    }
    return new EnduranceDrawing(tries, curve, promised(label));
  }

  private static List<EnduranceDrawing.Step> promised(Label label) {
    List<EnduranceDrawing.Step> steps = new ArrayList<>();
    label
        .ratedWatts()
        .ifPresent(w -> steps.add(new EnduranceDrawing.Step(w, Double.POSITIVE_INFINITY)));
    for (Claim c : label.claims()) {
      if (c.subject() == Subject.OVERLOAD || c.subject() == Subject.SURGE) {
        steps.add(
            new EnduranceDrawing.Step(
                c.figure(), c.condition(Condition.Kind.FOR_SECONDS).orElse(1)));
      }
    }
    return steps;
  }
}
