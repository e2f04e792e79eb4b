package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.display.PowerDisplay;
import org.wiseember.core.efficiency.EfficiencyFinding;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.workbook.Run;

/** A ladder of loads and what it says. */
public record LadderRun(Run run, Trace trace, Treatment treatment, EfficiencyFinding finding)
    implements TestRun {

  /** The unit's power display at every load where it was read. */
  public Optional<PowerDisplay> powerDisplay() {
    List<PowerDisplay.Load> loads =
        finding.points().stream()
            .filter(p -> p.displayWatts().isPresent())
            .map(p -> new PowerDisplay.Load(p.acWatts(), p.displayWatts().getAsDouble()))
            .toList();
    return loads.isEmpty() ? Optional.empty() : Optional.of(new PowerDisplay(loads));
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
