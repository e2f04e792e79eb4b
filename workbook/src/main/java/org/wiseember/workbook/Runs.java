package org.wiseember.workbook;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.OnwardClock;
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
    return workbook
        .query(SELECT + "WHERE unit_id = ? AND removed = 0", s -> s.setLong(1, unitId), this::read)
        .stream()
        .sorted(Run.OLDEST_FIRST)
        .toList();
  }

  /** The runs that were taken away from units, oldest first. */
  public List<Run> off() {
    return workbook.query(
        SELECT + "WHERE unit_id IS NOT NULL AND removed = 1 ORDER BY id", s -> {}, this::read);
  }

  /** Every run, those of units off the shelf among them, oldest first. */
  public List<Run> all() {
    return workbook.query(SELECT + "ORDER BY id", s -> {}, this::read);
  }

  public Optional<Run> byId(long id) {
    return workbook.query(SELECT + "WHERE id = ?", s -> s.setLong(1, id), this::read).stream()
        .findFirst();
  }

  /** A row that makes no sense is a run all the same: it is there, and said to be damaged. */
  private Run read(ResultSet row) throws SQLException {
    long id = row.getLong(1);
    RunOf of = new RunOf(row.getLong(2), row.getLong(3));
    String kind = row.getString(4);
    String title = row.getString(5);
    try {
      return new Run(
          id,
          of,
          kind,
          title,
          Instant.parse(row.getString(6)),
          Run.State.valueOf(row.getString(7).toUpperCase(Locale.ROOT)),
          row.getString(8),
          RunSettings.read(row.getString(9)),
          Channel.listed(row.getString(10)));
    } catch (WorkbookException | DateTimeException | IllegalArgumentException damaged) {
      Run left =
          new Run(
              id,
              of,
              String.valueOf(kind),
              String.valueOf(title),
              Instant.EPOCH,
              Run.State.STOPPED,
              "",
              RunSettings.read("{}"),
              List.of());
      workbook.damage().found(left, "what was noted with it cannot be read");
      return left;
    }
  }

  /** The runs of a subject that is no unit, oldest first. */
  public List<Run> ofSubject(long subjectId) {
    return workbook.query(
        SELECT + "WHERE subject_id = ? AND removed = 0 ORDER BY id",
        s -> s.setLong(1, subjectId),
        this::read);
  }

  /** Starts a run and gives back its writer. */
  public RunWriter begin(NewRun run, List<Channel> channels) {
    workbook.units().mustBeOwn(run.of().unitId());
    long[] id = new long[1];
    workbook.together(
        connection -> id[0] = insert(connection, run, Run.State.RUNNING, "", channels));
    return new RunWriter(workbook, id[0], channels.size(), Blocks.Chain.opening(channels));
  }

  /**
   * Adds a whole run at once, from a file or a package: all of it or nothing.
   *
   * @param state how it ended; a run that was going is taken as cut short
   * @return its key
   */
  public long add(NewRun run, Run.State state, String ending, Trace trace, List<Event> events) {
    workbook.units().mustBeOwn(run.of().unitId());
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
    Blocks.Chain chain = Blocks.Chain.opening(channels);
    for (int from = 0; from < trace.size(); from += BLOCK_ROWS) {
      int rows = Math.min(BLOCK_ROWS, trace.size() - from);
      chain = chain.put(connection, runId, rows, SampleBlock.encode(trace, channels, from, rows));
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
    Blocks.Chain chain = new Blocks(workbook).chain(run);
    workbook.update(
        "UPDATE run SET state = 'running', ending = '' WHERE id = ?", s -> s.setLong(1, run.id()));
    return new RunWriter(workbook, run.id(), run.channels().size(), chain);
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

  /**
   * Every reading of a run. Where the clock of an older run was set back, what came after goes on
   * behind what came before.
   *
   * @throws WorkbookException where they are not as they were written
   */
  public Trace trace(Run run) {
    List<Blocks.Block> blocks = new Blocks(workbook).of(run);
    int rows = blocks.stream().mapToInt(Blocks.Block::rows).sum();
    double[][] columns = new double[run.channels().size() + 1][rows];
    int at = 0;
    for (Blocks.Block block : blocks) {
      SampleBlock.decode(block.data(), block.rows(), columns, at);
      at += block.rows();
    }
    Map<Channel, double[]> values = new EnumMap<>(Channel.class);
    for (int i = 0; i < run.channels().size(); i++) {
      values.put(run.channels().get(i), columns[i + 1]);
    }
    return Trace.takingOver(OnwardClock.mended(columns[0]), values);
  }

  /**
   * Looks through what was read in a run; what is wrong is kept in {@link Workbook#damage}.
   *
   * @return what is wrong with it, one sentence; empty for nothing
   */
  public Optional<String> check(Run run) {
    try {
      new Blocks(workbook).of(run);
      workbook.captures().check(run);
      workbook.typedReadings().of(run.id());
      workbook.notebook().of(run.id());
    } catch (WorkbookException said) {
      return workbook.damage().of(run.id()).or(() -> Optional.of(said.getMessage()));
    }
    return workbook.damage().of(run.id());
  }

  /** What was noticed and marked, in order of time. */
  public List<Event> events(long runId) {
    List<Event> events =
        new ArrayList<>(
            workbook.query(
                "SELECT seconds, code, detail, words FROM event WHERE run_id = ?"
                    + " ORDER BY seconds, id",
                s -> s.setLong(1, runId),
                r -> new Event(r.getDouble(1), r.getString(2), r.getString(3), r.getString(4))));
    List<Event> setBack = new Blocks(workbook).setBack(runId);
    if (!setBack.isEmpty()) {
      events.addAll(setBack);
      events.sort(Comparator.comparingDouble(Event::seconds));
    }
    return events;
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
