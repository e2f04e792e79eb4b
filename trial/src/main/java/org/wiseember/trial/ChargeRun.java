package org.wiseember.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.because.Because;
import org.wiseember.core.because.Warning;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.workbook.Run;

/**
 * A charge and what it says.
 *
 * @param drained what the unit's last complete AC drain before it gave, Wh; empty for none
 * @param ratedWattHours on the label; NaN where it does not say
 */
public record ChargeRun(
    Run run,
    Trace trace,
    Treatment treatment,
    ChargeFinding finding,
    Optional<Estimate> drained,
    double ratedWattHours)
    implements TestRun {
  /** Energy out over energy in between the same two states, %; empty without drain or end. */
  public Optional<Estimate> roundTrip() {
    if (drained.isEmpty() || finding.energyIn().isEmpty() || finding.timeToFull().isEmpty()) {
      return Optional.empty();
    }
    Estimate out = drained.get();
    Estimate in = finding.energyIn().get();
    double ratio = 100 * out.value() / in.value();
    return Optional.of(
        new Estimate(ratio, ratio * Math.hypot(out.u95() / out.value(), in.u95() / in.value())));
  }

  /** What it says beyond its figures, a sentence each. */
  public List<String> words() {
    List<String> words = new ArrayList<>();
    finding
        .peakPower()
        .filter(p -> ratedWattHours > 0)
        .ifPresent(
            p ->
                words.add(
                    "At its peak it takes "
                        + Figures.fixed(p.value() / ratedWattHours, 2)
                        + " of its label's watt-hours an hour (C-rate, by energy)."));
    finding
        .taperShare()
        .ifPresent(
            s ->
                words.add(
                    "The power begins to fall once "
                        + Figures.fixed(s.value(), 0)
                        + " % of the energy is in."));
    roundTrip()
        .ifPresent(
            r ->
                words.add(
                    "Round trip "
                        + Figures.withUncertainty(r.value(), r.u95(), Unit.PERCENT)
                        + ": what the last AC drain gave over what this charge took from the wall,"
                        + " which holds where it was charged from that drain's cut-off."));
    return words;
  }

  @Override
  public Optional<Because> because() {
    return finding.because();
  }

  @Override
  public List<Warning> warnings() {
    return finding.warnings();
  }
}
