package org.wiseember.command;

import java.io.IOException;
import java.nio.file.FileSystemException;
import org.wiseember.bench.standin.PortTaken;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.log.LogUnreadable;

/** One sentence for what went wrong; never a stack trace. */
final class Failure {
  private Failure() {}

  static String sentence(Exception failure) {
    if (failure instanceof LogUnreadable
        || failure instanceof WorkbookException
        || failure instanceof PortTaken) {
      return failure.getMessage();
    }
    if (failure instanceof FileSystemException disk) {
      return disk.getFile()
          + " cannot be written; check the folder, the permissions and the space.";
    }
    if (failure instanceof IOException) {
      return "The file cannot be read or written: " + failure.getMessage();
    }
    return "This did not work: " + failure.getMessage();
  }
}
