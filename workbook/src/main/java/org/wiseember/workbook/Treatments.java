package org.wiseember.workbook;

import org.wiseember.core.trace.Treatment;

/** What testers decided about runs. Older decisions are kept; raw readings are never touched. */
public final class Treatments {
  private final Workbook workbook;

  Treatments(Workbook workbook) {
    this.workbook = workbook;
  }

  /** The decision in force for a run. */
  public Treatment of(long runId) {
    return workbook
        .query(
            "SELECT decided FROM treatment WHERE run_id = ? ORDER BY id DESC LIMIT 1",
            s -> s.setLong(1, runId),
            r -> TreatmentJson.read(r.getString(1)))
        .stream()
        .findFirst()
        .orElse(Treatment.NONE);
  }

  /** Decides anew. */
  public void decide(long runId, Treatment treatment) {
    String text = TreatmentJson.node(treatment).toString();
    workbook.update(
        "INSERT INTO treatment (run_id, decided, saved_at) VALUES (?, ?, ?)",
        s -> {
          s.setLong(1, runId);
          s.setString(2, text);
          s.setString(3, workbook.clock().instant().toString());
        });
  }
}
