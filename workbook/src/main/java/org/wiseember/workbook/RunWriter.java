package org.wiseember.workbook;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Writes one run as it goes. Rows wait in memory until {@link #flush()} has them on disk; when the
 * disk is full they go on waiting and nothing is lost. For one thread.
 */
public final class RunWriter {
  private final Workbook workbook;
  private final long runId;
  private final int channels;
  private final List<double[]> rows = new ArrayList<>();
  private final List<Event> events = new ArrayList<>();
  private final List<StoredCapture> captures = new ArrayList<>();
  private Blocks.Chain chain;

  RunWriter(Workbook workbook, long runId, int channels, Blocks.Chain chain) {
    this.chain = chain;
    this.workbook = workbook;
    this.runId = runId;
    this.channels = channels;
  }

  public long runId() {
    return runId;
  }

  /**
   * Takes one row; one without any reading is passed over.
   *
   * @param values one reading a channel, NaN where missing
   */
  public void append(double seconds, double[] values) {
    if (values.length != channels) {
      throw new IllegalArgumentException(values.length + " readings for " + channels + " channels");
    }
    boolean empty = true;
    for (double value : values) {
      empty &= Double.isNaN(value);
    }
    if (empty) {
      return;
    }
    double[] row = new double[channels + 1];
    row[0] = seconds;
    System.arraycopy(values, 0, row, 1, channels);
    rows.add(row);
  }

  public void note(Event event) {
    events.add(event);
  }

  /** Takes a captured wave. */
  public void capture(StoredCapture capture) {
    captures.add(capture);
  }

  /** How many rows are not on disk yet. */
  public int waiting() {
    return rows.size();
  }

  /**
   * Puts everything taken so far on disk, in one transaction.
   *
   * @throws WorkbookException when the disk does not take it; what was taken stays in memory
   */
  public void flush() {
    if (rows.isEmpty() && events.isEmpty() && captures.isEmpty()) {
      return;
    }
    Blocks.Chain[] after = {chain};
    workbook.together(
        connection -> {
          if (!rows.isEmpty()) {
            after[0] =
                chain.put(connection, runId, rows.size(), SampleBlock.encode(rows, channels));
          }
          insertEvents(connection, runId, events);
          Captures.insert(connection, runId, captures);
        });
    chain = after[0];
    rows.clear();
    events.clear();
    captures.clear();
  }

  static void insertEvents(Connection connection, long runId, List<Event> events)
      throws SQLException {
    try (PreparedStatement s =
        connection.prepareStatement(
            "INSERT INTO event (run_id, seconds, code, detail, words) VALUES (?, ?, ?, ?, ?)")) {
      for (Event event : events) {
        s.setLong(1, runId);
        s.setDouble(2, event.seconds());
        s.setString(3, event.code());
        s.setString(4, event.detail());
        s.setString(5, event.words());
        s.executeUpdate();
      }
    }
  }

  /** Closes the run; called after the last flush. */
  public void end(Run.State state, String ending) {
    workbook.update(
        "UPDATE run SET state = ?, ending = ? WHERE id = ?",
        s -> {
          s.setString(1, state.name().toLowerCase(Locale.ROOT));
          s.setString(2, ending);
          s.setLong(3, runId);
        });
  }
}
