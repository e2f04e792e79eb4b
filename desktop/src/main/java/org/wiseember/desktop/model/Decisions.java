package org.wiseember.desktop.model;

import org.wiseember.core.trace.Treatment;
import org.wiseember.trial.kind.TestRun;

/** What a person decides about runs. Each decision can be undone; readings stay as they are. */
public final class Decisions {
  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final Edits edits;

  Decisions(OpenWorkbook open, UnitShelf shelf) {
    this.open = open;
    this.shelf = shelf;
    this.edits = open.edits();
  }

  /**
   * Decides about a run.
   *
   * @param words what undoing will say was undone
   */
  public void decide(TestRun run, Treatment treatment, String words) {
    if (treatment.equals(run.treatment()) || open.refuseWhenReadOnly()) {
      return;
    }
    long runId = run.run().id();
    long unitId = run.run().unitId();
    Treatment before = run.treatment();
    edits.did(words, () -> quietly(runId, unitId, before));
    quietly(runId, unitId, treatment);
    open.say(words + ". Every figure follows; Ctrl+Z takes it back.");
  }

  /**
   * Sets a whole run aside: it stays to be looked at and counts for nothing.
   *
   * @param reason why, which whoever reads the figures will ask
   */
  public void setAside(TestRun run, String reason) {
    if (reason.isBlank()) {
      open.say("Say why the run is set aside; whoever reads the figures will ask.");
      return;
    }
    decide(run, run.treatment().settingAside(reason), run.run().title() + " set aside");
  }

  /** Has a run that was set aside count again. */
  public void takeBack(TestRun run) {
    decide(run, run.treatment().settingAside(""), run.run().title() + " included");
  }

  private void quietly(long runId, long unitId, Treatment treatment) {
    open.background(
        () -> {
          open.workbook().orElseThrow().treatments().decide(runId, treatment);
          return unitId;
        },
        id -> shelf.refresh(id));
  }
}
