package org.wiseember.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.wiseember.trial.DemoFile;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Origin;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.pack.RunPackage;

/** Units of others on one's own shelf, and several benches on one. */
public class ShelfOfOthersTest {
  private static final Clock CLOCK = Clock.systemUTC();

  private Path folder;
  private Path packed;

  @BeforeClass
  public void make() throws IOException {
    folder = Files.createTempDirectory("ember-others");
    packed = folder.resolve("orrinmoor.zip");
    Told made =
        Told.by(
            "package",
            DemoFile.itself().toString(),
            "--unit",
            "Orrinmoor 2k4",
            "--out",
            packed.toString());
    assertEquals(made.code(), 0, made.err());
  }

  private Path empty(String name) {
    Path file = folder.resolve(name);
    Workbook.open(file, CLOCK).close();
    return file;
  }

  private static List<String> lines(Path file, String unit) {
    try (Workbook workbook = Workbook.read(file, CLOCK)) {
      TestedUnit found =
          workbook.units().all().stream()
              .filter(u -> u.name().equals(unit))
              .findFirst()
              .orElseThrow();
      List<String> lines = new ArrayList<>();
      for (Judged line : Judgement.of(workbook, found, true).lines()) {
        lines.add(
            line.title()
                + " "
                + line.figure().map(f -> f.words()).orElse("–")
                + " "
                + line.verdict().map(v -> v.standing().words()).orElse(""));
      }
      return lines;
    }
  }

  /** It stands as its tester published it, is marked, and nothing of one's own gets into it. */
  @Test
  public void somebodyElsesUnitStaysTheirs() throws IOException {
    Path mine = empty("mine.ember");
    Told told = Told.by("take-in", mine.toString(), packed.toString());
    assertEquals(told.code(), 0, told.err());
    assertTrue(told.out().contains("somebody else's, from orrinmoor.zip, unsigned"), told.out());
    assertTrue(told.out().contains("comes out the same here"), told.out());
    assertEquals(lines(mine, "Orrinmoor 2k4"), lines(DemoFile.itself(), "Orrinmoor 2k4"));
    Told again = Told.by("take-in", mine.toString(), packed.toString());
    assertEquals(again.code(), 3);
    assertTrue(again.err().contains("is on the shelf already"), again.err());
    Path run = folder.resolve("run.zip");
    try (Workbook pool = Workbook.read(DemoFile.itself(), CLOCK)) {
      TestedUnit theirs = pool.units().all().get(2);
      RunPackage.write(pool, pool.runs().of(theirs.id()).get(0), run);
    }
    try (Workbook workbook = Workbook.open(mine, CLOCK)) {
      TestedUnit unit = workbook.units().all().get(0);
      assertEquals(unit.origin().map(Origin::file), Optional.of("orrinmoor.zip"));
      NewRun more =
          new NewRun(
              RunOf.unit(unit.id()),
              "ac-drain",
              "Mine",
              CLOCK.instant(),
              RunSettings.of(RunSettings.Source.BY_HAND, java.util.Map.of()));
      expectThrows(WorkbookException.class, () -> workbook.runs().begin(more, List.of()));
      expectThrows(
          WorkbookException.class, () -> workbook.units().label(unit.id(), "1 Wh", List.of()));
      // A run of a unit of that name is one's own unit's, beside theirs.
      int before = workbook.runs().of(unit.id()).size();
      RunPackage.takeIn(workbook, run);
      assertEquals(workbook.runs().of(unit.id()).size(), before);
      assertEquals(workbook.units().all().size(), 2);
      assertTrue(workbook.units().all().get(1).origin().isEmpty());
    }
    Told pass =
        Told.by(
            "package",
            mine.toString(),
            "--unit",
            "Orrinmoor 2k4",
            "--out",
            folder.resolve("passed.zip").toString());
    assertEquals(pass.code(), 3);
    assertTrue(pass.err().contains("Pass on the package it came in"), pass.err());
  }

