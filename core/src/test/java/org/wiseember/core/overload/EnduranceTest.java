package org.wiseember.core.overload;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.overload.Endurance.Shown;
import org.wiseember.core.uncertainty.MeterClass;

/** What tries show of "1 500 W for 120 s". */
public class EnduranceTest {
  private static Hold hold(double watts, double seconds, Hold.End end) {
    return new Hold(0, watts, 0, seconds, 0.5, end, 600);
  }

  private static Hold tripped(double watts, double seconds) {
    return hold(watts, seconds, Hold.End.TRIPPED);
  }

  private static Hold held(double watts, double seconds) {
    return hold(watts, seconds, Hold.End.TAKEN_OFF);
  }

  private static Endurance of(Hold... holds) {
    return by(0.5, holds);
  }

  private static Endurance by(double percent, Hold... holds) {
    OverloadFinding finding =
        new OverloadFinding(
            List.of(holds),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            MeterClass.ofReading(percent, 0, 0),
            List.of());
    return Endurance.of(List.of(finding), 1500, 120);
  }

  @DataProvider
  Object[][] tries() {
    return new Object[][] {
      {new Hold[] {tripped(1505, 138)}, Shown.TIMED},
      {new Hold[] {tripped(1505, 100)}, Shown.TIMED},
      // With the low end of its interval: 1 505 ± 7 W may be less than 1 500 W.
      {new Hold[] {held(1505, 130)}, Shown.NOT_REACHED},
      {new Hold[] {held(1515, 130)}, Shown.AT_LEAST},
      {new Hold[] {held(1800, 121)}, Shown.AT_LEAST},
      // Held long enough at a heavier load before it tripped; or not, which is a bound all the
      // same.
      {new Hold[] {tripped(1700, 125)}, Shown.AT_LEAST},
      {new Hold[] {tripped(1700, 60)}, Shown.AT_LEAST},
      // A lighter load that tripped sooner condemns it; one that tripped later is a bound.
      {new Hold[] {tripped(1400, 90)}, Shown.AT_MOST},
      {new Hold[] {tripped(1400, 130)}, Shown.AT_MOST},
      {new Hold[] {tripped(1400, 90), tripped(1700, 60)}, Shown.AT_MOST},
      {new Hold[] {tripped(1400, 130), tripped(1700, 125)}, Shown.AT_LEAST},
      // The rig, not the unit.
      {new Hold[] {held(1480, 1200)}, Shown.NOT_REACHED},
      {new Hold[] {held(1520, 60)}, Shown.AT_LEAST},
      {new Hold[] {}, Shown.NO_TRY}
    };
  }

  @Test(dataProvider = "tries")
  public void aRigLimitIsNoUnitLimit(Hold[] holds, Shown expected) {
    Endurance e = of(holds);
    assertEquals(e.shown(), expected, e.reason());
    assertTrue(e.reason().endsWith("."), e.reason());
    assertEquals(e.seconds().isPresent(), expected != Shown.NO_TRY);
    e.seconds()
        .ifPresent(
            s ->
                assertEquals(
                    s.bound(),
                    expected == Shown.TIMED
                        ? Bound.EXACT
                        : expected == Shown.AT_MOST ? Bound.AT_MOST : Bound.AT_LEAST));
  }

  /** Two tries that agree are surer than one; two that do not by Student's t: 12.7·s ÷ √2. */
  @Test
  public void triesAtOneLoadAreTakenTogether() {
    Endurance apart = of(tripped(1503, 138), tripped(1498, 121));
    assertEquals(apart.seconds().orElseThrow().value(), 129.5);
    double t = 12.706 * 17 / Math.sqrt(2) / Math.sqrt(2);
    assertEquals(apart.seconds().orElseThrow().u95(), t, 0.02 * t);
    assertTrue(apart.reason().startsWith("2 tries"), apart.reason());
    double one = of(tripped(1500, 130)).seconds().orElseThrow().u95();
    double both = of(tripped(1500, 130.5), tripped(1500, 129.5)).seconds().orElseThrow().u95();
    assertTrue(both < one, both + " of two, " + one + " of one");
    assertTrue(one > 0.02 * 130, "no surer than an inverter repeats itself");
  }

  /** Whatever the meter, a worse one never shows more. */
  @Test
  public void aWorseMeterNeverHelps() {
    for (double watts = 1440; watts <= 1600; watts += 8) {
      boolean before = true;
      for (double percent : new double[] {0.1, 0.5, 1, 2, 5}) {
        Endurance e = by(percent, held(watts, 130));
        boolean shows = e.shown() == Shown.AT_LEAST;
        assertTrue(before || !shows, watts + " W with ± " + percent + " %");
        assertTrue(!shows || watts > 1500);
        before = shows;
      }
    }
  }

  /** A trip a little above the promise is brought to it, by a curve or within the usual one. */
  @Test
  public void aTripNearTheLoadIsBroughtToIt() {
    Figure at = of(tripped(1500, 110)).seconds().orElseThrow();
    Figure above = of(tripped(1540, 110)).seconds().orElseThrow();
    assertEquals(above.value(), 110, 1e-9, "without a curve the time stays");
    assertTrue(above.u95() > 2 * at.u95(), above.words() + " against " + at.words());
    assertTrue(above.high() > 120, "a kept promise of 120 s is not ruled out");
  }

  /** A heater on other volts than its plate's: 1 000 W at 230 V draw 974 W at 227 V. */
  @Test
  public void heatersDrawWithTheSquareOfTheVolts() {
    assertEquals(LoadRecipe.drawn(1000, 227, 230), 974.1, 0.1);
    assertEquals(LoadRecipe.drawn(1500, 108, 120), 1215, 0.1);
    LoadRecipe recipe = LoadRecipe.of(List.of(200.0, 500.0, 1000.0, 1500.0), 1500, 1200, 227, 230);
    assertEquals(recipe.base(), List.of(500.0));
    assertEquals(recipe.added(), List.of(1000.0));
    assertEquals(recipe.watts(), 1461.2, 0.1);
    assertTrue(recipe.words().startsWith("500 W on first, then 1\u2009000 W"), recipe.words());
  }

  @Test
  public void itRestsUntilTheCaseIsBack() {
    assertTrue(!RestRule.rested(100, 22, 22));
    assertTrue(!RestRule.rested(600, 22, 26));
    assertTrue(RestRule.rested(600, 22, 24.9));
    assertTrue(RestRule.rested(1800, 22, 26));
    assertTrue(!RestRule.rested(600, Double.NaN, Double.NaN));
    assertTrue(RestRule.rested(900, Double.NaN, Double.NaN));
  }
}
