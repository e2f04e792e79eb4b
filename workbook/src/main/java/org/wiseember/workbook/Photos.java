package org.wiseember.workbook;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.wiseember.workbook.disk.OrdinaryFile;

/** Photos of runs: where they are, and a hash to know them by. */
public final class Photos {
  private static final long MOST_BYTES = 200L << 20;

  private final Workbook workbook;

  Photos(Workbook workbook) {
    this.workbook = workbook;
  }

  /** Whether a photo's file is still what was added. */
  public enum Found {
    SAME,
    CHANGED,
    MISSING
  }

  /**
   * Adds a photo.
   *
   * @throws WorkbookException in one sentence when the file cannot be read or is no photo's size
   */
  public Photo add(long runId, double seconds, Path file, String words) {
    Optional<String> trouble = OrdinaryFile.trouble(file);
    if (trouble.isPresent()) {
      throw new WorkbookException(file.getFileName() + ": " + trouble.get() + ".");
    }
    try {
      if (Files.size(file) > MOST_BYTES) {
        throw new WorkbookException(
            file.getFileName() + " is larger than 200 MB; add a smaller copy.");
      }
      Photo photo = new Photo(seconds, file.toAbsolutePath().toString(), hash(file), words);
      keep(runId, photo);
      return photo;
    } catch (IOException e) {
      throw new WorkbookException(
          file.getFileName() + " cannot be read. Check the file and its permissions.", e);
    }
  }

  /** Keeps one that was noted elsewhere, as it was noted. */
  public void keep(long runId, Photo photo) {
    workbook.update(
        "INSERT INTO photo (run_id, seconds, path, sha256, words) VALUES (?, ?, ?, ?, ?)",
        s -> {
          s.setLong(1, runId);
          s.setDouble(2, photo.seconds());
          s.setString(3, photo.path());
          s.setString(4, photo.sha256());
          s.setString(5, photo.words());
        });
  }

  public List<Photo> of(long runId) {
    return workbook.query(
        "SELECT seconds, path, sha256, words FROM photo WHERE run_id = ? ORDER BY seconds, id",
        s -> s.setLong(1, runId),
        r -> new Photo(r.getDouble(1), r.getString(2), r.getString(3), r.getString(4)));
  }

  /** Looks whether the file is still there and the same. */
  public static Found find(Photo photo) {
    Path file = Path.of(photo.path());
    if (OrdinaryFile.trouble(file).isPresent()) {
      return Found.MISSING;
    }
    try {
      return hash(file).equals(photo.sha256()) ? Found.SAME : Found.CHANGED;
    } catch (IOException e) {
      return Found.MISSING;
    }
  }

  private static String hash(Path file) throws IOException {
    try {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      try (InputStream in = new DigestInputStream(Files.newInputStream(file), digest)) {
        in.transferTo(java.io.OutputStream.nullOutputStream());
      }
      return HexFormat.of().formatHex(digest.digest());
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }
}
