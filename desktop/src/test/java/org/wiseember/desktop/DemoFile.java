package org.wiseember.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.wiseember.trial.demo.DemoWorkbook;

/** Fresh copies of the demo workbook, which takes some seconds to make and is made once. */
public final class DemoFile {
  private static Path made;

  private DemoFile() {}

  /** A copy in a folder. */
  public static synchronized Path in(Path folder) throws IOException {
    if (made == null) {
      made = Files.createTempDirectory("ember-demo").resolve("demo.ember");
      DemoWorkbook.create(made);
    }
    return Files.copy(made, folder.resolve("demo.ember"));
  }
}
