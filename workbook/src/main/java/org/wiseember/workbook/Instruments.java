package org.wiseember.workbook;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** The instruments of a workbook's bench, as the texts of their description files. */
public final class Instruments {
  private final Workbook workbook;

  Instruments(Workbook workbook) {
    this.workbook = workbook;
  }

  /**
   * One of them.
   *
   * @param description JSON, see docs/formats.md
   */
  public record Kept(long id, String description) {}

  /** All that are on the bench, in the order they were added. */
  public List<Kept> all() {
    return workbook.query(
        "SELECT id, description FROM instrument WHERE removed = 0 ORDER BY id",
        s -> {},
        r -> new Kept(r.getLong(1), r.getString(2)));
  }

  /** When an instrument was last checked against a better one; empty where nobody said. */
  public Optional<LocalDate> checkedOn(long id) {
    return workbook
        .query(
            "SELECT checked_on FROM instrument WHERE id = ?",
            s -> s.setLong(1, id),
            r -> Dates.read(r.getString(1)))
        .stream()
        .findFirst()
        .flatMap(day -> day);
  }

  public void checkedOn(long id, Optional<LocalDate> day) {
    workbook.update(
        "UPDATE instrument SET checked_on = ? WHERE id = ?",
        s -> {
          s.setString(1, Dates.write(day));
          s.setLong(2, id);
        });
  }

  public long add(String description) {
    return workbook.update(
        "INSERT INTO instrument (description) VALUES (?)", s -> s.setString(1, description));
  }

  public void change(long id, String description) {
    workbook.update(
        "UPDATE instrument SET description = ? WHERE id = ?",
        s -> {
          s.setString(1, description);
          s.setLong(2, id);
        });
  }

  /** Takes one off the bench or puts it back. */
  public void removed(long id, boolean away) {
    workbook.update(
        "UPDATE instrument SET removed = ? WHERE id = ?",
        s -> {
          s.setInt(1, away ? 1 : 0);
          s.setLong(2, id);
        });
  }
}
