package org.wiseember.workbook.log;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.wiseember.core.notes.NotesFile;
import org.wiseember.core.notes.NotesUnreadable;

/** The text of notes that lie in a file: UTF-8, or UTF-16 by its byte order mark. */
public final class NotesText {
  private NotesText() {}

  /**
   * Reads it.
   *
   * @throws NotesUnreadable where it is no text, or is more than {@link NotesFile#MOST_BYTES}
   */
  public static String read(Path file) throws IOException, NotesUnreadable {
    try (InputStream in = Files.newInputStream(file)) {
      return of(in.readNBytes(NotesFile.MOST_BYTES + 1));
    }
  }

  static String of(byte[] bytes) throws NotesUnreadable {
    if (bytes.length > NotesFile.MOST_BYTES) {
      throw NotesUnreadable.text(NotesFile.TOO_LARGE);
    }
    int first = bytes.length > 0 ? bytes[0] & 0xff : 0;
    int second = bytes.length > 1 ? bytes[1] & 0xff : 0;
    boolean big = first == 0xfe && second == 0xff;
    boolean little = first == 0xff && second == 0xfe;
    Charset charset =
        big
            ? StandardCharsets.UTF_16BE
            : little ? StandardCharsets.UTF_16LE : StandardCharsets.UTF_8;
    int skip = big || little ? 2 : 0;
    try {
      return charset
          .newDecoder()
          .decode(ByteBuffer.wrap(bytes, skip, bytes.length - skip))
          .toString();
    } catch (CharacterCodingException e) {
      throw NotesUnreadable.text("The notes are no text in UTF-8. Save them as UTF-8 text.");
    }
  }
}
