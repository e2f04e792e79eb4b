package org.wiseember.workbook.disk;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.DirectoryIteratorException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A folder for temporary files that goes when it is closed. One whose program was killed goes the
 * next time a folder is made: its name says whose it was.
 */
public final class Scratch implements AutoCloseable {
  private static final String PREFIX = "wise-ember-";

  private final Path folder;

  private Scratch(Path folder) {
    this.folder = folder;
  }

  /** Makes one where the system keeps temporary files. */
  public static Scratch make() throws IOException {
    return make(Path.of(System.getProperty("java.io.tmpdir")));
  }

  /** Makes one in a folder. */
  public static Scratch make(Path place) throws IOException {
    sweep(place);
    return new Scratch(
        Files.createTempDirectory(place, PREFIX + ProcessHandle.current().pid() + "-"));
  }

  /** Takes away what programs left that are gone; what cannot be taken away stays. */
  private static void sweep(Path place) throws IOException {
    try (DirectoryStream<Path> left = Files.newDirectoryStream(place, PREFIX + "*-*")) {
      for (Path folder : left) {
        boolean gone =
            owner(folder).filter(pid -> ProcessHandle.of(pid).isEmpty()).isPresent()
                && Files.isDirectory(folder, java.nio.file.LinkOption.NOFOLLOW_LINKS);
        if (gone) {
          new Scratch(folder).close();
        }
      }
    } catch (DirectoryIteratorException e) {
      throw e.getCause();
    }
  }

  private static Optional<Long> owner(Path folder) {
    String name = folder.getFileName().toString().substring(PREFIX.length());
    String pid = name.substring(0, name.indexOf('-'));
    return pid.matches("\\d{1,18}") ? Optional.of(Long.valueOf(pid)) : Optional.empty();
  }

  /** A file in it; a name without folders. */
  public Path file(String name) {
    return folder.resolve(name);
  }

  @Override
  public void close() {
    try (Stream<Path> all = Files.walk(folder)) {
      List<Path> deepestFirst = all.sorted(Comparator.reverseOrder()).toList();
      for (Path path : deepestFirst) {
        Files.deleteIfExists(path);
      }
    } catch (IOException | UncheckedIOException stays) {
      // Another program may be sweeping here too; what is left goes at the next start.
      folder.toFile().deleteOnExit();
    }
  }
}
