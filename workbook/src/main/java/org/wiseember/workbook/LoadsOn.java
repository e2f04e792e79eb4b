package org.wiseember.workbook;

import java.time.Instant;
import java.util.List;

/**
 * Loads that instruments were told to switch on and that are not known to be off again. Written
 * before the command goes out, so that a killed program leaves word of them.
 */
public final class LoadsOn {
  private final Workbook workbook;

  LoadsOn(Workbook workbook) {
    this.workbook = workbook;
  }

  /**
   * One of them.
   *
   * @param runTitle of the run that switched it on
   * @param instrument that switches it, as the JSON of its description
   */
  public record Kept(long runId, String runTitle, String instrument, Instant since) {}

  /** Keeps that a load is about to be switched on. */
  public void add(long runId, String instrument) {
    workbook.update(
        "INSERT INTO load_on (run_id, instrument, since) VALUES (?, ?, ?)",
        s -> {
          s.setLong(1, runId);
          s.setString(2, instrument);
          s.setString(3, workbook.clock().instant().toString());
        });
  }

  /** Forgets an instrument's load: it is off, by what the instrument or a person says. */
  public void forget(String instrument) {
    workbook.update("DELETE FROM load_on WHERE instrument = ?", s -> s.setString(1, instrument));
  }

  /** All that may still be on, oldest first. */
  public List<Kept> all() {
    return workbook.query(
        "SELECT l.run_id, r.title, l.instrument, l.since FROM load_on l"
            + " JOIN run r ON r.id = l.run_id ORDER BY l.id",
        s -> {},
        r -> new Kept(r.getLong(1), r.getString(2), r.getString(3), Instant.parse(r.getString(4))));
  }
}
