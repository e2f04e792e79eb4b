package org.wiseember.command;

import java.io.IOException;
import java.nio.file.Path;
import org.wiseember.core.label.Label;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.log.TextFile;

/** A label that lies in a text file. */
final class LabelFile {
  /** No printed label comes near it. */
  private static final int MOST_BYTES = 256 << 10;

  private LabelFile() {}

  static Label read(Path file) throws IOException, LogUnreadable {
    return Label.read(TextFile.read(file, MOST_BYTES, "label"));
  }
}
