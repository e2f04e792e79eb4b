package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.verdict.Standing;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.trial.verdict.Summary;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/**
 * What was found is kept, and stands for exactly as long as what it rests on. Each test has a copy
 * of the demo workbook of its own, and looks into its tables by SQL.
 */
public class StoredFindingsTest {
  private Path file;
  private Workbook workbook;

  @BeforeMethod
  public final void open() throws Exception {
    file = DemoFile.in(java.nio.file.Files.createTempDirectory("ember-kept"));
    workbook = Workbook.open(file, Clock.systemUTC());
  }

  @AfterMethod(alwaysRun = true)
  public final void close() {
    workbook.close();
  }

  private List<Judgement> judged() {
    return workbook.units().all().stream().map(u -> Judgement.of(workbook, u, true)).toList();
  }

  private static List<List<String>> figures(List<Judgement> units) {
    List<List<String>> all = new ArrayList<>();
    for (Judgement unit : units) {
      unit.lines().forEach(l -> all.add(List.of(l.toString())));
      for (TestRun run : unit.all()) {
        all.add(run.figures().stream().map(Figure::toString).toList());
        all.add(run.warnings().stream().map(Object::toString).toList());
        all.add(List.of(run.headline().toString(), run.caption()));
      }
    }
    return all;
  }

