package org.wiseember.command;

import java.io.IOException;
import java.nio.file.FileSystemException;
import java.util.Arrays;
import org.wiseember.bench.emulator.PortTaken;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.strict.JsonUnreadable;

/** One sentence for what went wrong; never a stack trace, never an exception's own words. */
final class Failure {
  private static final String OURS = "org.wiseember.";

  private Failure() {}

  static String sentence(Throwable failure) {
    if (failure instanceof LogUnreadable
        || failure instanceof WorkbookException
        || failure instanceof JsonUnreadable
        || failure instanceof PortTaken) {
      return failure.getMessage();
    }
    if (failure instanceof FileSystemException disk) {
      // What is written stands beside its place first; nobody asked for that file.
      return String.valueOf(disk.getFile()).replaceFirst("\\.part$", "")
          + " cannot be read or written; check the folder, the permissions and the space.";
    }
    if (failure instanceof IOException) {
      return "A file cannot be read or written; check the disk, the permissions and the space.";
    }
    return "This did not work, by a fault of the program at "
        + place(failure)
        + ". Nothing was changed; please report that place.";
  }

  private static String place(Throwable failure) {
    return Arrays.stream(failure.getStackTrace())
        .filter(at -> at.getClassName().startsWith(OURS))
        .map(at -> at.getFileName() + ", line " + at.getLineNumber())
        .findFirst()
        .orElse("an unknown place");
  }
}
