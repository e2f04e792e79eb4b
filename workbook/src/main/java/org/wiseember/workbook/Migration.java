package org.wiseember.workbook;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.workbook.disk.WholeFile;

/**
 * Brings a workbook to the newest layout: a script a version, each in one transaction. The file as
 * it was stays beside, under its layout's name.
 */
final class Migration {
  /** The newest layout this program writes. */
  static final int VERSION = 14;

  private final Connection connection;
  private final Path file;

  Migration(Connection connection, Path file) {
    this.connection = connection;
    this.file = file;
  }

  /**
   * Brings it up from where it is.
   *
   * @return where the file stays as it was; empty where nothing was changed
   * @throws WorkbookException when it was made by a newer version, or there is no room for the copy
   */
  Optional<Path> run() throws SQLException, IOException {
    int version = version(connection);
    if (version < 0 || version > VERSION) {
      throw Workbook.newer(file);
    }
    if (version == VERSION) {
      return Optional.empty();
    }
    Optional<Path> kept = version > 0 ? Optional.of(keepBeside(version)) : Optional.empty();
    // A table that others refer to is made anew: SQLite wants the references unwatched for that,
    // and they are looked through before anything is kept.
    execute("PRAGMA foreign_keys = OFF");
    try {
      for (int next = version + 1; next <= VERSION; next++) {
        step(next);
      }
    } finally {
      execute("PRAGMA foreign_keys = ON");
    }
    return kept;
  }

  /** The layout a file has; 0 for a new one. */
  static int version(Connection connection) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet result = statement.executeQuery("PRAGMA user_version")) {
      return result.next() ? result.getInt(1) : 0;
    }
  }

  /** Writes all of a workbook to another file, with what still waits in its log. */
  static void copy(Connection connection, Path to) throws IOException {
    Path journal = to.resolveSibling(to.getFileName() + "-journal");
    // One that was left when a program was killed would be played back into this copy.
    Files.deleteIfExists(journal);
    try (PreparedStatement s = connection.prepareStatement("VACUUM INTO ?")) {
      s.setString(1, to.toAbsolutePath().toString());
      s.execute();
    } catch (SQLException e) {
      Files.deleteIfExists(journal);
      throw new IOException(e.getMessage(), e);
    }
  }

  /** Where the file stays as it was. */
  static Path beside(Path file, int version) {
    String name = String.valueOf(file.getFileName());
    String ending = ".ember";
    String stem = name.endsWith(ending) ? name.substring(0, name.length() - ending.length()) : name;
    return file.resolveSibling(stem + ".layout-" + version + ending);
  }

  private Path keepBeside(int version) {
    Path old = beside(file, version);
    for (int n = 2; Files.exists(old); n++) {
      old = beside(file, version).resolveSibling(beside(file, version).getFileName() + "." + n);
    }
    try {
      WholeFile.make(old, to -> copy(connection, to));
    } catch (IOException e) {
      throw new WorkbookException(
          file.getFileName()
              + " is from an older version, and a copy of it cannot be kept beside it as "
              + old.getFileName()
              + ". Make room in its folder; nothing was changed.",
          e);
    }
    return old;
  }

  private void step(int next) throws SQLException, IOException {
    boolean done = false;
    connection.setAutoCommit(false);
    try (Statement statement = connection.createStatement()) {
      if (next == 8) {
        readWords();
      }
      for (String sql : script(next)) {
        statement.execute(sql);
      }
      if (next == 9) {
        Blocks.sealAll(connection);
        Captures.sealAll(connection);
        TypedReadings.sealAll(connection);
      }
      try (ResultSet broken = statement.executeQuery("PRAGMA foreign_key_check")) {
        if (broken.next()) {
          throw new SQLException(
              "SQLITE_CORRUPT: a row of " + broken.getString(1) + " is orphaned");
        }
      }
      statement.execute("PRAGMA application_id = " + Workbook.APPLICATION_ID);
      statement.execute("PRAGMA user_version = " + next);
      connection.commit();
      done = true;
    } finally {
      // Whatever was thrown, an error among it: half a step is none.
      if (!done) {
        connection.rollback();
      }
      connection.setAutoCommit(true);
    }
  }

  private void execute(String sql) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.execute(sql);
    }
  }

  /** What SQL cannot tell: the loads named in words under captures, and claims in capitals. */
  private void readWords() throws SQLException {
    execute("CREATE TABLE capture_meant (id INTEGER PRIMARY KEY, mains INTEGER, load_watts REAL)");
    try (Statement statement = connection.createStatement();
        ResultSet captures = statement.executeQuery("SELECT id, words FROM capture");
        PreparedStatement meant =
            connection.prepareStatement("INSERT INTO capture_meant VALUES (?, ?, ?)")) {
      while (captures.next()) {
        CaptureNote note = CaptureWords.read(captures.getString(2));
        meant.setLong(1, captures.getLong(1));
        meant.setBoolean(2, note.mains());
        Numbers.set(meant, 3, note.loadWatts());
        meant.executeUpdate();
      }
    }
    try (Statement statement = connection.createStatement();
        ResultSet labels =
            statement.executeQuery("SELECT id, by_hand FROM label WHERE by_hand <> '[]'");
        PreparedStatement written =
            connection.prepareStatement("UPDATE label SET by_hand = ? WHERE id = ?")) {
      while (labels.next()) {
        try {
          written.setString(1, ClaimJson.write(ClaimJson.read(labels.getString(2))));
        } catch (WorkbookException damaged) {
          // One claim nobody can read stays as it is and keeps no workbook from being opened.
          continue;
        }
        written.setLong(2, labels.getLong(1));
        written.executeUpdate();
      }
    }
  }

  /** The statements of one step; triggers hold semicolons, so what begins a line ends one. */
  private static String[] script(int version) throws IOException {
    String name = "schema-" + version + ".sql";
    try (InputStream in = Workbook.class.getResourceAsStream(name)) {
      String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      return text.split(";\\s*\\n(?=\\s*(?:CREATE|--|ALTER|INSERT|UPDATE|DROP|$))");
    }
  }
}
