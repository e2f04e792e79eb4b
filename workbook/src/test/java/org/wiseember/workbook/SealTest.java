package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.core.waveform.CapturePlace;

/** What a disk or another program did to readings is noticed; what is whole goes on. */
public class SealTest {
  private static final int FLIPS = Thorough.tries(50, 200);
  private static final List<Channel> CHANNELS = List.of(Channel.AC_POWER, Channel.CASE_TEMPERATURE);

  private Path file;
  private final List<Double> readings = new ArrayList<>();

  @BeforeMethod
  public void fill() throws IOException {
    file = Files.createTempDirectory("ember-seal").resolve("one.ember");
    readings.clear();
    Random random = new Random(15);
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      long unit = workbook.units().add("Tamsel T1").id();
      for (int n = 0; n < 2; n++) {
        RunWriter writer = workbook.runs().begin(run(unit, "Drain " + (n + 1)), CHANNELS);
        for (int i = 0; i < 900; i++) {
          double watts = 500 + random.nextGaussian();
          double celsius = 30 + random.nextGaussian();
          writer.append(i, new double[] {watts, celsius});
          if (n == 0) {
            readings.add(watts);
            readings.add(celsius);
          }
          if (i % 300 == 299) {
            writer.flush();
          }
        }
        writer.end(Run.State.DONE, "");
      }
      double[] volts = random.doubles(400, -325, 325).toArray();
      workbook
          .captures()
          .keep(
              1,
              new StoredCapture(
                  5,
                  new CaptureNote("light", CapturePlace.OUTPUT, 60),
                  Capture.of(10_000, volts, new double[0])));
      for (double v : volts) {
        readings.add(v);
      }
      double typed = 900 + random.nextDouble();
      workbook
          .typedReadings()
          .keep(1, 800.25, "plug meter", Channel.AC_ENERGY, typed, 0.1, "900.5 Wh");
      readings.add(typed);
      readings.add(800.25);
    }
  }

  private static NewRun run(long unit, String title) {
    return new NewRun(
        RunOf.unit(unit),
        "ac-drain",
        title,
        Instant.parse("2026-05-04T16:30:00Z"),
        RunSettings.read("{}"));
  }

  private static Optional<String> check(Workbook workbook, long run) {
    return workbook.runs().check(workbook.runs().byId(run).orElseThrow());
  }

  @Test
  public void everyFlippedBitIsNoticedAndTheOtherRunGoesOn() throws IOException {
    byte[] whole = Files.readAllBytes(file);
    Random random = new Random(1);
    List<String> unnoticed = new ArrayList<>();
    int done = 0;
    for (int n = 0; done < FLIPS; n++) {
      assertTrue(n < 10 * FLIPS, "most readings are found in the file");
      double reading = readings.get(random.nextInt(readings.size()));
      int at = find(whole, reading);
      if (at < 0) {
        // It lies across two pages, or a page still has what it held before as well.
        continue;
      }
      done++;
      byte[] flipped = whole.clone();
      int bit = random.nextInt(64);
      flipped[at + bit / 8] ^= (byte) (1 << (bit % 8));
      Path damaged = file.resolveSibling("flipped-" + n + ".ember");
      Files.write(damaged, flipped);
      try (Workbook workbook = Workbook.open(damaged, Clock.systemUTC())) {
        Optional<String> said = check(workbook, 1);
        if (said.isEmpty() || !said.get().startsWith("Drain 1 of 4 May 2026 16:30 UTC: ")) {
          unnoticed.add(reading + " bit " + bit + ": " + said);
        }
        assertEquals(workbook.damage().of(1), said);
        assertEquals(check(workbook, 2), Optional.empty());
        Run other = workbook.runs().byId(2).orElseThrow();
        assertEquals(workbook.runs().trace(other).size(), 900);
      }
      Files.delete(damaged);
    }
    assertEquals(String.join("\n", unnoticed), "");
  }

  /** Where a reading lies in a file; -1 unless at one place. */
  private static int find(byte[] file, double reading) {
    byte[] little =
        ByteBuffer.allocate(8).order(ByteOrder.LITTLE_ENDIAN).putDouble(reading).array();
    byte[] big = ByteBuffer.allocate(8).putDouble(reading).array();
    int found = -1;
    for (int i = 0; i + 8 <= file.length; i++) {
      if (at(file, i, little) || at(file, i, big)) {
        if (found >= 0) {
          return -1;
        }
        found = i;
      }
    }
    return found;
  }

  private static boolean at(byte[] file, int from, byte[] wanted) {
    for (int k = 0; k < wanted.length; k++) {
      if (file[from + k] != wanted[k]) {
        return false;
      }
    }
    return true;
  }

  private String said(String... sql) throws SQLException {
    try (Connection other = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement s = other.createStatement()) {
      for (String one : sql) {
        s.execute(one);
      }
    }
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      Run run = workbook.runs().byId(1).orElseThrow();
      String said =
          expectThrows(WorkbookException.class, () -> workbook.runs().trace(run)).getMessage();
      assertEquals(workbook.damage().of(1), Optional.of(said));
      return said;
    }
  }

  @Test
  public void anotherProgramCannotReplaceReadings() throws SQLException {
    try (Connection other = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement s = other.createStatement()) {
      for (String sql :
          List.of(
              "REPLACE INTO sample_block SELECT run_id, seq, 1, substr(data, 1, 24)"
                  + " FROM sample_block",
              "REPLACE INTO capture SELECT * FROM capture",
              "REPLACE INTO typed_reading SELECT * FROM typed_reading",
              "UPDATE typed_reading SET value = 1",
              "DELETE FROM typed_reading")) {
        String said = expectThrows(SQLException.class, () -> s.execute(sql)).getMessage();
        assertTrue(said.contains("never altered"), sql + ": " + said);
      }
      s.execute("UPDATE typed_reading SET struck = 1");
    }
  }

  @Test
  public void readingsThatWereTakenOutAreMissed() throws SQLException {
    String drop = "DROP TRIGGER sample_block_keeps_rows";
    String last = said(drop, "DELETE FROM sample_block WHERE run_id = 1 AND seq = 2");
    assertTrue(last.contains("readings are missing after "), last);
    assertTrue(
        said("DELETE FROM sample_block WHERE run_id = 1 AND seq = 0").contains("damaged"), "first");
    assertTrue(said("DELETE FROM sample_block WHERE run_id = 1").contains("gone"), "all");
  }

  @Test
  public void aDamagedBlockIsNamedWithItsPlaceInTime() throws SQLException {
    String said =
        said(
            "DROP TRIGGER sample_block_keeps_values",
            "UPDATE sample_block SET rows = 299, data = substr(data, 1, 299 * 24)"
                + " WHERE run_id = 1 AND seq = 1");
    assertTrue(said.contains("damaged after "), said);
    assertFalse(said.contains("from its beginning"), said);
  }

  @Test
  public void aRunThatIsTakenUpGoesOnUnderTheSameChain() {
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      RunWriter writer = workbook.runs().begin(run(1, "Drain 3"), CHANNELS);
      writer.append(0, new double[] {1, 2});
      writer.flush();
    }
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      RunWriter writer = workbook.runs().resume(workbook.runs().byId(3).orElseThrow());
      writer.append(5, new double[] {3, 4});
      writer.flush();
      writer.end(Run.State.DONE, "");
      assertEquals(check(workbook, 3), Optional.empty());
      assertEquals(workbook.runs().trace(workbook.runs().byId(3).orElseThrow()).size(), 2);
    }
  }

  /** As runs of older programs may be that were taken up after the clock was set back. */
  @Test
  public void aClockThatWasSetBackIsSaidAndReadOn() {
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      RunWriter writer = workbook.runs().begin(run(1, "Drain 3"), CHANNELS);
      for (int i = 0; i < 10; i++) {
        writer.append(3600 + i, new double[] {i, 20});
      }
      writer.flush();
      for (int i = 0; i < 10; i++) {
        writer.append(100 + i, new double[] {10 + i, 20});
      }
      writer.flush();
      Run run = workbook.runs().byId(3).orElseThrow();
      Trace trace = workbook.runs().trace(run);
      assertEquals(trace.size(), 20);
      assertEquals(trace.span(), 19.0, "one usual step lies between");
      assertEquals(trace.value(Channel.AC_POWER, 10), 10.0);
      Event said = workbook.runs().events(3).get(0);
      assertEquals(said.code(), "clock_back");
      assertTrue(said.words().contains("58 min 29 s"), said.words());
    }
  }
}
