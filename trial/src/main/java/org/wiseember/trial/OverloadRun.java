package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.overload.OverloadFinding;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.workbook.Run;

/**
 * A ladder of loads above the rating and what it says.
 *
 * @param recovery how the output came back after the trips, a sentence each
 */
public record OverloadRun(
    Run run, Trace trace, Treatment treatment, OverloadFinding finding, List<String> recovery)
    implements TestRun {
  public OverloadRun {
    recovery = List.copyOf(recovery);
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
