package org.wiseember.workbook;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/** The runs of a workbook and their raw readings. */
public final class Runs {
  private static final String SELECT =
      "SELECT id, unit_id, subject_id, kind, title, started_at, state, ending, settings, channels"
          + " FROM run ";

  private static final int BLOCK_ROWS = 65_536;

  private final Workbook workbook;

  Runs(Workbook workbook) {
    this.workbook = workbook;
  }

  /** The runs of a unit, oldest first. */
  public List<Run> of(long unitId) {
    return workbook.query(
        SELECT + "WHERE unit_id = ? AND removed = 0 ORDER BY id",
        s -> s.setLong(1, unitId),
        Runs::read);
  }

  public Optional<Run> byId(long id) {
    return workbook.query(SELECT + "WHERE id = ?", s -> s.setLong(1, id), Runs::read).stream()
        .findFirst();
  }

  private static Run read(ResultSet row) throws SQLException {
    List<Channel> channels =
        Arrays.stream(row.getString(10).split(","))
            .filter(key -> !key.isEmpty())
            .map(
                key ->
                    Channel.byKey(key)
                        .orElseThrow(
                            () -> new WorkbookException("Unknown channel " + key + " in a run.")))
            .toList();
    return new Run(
        row.getLong(1),
        new RunOf(row.getLong(2), row.getLong(3)),
        row.getString(4),
        row.getString(5),
        Instant.parse(row.getString(6)),
        Run.State.valueOf(row.getString(7).toUpperCase(Locale.ROOT)),
        row.getString(8),
        RunSettings.read(row.getString(9)),
        channels);
  }

  /** The runs of a subject that is no unit, oldest first. */
  public List<Run> ofSubject(long subjectId) {
    return workbook.query(
        SELECT + "WHERE subject_id = ? AND removed = 0 ORDER BY id",
        s -> s.setLong(1, subjectId),
        Runs::read);
  }

  /** Starts a run and gives back its writer. */
  public RunWriter begin(NewRun run, List<Channel> channels) {
    long[] id = new long[1];
    workbook.together(
        connection -> id[0] = insert(connection, run, Run.State.RUNNING, "", channels));
    return new RunWriter(workbook, id[0], channels.size(), 0);
  }

  /**
   * Adds a whole run at once, from a file or a package: all of it or nothing.
   *
   * @param state how it ended; a run that was going is taken as cut short
   * @return its key
   */
  public long add(NewRun run, Run.State state, String ending, Trace trace, List<Event> events) {
    List<Channel> channels = trace.channels().stream().sorted().toList();
    Run.State kept = state == Run.State.RUNNING ? Run.State.INTERRUPTED : state;
    long[] id = new long[1];
    workbook.together(
        connection -> {
          id[0] = insert(connection, run, kept, ending, channels);
          insertSamples(connection, id[0], trace, channels);
          RunWriter.insertEvents(connection, id[0], events);
        });
    return id[0];
  }

  private static long insert(
      Connection connection, NewRun run, Run.State state, String ending, List<Channel> channels)
      throws SQLException {
    try (PreparedStatement s =
        connection.prepareStatement(
            "INSERT INTO run (unit_id, subject_id, kind, title, started_at, state, ending,"
                + " settings, channels) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)",
            Statement.RETURN_GENERATED_KEYS)) {
      run.of().into(s, 1);
      s.setString(3, run.kind());
      s.setString(4, run.title());
      s.setString(5, run.startedAt().toString());
      s.setString(6, state.name().toLowerCase(Locale.ROOT));
      s.setString(7, ending);
      s.setString(8, run.settings().json());
      s.setString(9, channels.stream().map(Channel::key).collect(Collectors.joining(",")));
      s.executeUpdate();
      try (ResultSet keys = s.getGeneratedKeys()) {
        keys.next();
        return keys.getLong(1);
      }
    }
  }

