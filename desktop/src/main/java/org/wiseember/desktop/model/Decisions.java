package org.wiseember.desktop.model;

import org.wiseember.core.trace.Treatment;
import org.wiseember.trial.kind.TestRun;

/** What a person decides about runs. Each decision can be undone; readings stay as they are. */
public final class Decisions {
  private final Session session;
  private final Edits edits;

  Decisions(Session session, Edits edits) {
    this.session = session;
    this.edits = edits;
  }

  /**
   * Decides about a run.
   *
   * @param words what undoing will say was undone
   */
  public void decide(TestRun run, Treatment treatment, String words) {
    if (treatment.equals(run.treatment()) || session.refuseWhenReadOnly()) {
      return;
    }
    long runId = run.run().id();
    long unitId = run.run().unitId();
    Treatment before = run.treatment();
    edits.did(words, () -> quietly(runId, unitId, before));
    quietly(runId, unitId, treatment);
    session.say(words + ". Every figure follows; Ctrl+Z takes it back.");
  }

  /**
   * Sets a whole run aside: it stays to be looked at and counts for nothing.
   *
   * @param reason why, which whoever reads the figures will ask
   */
  public void setAside(TestRun run, String reason) {
    if (reason.isBlank()) {
      session.say("Say why the run is set aside; whoever reads the figures will ask.");
      return;
    }
    decide(run, run.treatment().settingAside(reason), run.run().title() + " set aside");
  }

  /** Has a run that was set aside count again. */
  public void takeBack(TestRun run) {
    decide(run, run.treatment().settingAside(""), run.run().title() + " included");
  }

  private void quietly(long runId, long unitId, Treatment treatment) {
    session.background(
        () -> {
          session.workbook().orElseThrow().treatments().decide(runId, treatment);
          return unitId;
        },
        id -> session.refresh(id));
  }
}
