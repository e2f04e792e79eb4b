package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** One writer a workbook, and a word of who it is. */
public class WriterLockTest {
  private Path workbook;

  @BeforeMethod
  public void makeFolder() throws IOException {
    workbook = Files.createTempDirectory("ember-lock").resolve("one.ember");
  }

  @Test
  public void theFirstHasItAndSaysWho() throws IOException {
    try (WriterLock lock = WriterLock.take(workbook, "the window on the bench").orElseThrow()) {
      assertEquals(WriterLock.holder(workbook), "the window on the bench");
      assertTrue(WriterLock.take(workbook, "another").isEmpty());
      assertEquals(WriterLock.holder(workbook), "the window on the bench", "not written over");
      assertTrue(lock != null);
    }
  }

  @Test
  public void itIsFreeAgainOnceItWasGivenBack() throws IOException {
    WriterLock.take(workbook, "first").orElseThrow().close();
    Optional<WriterLock> second = WriterLock.take(workbook, "second");
    assertTrue(second.isPresent());
    assertEquals(WriterLock.holder(workbook), "second");
    second.get().close();
  }

  /** A lock file that a killed program left behind holds nobody up. */
  @Test
  public void aFileLeftBehindHoldsNobodyUp() throws IOException {
    Files.writeString(WriterLock.beside(workbook), "a program that is gone");
    try (WriterLock lock = WriterLock.take(workbook, "me").orElseThrow()) {
      assertEquals(WriterLock.holder(workbook), "me");
      assertTrue(lock != null);
    }
  }

  @Test
  public void whatIsWrittenThereIsNotTrusted() throws IOException {
    assertEquals(WriterLock.holder(workbook), "another program", "no file");
    Files.writeString(WriterLock.beside(workbook), "x".repeat(5000));
    assertEquals(WriterLock.holder(workbook), "another program");
    Files.write(WriterLock.beside(workbook), new byte[] {(byte) 0xff, (byte) 0xfe, 1});
    assertEquals(WriterLock.holder(workbook), "another program");
    Files.writeString(WriterLock.beside(workbook), " ");
    assertFalse(WriterLock.holder(workbook).isBlank());
  }
}
