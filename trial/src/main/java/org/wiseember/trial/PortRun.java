package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.port.PortFinding;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.workbook.Run;

/** A DC port under rising current and what it says. */
public record PortRun(Run run, Trace trace, Treatment treatment, PortFinding finding)
    implements TestRun {
  @Override
  public Optional<Because> because() {
    return finding.because();
  }

  @Override
  public List<Warning> warnings() {
    return finding.warnings();
  }
}
