package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.IdleState;
import org.wiseember.core.figure.Figure;
import org.wiseember.trial.kind.idle.IdleRun;
import org.wiseember.trial.kind.waveform.WaveRun;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/**
 * A workbook of every earlier layout, made by the program of that layout from its demo and cut down
 * to a few runs, opens with the figures that program printed on its page.
 */
public class OldWorkbooksTest {
  /** What was wrong then and is told otherwise now; the change log says so. */
  private static final Map<String, String> MENDED =
      Map.ofEntries(
          // No run repeats to the last digit: half a percent is left open in whole tests.
          Map.entry("any AC energy at 590 W", "903 ± 7 Wh, Short"),
          Map.entry("any AC energy at 592 W", "904 ± 7 Wh, Short"),
          Map.entry("any Peak efficiency", "91.7 ± 1.2 %, Kept"),
          Map.entry("any Full charge", "1.498 ± 0.018 h, Too close to call"),
          Map.entry("any Mains charging, peak", "904 ± 7 W, Too close to call"),
          // A band is held at every moment: the worst half minute counts.
          Map.entry("any Output volts at 590 W", "228.4 ± 0.7 V, Kept"),
          Map.entry("any Output volts at 592 W", "227.8 ± 0.7 V, Kept"),
          Map.entry("any Frequency at 590 W", "49.990 ± 0.012 Hz, Kept"),
          Map.entry("any Frequency at 592 W", "49.990 ± 0.012 Hz, Kept"),
          // Where it switched off lies between what was carried and what was not.
          Map.entry("any 12 V port", "10.15 ± 0.15 A, Too close to call"),
          // The converter's steps are not all alike, and orders are told to 40.
          Map.entry("any Distortion, worst: no load", "2.13 ± 0.06 %, Kept"),
          Map.entry("4 Surge, by a start", "≥ 2\u2009402 ± 72 W, Rig cannot show it"));

  static Path unpacked(int layout) throws IOException {
    Path file = Files.createTempDirectory("ember-old").resolve("old.ember");
    try (InputStream in =
        new GZIPInputStream(
            OldWorkbooksTest.class.getResourceAsStream("old/layout-" + layout + ".ember.gz"))) {
      Files.copy(in, file);
    }
    return file;
  }

  private static List<String[]> printed(int layout) throws IOException {
    try (InputStream in =
        OldWorkbooksTest.class.getResourceAsStream("old/layout-" + layout + ".tsv")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8)
          .lines()
          .map(line -> line.split("\t"))
          .toList();
    }
  }

  @DataProvider
  public Object[][] layouts() {
    return new Object[][] {{1}, {2}, {3}, {4}, {5}, {6}, {7}, {8}, {9}, {10}, {11}, {12}, {13}};
  }

  private static List<Judgement> judged(Workbook workbook) {
    return workbook.units().all().stream().map(u -> Judgement.of(workbook, u, true)).toList();
  }

  @Test(dataProvider = "layouts")
  public void opensWithTheSameFigures(int layout) throws Exception {
    Path file = unpacked(layout);
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      List<Judgement> units = judged(workbook);
      assertFalse(printed(layout).isEmpty());
      List<String> differ = new ArrayList<>();
      for (String[] row : printed(layout)) {
        Judged line = line(units, row[0], row[1]);
        String standing = line.verdict().orElseThrow().standing().words();
        String now = line.figure().map(Figure::words).orElse("–") + ", " + standing;
        String then = row[2] + ", " + row[3];
        String wanted =
            MENDED.getOrDefault(layout + " " + row[1], MENDED.getOrDefault("any " + row[1], then));
        if (!now.equals(wanted)) {
          differ.add(row[1] + ": " + now + ", not " + wanted);
        }
      }
      assertEquals(String.join("\n", differ), "");
    }
  }

  private static Judged line(List<Judgement> units, String unit, String title) {
    Judgement judgement =
        units.stream().filter(j -> j.unit().name().equals(unit)).findFirst().orElseThrow();
    return judgement.lines().stream()
        .filter(l -> l.title().equals(title))
        .findFirst()
        .orElseThrow(
            () ->
                new AssertionError(
                    title
                        + " is not among "
                        + judgement.lines().stream().map(Judged::title).toList()));
  }

  /**
   * The file as it was stays beside, as its own program can read it; a second opening adds none.
   */
  @Test(dataProvider = "layouts")
  public void theOldFileStaysBeside(int layout) throws Exception {
    Path file = unpacked(layout);
    Path beside = file.resolveSibling("old.layout-" + layout + ".ember");
    try (Workbook first = Workbook.open(file, Clock.systemUTC())) {
      assertEquals(first.asItWas(), Optional.of(beside));
    }
    try (Workbook second = Workbook.open(file, Clock.systemUTC())) {
      assertEquals(second.asItWas(), Optional.empty());
    }
    assertEquals(number(beside, "PRAGMA user_version"), layout);
    assertEquals(number(file, "PRAGMA user_version"), 14);
    for (String table : List.of("run", "sample_block", "event", "label")) {
      String rows = "SELECT count(*) FROM " + table;
      assertEquals(number(file, rows), number(beside, rows), table);
    }
    try (var files = Files.list(file.getParent())) {
      assertEquals(files.filter(f -> f.toString().endsWith(".ember")).count(), 2);
    }
  }

  private static long number(Path file, String query) throws SQLException {
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement();
        ResultSet row = statement.executeQuery(query)) {
      return row.next() ? row.getLong(1) : 0;
    }
  }

  /** Where somebody else writes the file it is read as it is, and stays as it is. */
  @Test
  public void readOnlyLeavesTheFileAlone() throws Exception {
    Path file = unpacked(6);
    byte[] before = Files.readAllBytes(file);
    Path lock = file.resolveSibling("old.ember-lock");
    try (FileChannel channel =
            FileChannel.open(lock, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        FileLock held = channel.lock();
        Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      assertTrue(held.isValid() && workbook.readOnly());
      assertEquals(
          line(judged(workbook), "Quernfold Q1100", "Idle draw, AC output on")
              .figure()
              .map(Figure::words),
          Optional.of("13.2 ± 1.1 W"));
    }
    assertEquals(Files.readAllBytes(file), before);
  }

  /** What stood in words is data: states by their keys, loads in watts, no count for a moment. */
  @Test
  public void whatStoodInWordsIsData() throws Exception {
    try (Workbook workbook = Workbook.open(unpacked(6), Clock.systemUTC())) {
      TestedUnit unit = workbook.units().all().get(0);
      Judgement judgement = Judgement.of(workbook, unit, true);
      IdleRun idle = judgement.newest(IdleRun.class).orElseThrow();
      assertEquals(
          idle.states().stream().map(s -> s.state().orElseThrow()).toList(),
          List.of(IdleState.values()));
      List<StoredCapture> captures =
          workbook.captures().of(judgement.newest(WaveRun.class).orElseThrow().run().id());
      assertEquals(captures.stream().filter(StoredCapture::mains).count(), 1);
      assertEquals(
          captures.stream().filter(c -> !c.mains()).map(StoredCapture::loadWatts).toList(),
          List.of(0.0, 600.0));
      List<String> codes = new ArrayList<>();
      for (Run run : workbook.runs().of(unit.id())) {
        workbook.runs().events(run.id()).stream().map(Event::code).forEach(codes::add);
      }
      assertTrue(codes.contains("idle_state") && codes.contains("start_started"), codes.toString());
      assertTrue(codes.stream().noneMatch(c -> c.contains("-")), codes.toString());
    }
  }
}
