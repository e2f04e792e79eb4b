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
    return session.shelf().chosen().get().drains().stream()
        .max(Comparator.comparingLong(d -> d.run().id()))
        .orElseThrow();
  }

  private Path log() throws IOException {
    Path log = folder.resolve("stall.csv");
    DemoWorkbook.writeMeterLog(session.open().workbook().orElseThrow(), log);
    return log;
  }

  private void readIn(Path log) {
    session.readingIn().take(log);
    until(() -> session.readingIn().draft().get() != null);
    session
        .readingIn()
        .readIn(
            session.readingIn().draft().get().mapping(),
            AllTests.of(Drain.AC),
            "From a log",
            Optional.of(1.0));
  }

  @Test
  public void aLogBecomesARunAndIsTakenBack() throws IOException {
    int before = session.shelf().chosen().get().drains().size();
    double first = value(session.shelf().chosen().get().drains().get(0));
    readIn(log());
    until(() -> session.shelf().chosen().get().drains().size() == before + 1);
    assertEquals(value(lastDrain()), first, 0.01 * first);
    assertEquals(session.at().stage().get(), StageName.EVIDENCE);
    assertEquals(session.at().shownRun().get().longValue(), lastDrain().run().id());
    assertTrue(session.readingIn().progress().get() < 0);
    session.open().undo();
    until(() -> session.shelf().chosen().get().drains().size() == before);
    // The same kind of file again: taken as last time.
    session.readingIn().take(folder.resolve("stall.csv"));
    until(() -> session.readingIn().draft().get() != null);
    assertTrue(session.readingIn().draft().get().remembered());
    session.readingIn().forget();
    assertEquals(session.readingIn().draft().get(), null);
  }

  private static double value(Drained run) {
    return run.finding().deliveredEnergy().orElseThrow().value();
  }

  /** A run goes out as a package and comes in as another one with the same figures. */
  @Test
  public void aPackageGoesOutAndComesIn() throws IOException {
    int before = session.shelf().chosen().get().drains().size();
    Drained out = session.shelf().chosen().get().drains().get(0);
    session.readingIn().pack(out.run(), session.shelf().chosen().get().unit().name());
    until(() -> packages() == 1);
    settle();
    Path zip;
    try (Stream<Path> files = Files.list(folder)) {
      zip = files.filter(f -> f.toString().endsWith(".zip")).findFirst().orElseThrow();
    }
    session.readingIn().take(zip);
    until(() -> session.shelf().chosen().get().drains().size() == before + 1);
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
    int runs = session.shelf().chosen().get().runs().size();
    for (String[] bad :
        new String[][] {
          {"empty.csv", ""},
          {"words.csv", "There is nothing here\nthat is a log\n"},
          {"no.zip", "not a zip"},
          {"picture.csv", "\u0000\u0001\u0002\u0003"},
        }) {
      session.open().said().set("");
      Path file = Files.writeString(folder.resolve(bad[0]), bad[1]);
      session.readingIn().take(file);
      until(() -> !session.open().said().get().isEmpty());
      assertFalse(session.open().said().get().contains("Exception"), session.open().said().get());
      assertTrue(session.open().said().get().contains(bad[0]), session.open().said().get());
      assertEquals(session.readingIn().draft().get(), null);
    }
    settle();
    assertEquals(session.shelf().chosen().get().runs().size(), runs);
  }

  /** Without a unit a log is no test, but it may be a watch of an appliance. */
  @Test
  public void aLogWithoutAUnitIsAWatch() throws IOException {
    Path log = log();
    session.open(folder.resolve("fresh.ember"));
    until(() -> session.shelf().places().isEmpty());
    session.readingIn().take(log);
    until(() -> session.readingIn().draft().get() != null);
    LogMapping mapping = session.readingIn().draft().get().mapping();
    session.readingIn().readIn(mapping, AllTests.of(Drain.AC), "Drain", Optional.empty());
    untilSaid("A log of a test belongs to a unit");
    session.readingIn().readInWatch(mapping, "Press", Optional.of(1.0));
    until(() -> session.beside().watches().size() == 1);
    assertEquals(session.beside().watches().get(0).name(), "Press");
    assertEquals(session.beside().runs().get(0).run().unitId(), 0);
    session.open().undo();
    until(() -> session.beside().watches().isEmpty());
  }

  /** A scope's file is kept as a capture with its load and no moment, and taken back. */
  @Test
  public void aCaptureComesInAndIsTakenBack() throws IOException {
    choose(1);
    Path file = folder.resolve("scope.csv");
    DemoWorkbook.writeScopeFile(file);
    session.readingIn().take(file);
    until(() -> session.captures().draft().get() != null);
    session.captures().keep(CaptureNote.ofLoad(600), 40);
    until(() -> waves() == 1);
    WaveRun run = session.shelf().chosen().get().newest(WaveRun.class).orElseThrow();
    assertEquals(run.waves().get(0).kept().loadWatts(), 600.0);
    assertTrue(Double.isNaN(run.waves().get(0).kept().seconds()), "nobody knows when it was");
    assertEquals(run.waves().get(0).finding().orElseThrow().rms().value(), 230, 3);
    session.open().undo();
    until(() -> waves() == 0);
  }

  private int waves() {
    return session
        .shelf()
        .chosen()
        .get()
        .newest(WaveRun.class)
        .map(r -> r.waves().size())
        .orElse(0);
  }
}