  /** Changes the file behind the program's back. */
  private void sql(String... statements) throws SQLException {
    workbook.close();
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement()) {
      for (String sql : statements) {
        statement.execute(sql);
      }
    }
    workbook = Workbook.open(file, Clock.systemUTC());
  }

  private List<Long> kept(String from, String key) throws SQLException {
    List<Long> all = new ArrayList<>();
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement();
        ResultSet rows = statement.executeQuery("SELECT " + key + " FROM " + from)) {
      while (rows.next()) {
        all.add(rows.getLong(1));
      }
    }
    return all;
  }

  /** With every reading and capture gone, the very same figures stand: nothing looked at them. */
  @Test
  public void whatWasFoundIsReadBackToTheLastBitAndWithoutReadings() throws SQLException {
    List<List<String>> worked = figures(judged());
    sql(
        "DROP TRIGGER sample_block_keeps_rows",
        "DROP TRIGGER capture_keeps_values",
        "DELETE FROM sample_block",
        "UPDATE capture SET volts = x'00', amps = x'00'");
    assertEquals(figures(judged()), worked);
    assertTrue(worked.size() > 100, "a demo worth the name: " + worked.size());
  }

  private interface Change {
    void in(Workbook workbook, Run run);
  }

  @DataProvider
  public Object[][] changes() {
    Change treated = (w, r) -> w.treatments().decide(r.id(), Treatment.NONE);
    Change noted = (w, r) -> w.runs().note(r.id(), new Event(1, "mark", "seen"));
    Change typed =
        (w, r) -> w.typedReadings().keep(r.id(), 1, "Meter", Channel.AC_ENERGY, 1, 1, "1 Wh");
    Change away = (w, r) -> w.runs().removed(r.id(), true);
    return new Object[][] {
      {"treatment", treated}, {"event", noted}, {"typed", typed}, {"removed", away}
    };
  }

  @Test(dataProvider = "changes")
  public void whatRestsOnSomethingThatChangedIsDropped(String name, Change change)
      throws SQLException {
    Judgement first = judged().get(0);
    Shelf.of(workbook, first);
    Run run = first.drains().get(0).run();
    assertTrue(kept("finding", "run_id").contains(run.id()));
    assertTrue(kept("standing", "unit_id").contains(run.unitId()));
    int others = kept("finding", "run_id").size() - 1;
    change.in(workbook, run);
    assertFalse(kept("finding", "run_id").contains(run.id()), name);
    assertFalse(kept("standing", "unit_id").contains(run.unitId()), name);
    assertEquals(kept("finding", "run_id").size(), others, "the others stand");
  }

  /** A label is edited: what asked for that figure is worked out again, nothing else is. */
  @Test
  public void aLabelEditReachesWhatAskedForIt() throws SQLException {
    Judgement before = judged().get(0);
    TestedUnit unit = before.unit();
    long drain = before.drains().get(0).run().id();
    String text = unit.label().text();
    double yield = percent(before, drain);
    edit(unit, text + "\nNoise at most 61 dB");
    assertEquals(percent(judged().get(0), drain), yield, 0.0);
    edit(unit, "9999 Wh LFP\n230 V, 1200 W");
    double other = percent(judged().get(0), drain);
    assertNotEquals(other, yield, "9 999 Wh is not what it was");
    edit(unit, text);
    assertEquals(percent(judged().get(0), drain), yield, 0.0);
  }

  private void edit(TestedUnit unit, String text) {
    workbook.units().label(unit.id(), text, List.of());
  }

  private static double percent(Judgement unit, long run) {
    return unit.run(run).orElseThrow().figures().stream()
        .filter(f -> f.key().equals("yield"))
        .findFirst()
        .orElseThrow()
        .value();
  }

  /** What another version worked out, or what cannot be read, is worked out again. */
  @Test
  public void whatIsNotOursIsWorkedOutAgain() throws SQLException {
    List<List<String>> worked = figures(judged());
    for (String lie :
        new String[] {
          "UPDATE finding SET method = 'older', found = '{}'",
          "UPDATE finding SET found = '{}'",
          "UPDATE finding SET found = 'not JSON'",
          "UPDATE finding SET found = '[]'",
          "UPDATE finding SET found = replace(found, '\"captures\":[', '\"captures\":[987654321,')",
          "UPDATE finding SET asked = '{\"a question nobody asks\":\"0\"}'",
          "UPDATE finding SET asked = 'not JSON'"
        }) {
      sql(lie);
      assertEquals(figures(judged()), worked, lie);
    }
  }

  /** What is kept is what is shown: the other tests would not notice a table nobody reads. */
  @Test
  public void whatIsKeptIsWhatIsShown() throws SQLException {
    Judgement before = judged().get(0);
    long run = before.drains().get(0).run().id();
    String value =
        String.valueOf(before.drains().get(0).finding().deliveredEnergy().orElseThrow().value());
    sql("UPDATE finding SET found = replace(found, '" + value + "', '12.5') WHERE run_id = " + run);
    assertEquals(
        judged().get(0).drains().get(0).finding().deliveredEnergy().orElseThrow().value(), 12.5);
  }

  /** A run that still goes is never kept: its next reading would make it stale. */
  @Test
  public void aRunThatGoesIsNotKept() throws SQLException {
    TestedUnit unit = workbook.units().all().get(0);
    long run =
        workbook
            .runs()
            .begin(
                new NewRun(
                    RunOf.unit(unit.id()),
                    Drain.AC,
                    "AC drain",
                    java.time.Instant.EPOCH,
                    org.wiseember.workbook.RunSettings.of(
                        org.wiseember.workbook.RunSettings.Source.BY_HAND, java.util.Map.of())),
                List.of())
            .runId();
    judged();
    assertFalse(kept("finding", "run_id").contains(run));
  }

  /** The shelf says what the judgements say, for both guard bands, and remembers it. */
  @Test
  public void theShelfStandsAsTheUnitsDo() {
    Consumer<Shelf.Place> same =
        place -> {
          Summary summary = place.summary().orElseThrow();
          for (boolean guard : new boolean[] {true, false}) {
            Judgement full = Judgement.of(workbook, place.unit(), guard);
            for (Standing standing : Standing.values()) {
              assertEquals(summary.count(standing, guard), full.count(standing));
            }
          }
        };
    judged().forEach(j -> same.accept(Shelf.of(workbook, j)));
    List<Shelf.Place> again = Shelf.of(workbook);
    assertEquals(again.size(), 5);
    again.forEach(same);
    TestedUnit first = again.get(0).unit();
    edit(first, "1 Wh");
    assertEquals(Shelf.of(workbook).get(0).summary(), Optional.empty(), "has to be judged anew");
    assertTrue(Shelf.of(workbook).get(1).summary().isPresent());
  }
}
