package org.wiseember.core.solar.tried;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

public class SolarTrialTest {
  private static final MeterClass AMMETER = MeterClass.ofReading(1, 0, 0.01);

  private static Tried tried(int at, String words, double watts, double lux) {
    return tried(at, words, watts, lux, Double.NaN);
  }

  private static Tried tried(int at, String words, double watts, double lux, double amps) {
    Budget budget =
        Budget.of(Contribution.rectangular("Meter", Double.isNaN(watts) ? 0 : 0.01 * watts));
    return new Tried(
        at,
        TriedSetup.read(words),
        Double.isNaN(watts)
            ? Optional.empty()
            : Optional.of(
                Figure.of("tried_" + at, words, watts, Unit.WATT, Because.of(budget, "read"))),
        Double.isNaN(lux) ? OptionalDouble.empty() : OptionalDouble.of(lux),
        Double.isNaN(amps) ? OptionalDouble.empty() : OptionalDouble.of(amps),
        OptionalDouble.empty());
  }

  private static SolarTrial of(Tried... tried) {
    return SolarTrial.of(List.of(tried), AMMETER);
  }

  private static Figure only(SolarTrial trial, String key) {
    List<Figure> all = trial.figures().stream().filter(f -> f.key().startsWith(key)).toList();
    assertEquals(all.size(), 1, trial.figures().toString());
    return all.get(0);
  }

  /** 60 W at 79 800 lx, 90 W at 80 200 lx: 49 % more; common practice, no published source. */
  @Test
  public void aConverterAtLikeLight() {
    Figure gain =
        only(
            of(
                tried(1, "100 W panel", 60, 79_800),
                tried(2, "100 W panel, boost converter", 90, 80_200)),
            "converter_gain");
    assertEquals(gain.value(), 49.25, 0.05);
    assertEquals(gain.unit(), Unit.PERCENT);
    assertTrue(gain.u95() > 3 && gain.u95() < 6, gain.words());
  }

  /**
   * The same panel gave 82 W here, 147 W on a second unit; common practice, no published source.
   */
  @Test
  public void aSecondUnitShowsThePortAsTheLimit() {
    SolarTrial trial =
        of(tried(1, "2 x 100 W", 82, 80_000), tried(2, "2 x 100 W, second unit", 147, 80_000));
    assertEquals(only(trial, "other_unit").value(), 179.3, 0.1);
    assertTrue(trial.words().get(0).startsWith("This unit is the limit"), trial.words().toString());
    // What another unit took is nothing this one has shown.
    assertEquals(trial.most().orElseThrow().value(), 82.0);
    assertEquals(trial.most().orElseThrow().bound(), Bound.AT_LEAST);
  }

  @Test
  public void aSecondUnitThatTakesAsMuchShowsThePanelsAsTheLimit() {
    SolarTrial trial =
        of(tried(1, "2 x 100 W", 146, 80_000), tried(2, "2 x 100 W, second unit", 147, 80_400));
    assertTrue(trial.words().get(0).contains("the panels are the limit"), trial.words().get(0));
  }

  /** A brighter sun must not look like a weaker port. */
  @Test
  public void lightIsTakenOut() {
    SolarTrial trial =
        of(tried(1, "2 x 100 W", 82, 44_000), tried(2, "2 x 100 W, other unit", 149, 80_000));
    assertFalse(
        trial.words().stream().anyMatch(w -> w.startsWith("This unit is the limit")),
        trial.words().toString());
  }

  /** 29.96 V: 3.65 A on a port of 110 W; common practice, no published source. */
  @Test
  public void aSupplyWithMoreToGiveShowsTheLimit() {
    SolarTrial held = of(tried(1, "bench supply 30 V 10 A", Double.NaN, Double.NaN, 3.65));
    assertEquals(held.portAmps().orElseThrow().bound(), Bound.EXACT);
    assertTrue(held.words().get(0).contains("this unit held it"), held.words().get(0));
    SolarTrial all = of(tried(1, "bench supply 30 V 3.65 A", Double.NaN, Double.NaN, 3.65));
    assertEquals(all.portAmps().orElseThrow().bound(), Bound.AT_LEAST);
    SolarTrial unsaid = of(tried(1, "bench supply", Double.NaN, Double.NaN, 3.65));
    assertEquals(unsaid.portAmps().orElseThrow().bound(), Bound.AT_LEAST);
    assertTrue(unsaid.words().get(0).contains("was not said"), unsaid.words().get(0));
  }

  /**
   * One 18 V panel 72 W, two in parallel 115, three 153, three in series 195; common practice, no
   * published source.
   */
  @Test
  public void morePanelsOnAPortAtItsLimit() {
    SolarTrial trial =
        of(
            tried(1, "1 x 100 W", 72, 80_000, 4.0),
            tried(2, "2 x 100 W in parallel", 115, 80_000, 6.4),
            tried(3, "3 x 100 W in parallel", 153, 80_000, 10.0),
            tried(4, "3 x 100 W in series", 195, 80_000, 4.0));
    List<Figure> shares =
        trial.figures().stream().filter(f -> f.key().startsWith("share_of_panels")).toList();
    assertEquals(shares.size(), 3);
    assertEquals(shares.get(0).value(), 79.86, 0.01);
    assertEquals(shares.get(1).value(), 70.83, 0.01);
    assertEquals(shares.get(2).value(), 90.28, 0.01);
    assertFalse(trial.words().stream().anyMatch(w -> w.contains("stopped at")), "still rising");
    SolarTrial stopped =
        of(
            tried(1, "3 x 100 W in parallel", 153, 80_000, 10.0),
            tried(2, "4 x 100 W in parallel", 154, 80_000, 10.02));
    assertTrue(
        stopped.words().stream().anyMatch(w -> w.contains("something else than the panels")),
        stopped.words().toString());
  }

