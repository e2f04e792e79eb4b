package org.wiseember.command;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.wiseember.core.label.Label;
import org.wiseember.workbook.log.LogUnreadable;

/** A label that lies in a text file. */
final class LabelFile {
  /** No printed label comes near it. */
  private static final int MOST_BYTES = 256 << 10;

  private LabelFile() {}

  static Label read(Path file) throws IOException, LogUnreadable {
    if (!Files.isRegularFile(file)) {
      throw new LogUnreadable(file + " is not there, or is no file; check the path");
    }
    try (InputStream in = Files.newInputStream(file)) {
      byte[] bytes = in.readNBytes(MOST_BYTES + 1);
      if (bytes.length > MOST_BYTES) {
        throw new LogUnreadable(file.getFileName() + " is far too long for a label");
      }
      String text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
      return Label.read(text.startsWith("\uFEFF") ? text.substring(1) : text);
    } catch (CharacterCodingException e) {
      throw new LogUnreadable(file.getFileName() + " is no text in UTF-8; save it as that");
    }
  }
}
