package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Condition;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/**
 * Whatever was read, or not read, a run is worked out, its page can be drawn, no figure is made of
 * nothing, and nothing is kept or short by a reading that is not there.
 */
public class AnyReadingsTest {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-05-04T16:30:00Z"), ZoneOffset.UTC);
  private static final String LABEL =
      """
      Capacity 1000 Wh, 51.2 V 20 Ah
      efficiency > 88 %
      Idle < 10 W
      1200 W, surge 2400 W
      Overload 1500 W 2 min
      UPS < 20 ms
      Pass-through charging
      Pure sine, THD < 3 %
      230 V 50 Hz
      PV 11-60 V, 12 A, 400 W
      AC in 900 W
      Full in 1.5 h
      12 V / 10 A
      USB-C 100 W
      Noise < 45 dB at 1 m
      """;

  /** Of each channel a usual reading, so that a random log looks like some run. */
  private static final Map<Channel, Double> USUAL = new EnumMap<>(Channel.class);

  static {
    for (Channel channel : Channel.values()) {
      USUAL.put(
          channel,
          switch (channel.unit()) {
            case WATT -> 600.0;
            case VOLT -> channel.key().startsWith("ac") ? 230.0 : 48.0;
            case AMPERE -> 5.0;
            case WATT_HOUR -> 400.0;
            case HERTZ -> 50.0;
            case CELSIUS -> 30.0;
            case PERCENT -> 50.0;
            case DECIBEL -> 40.0;
            case LUX -> 50_000.0;
            case MINUTE -> 60.0;
            default -> 1.0;
          });
    }
  }

  private Workbook workbook;
  private TestedUnit unit;

  @BeforeMethod
  public void open() throws Exception {
    workbook = Workbook.open(Files.createTempDirectory("ember-any").resolve("one.ember"), CLOCK);
    TestedUnit added = workbook.units().add("Any unit");
    workbook.units().label(added.id(), LABEL, List.of());
    unit = workbook.units().byId(added.id()).orElseThrow();
  }

  @AfterMethod(alwaysRun = true)
  public void close() {
    workbook.close();
  }

  @DataProvider
  Object[][] kinds() {
    return AllTests.list().stream().map(t -> new Object[] {t}).toArray(Object[][]::new);
  }

  private void add(TestType test, Trace trace, Run.State state, RunSettings.Source source) {
    workbook
        .runs()
        .add(
            new NewRun(
                RunOf.unit(unit.id()),
                test.key(),
                "Any " + test.words(),
                CLOCK.instant(),
                RunSettings.of(source, Map.of())),
            state,
            "",
            trace,
            List.of());
  }

  /** Stretches of any level, with holes, spikes, zeros and dead channels. */
  private static Trace any(SplittableRandom random) {
    int rows = random.nextInt(0, 400);
    double pace = random.nextDouble(0.2, 20);
    double[] seconds = new double[rows];
    for (int i = 0; i < rows; i++) {
      double hole = random.nextInt(200) == 0 ? 500 : 0;
      seconds[i] = i == 0 ? 0 : seconds[i - 1] + pace + hole;
    }
    Map<Channel, double[]> columns = new EnumMap<>(Channel.class);
    for (Channel channel : Channel.values()) {
      if (random.nextInt(3) > 0) {
        continue;
      }
      double[] values = new double[rows];
      double level = 0;
      for (int i = 0; i < rows; i++) {
        if (i == 0 || random.nextInt(40) == 0) {
          level = random.nextInt(4) == 0 ? 0 : USUAL.get(channel) * random.nextDouble(0, 3);
        }
        values[i] =
            random.nextInt(20) == 0 ? Double.NaN : level * (1 + 0.01 * random.nextGaussian());
      }
      columns.put(channel, values);
    }
    return new Trace(seconds, columns);
  }

  private Judgement judged() {
    return Judgement.of(workbook, unit, true);
  }

