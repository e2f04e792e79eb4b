package org.wiseember.workbook;

import java.io.IOException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.Optional;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.workbook.disk.Scratch;
import org.wiseember.workbook.disk.WholeFile;
import org.wiseember.workbook.json.Records;
import org.wiseember.workbook.plan.CampaignNotes;

/**
 * An open workbook. One program writes it; a second opening reads only and says who writes. Safe
 * for several threads: calls take turns.
 *
 * <pre>{@code
 * try (Workbook workbook = Workbook.open(path, Clock.systemUTC())) {
 *   for (TestedUnit unit : workbook.units().all()) { ... }
 * }
 * }</pre>
 */
public final class Workbook implements AutoCloseable {
  /** An extended code of the database ends in its plain one. */
  private static final int PRIMARY = 0xff;

  /** "WEmb", in the file's header, so that other programs can tell what it is. */
  static final int APPLICATION_ID = 0x57456D62;

  /** Among {@code about} while a program writes the file. */
  static final String OPEN = "open";

  private final Path file;
  private final Connection connection;
  private final WriterLock lock;
  private final String writer;
  private final Clock clock;
  private final Optional<Path> asItWas;
  private final boolean sideFileMissing;
  private final Optional<Scratch> scratch;
  private final Damage damage = new Damage();

  Workbook(
      Path file,
      Connection connection,
      WriterLock lock,
      String writer,
      Clock clock,
      Optional<Path> asItWas,
      boolean sideFileMissing,
      Optional<Scratch> scratch) {
    this.file = file;
    this.connection = connection;
    this.lock = lock;
    this.writer = writer;
    this.clock = clock;
    this.asItWas = asItWas;
    this.sideFileMissing = sideFileMissing;
    this.scratch = scratch;
  }

  /**
   * Opens a workbook to work in it, making it where there is none. One that somebody else writes,
   * or that lies where nothing can be written, is opened for reading.
   *
   * @param clock tells when things are saved
   * @throws WorkbookException in one sentence, when the file is not a workbook, was made by a newer
   *     version, is damaged, or cannot be reached
   */
  public static Workbook open(Path file, Clock clock) {
    return new Opening(file, clock, Files::isWritable).toWork();
  }

  /**
   * Opens a workbook that is there to look something up; the file is not changed, whatever its
   * layout.
   *
   * @throws WorkbookException as {@link #open} does, and where there is none
   */
  public static Workbook read(Path file, Clock clock) {
    return new Opening(file, clock, Files::isWritable).toRead();
  }

  static WorkbookException newer(Path file) {
    return new WorkbookException(
        file.getFileName()
            + " was made by a newer Wise Ember and is left untouched. Open it with that version.");
  }

  static WorkbookException notOne(Path file) {
    return new WorkbookException(
        file.getFileName()
            + " is not a Wise Ember workbook and is left untouched. Choose a file that is.");
  }

  /** One sentence for what the database or the disk said. */
  static WorkbookException sentence(Path file, Exception e) {
    int code = sql(e).map(c -> c.code & PRIMARY).orElse(0);
    String name = String.valueOf(file.getFileName());
    if (code == SQLiteErrorCode.SQLITE_FULL.code || noSpace(e)) {
      return new WorkbookException(
          "The disk is full, so " + name + " cannot be written. Free some space; nothing is lost.",
          e);
    }
    if (code == SQLiteErrorCode.SQLITE_CORRUPT.code) {
      return new WorkbookException(
          name + " is damaged and is left untouched. Open a copy of it from a backup.", e);
    }
    if (code == SQLiteErrorCode.SQLITE_NOTADB.code) {
      return notOne(file);
    }
    if (code == SQLiteErrorCode.SQLITE_READONLY.code
        || code == SQLiteErrorCode.SQLITE_CANTOPEN.code
        || e instanceof java.nio.file.AccessDeniedException) {
      return new WorkbookException(
          name + " cannot be written there. Check the folder's permissions or choose another.", e);
    }
    if (code == SQLiteErrorCode.SQLITE_IOERR.code) {
      return new WorkbookException(
          "The disk did not take what was written to " + name + ". Check the disk.", e);
    }
    if (sql(e).filter(SQLiteErrorCode.SQLITE_CONSTRAINT_TRIGGER::equals).isPresent()) {
      return new WorkbookException(
          "Readings in " + name + " are never altered or deleted; nothing was changed.", e);
    }
    return new WorkbookException(
        name + " cannot be read or written as it is. Open a copy of it from a backup.", e);
  }

  private static Optional<SQLiteErrorCode> sql(Exception e) {
    for (Throwable said = e; said != null; said = said.getCause()) {
      if (said instanceof SQLiteException told) {
        return Optional.of(told.getResultCode());
      }
    }
    return Optional.empty();
  }

  /** What the system says of a full disk has no code of its own. */
  private static boolean noSpace(Exception e) {
    String reason = e instanceof FileSystemException full ? full.getReason() : e.getMessage();
    return e instanceof IOException && "No space left on device".equals(reason);
  }

  public Path file() {
    return file;
  }

