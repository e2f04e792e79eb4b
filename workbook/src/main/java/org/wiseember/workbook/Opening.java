package org.wiseember.workbook;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.Optional;
import java.util.Properties;
import java.util.function.Predicate;
import org.wiseember.workbook.disk.Scratch;

/** Opens a workbook, once. What was opened on the way is closed again where it fails. */
final class Opening {
  /** Of the log beside the file, in pages of 16 KiB: about 4 MB wait there at most. */
  private static final int PAGES_WAITING = 256;

  private final Path file;
  private final Clock clock;
  private final Predicate<Path> writable;
  private Optional<WriterLock> lock = Optional.empty();
  private Optional<Path> asItWas = Optional.empty();
  private Optional<Scratch> scratch = Optional.empty();
  private Connection connection;
  private boolean sideFileMissing;
  private boolean made;

  /**
   * An opening.
   *
   * @param writable tells whether a file or a folder can be written
   */
  Opening(Path file, Clock clock, Predicate<Path> writable) {
    this.file = file;
    this.clock = clock;
    this.writable = writable;
  }

  private interface Steps {
    Workbook take() throws SQLException, IOException;
  }

  Workbook toWork() {
    return whole(
        () -> {
          boolean fresh = settled();
          boolean canWrite = writable.test(file) && writable.test(folder());
          lock = canWrite ? WriterLock.take(file, who()) : Optional.empty();
          if (lock.isEmpty()) {
            return reading(canWrite);
          }
          return writing(fresh);
        });
  }

  Workbook toRead() {
    return whole(
        () -> {
          if (!Files.exists(file)) {
            throw new WorkbookException("There is no workbook " + file + ". Check the name.");
          }
          settled();
          return reading(true);
        });
  }

  private Workbook whole(Steps steps) {
    boolean done = false;
    try {
      NativeLibrary.place();
      Workbook workbook = steps.take();
      done = true;
      return workbook;
    } catch (SQLException | IOException e) {
      throw Workbook.sentence(file, e);
    } finally {
      if (!done) {
        letGo();
      }
    }
  }

  /** Makes sure that there is a file that may be a workbook; gives whether it is new. */
  private boolean settled() throws IOException {
    if (Files.isDirectory(file) || file.getFileName() == null) {
      throw new WorkbookException(file + " is a folder. Name a workbook file in it.");
    }
    if (Files.exists(file)) {
      if (!Files.isRegularFile(file)) {
        throw new WorkbookException(file + " is no file but a device or a pipe. Choose a file.");
      }
      if (!WriterLock.here(file)) {
        Header.check(file);
      }
      return false;
    }
    Path folder = file.toAbsolutePath().getParent();
    if (folder == null || !Files.isDirectory(folder)) {
      throw new WorkbookException(
          "The folder of " + file + " does not exist. Make it first, or choose another.");
    }
    // Empty, it is there for the lock to hold by whatever name it is opened.
    Files.createFile(file);
    made = true;
    return true;
  }

  private Path folder() {
    return file.toAbsolutePath().getParent();
  }

  private Workbook writing(boolean fresh) throws SQLException, IOException {
    boolean sideFile = Files.exists(sideFile());
    connection = connect(file, false);
    sideFileMissing = !fresh && !sideFile && leftOpen();
    asItWas = new Migration(connection, file).run();
    check();
    try (Statement statement = connection.createStatement()) {
      statement.execute(
          "INSERT OR REPLACE INTO about (key, value) VALUES ('" + Workbook.OPEN + "', 'yes')");
    }
    settleHeader(connection);
    Workbook workbook = opened("");
    workbook.runs().markInterrupted();
    return workbook;
  }

  private Workbook reading(boolean canWrite) throws SQLException, IOException {
    boolean sideFile = Files.exists(sideFile());
    if (canWrite && writable.test(folder())) {
      connection = connect(file, true);
    } else {
      // Even a reader wants to write a file beside: it gets a copy of both elsewhere.
      scratch = Optional.of(Scratch.make());
      Path copy = scratch.get().file("read.ember");
      Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING);
      if (sideFile) {
        Files.copy(sideFile(), scratch.get().file("read.ember-wal"));
      }
      connection = connect(copy, false);
    }
    sideFileMissing = !sideFile && leftOpen();
    int version = Migration.version(connection);
    if (version < Migration.VERSION) {
      bringUpACopy();
    }
    check();
    return opened(canWrite ? WriterLock.holder(file) : "nobody: the file is protected");
  }

  /** The file stays as it is: a copy is brought up and read instead. */
  private void bringUpACopy() throws SQLException, IOException {
    Scratch place = scratch.isPresent() ? scratch.get() : Scratch.make();
    scratch = Optional.of(place);
    Path copy = place.file("brought-up.ember");
    Migration.copy(connection, copy);
    connection.close();
    connection = connect(copy, false);
    new Migration(connection, copy).run();
  }

  private Workbook opened(String writer) {
    return new Workbook(
        file, connection, lock.orElse(null), writer, clock, asItWas, sideFileMissing, scratch);
  }

  private Path sideFile() {
    return file.resolveSibling(file.getFileName() + "-wal");
  }

  private boolean leftOpen() throws SQLException {
    if (Migration.version(connection) == 0) {
      return false;
    }
    try (Statement statement = connection.createStatement();
        ResultSet row =
            statement.executeQuery("SELECT 1 FROM about WHERE key = '" + Workbook.OPEN + "'")) {
      return row.next();
    }
  }

  private void check() throws SQLException {
    if (Migration.version(connection) > Migration.VERSION) {
      throw Workbook.newer(file);
    }
    try (Statement statement = connection.createStatement();
        ResultSet result = statement.executeQuery("PRAGMA application_id")) {
      if (!result.next() || result.getInt(1) != Workbook.APPLICATION_ID) {
        throw Workbook.notOne(file);
      }
    }
  }

  private String who() {
    return "process " + ProcessHandle.current().pid() + ", since " + clock.instant();
  }

  static Connection connect(Path file, boolean readOnly) throws SQLException {
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
        statement.execute("PRAGMA wal_autocheckpoint = " + PAGES_WAITING);
      }
    } catch (SQLException e) {
      connection.close();
      throw e;
    }
    return connection;
  }

  /**
   * Puts all that waits into the file itself: its header, where a second opening looks before
   * anything else, and whatever a copy of the file alone would miss.
   */
  static void settleHeader(Connection connection) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.execute("PRAGMA wal_checkpoint(TRUNCATE)");
    }
  }

  private void letGo() {
    try {
      if (connection != null) {
        connection.close();
      }
      if (lock.isPresent()) {
        lock.get().close();
      }
      // A file that was made for nothing goes again.
      if (made && Files.size(file) == 0) {
        Files.delete(file);
      }
    } catch (SQLException | IOException ignored) {
      // The failure that led here is the one to tell.
    }
    scratch.ifPresent(Scratch::close);
  }
}
