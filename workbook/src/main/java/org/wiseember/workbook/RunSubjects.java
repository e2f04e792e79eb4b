package org.wiseember.workbook;

import java.util.List;
import java.util.Locale;

/** Appliances, mains and generators: what is looked at beside the units. */
public final class RunSubjects {
  private final Workbook workbook;

  RunSubjects(Workbook workbook) {
    this.workbook = workbook;
  }

  /** All that were not taken away, in the order they were added. */
  public List<RunSubject> all() {
    return workbook.query(
        "SELECT id, kind, name FROM subject WHERE removed = 0 ORDER BY id",
        s -> {},
        r ->
            new RunSubject(
                r.getLong(1),
                RunSubject.Kind.valueOf(r.getString(2).toUpperCase(Locale.ROOT)),
                r.getString(3)));
  }

  /** The one of that kind and name, which is a new one where there is none. */
  public RunSubject named(RunSubject.Kind kind, String name) {
    return all().stream()
        .filter(s -> s.kind() == kind && s.name().equals(name))
        .findFirst()
        .orElseGet(() -> add(kind, name));
  }

  public RunSubject add(RunSubject.Kind kind, String name) {
    long id =
        workbook.update(
            "INSERT INTO subject (kind, name) VALUES (?, ?)",
            s -> {
              s.setString(1, kind.key());
              s.setString(2, name);
            });
    return new RunSubject(id, kind, name);
  }

  /** Takes one away or puts it back; its runs stay in the file. */
  public void removed(long id, boolean away) {
    workbook.update(
        "UPDATE subject SET removed = ? WHERE id = ?",
        s -> {
          s.setBoolean(1, away);
          s.setLong(2, id);
        });
  }
}
