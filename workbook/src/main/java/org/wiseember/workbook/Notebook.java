package org.wiseember.workbook;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;

/**
 * What a person pressed and wrote while runs went, or afterwards. Lines are never altered: one that
 * was wrong is struck, and the right one written beside it.
 */
public final class Notebook {
  private static final String COLUMNS =
      "id, earliest, latest, press, subject, words, who, sha256, at";

  private final Workbook workbook;

  Notebook(Workbook workbook) {
    this.workbook = workbook;
  }

  /** Keeps a line and the readings that stand in it, together or not at all; gives its key. */
  public long keep(long runId, NotebookLine line, List<StoredReading> readings) {
    long[] id = new long[1];
    workbook.together(
        connection -> {
          id[0] = insert(connection, runId, line);
          for (StoredReading reading : readings) {
            TypedReadings.insert(connection, runId, reading, id[0]);
          }
        });
    return id[0];
  }

  private static long insert(Connection connection, long runId, NotebookLine line)
      throws SQLException {
    try (PreparedStatement s =
        connection.prepareStatement(
            "INSERT INTO notebook (run_id, earliest, latest, press, subject, words, who, sha256, at)"
                + " VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)",
            Statement.RETURN_GENERATED_KEYS)) {
      s.setLong(1, runId);
      s.setDouble(2, line.earliest());
      s.setDouble(3, line.latest());
      s.setString(4, line.press().map(OperatorEvent::key).orElse(""));
      Numbers.set(s, 5, line.subject());
      s.setString(6, line.words());
      s.setString(7, line.who());
      s.setBytes(8, Seal.of(line));
      Numbers.set(s, 9, line.when().isCentred() ? Double.NaN : line.seconds());
      s.executeUpdate();
      try (ResultSet keys = s.getGeneratedKeys()) {
        keys.next();
        return keys.getLong(1);
      }
    }
  }

  /** Takes a line back with the readings in it, or back again; it stays in the file. */
  public void struck(long id, boolean away) {
    workbook.together(
        connection -> {
          for (String sql :
              List.of(
                  "UPDATE notebook SET struck = ? WHERE id = ?",
                  "UPDATE typed_reading SET struck = ? WHERE line_id = ?")) {
            try (PreparedStatement s = connection.prepareStatement(sql)) {
              s.setInt(1, away ? 1 : 0);
              s.setLong(2, id);
              s.executeUpdate();
            }
          }
        });
  }

  /**
   * Writes a line in place of another, which is struck with the readings in it.
   *
   * @return the key of the new one
   */
  public long replace(long runId, long old, NotebookLine line, List<StoredReading> readings) {
    long[] id = new long[1];
    workbook.allOrNothing(
        () -> {
          struck(old, true);
          id[0] = keep(runId, line, readings);
        });
    return id[0];
  }

  /** A line and the readings that stand in it. */
  public record Written(NotebookLine line, List<StoredReading> readings) {}

  /** The lines of a run that count with their readings, in order of time. */
  public List<Written> written(long runId) {
    return of(runId).stream()
        .map(l -> new Written(l, workbook.typedReadings().inLine(l.id())))
        .toList();
  }

  /**
   * The lines of a run that count, in order of time.
   *
   * @throws WorkbookException where one is not as it was written
   */
  public List<NotebookLine> of(long runId) {
    return workbook.query(
        "SELECT "
            + COLUMNS
            + " FROM notebook WHERE run_id = ? AND struck = 0"
            + " ORDER BY coalesce(at, (earliest + latest) / 2), id",
        s -> s.setLong(1, runId),
        r -> whole(runId, r));
  }

  /** What was pressed in a run, in order of time. */
  public List<TimedOperatorEvent> pressed(long runId) {
    return of(runId).stream().flatMap(l -> l.pressed().stream()).toList();
  }

  private static Moment when(double earliest, double latest, double at) {
    return Double.isNaN(at) ? Moment.between(earliest, latest) : new Moment(at, earliest, latest);
  }

  private NotebookLine whole(long runId, ResultSet r) throws SQLException {
    String key = r.getString(4);
    Optional<OperatorEvent> press = OperatorEvent.byKey(key);
    NotebookLine line =
        new NotebookLine(
            r.getLong(1),
            when(r.getDouble(2), r.getDouble(3), Numbers.orNaN(r, 9)),
            press,
            Numbers.orNaN(r, 5),
            r.getString(6),
            r.getString(7));
    if ((key.isEmpty() || press.isPresent()) && Seal.same(Seal.of(line), r.getBytes(8))) {
      return line;
    }
    Run run = workbook.runs().byId(runId).orElseThrow();
    throw workbook.damage().found(run, "the notebook line “" + line.words() + "” is damaged");
  }
}
