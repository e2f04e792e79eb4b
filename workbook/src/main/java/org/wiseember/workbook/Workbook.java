package org.wiseember.workbook;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.Optional;
import java.util.Properties;
import org.wiseember.core.solar.PanelsOnHand;

/**
 * An open workbook. One program writes it; a second opening reads only and says who writes. Safe
 * for several threads: calls take turns.
 *
 * <pre>{@code
 * try (Workbook workbook = Workbook.open(path, Clock.systemUTC())) {
 *   for (Unit unit : workbook.units().all()) { ... }
 * }
 * }</pre>
 */
public final class Workbook implements AutoCloseable {
  /** "WEmb", in the file's header, so that other programs can tell what it is. */
  static final int APPLICATION_ID = 0x57456D62;

  private final Path file;
  private final Connection connection;
  private final WriterLock lock;
  private final String writer;
  private final Clock clock;
  private final Optional<Path> asItWas;
  private final Damage damage = new Damage();

  private Workbook(
      Path file,
      Connection connection,
      WriterLock lock,
      String writer,
      Clock clock,
      Optional<Path> asItWas) {
    this.file = file;
    this.connection = connection;
    this.lock = lock;
    this.writer = writer;
    this.clock = clock;
    this.asItWas = asItWas;
  }

  /**
   * Opens a workbook, making it where there is none.
   *
   * @param clock tells when things are saved
   * @throws WorkbookException in one sentence, when the file is not a workbook, was made by a newer
   *     version, is damaged, or cannot be reached
   */
  public static Workbook open(Path file, Clock clock) {
    boolean fresh = !Files.exists(file);
    Path name = file.getFileName();
    if (Files.isDirectory(file) || name == null) {
      throw new WorkbookException(file + " is a folder. Name a workbook file in it.");
    }
    Optional<WriterLock> lock = Optional.empty();
    Optional<Path> asItWas = Optional.empty();
    Connection connection = null;
    try {
      if (fresh) {
        Path folder = file.toAbsolutePath().getParent();
        if (folder == null || !Files.isDirectory(folder)) {
          throw new WorkbookException(
              "The folder of " + file + " does not exist. Make it first, or choose another.");
        }
      } else {
        Header.check(file);
      }
      if (fresh || Files.isWritable(file)) {
        lock = WriterLock.take(file, who(clock));
      }
      boolean readOnly = lock.isEmpty();
      connection = connect(file, readOnly);
      if (!readOnly) {
        asItWas = new Migration(connection, file).run();
        settleHeader(connection);
      } else if (Migration.version(connection) < Migration.VERSION) {
        // Read-only, so the file stays as it is: a copy is brought up and read instead.
        Path copy = copyOf(connection, file);
        connection.close();
        connection = connect(copy, false);
        new Migration(connection, copy).run();
      }
      check(connection, file);
      String writer =
          lock.isPresent()
              ? ""
              : Files.isWritable(file) ? WriterLock.holder(file) : "nobody: the file is protected";
      Workbook workbook = new Workbook(file, connection, lock.orElse(null), writer, clock, asItWas);
      if (!readOnly) {
        workbook.runs().markInterrupted();
      }
      return workbook;
    } catch (SQLException | IOException e) {
      closeQuietly(connection, lock);
      throw sentence(file, e);
    } catch (RuntimeException e) {
      closeQuietly(connection, lock);
      throw e;
    }
  }

  private static Path copyOf(Connection connection, Path file) throws SQLException, IOException {
    Path folder = Files.createTempDirectory("ember-read-only");
    Path copy = folder.resolve(String.valueOf(file.getFileName()));
    Migration.copy(connection, copy);
    folder.toFile().deleteOnExit();
    copy.toFile().deleteOnExit();
    return copy;
  }

  private static String who(Clock clock) {
    return "process " + ProcessHandle.current().pid() + ", since " + clock.instant();
  }

  private static Connection connect(Path file, boolean readOnly) throws SQLException {
    Properties properties = new Properties();
    properties.setProperty("busy_timeout", "5000");
    properties.setProperty("foreign_keys", "true");
    if (readOnly) {
      properties.setProperty("open_mode", "1");
    }
    Connection connection =
        DriverManager.getConnection("jdbc:sqlite:" + file.toAbsolutePath(), properties);
    try (Statement statement = connection.createStatement()) {
      if (!readOnly) {
        // WAL keeps a reader and the writer apart; FULL puts each commit on disk before it returns.
        // Readings are large blocks; larger pages hold them with fewer steps. Set once, at birth.
        statement.execute("PRAGMA page_size = 16384");
        statement.execute("PRAGMA journal_mode = WAL");
        statement.execute("PRAGMA synchronous = FULL");
        // Up to 128 MB wait in the log: a long import is not copied into the file while it commits.
        statement.execute("PRAGMA wal_autocheckpoint = 8192");
      }
    } catch (SQLException e) {
      connection.close();
      throw e;
    }
    return connection;
  }

  /** Puts the file's header on disk now: a second opening looks there before anything else. */
  private static void settleHeader(Connection connection) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.execute("PRAGMA wal_checkpoint(TRUNCATE)");
    }
  }

  private static void check(Connection connection, Path file) throws SQLException {
    if (Migration.version(connection) > Migration.VERSION) {
      throw newer(file);
    }
    if (pragma(connection, "application_id") != APPLICATION_ID) {
      throw notOne(file);
    }
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

  private static int pragma(Connection connection, String name) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet result = statement.executeQuery("PRAGMA " + name)) {
      return result.next() ? result.getInt(1) : 0;
    }
  }

  private static void closeQuietly(Connection connection, Optional<WriterLock> lock) {
    try {
      if (connection != null) {
        connection.close();
      }
      if (lock.isPresent()) {
        lock.get().close();
      }
    } catch (SQLException | IOException ignored) {
      // The failure that led here is the one to tell.
    }
  }

  /** One sentence for what the database or the disk said. */
  static WorkbookException sentence(Path file, Exception e) {
    String said = String.valueOf(e.getMessage());
    String name = String.valueOf(file.getFileName());
    if (said.contains("SQLITE_FULL") || said.contains("No space left")) {
      return new WorkbookException(
          "The disk is full, so " + name + " cannot be written. Free some space; nothing is lost.",
          e);
    }
    if (said.contains("SQLITE_CORRUPT")) {
      return new WorkbookException(
          name + " is damaged and is left untouched. Open a copy of it from a backup.", e);
    }
    if (said.contains("SQLITE_NOTADB")) {
      return notOne(file);
    }
    if (said.contains("SQLITE_READONLY")
        || said.contains("SQLITE_CANTOPEN")
        || e instanceof java.nio.file.AccessDeniedException) {
      return new WorkbookException(
          name + " cannot be written there. Check the folder's permissions or choose another.", e);
    }
    if (said.contains("SQLITE_IOERR")) {
      return new WorkbookException(
          "The disk did not take what was written to " + name + ". Check the disk.", e);
    }
    return new WorkbookException(name + " cannot be used: " + firstLine(said) + ".", e);
  }

  private static String firstLine(String text) {
    String line = text.lines().findFirst().orElse("unknown trouble").strip();
    return line.endsWith(".") ? line.substring(0, line.length() - 1) : line;
  }

  public Path file() {
    return file;
  }

  /** Where the file stays as it was before this opening brought it to the newest layout. */
  public Optional<Path> asItWas() {
    return asItWas;
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
      connection.close();
      if (lock != null) {
        lock.close();
      }
    } catch (SQLException | IOException e) {
      throw sentence(file, e);
    }
  }
}