  /** The line-up takes it beside one's own, by name somebody else's. */
  @Test
  public void theLineUpComparesIt() throws IOException {
    Path mine = folder.resolve("pool.ember");
    Files.copy(DemoFile.itself(), mine);
    assertEquals(Told.by("take-in", mine.toString(), packed.toString()).code(), 0);
    try (Workbook workbook = Workbook.open(mine, CLOCK)) {
      workbook.lineUpNotes(workbook.lineUpNotes().on(List.of()));
    }
    Told told = Told.by("line-up", mine.toString(), "--json", "--load", "250");
    assertEquals(told.code(), 0, told.err());
    JsonNode own = null;
    JsonNode theirs = null;
    for (JsonNode unit : new ObjectMapper().readTree(told.out()).path("units")) {
      own = unit.path("name").asText().equals("Orrinmoor 2k4") ? unit : own;
      theirs = unit.path("name").asText().endsWith(", somebody else's") ? unit : theirs;
    }
    assertEquals(theirs.path("figures").get(0), own.path("figures").get(0));
  }

  /** What was changed after it was packed does not come onto the shelf. */
  @Test
  public void aTouchedPackageIsRefused() throws IOException {
    byte[] bytes = Files.readAllBytes(packed);
    // Of the zip's own list the last entry is named; a file of another name is missing from it.
    Path touched = folder.resolve("touched.zip");
    for (int i = bytes.length / 2; i < bytes.length / 2 + 40; i++) {
      bytes[i] ^= 0x55;
    }
    Files.write(touched, bytes);
    Path mine = empty("clean.ember");
    Told told = Told.by("take-in", mine.toString(), touched.toString());
    assertEquals(told.code(), 3, told.out());
    assertEquals(told.err().strip().lines().count(), 1, told.err());
    try (Workbook workbook = Workbook.read(mine, CLOCK)) {
      assertEquals(workbook.units().all(), List.of());
    }
  }

  /** Two benches of a lab: the same unit is one, the same run comes once, and figures stand. */
  @Test
  public void severalBenchesOnOneShelf() throws IOException {
    Path one = folder.resolve("one.ember");
    Path two = folder.resolve("two.ember");
    Files.copy(DemoFile.itself(), one);
    Files.copy(DemoFile.itself(), two);
    int runs;
    try (Workbook first = Workbook.open(one, CLOCK);
        Workbook second = Workbook.open(two, CLOCK)) {
      runs = first.runs().all().size();
      TestedUnit quernfold = first.units().all().get(0);
      List<Long> its = first.runs().of(quernfold.id()).stream().map(r -> r.id()).toList();
      // The first bench has half of the runs, the second the other units and a label of its own.
      its.subList(0, its.size() / 2).forEach(r -> first.runs().removed(r, true));
      first.units().remove(first.units().all().get(4).id());
      TestedUnit haddlewick = second.units().all().get(1);
      second.units().label(haddlewick.id(), "Capacity 500 Wh", List.of());
    }
    Told told = Told.by("merge", one.toString(), two.toString());
    assertEquals(told.code(), 0, told.err());
    assertTrue(told.out().contains("2 units,"), told.out());
    assertEquals(lines(one, "Quernfold Q1100"), lines(DemoFile.itself(), "Quernfold Q1100"));
    assertEquals(lines(one, "Tamsel T1"), lines(DemoFile.itself(), "Tamsel T1"));
    Told again = Told.by("merge", one.toString(), two.toString());
    assertTrue(again.out().contains("0 units, 0 runs, 0 instruments and 0 days"), again.out());
    try (Workbook merged = Workbook.read(one, CLOCK)) {
      assertEquals(merged.units().all().size(), 6);
      assertFalse(merged.runs().all().size() < runs);
    }
    Told itself = Told.by("merge", one.toString(), folder.resolve("none.ember").toString());
    assertEquals(itself.code(), 3);
  }
}