  private static void insertSamples(
      Connection connection, long runId, Trace trace, List<Channel> channels) throws SQLException {
    try (PreparedStatement s =
        connection.prepareStatement(
            "INSERT INTO sample_block (run_id, seq, rows, data) VALUES (?, ?, ?, ?)")) {
      int seq = 0;
      for (int from = 0; from < trace.size(); from += BLOCK_ROWS) {
        int rows = Math.min(BLOCK_ROWS, trace.size() - from);
        s.setLong(1, runId);
        s.setInt(2, seq++);
        s.setInt(3, rows);
        s.setBytes(4, SampleBlock.encode(trace, channels, from, rows));
        s.executeUpdate();
      }
    }
  }

  /**
   * Takes up a run that was cut short.
   *
   * @throws WorkbookException when it ended by itself or by hand
   */
  public RunWriter resume(Run run) {
    if (run.state() != Run.State.INTERRUPTED) {
      throw new WorkbookException(run.title() + " has ended; only a run cut short goes on.");
    }
    int next =
        workbook
            .query(
                "SELECT coalesce(max(seq) + 1, 0) FROM sample_block WHERE run_id = ?",
                s -> s.setLong(1, run.id()),
                r -> r.getInt(1))
            .get(0);
    workbook.update(
        "UPDATE run SET state = 'running', ending = '' WHERE id = ?", s -> s.setLong(1, run.id()));
    return new RunWriter(workbook, run.id(), run.channels().size(), next);
  }

  /** Closes a run that was cut short for good. */
  public void close(Run run, String ending) {
    workbook.update(
        "UPDATE run SET state = 'stopped', ending = ? WHERE id = ? AND state = 'interrupted'",
        s -> {
          s.setString(1, ending);
          s.setLong(2, run.id());
        });
  }

  /** Takes a run away or puts it back; its readings stay in the file. */
  public void removed(long runId, boolean away) {
    workbook.update(
        "UPDATE run SET removed = ? WHERE id = ?",
        s -> {
          s.setInt(1, away ? 1 : 0);
          s.setLong(2, runId);
        });
  }

  /** Keeps something said about a run after it ended. */
  public void note(long runId, Event event) {
    workbook.update(
        "INSERT INTO event (run_id, seconds, code, detail, words) VALUES (?, ?, ?, ?, ?)",
        s -> {
          s.setLong(1, runId);
          s.setDouble(2, event.seconds());
          s.setString(3, event.code());
          s.setString(4, event.detail());
          s.setString(5, event.words());
        });
  }

  /** Every reading of a run. */
  public Trace trace(Run run) {
    record Block(int rows, byte[] data) {}
    List<Block> blocks =
        workbook.query(
            "SELECT rows, data FROM sample_block WHERE run_id = ? ORDER BY seq",
            s -> s.setLong(1, run.id()),
            r -> new Block(r.getInt(1), r.getBytes(2)));
    int rows = blocks.stream().mapToInt(Block::rows).sum();
    double[][] columns = new double[run.channels().size() + 1][rows];
    int at = 0;
    for (Block block : blocks) {
      SampleBlock.decode(block.data(), block.rows(), columns, at);
      at += block.rows();
    }
    Map<Channel, double[]> values = new EnumMap<>(Channel.class);
    for (int i = 0; i < run.channels().size(); i++) {
      values.put(run.channels().get(i), columns[i + 1]);
    }
    return Trace.takingOver(columns[0], values);
  }

  /** What was noticed and marked, in order of time. */
  public List<Event> events(long runId) {
    return workbook.query(
        "SELECT seconds, code, detail, words FROM event WHERE run_id = ? ORDER BY seconds, id",
        s -> s.setLong(1, runId),
        r -> new Event(r.getDouble(1), r.getString(2), r.getString(3), r.getString(4)));
  }

  /** Called when the workbook is opened for writing: what still says running was cut short. */
  void markInterrupted() {
    workbook.update(
        "UPDATE run SET state = 'interrupted', ending ="
            + " 'The program ended while this ran; every reading up to then is kept.'"
            + " WHERE state = 'running'",
        s -> {});
  }
}