  @Test
  public void twoPortsWithAJointCap() {
    SolarTrial trial =
        of(
            tried(1, "2 x 100 W, port 1", 150, 80_000),
            tried(2, "2 x 100 W, port 2", 148, 78_000),
            tried(3, "both ports", 200, 79_000));
    assertEquals(
        only(trial, "joint_share").value(), 100 * 200 / (150 * 79.0 / 80 + 148 * 79.0 / 78), 1e-9);
    assertTrue(trial.words().get(0).contains("share a limit"));
    SolarTrial free =
        of(
            tried(1, "port 1", 150, 80_000),
            tried(2, "port 2", 148, 80_000),
            tried(3, "both ports", 297, 80_000));
    assertTrue(free.words().get(0).contains("as far as these readings tell"));
  }

  /** Without light nothing is compared, and that is said. */
  @Test
  public void withoutLightNothingIsCompared() {
    SolarTrial trial =
        of(
            tried(1, "100 W panel", 60, Double.NaN),
            tried(2, "100 W panel with converter", 90, Double.NaN));
    assertEquals(trial.figures(), List.of());
    assertTrue(trial.words().get(0).contains("nothing is compared"));
  }

  /**
   * On panels whose watts do not follow the light the truth is still within, or nothing claimed.
   */
  @Test
  public void noLimitIsSeenWhereThereIsNone() {
    Random random = new Random(17);
    int wrong = 0;
    for (int i = 0; i < 400; i++) {
      double light = 60_000 + 40_000 * random.nextDouble();
      double other = light * (0.9 + 0.2 * random.nextDouble());
      // The same panels give the same on both, each read within what its meters state.
      double here = 1.5e-3 * light * (1 + 0.01 * (2 * random.nextDouble() - 1));
      double there = 1.5e-3 * other * (1 + 0.01 * (2 * random.nextDouble() - 1));
      SolarTrial trial =
          of(
              tried(1, "2 x 100 W", here, light * (1 + 0.02 * (2 * random.nextDouble() - 1))),
              tried(
                  2,
                  "2 x 100 W, second unit",
                  there,
                  other * (1 + 0.02 * (2 * random.nextDouble() - 1))));
      wrong += trial.words().get(0).startsWith("This unit is the limit") ? 1 : 0;
    }
    assertTrue(wrong <= 400 * 0.05, wrong + " of 400");
  }

  @DataProvider
  public Object[][] lines() {
    return new Object[][] {
      {"3 x 100 W in parallel", 3, 300, TriedSetup.Wiring.PARALLEL, TriedSetup.Into.THIS_UNIT},
      {"3 × 100 W in series, shaded", 3, 300, TriedSetup.Wiring.SERIES, TriedSetup.Into.THIS_UNIT},
      {"three 100 W in series", 3, 300, TriedSetup.Wiring.SERIES, TriedSetup.Into.THIS_UNIT},
      {"100 W + 60 W parallel", 2, 160, TriedSetup.Wiring.PARALLEL, TriedSetup.Into.THIS_UNIT},
      {"one 100 W panel", 1, 100, TriedSetup.Wiring.SINGLE, TriedSetup.Into.THIS_UNIT},
      {"2 panels", 2, Double.NaN, TriedSetup.Wiring.SINGLE, TriedSetup.Into.THIS_UNIT},
      {"100 W, another unit", 1, 100, TriedSetup.Wiring.SINGLE, TriedSetup.Into.OTHER_UNIT},
      {
        "bench supply 30 V 10 A",
        0,
        Double.NaN,
        TriedSetup.Wiring.SINGLE,
        TriedSetup.Into.FROM_SUPPLY
      },
      {"as it lay", 0, Double.NaN, TriedSetup.Wiring.SINGLE, TriedSetup.Into.THIS_UNIT},
    };
  }

  @Test(dataProvider = "lines")
  public void aLineIsUnderstood(
      String line, int panels, double watts, TriedSetup.Wiring wiring, TriedSetup.Into into) {
    TriedSetup setup = TriedSetup.read(line);
    assertEquals(setup.panels().orElse(0), panels);
    assertEquals(setup.plateWatts().orElse(Double.NaN), watts);
    assertEquals(setup.wiring(), wiring);
    assertEquals(setup.into(), into);
    assertFalse(setup.saidBack().isEmpty());
  }

  /** Whatever is written, a line is taken. */
  @Test
  public void anyLineIsTaken() {
    Random random = new Random(3);
    String signs = "0123456789 xX×*,.WwAaVv+-()panelsserieparltshdbotupy°%é\"'";
    List<String> said = new ArrayList<>();
    for (int i = 0; i < 5_000; i++) {
      StringBuilder line = new StringBuilder();
      for (int n = random.nextInt(60); n > 0; n--) {
        line.append(signs.charAt(random.nextInt(signs.length())));
      }
      said.add(TriedSetup.read(line.toString()).saidBack());
    }
    assertEquals(said.size(), 5_000);
  }
}