  @Test(dataProvider = "kinds")
  public void nothingReadIsNothingClaimed(TestType test) {
    for (RunSettings.Source source : RunSettings.Source.values()) {
      for (Run.State state : new Run.State[] {Run.State.DONE, Run.State.INTERRUPTED}) {
        add(test, Trace.empty(), state, source);
      }
    }
    Judgement judgement = judged();
    for (TestRun run : judgement.runs()) {
      assertTrue(run.figures().isEmpty(), run.type().key() + " says " + run.figures());
      assertEquals(
          run.headline().map(Explanation::answer).orElse("not read"), "not read", run.type().key());
      page(run, judgement);
    }
    for (Judged line : judgement.lines()) {
      Standing standing = line.verdict().map(Verdict::standing).orElse(Standing.NOT_TESTED);
      assertTrue(
          standing == Standing.NOT_TESTED || standing == Standing.RIG_CANNOT_SHOW,
          test.key() + ": " + line.title() + " is " + standing);
      assertTrue(line.figure().isEmpty(), line.title());
    }
  }

  @Test(dataProvider = "kinds")
  public void anyReadingsAreWorkedOut(TestType test) {
    SplittableRandom random = new SplittableRandom(test.key().hashCode());
    for (int n = 0; n < 25; n++) {
      add(test, any(random), Run.State.DONE, RunSettings.Source.FILE);
    }
    Judgement judgement = judged();
    assertEquals(judgement.runs().size(), 25);
    for (TestRun run : judgement.runs()) {
      for (Figure figure : run.figures()) {
        assertTrue(Double.isFinite(figure.value()), run.run().title() + " " + figure.key());
        assertTrue(figure.u95() >= 0 && Double.isFinite(figure.u95()), figure.key());
        assertTrue(figure.budget().u95() <= figure.u95() * 1.01 + 1e-9, figure.key());
        assertFalse(figure.name().isBlank());
      }
      page(run, judgement);
    }
  }

  /** With the guard band and without, every line agrees with its own figure. */
  @Test
  public void everyLineAgreesWithItsFigure() {
    SplittableRandom random = new SplittableRandom(99);
    List<TestType> tests = AllTests.list();
    for (int n = 0; n < 90; n++) {
      add(tests.get(n % tests.size()), any(random), Run.State.DONE, RunSettings.Source.FILE);
    }
    int judged = 0;
    for (boolean guard : new boolean[] {true, false}) {
      for (Judged line : judged().judged(guard).lines()) {
        Verdict verdict = line.verdict().orElse(null);
        if (verdict == null || line.figure().isEmpty() || !line.claim().word().isEmpty()) {
          continue;
        }
        judged++;
        Figure figure = line.figure().get();
        assertEquals(figure.unit(), line.claim().unit(), line.title());
        assertFalse(verdict.reason().isBlank(), line.title());
        if (verdict.standing() == Standing.TOO_CLOSE) {
          boolean unpromised = line.claim().condition(Condition.Kind.ASSUMED_TOLERANCE).isPresent();
          assertTrue(
              figure.bound() == Bound.EXACT && (guard || unpromised),
              line.title() + verdict.reason());
        }
      }
    }
    assertTrue(judged > 8, "only " + judged + " lines had a figure");
  }

  /** The page of a run as screen and report draw it: every cell has words, every row its cells. */
  private static void page(TestRun run, Judgement judgement) {
    FindingPage page = run.page(judgement);
    List<String> words = new ArrayList<>();
    for (FindingPage.Part part : page.parts()) {
      if (part instanceof FindingPage.Table table) {
        for (List<String> row : table.rows()) {
          assertEquals(row.size(), table.heads().size(), run.type().key() + " " + row);
          words.addAll(row);
        }
      }
    }
    for (String word : words) {
      assertFalse(word.contains("NaN") || word.contains("Infinity"), run.type().key() + words);
    }
    assertFalse(run.caption().contains("NaN"), run.caption());
    assertTrue(run.preview().size() <= 2 * TestRun.PREVIEW_POINTS + 4, "a small picture is small");
  }
}
