package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Figure;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Workbook;

/** One run that cannot be read, whatever became of it, leaves every other run as it was. */
public class OneBadRunTest {
  private static final int BAD = 2;

  private Path file;
  private Map<Long, List<Figure>> undamaged;

  @BeforeClass
  public void find() throws Exception {
    copy();
    undamaged = figures();
  }

  @BeforeMethod
  public void copy() throws Exception {
    file = DemoFile.in(Files.createTempDirectory("ember-bad"));
  }

  @DataProvider
  Object[][] harms() {
    String open = "DROP TRIGGER IF EXISTS sample_block_keeps_values";
    String forget = "DELETE FROM finding";
    return new Object[][] {
      {
        "a bit",
        List.of(open, "UPDATE sample_block SET data = zeroblob(length(data)) WHERE run_id = 2"),
        true
      },
      {
        "its length",
        List.of(open, forget, "UPDATE sample_block SET data = x'00' WHERE run_id = 2"),
        true
      },
      {
        "its rows",
        List.of(open, forget, "UPDATE sample_block SET rows = 100000000 WHERE run_id = 2"),
        true
      },
      {"its kind", List.of("UPDATE run SET kind = 'moon-phase' WHERE id = 2"), false},
      {"its channels", List.of("UPDATE run SET channels = 'ac_powr' WHERE id = 2"), false},
      {"its settings", List.of("UPDATE run SET settings = '{' WHERE id = 2"), false},
      {"its start", List.of("UPDATE run SET started_at = 'then' WHERE id = 2"), false},
      {
        "its treatment",
        List.of(
            "INSERT INTO treatment (run_id, decided, saved_at) VALUES (2, '{\"leftOut\":7}', '')",
            "INSERT INTO treatment (run_id, decided, saved_at) VALUES (2, '[', '')"),
        false
      },
    };
  }

  @Test(dataProvider = "harms")
  public void theOthersStand(String what, List<String> harm, boolean read) throws SQLException {
    Map<Long, List<Figure>> before = new HashMap<>(undamaged);
    try (Connection other = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement s = other.createStatement()) {
      for (String sql : harm) {
        s.execute(sql);
      }
    }
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      if (read) {
        workbook.runs().all().forEach(r -> workbook.runs().check(r));
      }
      Judgement unit =
          judged(workbook).stream().filter(j -> j.run(BAD).isPresent()).findFirst().orElseThrow();
      TestRun bad = unit.run(BAD).orElseThrow();
      assertTrue(bad.unreadable().isPresent(), what);
      assertTrue(bad.figures().isEmpty(), what);
      assertTrue(
          unit.lines().stream().noneMatch(l -> l.runId().filter(id -> id == BAD).isPresent()));
      assertTrue(unit.lines().size() > 5);
      bad.kept().fetch();
      assertEquals(bad.page(unit).headlines(), List.of());
      // What rests on other runs of this unit rests on fewer now, and may say something else.
      unit.all().stream()
          .filter(r -> r.type().is(Trait.RESTS_ON_OTHERS))
          .forEach(r -> before.remove(r.run().id()));
    }
    Map<Long, List<Figure>> after = figures();
    before.remove((long) BAD);
    after.keySet().retainAll(before.keySet());
    assertEquals(after.keySet(), before.keySet());
    for (Map.Entry<Long, List<Figure>> run : before.entrySet()) {
      assertEquals(
          after.get(run.getKey()).stream().map(Figure::words).toList(),
          run.getValue().stream().map(Figure::words).toList(),
          what + ", run " + run.getKey());
    }
  }

  /** A test of a later program is no drain, and is shown for what it is. */
  @Test
  public void aKindNobodyKnowsStaysUnknown() throws SQLException {
    try (Connection other = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement s = other.createStatement()) {
      s.execute("UPDATE run SET kind = 'moon-phase' WHERE id = 2");
    }
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      TestRun unknown =
          judged(workbook).stream().flatMap(j -> j.run(BAD).stream()).findFirst().orElseThrow();
      assertEquals(unknown.type().key(), "moon-phase");
      assertEquals(unknown.type().words(), "Unknown test “moon-phase”");
      assertEquals(
          unknown.warnings().get(0).message(),
          "This program knows no test “moon-phase”; its readings are kept and judge nothing. A later"
              + " program may know it.");
    }
  }

  private static List<Judgement> judged(Workbook workbook) {
    return workbook.units().all().stream().map(u -> Judgement.of(workbook, u, true)).toList();
  }

  private Map<Long, List<Figure>> figures() {
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      return judged(workbook).stream()
          .flatMap(j -> j.all().stream())
          .collect(Collectors.toMap(r -> r.run().id(), TestRun::figures));
    }
  }
}