  /** Where the file stays as it was before this opening brought it to the newest layout. */
  public Optional<Path> asItWas() {
    return asItWas;
  }

  /**
   * Whether it was written by a program that did not close it, and what that program had beside it
   * is not there: then what was entered last may be missing.
   */
  public boolean sideFileMissing() {
    return sideFileMissing;
  }

  /** Copies of it that are kept by themselves. */
  public Backups backups() {
    return new Backups(this);
  }

  /**
   * Writes all of it, with what still waits beside it, to another file.
   *
   * @throws WorkbookException in one sentence, when it cannot be written there; then nothing was
   */
  public void saveCopy(Path to) {
    try {
      if (Files.exists(to) && Files.isSameFile(to, file)) {
        throw new WorkbookException("A copy takes another name than the workbook itself.");
      }
      if (Files.exists(to.resolveSibling(to.getFileName() + "-wal"))) {
        throw new WorkbookException(
            to.getFileName() + " is open in a program. Close it there, or choose another name.");
      }
      WholeFile.make(to, this::copyTo);
    } catch (IOException e) {
      throw sentence(to, e);
    }
  }

  /** Over a connection of its own, so that nobody waits for a large copy. */
  private void copyTo(Path to) throws IOException {
    try {
      try (Connection reading = Opening.connect(lies(), true)) {
        Migration.copy(reading, to);
      }
      try (Connection copy = Opening.connect(to, false);
          Statement statement = copy.createStatement()) {
        statement.execute("DELETE FROM about WHERE key = '" + OPEN + "'");
        // Whole in one file: nothing waits beside it.
        statement.execute("PRAGMA journal_mode = DELETE");
      }
    } catch (SQLException e) {
      throw new IOException(e.getMessage(), e);
    }
  }

  /** The file that is read, which is a copy where the workbook's own is not to be touched. */
  private synchronized Path lies() throws SQLException {
    return Path.of(connection.getMetaData().getURL().substring("jdbc:sqlite:".length()));
  }

  /**
   * Puts what waits in the side file into the workbook itself, so that who copies the file copies
   * all of it. For moments when nothing else goes on.
   */
  public synchronized void settle() {
    if (readOnly()) {
      return;
    }
    try {
      Opening.settleHeader(connection);
    } catch (SQLException busy) {
      // Somebody reads it just now; the next pause will do.
    }
  }

  /** Whether this opening may not write, because somebody else does. */
  public boolean readOnly() {
    return lock == null;
  }

  /** Who writes it when this opening may not; empty otherwise. */
  public String writer() {
    return writer;
  }

  /** The runs whose readings are no longer as they were written, as far as was looked. */
  public Damage damage() {
    return damage;
  }

  public Units units() {
    return new Units(this);
  }

  public Runs runs() {
    return new Runs(this);
  }

  public Instruments instruments() {
    return new Instruments(this);
  }

  public TypedReadings typedReadings() {
    return new TypedReadings(this);
  }

  public Notebook notebook() {
    return new Notebook(this);
  }

  public Captures captures() {
    return new Captures(this);
  }

  public Treatments treatments() {
    return new Treatments(this);
  }

  /** What runs are of that are of no unit. */
  public RunSubjects runSubjects() {
    return new RunSubjects(this);
  }

  /** Appliances that were watched. */
  public Watches watches() {
    return new Watches(this);
  }

  /** The mains and generators that were tried by themselves. */
  public SourceRuns sources() {
    return new SourceRuns(this);
  }

  /** The days that were laid out. */
  public Days days() {
    return new Days(this);
  }

  /** What was worked out of runs. */
  public Found found() {
    return new Found(this);
  }

  /** Loads that may still be on. */
  public LoadsOn loadsOn() {
    return new LoadsOn(this);
  }

  public Photos photos() {
    return new Photos(this);
  }

  /** How the columns of files with these headings were read last time; empty for never. */
  public Optional<String> importMapping(String headings) {
    return query(
            "SELECT mapping FROM import_mapping WHERE headings = ?",
            s -> s.setString(1, headings),
            r -> r.getString(1))
        .stream()
        .findFirst();
  }

  /** Remembers how the columns of files with these headings are read. */
  public void importMapping(String headings, String mapping) {
    update(
        "INSERT INTO import_mapping (headings, mapping) VALUES (?, ?) "
            + "ON CONFLICT (headings) DO UPDATE SET mapping = excluded.mapping",
        s -> {
          s.setString(1, headings);
          s.setString(2, mapping);
        });
  }

  /** The workbook's title, shown over the shelf; empty until one is given. */
  public String title() {
    return about("title");
  }

  public void title(String title) {
    about("title", title);
  }

  /** Watts of the loads the tester has, as typed; empty until they were named. */
  public String loadsOnHand() {
    return about("loads_on_hand");
  }

  public void loadsOnHand(String watts) {
    about("loads_on_hand", watts);
  }

  /** The panels the tester has and where they stand; none until they were named. */
  public PanelsOnHand panelsOnHand() {
    return PanelsJson.read(about("panels_on_hand"));
  }

