package org.wiseember.trial.finding;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.workbook.OnDemand;
import org.wiseember.workbook.Run;

/**
 * A run that cannot be worked out: it stands in its place, says why, and counts for nothing, while
 * the others go on.
 *
 * @param kept without a reading
 * @param why one sentence
 */
record NotWorkedOut(StoredRun kept, String why) implements TestRun {
  static NotWorkedOut of(TestType type, Run run, String why) {
    return new NotWorkedOut(
        new StoredRun(type, run, Treatment.NONE, OnDemand.of(Trace.empty()), List.of()), why);
  }

  @Override
  public Optional<String> unreadable() {
    return Optional.of(why);
  }

  @Override
  public List<Figure> figures() {
    return List.of();
  }

  @Override
  public List<Warning> warnings() {
    return List.of(new Warning("not_worked_out", why));
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    return FindingPage.of(List.of());
  }
}
