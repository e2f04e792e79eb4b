package org.wiseember.workbook.disk;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** What a failure leaves behind: the file that was there, and nothing else. */
public class WholeFileTest {
  private Scratch scratch;
  private Path file;

  @BeforeMethod
  public void make() throws IOException {
    scratch = Scratch.make();
    file = scratch.file("page.txt");
  }

  @AfterMethod(alwaysRun = true)
  public void remove() {
    scratch.close();
  }

  private String[] names() {
    return file.getParent().toFile().list();
  }

  @Test
  public void whatIsWrittenTakesThePlaceOfWhatWasThere() throws IOException {
    Files.writeString(file, "yesterday's, and longer");
    WholeFile.write(file, "today's".getBytes(StandardCharsets.UTF_8));
    assertEquals(Files.readString(file), "today's");
    assertEquals(names(), new String[] {"page.txt"});
  }

  @Test
  public void aFailureHalfWayLeavesWhatWasThere() throws IOException {
    Files.writeString(file, "yesterday's");
    IOException said =
        expectThrows(
            IOException.class,
            () ->
                WholeFile.write(
                    file,
                    out -> {
                      out.write(new byte[1 << 20]);
                      throw new IOException("the disk is full");
                    }));
    assertEquals(said.getMessage(), "the disk is full");
    assertEquals(Files.readString(file), "yesterday's");
    assertEquals(names(), new String[] {"page.txt"});
  }

  /** An error, too: a page that takes all the memory there is. */
  @Test
  public void anErrorHalfWayLeavesNothingWhereNothingWas() {
    expectThrows(
        OutOfMemoryError.class,
        () ->
            WholeFile.write(
                file,
                out -> {
                  out.write(1);
                  throw new OutOfMemoryError("for the test");
                }));
    assertFalse(Files.exists(file));
    assertEquals(names().length, 0);
  }

  @Test
  public void whatAKilledProgramLeftIsInNobodysWay() throws IOException {
    Files.writeString(file.resolveSibling("page.txt.part"), "half of");
    WholeFile.write(file, out -> out.write('x'));
    assertEquals(Files.readString(file), "x");
    assertEquals(names(), new String[] {"page.txt"});
  }
}
