package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.typed.Expected;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.core.typed.TypedReader;
import org.wiseember.trial.kind.TestHelp;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.workbook.RunSettings;

/** What holds of every test in the registry, so that a new one cannot forget it. */
public class EveryTestTest {
  private static final Label STATION =
      Label.read(
          "Capacity 1000 Wh, LFP 51.2 V 20 Ah\n1200 W, surge 2400 W\n230 V 50 Hz\nUPS < 20 ms\n"
              + "12 V / 10 A\nPV 11-60 V, 12 A, 400 W\nAC in 900 W\nOverload 1500 W 2 min");
  private static final OnHand ON_HAND = OnHand.of(List.of(60.0, 100.0, 200.0, 500.0, 1000.0));

  @DataProvider
  Object[][] all() {
    return AllTests.list().stream().map(t -> new Object[] {t.key(), t}).toArray(Object[][]::new);
  }

  private static TestSettings settings(TestType test) {
    return test.settings(STATION, ON_HAND)
        .orElseThrow(() -> new AssertionError(test.missing(STATION, ON_HAND)));
  }

  @Test
  public void keysAndWordsAreEachItsOwn() {
    Set<String> keys = new HashSet<>();
    Set<String> words = new HashSet<>();
    for (TestType test : AllTests.list()) {
      assertTrue(test.key().matches("[a-z]+(-[a-z]+)*"), test.key());
      assertTrue(keys.add(test.key()), test.key() + " twice");
      assertTrue(words.add(test.words()), test.words() + " twice");
      assertSame(AllTests.of(test.key()), test);
    }
    assertTrue(AllTests.byKey("a-test-of-tomorrow").isEmpty());
  }

  /** Most of what a label promises has a test; what has none is a plain fact or not told here. */
  @Test
  public void claimsFindTheirTests() {
    Set<Subject> answered = EnumSet.noneOf(Subject.class);
    for (TestType test : AllTests.list()) {
      for (Subject subject : test.declaration().answers()) {
        assertTrue(AllTests.answering(subject).contains(test), subject + " by " + test.key());
        answered.add(subject);
      }
    }
    assertTrue(
        answered.containsAll(
            EnumSet.of(
                Subject.CAPACITY,
                Subject.EFFICIENCY,
                Subject.IDLE,
                Subject.CONTINUOUS_POWER,
                Subject.OVERLOAD,
                Subject.SURGE,
                Subject.SWITCH_OVER,
                Subject.PASS_THROUGH,
                Subject.WAVEFORM,
                Subject.DISTORTION,
                Subject.MAINS_POWER,
                Subject.CHARGE_TIME,
                Subject.SOLAR_POWER,
                Subject.DC_PORT_CURRENT,
                Subject.USB_C_POWER,
                Subject.NOISE)),
        answered.toString());
  }

  /** The words kept with a run make the same test again. */
  @Test(dataProvider = "all")
  public void settingsAreTakenUpAsTheyWere(String key, TestType test) {
    TestSettings made = settings(test);
    RunSettings kept =
        RunSettings.read(
            new RunSettings(
                    made.watts(),
                    made.volts(),
                    Map.of(),
                    Map.of(),
                    RunSettings.Source.BY_HAND,
                    0,
                    List.of(),
                    made.keptLoads(),
                    made.particulars())
                .json());
    TestSettings again = test.kept(kept);
    assertEquals(again.getClass(), made.getClass());
    assertEquals(again.title(), made.title());
    assertEquals(again.loads(), made.loads());
    assertEquals(again.volts(), made.volts(), 1e-9);
    assertEquals(again.particulars(), made.particulars());
    assertEquals(again.typed(), made.typed());
    assertEquals(again.atPort(), made.atPort());
  }

  @Test(dataProvider = "all")
  public void aPlanSaysWhyAndShowsFourFigures(String key, TestType test) {
    TestSettings settings = settings(test);
    assertFalse(settings.title().isBlank());
    assertTrue(settings.reason().matches("(?s).{20,}[.?]"), settings.reason());
    assertTrue(settings.tiles().size() == 4, key + " shows " + settings.tiles().size());
    assertFalse(settings.ends(true).isBlank());
    assertFalse(settings.ends(false).isBlank());
    assertFalse(test.declaration().wattsName().isBlank());
    assertEquals(
        new HashSet<>(settings.typed()).size(), settings.typed().size(), "each field once");
    assertEquals(new TestPlan(test, settings).procedure().kind(), key);
  }

