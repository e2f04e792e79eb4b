package org.wiseember.workbook.disk;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/**
 * Files that can be read to their end. A pipe waits for a writer that may never come, and a device
 * may have no end.
 */
public final class OrdinaryFile {
  private OrdinaryFile() {}

  /** Why a path is no such file, as the end of a sentence; empty where it is one. */
  public static Optional<String> trouble(Path path) {
    if (Files.isRegularFile(path)) {
      return Optional.empty();
    }
    if (Files.isDirectory(path)) {
      return Optional.of("this is a folder; name a file in it");
    }
    return Optional.of(
        Files.exists(path)
            ? "this is a device or a pipe; save what it gives to a file first"
            : "there is no such file; check the name");
  }
}