  public void panelsOnHand(PanelsOnHand panels) {
    about("panels_on_hand", PanelsJson.write(panels));
  }

  /** What was noted for comparing units; the usual where nothing was. */
  public LineUpNotes lineUpNotes() {
    return LineUpJson.read(about("line_up"));
  }

  public void lineUpNotes(LineUpNotes notes) {
    about("line_up", LineUpJson.write(notes));
  }

  /** What was noted for the plan; the usual where nothing was. */
  public CampaignNotes campaignNotes() {
    try {
      String json = about("campaign");
      return json.isBlank() ? CampaignNotes.USUAL : Records.read(json, CampaignNotes.class);
    } catch (IllegalArgumentException damaged) {
      throw new WorkbookException(
          "The notes of the plan kept in the workbook cannot be read.", damaged);
    }
  }

  public void campaignNotes(CampaignNotes notes) {
    about("campaign", Records.write(notes));
  }

  /** What reports are made of; the usual where nobody chose. */
  public ReportChoice reportChoice() {
    return ReportChoice.read(about("report"));
  }

  public void reportChoice(ReportChoice choice) {
    about("report", choice.json());
  }

  private String about(String key) {
    return query(
            "SELECT value FROM about WHERE key = ?", s -> s.setString(1, key), r -> r.getString(1))
        .stream()
        .findFirst()
        .orElse("");
  }

  private void about(String key, String value) {
    update(
        "INSERT INTO about (key, value) VALUES (?, ?) "
            + "ON CONFLICT (key) DO UPDATE SET value = excluded.value",
        s -> {
          s.setString(1, key);
          s.setString(2, value);
        });
  }

  Clock clock() {
    return clock;
  }

  /** Fills in the parameters of a statement. */
  interface Fill {
    void into(java.sql.PreparedStatement statement) throws SQLException;
  }

  /** Makes a value of a row. */
  interface Row<T> {
    T of(ResultSet result) throws SQLException;
  }

  /** Some work in one transaction. */
  interface Work {
    void on(Connection connection) throws SQLException;
  }

  synchronized <T> java.util.List<T> query(String sql, Fill fill, Row<T> row) {
    try (java.sql.PreparedStatement statement = connection.prepareStatement(sql)) {
      fill.into(statement);
      java.util.List<T> rows = new java.util.ArrayList<>();
      try (ResultSet result = statement.executeQuery()) {
        while (result.next()) {
          rows.add(row.of(result));
        }
      }
      return rows;
    } catch (SQLException e) {
      throw sentence(file, e);
    }
  }

  /** Runs an update and gives back the key of the row it made, 0 when it made none. */
  synchronized long update(String sql, Fill fill) {
    refuseWhenReadOnly();
    try (java.sql.PreparedStatement statement =
        connection.prepareStatement(sql, Statement.RETURN_GENERATED_KEYS)) {
      fill.into(statement);
      statement.executeUpdate();
      try (ResultSet keys = statement.getGeneratedKeys()) {
        return keys.next() ? keys.getLong(1) : 0;
      }
    } catch (SQLException e) {
      throw sentence(file, e);
    }
  }

  /** Several changes as one: all of them are kept or, whatever goes wrong between, none. */
  public void allOrNothing(Runnable changes) {
    together(connection -> changes.run());
  }

  private void refuseWhenReadOnly() {
    if (readOnly()) {
      throw new WorkbookException(
          file.getFileName() + " is open for reading only; it is written by " + writer + ".");
    }
  }

  /** All of the work or none of it; inside other such work it is part of that. */
  synchronized void together(Work work) {
    refuseWhenReadOnly();
    try {
      if (!connection.getAutoCommit()) {
        work.on(connection);
        return;
      }
      connection.setAutoCommit(false);
    } catch (SQLException e) {
      throw sentence(file, e);
    }
    try {
      work.on(connection);
      connection.commit();
    } catch (SQLException e) {
      rollBack(e);
      throw sentence(file, e);
    } catch (RuntimeException | Error e) {
      rollBack(e);
      throw e;
    }
    try {
      connection.setAutoCommit(true);
    } catch (SQLException e) {
      throw sentence(file, e);
    }
  }

  private void rollBack(Throwable cause) {
    try {
      connection.rollback();
    } catch (SQLException alreadyDone) {
      // After a full disk SQLite has rolled back by itself.
      cause.addSuppressed(alreadyDone);
    }
    try {
      connection.setAutoCommit(true);
    } catch (SQLException nothingOpen) {
      cause.addSuppressed(nothingOpen);
    }
  }

  @Override
  public synchronized void close() {
    try {
      if (connection.isClosed()) {
        return;
      }
      if (!readOnly()) {
        try (Statement statement = connection.createStatement()) {
          statement.execute("DELETE FROM about WHERE key = '" + OPEN + "'");
        } catch (SQLException diskIsFull) {
          // The next opening says that this one was not ended as it should be.
        }
      }
      connection.close();
      if (lock != null) {
        lock.close();
      }
    } catch (SQLException | IOException e) {
      throw sentence(file, e);
    } finally {
      scratch.ifPresent(Scratch::close);
    }
  }
}
