package org.wiseember.trial.byhand;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.label.Label;
import org.wiseember.core.notes.NotesFile;
import org.wiseember.core.notes.NotesUnreadable;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.finding.Findings;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.record.EnteredRun;
import org.wiseember.trial.record.GivenRun;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.pack.RunPackage;

/** Runs that were made earlier, from what testers noted of them. */
public class EnteredRunTest {
  private static final Label LABEL = Label.read(PaperNotes.LABEL);

  private static EnteredRun entered(String kind, String... lines) {
    try {
      return EnteredRun.of(
          AllTests.of(kind), LABEL, NotesFile.read(String.join("\n", lines)), Map.of());
    } catch (NotesUnreadable e) {
      throw new AssertionError(e.getMessage(), e);
    }
  }

  private static TestRun found(EnteredRun run) {
    return Findings.of(LABEL, List.of(GivenRun.entered(run).record(1))).get(0);
  }

  private static TestRun found(String kind, String... lines) {
    return found(entered(kind, lines));
  }

  private static List<String> codes(TestRun run) {
    return run.allWarnings().stream().map(Warning::code).toList();
  }

  @DataProvider
  Object[][] notes() {
    return PaperNotes.all().stream().map(n -> new Object[] {n}).toArray(Object[][]::new);
  }

  @Test(dataProvider = "notes")
  public void notesComeToWhatAHandWorksOut(PaperNotes notes) {
    TestRun run = found(notes.kind(), notes.text());
    Figure figure = run.figure(notes.figure()).orElseThrow();
    assertEquals(figure.value(), notes.value(), notes.allowed(), notes.name());
    assertEquals(figure.bound(), notes.bound(), notes.name());
    // Those of a curve are read off it when they are asked for; their verdict says it.
    boolean curve = notes.kind().equals("efficiency");
    Judgement judgement = Judgement.of(new TestedUnit(1, "Lantern", LABEL), List.of(run), true);
    List<Figure> told =
        curve
            ? judgement.lines().stream().flatMap(l -> l.figure().stream()).toList()
            : List.of(figure);
    assertFalse(told.isEmpty());
    for (Figure f : told) {
      assertTrue(
          f.because().workedOut().stream().anyMatch(w -> w.contains("entered afterwards")),
          f.because().workedOut().toString());
    }
  }

  /** Kept in a workbook, packed and taken in elsewhere they are the same, to the last bit. */
  @Test(dataProvider = "notes")
  public void keptAndPackedTheyComeToTheSame(PaperNotes notes) throws IOException {
    Path folder = Files.createTempDirectory("ember-entered");
    Clock clock = Clock.fixed(Instant.parse("2026-12-01T10:00:00Z"), ZoneOffset.UTC);
    Map<String, Figure> given = figures(found(notes.kind(), notes.text()));
    try (Workbook workbook = Workbook.open(folder.resolve("a.ember"), clock)) {
      TestedUnit unit = workbook.units().add("Lantern");
      workbook.units().label(unit.id(), PaperNotes.LABEL, List.of());
      long id =
          entered(notes.kind(), notes.text())
              .into(workbook, unit.id(), ZoneOffset.UTC, clock.instant());
      TestedUnit labelled = workbook.units().byId(unit.id()).orElseThrow();
      assertEquals(figures(Findings.of(workbook, labelled).get(0)), given);
      // Read back once more, from what was remembered.
      assertEquals(figures(Findings.of(workbook, labelled).get(0)), given);
      Path zip = folder.resolve("run.zip");
      RunPackage.write(workbook, workbook.runs().byId(id).orElseThrow(), zip);
      try (Workbook other = Workbook.open(folder.resolve("b.ember"), clock)) {
        long taken = RunPackage.takeIn(other, zip).unitId();
        TestRun again = Findings.of(other, other.units().byId(taken).orElseThrow()).get(0);
        assertEquals(figures(again), given);
        assertEquals(again.run().settings().source(), RunSettings.Source.ENTERED);
      }
    }
  }

