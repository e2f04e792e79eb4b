package org.wiseember.trial;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.stream.Stream;
import org.wiseember.trial.demo.DemoWorkbook;

/**
 * The demo workbook, which takes some seconds to make: once for all tests of a build, also of other
 * processes. The build says where with {@code -Dember.demo}.
 */
public final class DemoFile {
  private static Path made;

  private DemoFile() {}

  /** It itself, to be read only. */
  public static synchronized Path itself() {
    if (made == null) {
      String told = System.getProperty("ember.demo", "");
      try {
        made =
            told.isEmpty()
                ? make(Files.createTempDirectory("ember-demo").resolve("demo.ember"))
                : madeOnce(Path.of(told));
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return made;
  }

  /** A copy in a folder. */
  public static Path in(Path folder) throws IOException {
    return Files.copy(itself(), folder.resolve("demo.ember"));
  }

  /** Whoever comes first makes it, the others wait. */
  private static Path madeOnce(Path file) throws IOException {
    Path folder = Files.createDirectories(file.getParent());
    try (FileChannel channel =
        FileChannel.open(
            folder.resolve("lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
      // Let go with the channel.
      FileLock lock = channel.lock();
      if (lock.isValid() && !Files.exists(file)) {
        try (Stream<Path> old = Files.list(folder)) {
          for (Path one : List.copyOf(old.toList())) {
            if (!one.endsWith("lock")) {
              Files.delete(one);
            }
          }
        }
        Path part = make(folder.resolve("making"));
        Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
      }
    }
    return file;
  }

  private static Path make(Path file) throws IOException {
    DemoWorkbook.create(file);
    return file;
  }
}
