package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.disk.Scratch;

/**
 * Whole files on a disk that is full: a program that may let no file grow above some length gets
 * from the system what a full disk gives. The database's own writings are tested beside it.
 */
public class FullDiskTest {
  private static final int BLOCK = 512;

  private Scratch scratch;
  private Path file;

  @BeforeMethod
  public void make() throws Exception {
    scratch = Scratch.make();
    file = scratch.file("stall.ember");
    Files.copy(OldWorkbooksTest.unpacked(8), file);
    // Much more than what the database's own library takes when it is unpacked.
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement()) {
      statement.execute("PRAGMA journal_mode = WAL");
      statement.execute("UPDATE run SET title = hex(randomblob(5000000))");
    }
  }

  @AfterMethod(alwaysRun = true)
  public void remove() {
    scratch.close();
  }

  private String said(long longest, String what, Path to) throws Exception {
    List<String> starved =
        new ArrayList<>(
            List.of("sh", "-c", "ulimit -f " + longest / BLOCK + "; exec \"$0\" \"$@\""));
    starved.addAll(
        ChildProgram.command(WritesUntilFull.class, List.of(what, file.toString(), to.toString())));
    Process child = ChildProgram.start(starved);
    try (InputStream out = child.getInputStream()) {
      String said = new String(out.readAllBytes(), StandardCharsets.UTF_8).strip();
      child.waitFor();
      return said;
    }
  }

  private List<String> names() {
    return Arrays.stream(scratch.file("x").getParent().toFile().list())
        .filter(n -> !n.endsWith("-lock"))
        .sorted()
        .toList();
  }

  private void bringUp() {
    Workbook.open(file, Clock.systemUTC()).close();
  }

  @Test
  public void aCopyThatFindsNoRoomLeavesTheLastOne() throws Exception {
    bringUp();
    Path copy = scratch.file("copy.ember");
    Files.writeString(copy, "the last one");
    List<String> before = names();
    String said = said(Files.size(file) / 2, "copy", copy);
    assertTrue(said.startsWith("The disk "), said);
    assertEquals(Files.readString(copy), "the last one");
    assertEquals(names(), before);
    assertEquals(said(Files.size(file) * 2, "copy", copy), "written", "with room it is");
  }

  @Test
  public void aBackupThatFindsNoRoomIsNotHalfThere() throws Exception {
    bringUp();
    List<String> before = names();
    String said = said(Files.size(file) / 2, "backup", file);
    assertTrue(said.startsWith("The disk "), said);
    assertEquals(names(), before);
  }

  @Test
  public void aPackedRunThatFindsNoRoomLeavesTheLastOne() throws Exception {
    bringUp();
    Path pack = scratch.file("run.zip");
    Files.writeString(pack, "the last one");
    List<String> before = names();
    String said = said(3 << 20, "pack", pack);
    assertEquals(said, "not packed");
    assertEquals(Files.readString(pack), "the last one");
    assertEquals(names(), before);
  }

  /** No room for what it was: then it is not brought up either. */
  @Test
  public void anOlderWorkbookThatFindsNoRoomStaysAsItWas() throws Exception {
    byte[] before = Files.readAllBytes(file);
    String said = said(before.length / 2, "layout", file);
    assertTrue(said.contains("Make room") && said.contains("nothing was changed"), said);
    assertEquals(Files.readAllBytes(file), before);
    assertEquals(names(), List.of("stall.ember"));
    assertFalse(Files.exists(scratch.file("stall.layout-8.ember")));
    assertEquals(said(before.length * 20L, "layout", file), "written");
  }
}
