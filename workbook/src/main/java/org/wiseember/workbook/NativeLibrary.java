package org.wiseember.workbook;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Predicate;
import org.wiseember.workbook.disk.Scratch;

/**
 * Where the database unpacks its native library: a folder that goes with the program, or at the
 * next start where the program was killed. By itself the database leaves a megabyte behind each
 * time, and where the system's folder for temporary files lets no program run it says no more than
 * that something is missing.
 */
final class NativeLibrary {
  private static final String PLACE = "org.sqlite.tmpdir";
  private static boolean placed;

  private NativeLibrary() {}

  /** Before the first connection; later calls change nothing. */
  static synchronized void place() throws IOException {
    if (!placed && System.getProperty(PLACE) == null) {
      Path own = Path.of(System.getProperty("user.home"), ".cache", "wise-ember");
      Scratch scratch =
          in(
              List.of(Path.of(System.getProperty("java.io.tmpdir")), own),
              NativeLibrary::letsProgramsRun);
      System.setProperty(PLACE, scratch.file("").toString());
      Runtime.getRuntime().addShutdownHook(new Thread(scratch::close, "native-library"));
    }
    placed = true;
  }

  /**
   * A folder in the first of these places that can be used.
   *
   * @param runs whether programs in a folder may run
   * @throws WorkbookException that names the places where there is none
   */
  static Scratch in(List<Path> places, Predicate<Path> runs) throws IOException {
    IOException last = null;
    boolean forbidden = false;
    for (Path place : places) {
      try {
        Scratch scratch = Scratch.make(Files.createDirectories(place));
        if (runs.test(scratch.file(""))) {
          return scratch;
        }
        scratch.close();
        forbidden = true;
      } catch (IOException next) {
        last = next;
      }
    }
    if (last != null && !forbidden) {
      throw last;
    }
    throw new WorkbookException(
        "The database needs a folder in which programs may run; neither "
            + places.get(0)
            + " nor "
            + places.get(places.size() - 1)
            + " lets them. Set TMPDIR to one that does. No workbook was touched.");
  }

  /** A system that forbids it for a whole disk says so of every file on it. */
  private static boolean letsProgramsRun(Path folder) {
    Path probe = folder.resolve("probe");
    try {
      Files.createFile(probe);
      boolean runs = probe.toFile().setExecutable(true) && Files.isExecutable(probe);
      Files.delete(probe);
      return runs;
    } catch (IOException e) {
      return false;
    }
  }
}