  /** By hand is the usual case: every field reads its own example. */
  @Test(dataProvider = "all")
  public void everyFieldReadsItsOwnExample(String key, TestType test) {
    for (TypedKind kind : settings(test).typed()) {
      for (String example : kind.example().split(", | or ")) {
        assertTrue(
            TypedReader.read(kind, example, Expected.nothing()).reading().isPresent(),
            kind + " does not read “" + example + "”");
      }
    }
  }

  /** Where a step can hurt somebody, the caution stands beside it before the start. */
  @Test(dataProvider = "all")
  public void hazardsAreCautionedBeforeTheStart(String key, TestType test) {
    List<DoNow> steps = settings(test).procedure().steps();
    assertTrue(steps.stream().anyMatch(s -> s.when() == DoNow.When.BEFORE), key + " just begins");
    for (DoNow step : steps) {
      assertTrue(step.text().length() > 8 && !step.text().startsWith(" "), step.text());
    }
    if (test.is(Trait.HAZARDOUS)) {
      assertTrue(
          steps.stream().anyMatch(s -> s.when() == DoNow.When.BEFORE && !s.caution().isEmpty()),
          key + " does not say what could hurt");
    }
  }

  /** Whoever makes it for the first time is told how, in a few whole sentences. */
  @Test(dataProvider = "all")
  public void itTellsHowItIsMade(String key, TestType test) {
    TestHelp help = test.declaration().help();
    assertTrue(help.how().size() >= 3 && help.how().size() <= 5, key);
    for (String sentence : help.how()) {
      assertTrue(sentence.endsWith(".") && sentence.length() < 220, sentence);
    }
    help.schools().forEach(s -> assertTrue(s.endsWith("."), s));
    assertTrue(help.written().startsWith("docs/method.md"), help.written());
  }

  /** On a bench where nothing is ever read, a test waits, can be stopped, and says why it ended. */
  @Test(dataProvider = "all")
  public void aStoppedTestAsksForNothingMore(String key, TestType test) {
    Procedure procedure = settings(test).procedure();
    for (int i = 0; i < 30; i++) {
      procedure.take(new Frame(i, List.of(Channel.AC_POWER), new double[] {Double.NaN}));
    }
    if (!procedure.phase().over()) {
      procedure.stop("Stopped by hand.");
      for (int i = 30; i < 4000 && !procedure.phase().over(); i++) {
        procedure.take(new Frame(i, List.of(Channel.AC_POWER), new double[] {Double.NaN}));
      }
    }
    assertTrue(procedure.phase().over(), key + " is still " + procedure.phase());
    assertTrue(procedure.ending().isPresent(), key);
    assertTrue(!procedure.setPoints().loaded(), key + " leaves " + procedure.setPoints());
    assertNotNull(Phase.valueOf(procedure.phase().name()));
  }

  /** Where the label is silent a test still says in a sentence what it lacks. */
  @Test(dataProvider = "all")
  public void aBareLabelIsAnsweredInASentence(String key, TestType test) {
    Label bare = Label.read("A box");
    Optional<TestSettings> settings = test.settings(bare, OnHand.of(List.of()));
    if (settings.isEmpty()) {
      String missing = test.missing(bare, OnHand.of(List.of()));
      assertTrue(missing.endsWith(".") && missing.length() > 20, key + ": " + missing);
    } else {
      assertFalse(settings.get().title().isBlank());
    }
  }

  /** Every test stands on the simulated bench, and reads something there. */
  @Test
  public void everyTestHasASimulatedRig() {
    Stream<TestType> onTheBench = AllTests.list().stream().filter(t -> !t.is(Trait.BY_HAND_ONLY));
    assertTrue(onTheBench.count() > 10);
    for (TestType test : AllTests.list()) {
      if (test.is(Trait.BY_HAND_ONLY)) {
        continue;
      }
      TestPlan plan = new TestPlan(test, settings(test));
      BenchSetup bench = BenchSetup.simulated("Any", STATION, plan, 7, Set.of());
      assertFalse(bench.bench().channels().isEmpty(), test.key());
    }
  }
}
