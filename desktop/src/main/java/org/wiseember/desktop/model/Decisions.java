package org.wiseember.desktop.model;

import org.wiseember.core.trace.Treatment;
import org.wiseember.trial.test.TestRun;

/** What a person decides about runs. Each decision can be undone; readings stay as they are. */
public final class Decisions {
  private final Desk desk;
  private final Edits edits;

  Decisions(Desk desk, Edits edits) {
    this.desk = desk;
    this.edits = edits;
  }

  /**
   * Decides about a run.
   *
   * @param words what undoing will say was undone
   */
  public void decide(TestRun run, Treatment treatment, String words) {
    if (treatment.equals(run.treatment()) || desk.refuseWhenReadOnly()) {
      return;
    }
    long runId = run.run().id();
    long unitId = run.run().unitId();
    Treatment before = run.treatment();
    edits.did(words, () -> quietly(runId, unitId, before));
    quietly(runId, unitId, treatment);
    desk.say(words + ". Every figure follows; Ctrl+Z takes it back.");
  }

  private void quietly(long runId, long unitId, Treatment treatment) {
    desk.background(
        () -> {
          desk.workbook().orElseThrow().treatments().decide(runId, treatment);
          return unitId;
        },
        id -> desk.refresh(id, false));
  }
}
