package org.wiseember.trial;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.pack.RunPackage;

/** A program of its own that takes packages in, or brings workbooks up, until somebody kills it. */
public final class WorksUntilKilled {
  private WorksUntilKilled() {}

  /**
   * Either {@code packages WORKBOOK PACKAGE}, which is taken in over and over, or {@code layouts
   * WORKBOOK…}, each of which is opened.
   */
  public static void main(String[] args) {
    if (args[0].equals("packages")) {
      try (Workbook workbook = Workbook.open(Path.of(args[1]), Clock.systemUTC())) {
        ready();
        while (true) {
          RunPackage.takeIn(workbook, Path.of(args[2]));
        }
      }
    }
    ready();
    for (String old : Arrays.asList(args).subList(1, args.length)) {
      Workbook.open(Path.of(old), Clock.systemUTC()).close();
    }
  }

  private static void ready() {
    System.out.println("ready");
    System.out.flush();
  }
}
