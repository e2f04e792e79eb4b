package org.wiseember.desktop.model;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.demo.DemoWorkbook;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.kind.waveform.WaveRun;
import org.wiseember.workbook.log.LogMapping;

/** Files that come in and go out: logs, run packages, captures. */
public class ReadingInModelTest extends OnSession {
  /** The one that was kept last, whenever it began. */
  private Drained lastDrain() {
    return desk.chosen().get().drains().stream()
        .max(Comparator.comparingLong(d -> d.run().id()))
        .orElseThrow();
  }

  private Path log() throws IOException {
    Path log = folder.resolve("stall.csv");
    DemoWorkbook.writeMeterLog(desk.workbook().orElseThrow(), log);
    return log;
  }

  private void readIn(Path log) {
    desk.readingIn().take(log);
    until(() -> desk.readingIn().draft().get() != null);
    desk.readingIn()
        .readIn(
            desk.readingIn().draft().get().mapping(),
            AllTests.of(Drain.AC),
            "From a log",
            Optional.of(1.0));
  }

  @Test
  public void aLogBecomesARunAndIsTakenBack() throws IOException {
    int before = desk.chosen().get().drains().size();
    double first = value(desk.chosen().get().drains().get(0));
    readIn(log());
    until(() -> desk.chosen().get().drains().size() == before + 1);
    assertEquals(value(lastDrain()), first, 0.01 * first);
    assertEquals(desk.stage().get(), StageName.EVIDENCE);
    assertEquals(desk.shownRun().get().longValue(), lastDrain().run().id());
    assertTrue(desk.readingIn().progress().get() < 0);
    desk.undo();
    until(() -> desk.chosen().get().drains().size() == before);
    // The same kind of file again: taken as last time.
    desk.readingIn().take(folder.resolve("stall.csv"));
    until(() -> desk.readingIn().draft().get() != null);
    assertTrue(desk.readingIn().draft().get().remembered());
    desk.readingIn().forget();
    assertEquals(desk.readingIn().draft().get(), null);
  }

  private static double value(Drained run) {
    return run.finding().deliveredEnergy().orElseThrow().value();
  }

  /** A run goes out as a package and comes in as another one with the same figures. */
  @Test
  public void aPackageGoesOutAndComesIn() throws IOException {
    int before = desk.chosen().get().drains().size();
    Drained out = desk.chosen().get().drains().get(0);
    desk.readingIn().pack(out.run(), desk.chosen().get().unit().name());
    until(() -> packages() == 1);
    settle();
    Path zip;
    try (Stream<Path> files = Files.list(folder)) {
      zip = files.filter(f -> f.toString().endsWith(".zip")).findFirst().orElseThrow();
    }
    desk.readingIn().take(zip);
    until(() -> desk.chosen().get().drains().size() == before + 1);
    assertEquals(
        lastDrain().figures().stream().map(Figure::words).toList(),
        out.figures().stream().map(Figure::words).toList());
    assertEquals(lastDrain().warnings(), out.warnings());
  }

  private int packages() {
    try (Stream<Path> files = Files.list(folder)) {
      return (int) files.filter(f -> f.toString().endsWith(".zip")).count();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Each bad file is one sentence, and nothing has changed. */
  @Test
  public void badFilesAreOneSentence() throws IOException {
    int runs = desk.chosen().get().runs().size();
    for (String[] bad :
        new String[][] {
          {"empty.csv", ""},
          {"words.csv", "There is nothing here\nthat is a log\n"},
          {"no.zip", "not a zip"},
          {"picture.csv", "\u0000\u0001\u0002\u0003"},
        }) {
      desk.said().set("");
      Path file = Files.writeString(folder.resolve(bad[0]), bad[1]);
      desk.readingIn().take(file);
      until(() -> !desk.said().get().isEmpty());
      assertFalse(desk.said().get().contains("Exception"), desk.said().get());
      assertTrue(desk.said().get().contains(bad[0]), desk.said().get());
      assertEquals(desk.readingIn().draft().get(), null);
    }
    settle();
    assertEquals(desk.chosen().get().runs().size(), runs);
  }

  /** Without a unit a log is no test, but it may be a watch of an appliance. */
  @Test
  public void aLogWithoutAUnitIsAWatch() throws IOException {
    Path log = log();
    desk.open(folder.resolve("fresh.ember"));
    until(() -> desk.shelf().isEmpty());
    desk.readingIn().take(log);
    until(() -> desk.readingIn().draft().get() != null);
    LogMapping mapping = desk.readingIn().draft().get().mapping();
    desk.readingIn().readIn(mapping, AllTests.of(Drain.AC), "Drain", Optional.empty());
    untilSaid("A log of a test belongs to a unit");
    desk.readingIn().readInWatch(mapping, "Press", Optional.of(1.0));
    until(() -> desk.beside().watches().size() == 1);
    assertEquals(desk.beside().watches().get(0).name(), "Press");
    assertEquals(desk.beside().runs().get(0).run().unitId(), 0);
    desk.undo();
    until(() -> desk.beside().watches().isEmpty());
  }

  /** A scope's file is kept as a capture with its load and no moment, and taken back. */
  @Test
  public void aCaptureComesInAndIsTakenBack() throws IOException {
    choose(1);
    Path file = folder.resolve("scope.csv");
    DemoWorkbook.writeScopeFile(file);
    desk.readingIn().take(file);
    until(() -> desk.captures().draft().get() != null);
    desk.captures().keep(CaptureNote.ofLoad(600), 40);
    until(() -> waves() == 1);
    WaveRun run = desk.chosen().get().newest(WaveRun.class).orElseThrow();
    assertEquals(run.waves().get(0).kept().loadWatts(), 600.0);
    assertTrue(Double.isNaN(run.waves().get(0).kept().seconds()), "nobody knows when it was");
    assertEquals(run.waves().get(0).finding().orElseThrow().rms().value(), 230, 3);
    desk.undo();
    until(() -> waves() == 0);
  }

  private int waves() {
    return desk.chosen().get().newest(WaveRun.class).map(r -> r.waves().size()).orElse(0);
  }
}
