package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.disk.Scratch;

/** Who copies a workbook has all of it, and is told where that could not be. */
public class CopiesTest {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-05-04T16:30:00Z"), ZoneOffset.UTC);
  private static final LocalDate DAY = LocalDate.of(2026, 5, 4);

  private Scratch scratch;
  private Path file;

  @BeforeMethod
  public void make() throws IOException {
    scratch = Scratch.make();
    file = scratch.file("stall.ember");
  }

  @AfterMethod(alwaysRun = true)
  public void remove() {
    scratch.close();
  }

  private Path wal() {
    return scratch.file("stall.ember-wal");
  }

  private static Run drain(Workbook workbook, int rows) {
    long unit =
        workbook.units().all().stream()
            .findFirst()
            .orElseGet(() -> workbook.units().add("Quernfold Q1100"))
            .id();
    RunWriter writer =
        workbook
            .runs()
            .begin(
                new NewRun(
                    RunOf.unit(unit),
                    "ac-drain",
                    "AC drain",
                    CLOCK.instant(),
                    RunSettings.of(
                        RunSettings.Source.SIMULATED,
                        Map.of(Channel.AC_POWER, MeterClass.ofReading(0.5, 2, 0.1)))),
                List.of(Channel.AC_POWER));
    for (int i = 0; i < rows; i++) {
      writer.append(i, new double[] {600 + Math.sin(i)});
    }
    writer.flush();
    writer.end(Run.State.DONE, "done");
    return workbook.runs().byId(writer.runId()).orElseThrow();
  }

  private Workbook open() {
    return Workbook.open(file, CLOCK);
  }

  @Test
  public void aCopyIsWholeInOneFileWhileTheWorkbookIsOpen() throws IOException {
    try (Workbook workbook = open()) {
      Run run = drain(workbook, 20_000);
      assertTrue(Files.size(wal()) > 0, "something waits in the side file");
      Path copy = scratch.file("copy.ember");
      workbook.saveCopy(copy);
      assertFalse(Files.exists(scratch.file("copy.ember-wal")));
      try (Workbook second = Workbook.open(copy, CLOCK)) {
        assertFalse(second.sideFileMissing(), "a copy saved so is nobody's open file");
        assertEquals(
            second.runs().trace(second.runs().byId(run.id()).orElseThrow()).size(), 20_000);
      }
      drain(workbook, 5);
      workbook.saveCopy(copy);
      try (Workbook second = Workbook.read(copy, CLOCK)) {
        assertEquals(second.runs().of(1).size(), 2, "the newer copy takes its place");
      }
    }
  }

  @Test
  public void aCopyOntoItselfOrOntoAnOpenFileIsRefused() throws IOException {
    Path other = scratch.file("other.ember");
    try (Workbook workbook = open();
        Workbook open = Workbook.open(other, CLOCK)) {
      open.units().add("Tamsel T1");
      Path link = Files.createSymbolicLink(scratch.file("link.ember"), file);
      for (Path itself : List.of(file, link)) {
        String said =
            expectThrows(WorkbookException.class, () -> workbook.saveCopy(itself)).getMessage();
        assertTrue(said.contains("another name"), said);
      }
      String said =
          expectThrows(WorkbookException.class, () -> workbook.saveCopy(other)).getMessage();
      assertTrue(said.contains("is open in a program"), said);
      assertEquals(open.units().all().size(), 1);
      Path nowhere = scratch.file("no such folder").resolve("copy.ember");
      said = expectThrows(WorkbookException.class, () -> workbook.saveCopy(nowhere)).getMessage();
      assertTrue(said.endsWith(".") && !said.contains("SQLITE"), said);
    }
  }

  /** Copied with nothing beside it, as a sync program does, once the bench is quiet. */
  @Test
  public void afterSettlingTheFileAloneHasAll() throws IOException {
    try (Workbook workbook = open()) {
      Run run = drain(workbook, 20_000);
      workbook.settle();
      assertEquals(Files.size(wal()), 0);
      Path copy = Files.copy(file, scratch.file("synced.ember"));
      try (Workbook second = Workbook.open(copy, CLOCK)) {
        assertTrue(second.sideFileMissing(), "it cannot know that nothing was missing");
        assertEquals(
            second.runs().trace(second.runs().byId(run.id()).orElseThrow()).size(), 20_000);
      }
    }
  }

  /** A long import in one go leaves no more beside the file than a few megabytes. */
  @Test
  public void theSideFileStaysSmall() throws IOException {
    try (Workbook workbook = open()) {
      for (int i = 0; i < 12; i++) {
        drain(workbook, 100_000);
      }
      assertTrue(Files.size(wal()) < 8 << 20, "beside it lie " + Files.size(wal()));
      assertTrue(Files.size(file) > 8 << 20, "of " + Files.size(file));
    }
  }