  private static Map<String, Figure> figures(TestRun run) {
    return run.figures().stream().collect(Collectors.toMap(Figure::key, f -> f, (a, b) -> a));
  }

  /** 610 Wh six seconds after 0 Wh is no power of 366 kW. */
  @Test
  public void whatCannotHaveBeenGivesNoFigureByTime() {
    TestRun run =
        found(
            "ac-drain",
            "14:05:00 100 %, 0 Wh",
            "14:05:01 load is on",
            "14:05:06 610 Wh",
            "14:05:07 output dropped out");
    assertEquals(run.figure("delivered_energy").orElseThrow().value(), 610.0);
    assertTrue(run.figure("mean_power").isEmpty() && run.figure("duration").isEmpty());
    assertTrue(codes(run).contains("times_implausible"), codes(run).toString());
  }

  /** A total needs no clock; what does is missing, and says which. */
  @Test
  public void withoutAMomentThereIsNoFigureByTime() {
    TestRun run =
        found("ac-drain", "100 %, 0 Wh", "load is on", "398 W", "output dropped out", "610 Wh");
    assertEquals(run.figure("delivered_energy").orElseThrow().value(), 610.0);
    assertEquals(run.figure("delivered_energy").orElseThrow().bound(), Bound.EXACT);
    assertTrue(run.figure("mean_power").isEmpty() && run.figure("duration").isEmpty());
    assertTrue(codes(run).contains("moment_unknown"));
    TestRun idle = found("idle", "100 %", "10:00 95 %", "18:00 91 %");
    assertTrue(
        idle.allWarnings().stream().anyMatch(w -> w.message().contains("nobody noted")),
        idle.allWarnings().toString());
  }

  /** Charge lost over 8 h and over 8 h ± 5 min: the power is as unsure as the time. */
  @Test
  public void eachMomentCarriesItsOwnUncertainty() {
    Figure sharp = idle("10:00:00 100 %", "18:00:00 91 %");
    Figure rough = idle("10:00:00 100 %", "about 18:00 91 %");
    assertEquals(rough.value(), sharp.value(), 0.01 * sharp.value());
    assertTrue(rough.u95() > sharp.u95(), rough.words() + " " + sharp.words());
    double line =
        rough.budget().contributions().stream()
            .filter(c -> c.name().equals("Moments as they were noted"))
            .mapToDouble(Contribution::standard)
            .sum();
    // Anywhere in ± 300 s of 28 800 s: 300 ÷ √3 ÷ 28 800 of the power, within Monte Carlo.
    assertEquals(line, sharp.value() * 300 / Math.sqrt(3) / 28_800, 0.3 * line);
  }

  private static Figure idle(String... lines) {
    return found("idle", lines).figures().get(0);
  }

  /** A total that falls was reset: it gave that much at the least. */
  @Test
  public void aTotalThatFellIsTheLeast() {
    TestRun run =
        found(
            "ac-drain",
            "14:00 0 Wh, 100 %",
            "14:00 load is on",
            "15:00 400 W, 400 Wh",
            "15:10 20 Wh",
            "16:00 350 Wh",
            "16:00 output dropped out");
    assertEquals(run.figure("delivered_energy").orElseThrow().bound(), Bound.AT_LEAST);
    assertTrue(codes(run).contains("total_fell"));
  }

  /** What was meant stands in for nothing that was read. */
  @Test
  public void theLoadThatWasMeantIsNoReading() {
    TestRun run =
        found("overload", "load: 1200 W", "10:00:00 load is on", "10:12:00 I took it off");
    assertTrue(run.figures().isEmpty(), run.figures().toString());
    assertTrue(codes(run).contains("watts_not_read"));
  }

