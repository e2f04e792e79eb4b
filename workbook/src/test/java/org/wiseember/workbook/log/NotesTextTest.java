package org.wiseember.workbook.log;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import java.nio.charset.StandardCharsets;
import org.testng.annotations.Test;
import org.wiseember.core.notes.NotesFile;
import org.wiseember.core.notes.NotesUnreadable;

public class NotesTextTest {
  @Test
  public void bytesOfSeveralSorts() throws NotesUnreadable {
    String text = "14:05 100 %, 0 Wh\r\n15:00 room 21 °C\r\n";
    byte[] marked = ("\ufeff" + text).getBytes(StandardCharsets.UTF_8);
    byte[] little = ("\ufeff" + text).getBytes(StandardCharsets.UTF_16LE);
    byte[] big = ("\ufeff" + text).getBytes(StandardCharsets.UTF_16BE);
    for (byte[] bytes : new byte[][] {marked, little, big}) {
      assertEquals(NotesFile.read(NotesText.of(bytes)), NotesFile.read(text));
    }
    assertEquals(NotesFile.read(text).entries().size(), 2);
    byte[] latin = text.getBytes(StandardCharsets.ISO_8859_1);
    expectThrows(NotesUnreadable.class, () -> NotesText.of(latin));
    expectThrows(NotesUnreadable.class, () -> NotesText.of(new byte[NotesFile.MOST_BYTES + 1]));
  }
}
