package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import org.testng.annotations.Test;
import org.wiseember.core.runtime.Watch;

/** Watches of appliances are kept as runs of them, and come back as they were read off. */
public class WatchesTest {
  private static final Instant EVENING = Instant.parse("2026-05-06T18:00:00Z");
  private static final Watch FRIDGE =
      new Watch(25 * 3600 + 13 * 60, 2130, 10, 130, 383, Double.NaN, 640);

  @Test
  public void aWatchComesBack() throws Exception {
    Path file = Files.createTempDirectory("ember-watch").resolve("w.ember");
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      workbook.watches().keep("Stall fridge", FRIDGE, EVENING);
      workbook.watches().keep("Stall fridge", new Watch(3600, 90, 1, 1, 1, 1, 1), EVENING);
      assertEquals(workbook.runSubjects().all().size(), 1, "one appliance, watched twice");
    }
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      Watches.Kept first = workbook.watches().all().get(0);
      assertEquals(first.watch(), FRIDGE);
      assertEquals(first.name(), "Stall fridge");
      assertEquals(first.at(), EVENING.minusSeconds(25 * 3600 + 13 * 60));
      workbook.runs().removed(first.runId(), true);
      assertEquals(workbook.watches().all().size(), 1);
    }
  }

  /** A figure somebody changed past the program is not believed, and hides no other watch. */
  @Test
  public void aChangedCounterIsNotBelieved() throws Exception {
    Path file = Files.createTempDirectory("ember-watch").resolve("w.ember");
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      workbook.watches().keep("Fridge", FRIDGE, EVENING);
      workbook.watches().keep("Kettle", FRIDGE, EVENING);
    }
    try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement s = c.createStatement()) {
      s.execute("DROP TRIGGER typed_reading_keeps_values");
      s.execute("UPDATE typed_reading SET value = 999 WHERE run_id = 1 AND meter = 'counter'");
    }
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      assertEquals(workbook.watches().all().size(), 1);
      assertEquals(workbook.watches().all().get(0).name(), "Kettle");
      assertTrue(
          workbook.runs().check(workbook.runs().byId(1).orElseThrow()).isPresent(),
          "and it is said what is wrong");
    }
  }
}
