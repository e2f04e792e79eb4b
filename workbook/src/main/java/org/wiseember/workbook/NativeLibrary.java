package org.wiseember.workbook;

import java.io.IOException;
import org.wiseember.workbook.disk.Scratch;

/**
 * Where the database unpacks its native library: a folder that goes with the program, or at the
 * next start where the program was killed. By itself the database leaves a megabyte behind each
 * time.
 */
final class NativeLibrary {
  private static final String PLACE = "org.sqlite.tmpdir";
  private static boolean placed;

  private NativeLibrary() {}

  /** Before the first connection; later calls change nothing. */
  static synchronized void place() throws IOException {
    if (!placed && System.getProperty(PLACE) == null) {
      Scratch scratch = Scratch.make();
      System.setProperty(PLACE, scratch.file("").toString());
      Runtime.getRuntime().addShutdownHook(new Thread(scratch::close, "native-library"));
    }
    placed = true;
  }
}
