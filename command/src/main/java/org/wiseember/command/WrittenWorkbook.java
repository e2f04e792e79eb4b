package org.wiseember.command;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;

/** A workbook a command writes to: it has to be there, and nobody else may be writing it. */
final class WrittenWorkbook {
  private WrittenWorkbook() {}

  static Workbook open(Path file, Clock clock) {
    if (Files.notExists(file)) {
      throw new WorkbookException(file + " is not there; check the name.");
    }
    Workbook workbook = Workbook.open(file, clock);
    if (workbook.readOnly()) {
      workbook.close();
      throw new WorkbookException(
          file.getFileName()
              + " is open elsewhere or cannot be written; close it there first. Nothing was"
              + " changed.");
    }
    return workbook;
  }
}
