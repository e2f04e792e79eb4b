package org.wiseember.command;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.wiseember.trial.demo.DemoWorkbook;

/** The demo workbook, which takes some seconds to make, is only read, and is made once. */
final class DemoPool {
  private static Path made;

  private DemoPool() {}

  static synchronized Path file() throws IOException {
    if (made == null) {
      made = Files.createTempDirectory("ember-pool").resolve("pool.ember");
      DemoWorkbook.create(made);
    }
    return made;
  }
}
