package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.ShutOff;
import org.wiseember.core.display.ChargeDisplay;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.workbook.Run;

/**
 * A drain and what it says.
 *
 * @param shutOff why the unit shut off, where it or the tester said so
 */
public record DrainRun(
    Run run, Trace trace, Treatment treatment, CapacityFinding finding, Optional<ShutOff> shutOff)
    implements TestRun {
  /** A display read up to here after the load went on was read at the start, s. */
  private static final double AT_THE_START = 60;

  /**
   * Whether it went from full to the cut-off, so that the figure is the unit's and not the
   * tester's.
   */
  public boolean complete() {
    return startedFull()
        && run.state() == Run.State.DONE
        && finding.reachesCutoff()
        && shutOff.map(ShutOff::ownLimit).orElse(true);
  }

  /** A display that was read at the start has to say full; one read later says nothing of it. */
  private boolean startedFull() {
    Series display = trace.series(Channel.DISPLAY_CHARGE);
    return display.size() == 0
        || !(display.seconds(0) <= finding.startTime() + AT_THE_START)
        || display.value(0) >= Drain.FULL_DISPLAY;
  }

  /** Whether it was taken on the DC side. */
  public boolean direct() {
    return run.kind().equals(Drain.DC)
        || (finding.deliveredEnergy().isPresent() && !finding.alternatingCurrent());
  }

  /** Mean watts under load; 0 where there are none. */
  public double meanWatts() {
    return finding.meanPower().map(Estimate::value).orElse(0.0);
  }

  /** Its charge display against the energy it counted. */
  public Optional<ChargeDisplay> chargeDisplay() {
    return complete() ? ChargeDisplay.of(treatment.of(trace), finding) : Optional.empty();
  }

  @Override
  public Optional<Because> because() {
    return finding.because();
  }

  @Override
  public List<Warning> warnings() {
    return Stream.concat(finding.warnings().stream(), shutOff.map(ShutOff::warning).stream())
        .toList();
  }
}
