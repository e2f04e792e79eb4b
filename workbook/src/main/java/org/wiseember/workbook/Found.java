package org.wiseember.workbook;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What was worked out of runs, and how units stand. Kept to save time and never the only copy of
 * anything: what it rests on changes, and the workbook drops it by itself.
 */
public final class Found {
  private final Workbook workbook;

  Found(Workbook workbook) {
    this.workbook = workbook;
  }

  /**
   * What was found in a run.
   *
   * @param method version of the arithmetic
   * @param asked what was asked beyond the run, with checksums of the answers, JSON
   * @param found JSON
   */
  public record Finding(String method, String asked, String found) {}

  /** What is kept of the runs of a unit, by the key of the run. */
  public Map<Long, Finding> of(long unitId) {
    record Row(long run, Finding finding) {}
    Map<Long, Finding> all = new LinkedHashMap<>();
    workbook
        .query(
            "SELECT f.run_id, f.method, f.asked, f.found FROM finding f"
                + " JOIN run r ON r.id = f.run_id WHERE r.unit_id = ?",
            s -> s.setLong(1, unitId),
            r -> new Row(r.getLong(1), new Finding(r.getString(2), r.getString(3), r.getString(4))))
        .forEach(row -> all.put(row.run(), row.finding()));
    return all;
  }

  /** Keeps what was found in runs, all or nothing. */
  public void keep(Map<Long, Finding> findings) {
    if (findings.isEmpty()) {
      return;
    }
    workbook.together(
        connection -> {
          try (var s =
              connection.prepareStatement(
                  "INSERT OR REPLACE INTO finding (run_id, method, asked, found)"
                      + " VALUES (?, ?, ?, ?)")) {
            for (Map.Entry<Long, Finding> entry : findings.entrySet()) {
              s.setLong(1, entry.getKey());
              s.setString(2, entry.getValue().method());
              s.setString(3, entry.getValue().asked());
              s.setString(4, entry.getValue().found());
              s.executeUpdate();
            }
          }
        });
  }

  /** How every unit stands that was worked out by this version, JSON by the key of the unit. */
  public Map<Long, String> standings(String method) {
    record Row(long unit, String summary) {}
    Map<Long, String> all = new LinkedHashMap<>();
    workbook
        .query(
            "SELECT unit_id, summary FROM standing WHERE method = ?",
            s -> s.setString(1, method),
            r -> new Row(r.getLong(1), r.getString(2)))
        .forEach(row -> all.put(row.unit(), row.summary()));
    return all;
  }

  /** Keeps how a unit stands, where that is not kept already. */
  public void keep(long unitId, String method, String summary) {
    List<String> before =
        workbook.query(
            "SELECT summary FROM standing WHERE unit_id = ? AND method = ?",
            s -> {
              s.setLong(1, unitId);
              s.setString(2, method);
            },
            r -> r.getString(1));
    if (before.equals(List.of(summary))) {
      return;
    }
    workbook.update(
        "INSERT OR REPLACE INTO standing (unit_id, method, summary) VALUES (?, ?, ?)",
        s -> {
          s.setLong(1, unitId);
          s.setString(2, method);
          s.setString(3, summary);
        });
  }
}
