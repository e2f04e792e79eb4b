package org.wiseember.workbook.log;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/** A text somebody hands over in a file. */
public final class TextFile {
  private TextFile() {}

  /**
   * Reads it.
   *
   * @param mostBytes none of its sort comes near it
   * @param sort what it is to be, for sentences
   */
  public static String read(Path file, int mostBytes, String sort)
      throws IOException, LogUnreadable {
    if (!Files.isRegularFile(file)) {
      throw new LogUnreadable(file + " is not there, or is no file; check the path");
    }
    try (InputStream in = Files.newInputStream(file)) {
      byte[] bytes = in.readNBytes(mostBytes + 1);
      if (bytes.length > mostBytes) {
        throw new LogUnreadable(file.getFileName() + " is far too long for a " + sort);
      }
      String text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
      return text.startsWith("\uFEFF") ? text.substring(1) : text;
    } catch (CharacterCodingException e) {
      throw new LogUnreadable(file.getFileName() + " is no text in UTF-8; save it as that");
    }
  }
}
