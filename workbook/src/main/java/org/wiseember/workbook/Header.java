package org.wiseember.workbook;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Looks at the first 100 bytes of a file before the database library does, so that a file of
 * another kind is never touched (SQLite file format, section 1.3: application id at 68, user
 * version at 60).
 */
final class Header {
  private static final byte[] MAGIC = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);

  private Header() {}

  static void check(Path file) throws IOException {
    byte[] head;
    try (InputStream in = Files.newInputStream(file)) {
      head = in.readNBytes(100);
    }
    if (head.length == 0) {
      throw new WorkbookException(
          file.getFileName() + " is empty, not a workbook. Choose another file.");
    }
    if (head.length < 100 || !startsWithMagic(head)) {
      throw Workbook.notOne(file);
    }
    ByteBuffer bytes = ByteBuffer.wrap(head);
    if (bytes.getInt(68) != Workbook.APPLICATION_ID) {
      throw Workbook.notOne(file);
    }
    if (bytes.getInt(60) < 0 || bytes.getInt(60) > Migration.VERSION) {
      throw Workbook.newer(file);
    }
  }

  private static boolean startsWithMagic(byte[] head) {
    for (int i = 0; i < MAGIC.length; i++) {
      if (head[i] != MAGIC[i]) {
        return false;
      }
    }
    return true;
  }
}