  @Test
  public void aMissingSideFileIsKnownUntilItIsSeen() throws IOException {
    Path copy = scratch.file("copied.ember");
    try (Workbook workbook = open()) {
      workbook.settle();
      drain(workbook, 100);
      Files.copy(file, copy);
    }
    try (Workbook half = Workbook.open(copy, CLOCK)) {
      assertTrue(half.sideFileMissing());
    }
    try (Workbook again = Workbook.open(copy, CLOCK)) {
      assertFalse(again.sideFileMissing(), "it was closed as it should be");
    }
    try (Workbook workbook = open()) {
      assertFalse(workbook.sideFileMissing());
      assertFalse(workbook.units().all().isEmpty());
    }
  }

  @Test
  public void aBackupADayAndTheLastFiveAreKept() throws IOException {
    try (Workbook workbook = open()) {
      assertTrue(workbook.backups().daily(DAY).isEmpty(), "nothing to keep yet");
      drain(workbook, 10);
      Path mine = Files.writeString(scratch.file("stall.backup-mine.ember"), "x");
      Path others = Files.writeString(scratch.file("stall 2.backup-2020-01-01.ember"), "x");
      for (int day = 0; day < 7; day++) {
        assertTrue(workbook.backups().daily(DAY.plusDays(day)).isPresent());
        assertTrue(workbook.backups().daily(DAY.plusDays(day)).isEmpty(), "once a day");
      }
      assertEquals(
          workbook.backups().all().stream().map(p -> p.getFileName().toString()).toList(),
          Stream.of(6, 7, 8, 9, 10)
              .map(d -> "stall.backup-2026-05-%02d.ember".formatted(d))
              .toList());
      assertTrue(Files.exists(mine) && Files.exists(others), "what is not ours stays");
      try (Workbook back = Workbook.open(workbook.backups().all().get(0), CLOCK)) {
        assertEquals(back.runs().of(1).size(), 1);
        assertFalse(back.readOnly());
      }
    }
  }

  /** The superuser may write everywhere, so the folder's protection is played. */
  @Test
  public void aFolderThatCannotBeWrittenOpensForReading() throws IOException {
    try (Workbook workbook = open()) {
      drain(workbook, 10);
    }
    byte[] before = Files.readAllBytes(file);
    Path folder = file.toAbsolutePath().getParent();
    for (Path shut : List.of(folder, file)) {
      try (Workbook workbook = new Opening(file, CLOCK, p -> !p.equals(shut)).toWork()) {
        assertTrue(workbook.readOnly());
        assertTrue(workbook.writer().contains("protected"), workbook.writer());
        assertEquals(workbook.runs().trace(workbook.runs().of(1).get(0)).size(), 10);
        String said =
            expectThrows(WorkbookException.class, () -> workbook.units().add("x")).getMessage();
        assertTrue(said.contains("reading only"), said);
      }
    }
    assertEquals(Files.readAllBytes(file), before);
    assertEquals(
        Arrays.stream(folder.toFile().list()).filter(n -> !n.endsWith("-lock")).toList(),
        List.of("stall.ember"));
  }

  /** Even where somebody writes it there just now, what they have entered is read. */
  @Test
  public void readingBesideAWriterSeesWhatWaits() {
    try (Workbook workbook = open()) {
      drain(workbook, 10);
      Path folder = file.toAbsolutePath().getParent();
      try (Workbook reader = new Opening(file, CLOCK, p -> !p.equals(folder)).toWork();
          Workbook lookup = Workbook.read(file, CLOCK)) {
        assertEquals(reader.runs().of(1).size(), 1);
        assertEquals(lookup.runs().of(1).size(), 1);
        assertTrue(lookup.readOnly());
      }
    }
  }

  @Test
  public void readingMakesNoFileAndSaysSo() {
    String said =
        expectThrows(WorkbookException.class, () -> Workbook.read(file, CLOCK)).getMessage();
    assertTrue(said.startsWith("There is no workbook"), said);
    assertFalse(Files.exists(file));
  }

  /** One file, three names, and one writer. */
  @Test
  public void theWriterIsKnownByAnyNameOfTheFile() throws IOException {
    try (Workbook workbook = open()) {
      drain(workbook, 10);
      Path soft = Files.createSymbolicLink(scratch.file("soft.ember"), file);
      Path hard = Files.createLink(scratch.file("hard.ember"), file);
      Path other = Files.createDirectory(scratch.file("other"));
      Path far = Files.createSymbolicLink(other.resolve("stall.ember"), file);
      Path round = other.resolve("..").resolve("stall.ember");
      for (Path name : List.of(soft, hard, far, round)) {
        try (Workbook second = Workbook.open(name, CLOCK)) {
          assertTrue(second.readOnly(), name.toString());
          String pid = Long.toString(ProcessHandle.current().pid());
          assertTrue(second.writer().contains(pid), second.writer());
        }
      }
      assertFalse(workbook.readOnly());
      workbook.units().add("Tamsel T1");
    }
    try (Workbook hard = Workbook.open(scratch.file("hard.ember"), CLOCK)) {
      assertFalse(hard.readOnly(), "free again");
      try (Workbook first = open()) {
        assertTrue(first.readOnly(), "and held by the other name");
      }
    }
  }
}
