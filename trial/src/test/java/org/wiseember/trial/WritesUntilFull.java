package org.wiseember.trial;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.pack.RunPackage;

/** A program of its own, whose files may not grow, that writes and says what came of it. */
public final class WritesUntilFull {
  private WritesUntilFull() {}

  /** What to do, the workbook, and where to. */
  public static void main(String[] args) {
    Path file = Path.of(args[1]);
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      switch (args[0]) {
        case "copy" -> workbook.saveCopy(Path.of(args[2]));
        case "backup" -> workbook.backups().daily(LocalDate.of(2026, 5, 4));
        case "pack" -> RunPackage.write(workbook, workbook.runs().all().get(0), Path.of(args[2]));
        default -> workbook.settle();
      }
      System.out.println("written");
    } catch (WorkbookException e) {
      System.out.println(e.getMessage());
    } catch (IOException e) {
      System.out.println("not packed");
    }
  }
}
