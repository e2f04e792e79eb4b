package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import org.wiseember.core.runtime.Watch;
import org.wiseember.core.supply.SourceTries;
import org.wiseember.core.supply.SourceTries.Try;
import org.wiseember.core.supply.SourceTries.Went;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.workbook.day.WatchJson;
import org.wiseember.workbook.strict.JsonUnreadable;

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
      assertEquals(first.run().startedAt(), EVENING.minusSeconds(25 * 3600 + 13 * 60));
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

  /** A log of a meter is a watch as well: what it comes to is worked out of its readings. */
  @Test
  public void aLoggedWatchIsWorkedOut() throws Exception {
    Path file = Files.createTempDirectory("ember-watch").resolve("w.ember");
    double[] at = new double[2 * 3600];
    double[] watts = new double[at.length];
    for (int i = 0; i < at.length; i++) {
      at[i] = 12.0 * i;
      watts[i] = i % 300 < 100 ? 90 : 1;
    }
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      RunSubject fridge = workbook.runSubjects().named(RunSubject.Kind.APPLIANCE, "Fridge");
      workbook
          .runs()
          .add(
              new NewRun(
                  RunOf.subject(fridge.id()),
                  Watches.KIND,
                  "Watch of Fridge",
                  EVENING,
                  RunSettings.of(RunSettings.Source.FILE, Map.of())),
              Run.State.DONE,
              "",
              new Trace(at, Map.of(Channel.AC_POWER, watts)),
              List.of());
      Watches.Kept kept = workbook.watches().all().get(0);
      assertEquals(kept.watch().runningWatts(), 90.0);
      assertEquals(kept.sheet().mean().value(), (100 * 90 + 200) / 300.0, 0.05);
      assertEquals(kept.log().orElseThrow().runs(), 24);
    }
  }

  @Test
  public void triesOfASourceComeBack() throws Exception {
    Path file = Files.createTempDirectory("ember-source").resolve("w.ember");
    SourceTries tries =
        new SourceTries(
            230,
            List.of(
                new Try(0, 236, 52, Double.NaN, Went.HELD),
                new Try(1500, 224, 49.6, 9.5, Went.NOT_SAID),
                new Try(2100, Double.NaN, Double.NaN, Double.NaN, Went.STALLED)));
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      SourceRuns.Kept kept =
          workbook.sources().keep(RunSubject.Kind.GENERATOR, "Yard generator", tries, EVENING);
      assertEquals(kept.tries(), tries);
      assertEquals(workbook.sources().read(kept.run(), kept.source()).orElseThrow(), kept);
    }
  }

  @Test
  public void asJsonAWatchGoesOutAndIn() throws Exception {
    WatchJson.Named back = WatchJson.read(WatchJson.write("Stall fridge", FRIDGE));
    assertEquals(back, new WatchJson.Named("Stall fridge", FRIDGE));
    assertTrue(WatchJson.tells(WatchJson.write("Fridge", FRIDGE)));
    for (String wrong :
        List.of(
            "{\"appliance\": \"\", \"watch\": {\"hours\": 3, \"wattHours\": 3}}",
            "{\"appliance\": \"a\"}",
            "{\"appliance\": \"a\", \"watch\": {\"hours\": 3}}",
            "{\"appliance\": \"a\", \"watch\": {\"hours\": 0, \"wattHours\": 1}}",
            "{\"appliance\": \"a\", \"watch\": {\"hours\": 1, \"wattHours\": 1, \"colour\": 2}}",
            "[1")) {
      String said = expectThrows(JsonUnreadable.class, () -> WatchJson.read(wrong)).getMessage();
      assertTrue(said.endsWith("."), said);
    }
  }
}