  /** Every test can be entered, whatever stands in the notes, and says what it found or not. */
  @Test
  public void everyTestTakesNotes() {
    for (TestType type : AllTests.list()) {
      TestRun run =
          found(
              type.key(),
              "14:00 231 V, 0 Wh, room 21 °C; display 100 %",
              "14:01 load is on",
              "14:10 398 W, 12.6 V, 32 A, 41 dB, case 30 °C",
              "still on",
              "it tripped",
              "15:00 610 Wh, 11.2 kg, 3.2 % THD",
              "all read");
      assertFalse(run.allWarnings().isEmpty() && run.figures().isEmpty() && !quiet(type));
      assertTrue(run.unreadable().isEmpty(), type.key() + ": " + run.unreadable());
    }
  }

  /** Tests that have nothing to say of what nobody looked at. */
  private static boolean quiet(TestType type) {
    return List.of("inspection", "real-loads", "solar-trial", "stays-on", "starts", "motor-start")
        .contains(type.key());
  }

  /**
   * Damaged notes are refused in a sentence or taken for what is left of them, and nothing breaks.
   */
  @Test
  public void damagedNotesBreakNothing() {
    SplittableRandom random = new SplittableRandom(17);
    int taken = 0;
    int refused = 0;
    String signs = "0123456789:+-,;. %\n\tWhVAabc°~\u2009\ud83d\ude00\u0000";
    for (int n = 0; n < Thorough.tries(300, 5000); n++) {
      PaperNotes notes = PaperNotes.all().get(n % PaperNotes.all().size());
      StringBuilder text = new StringBuilder(notes.text());
      for (int k = 0; k <= random.nextInt(6); k++) {
        int at = random.nextInt(text.length());
        switch (random.nextInt(3)) {
          case 0 -> text.deleteCharAt(at);
          case 1 -> text.insert(at, signs.charAt(random.nextInt(signs.length())));
          default -> text.setCharAt(at, signs.charAt(random.nextInt(signs.length())));
        }
      }
      try {
        EnteredRun run =
            EnteredRun.of(
                AllTests.of(notes.kind()), LABEL, NotesFile.read(text.toString()), Map.of());
        assertTrue(found(run).unreadable().isEmpty(), text.toString());
        taken++;
      } catch (NotesUnreadable e) {
        assertTrue(e.getMessage().endsWith("."), e.getMessage());
        refused++;
      }
    }
    assertTrue(taken > 100 && refused > 10, taken + " " + refused);
  }

  /** A megabyte of blanks in one line, and a megabyte of lines, are read as any other. */
  @Test(timeOut = 60_000)
  public void aMegabyteIsReadAsWell() {
    assertTrue(found("ac-drain", "0 Wh" + " ".repeat(900_000) + "at").figures().isEmpty());
    String[] lines = new String[60_000];
    for (int i = 0; i < lines.length; i++) {
      lines[i] = "14:" + (10 + i / 1250) + " " + i / 100 + " Wh";
    }
    TestRun run = found("ac-drain", lines);
    assertEquals(run.figure("delivered_energy").orElseThrow().value(), 599.0);
  }

  /** The unit it is of takes the run as one of its own. */
  @Test
  public void aRunOfPaperIsARun() throws IOException {
    Path file = Files.createTempDirectory("ember-paper").resolve("a.ember");
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      TestedUnit unit = workbook.units().add("Lantern");
      EnteredRun run =
          entered("ac-drain", "date: 2026-11-30", "14:05 0 Wh", "load is on", "it cut out", "9 Wh");
      run.into(workbook, unit.id(), ZoneOffset.UTC, Instant.parse("2026-12-02T10:00:00Z"));
      assertEquals(
          workbook.runs().of(unit.id()).get(0).startedAt(), Instant.parse("2026-11-30T14:05:00Z"));
      assertEquals(workbook.runs().of(unit.id()).get(0).of(), RunOf.unit(unit.id()));
      assertEquals(workbook.notebook().of(workbook.runs().of(unit.id()).get(0).id()).size(), 4);
    }
  }
}
