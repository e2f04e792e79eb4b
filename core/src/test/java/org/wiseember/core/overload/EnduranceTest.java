package org.wiseember.core.overload;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
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
    OverloadFinding finding =
        new OverloadFinding(
            List.of(holds),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            MeterClass.ofReading(0.5, 0, 0),
            List.of());
    return Endurance.of(List.of(finding), 1500, 120);
  }

  @DataProvider
  Object[][] tries() {
    return new Object[][] {
      {new Hold[] {tripped(1505, 138)}, Shown.TIMED},
      {new Hold[] {tripped(1505, 100)}, Shown.TIMED},
      {new Hold[] {held(1505, 130)}, Shown.HELD},
      {new Hold[] {held(1800, 121)}, Shown.HELD},
      // Held long enough at a heavier load before it tripped.
      {new Hold[] {tripped(1700, 125)}, Shown.HELD},
      // Tripped under a heavier load: says nothing of this one.
      {new Hold[] {tripped(1700, 60)}, Shown.HEAVIER_ONLY},
      // A lighter load that tripped sooner condemns it.
      {new Hold[] {tripped(1400, 90)}, Shown.TRIPPED_SOONER},
      {new Hold[] {tripped(1400, 130)}, Shown.NOT_REACHED},
      // The rig, not the unit.
      {new Hold[] {held(1480, 1200)}, Shown.NOT_REACHED},
      {new Hold[] {held(1500, 60)}, Shown.NOT_REACHED},
      {new Hold[] {}, Shown.NO_TRY}
    };
  }

  @Test(dataProvider = "tries")
  public void aRigLimitIsNoUnitLimit(Hold[] holds, Shown expected) {
    Endurance e = of(holds);
    assertEquals(e.shown(), expected, e.reason());
    assertTrue(e.reason().endsWith("."), e.reason());
  }

  @Test
  public void triesAtOneLoadAreTakenTogether() {
    Endurance e = of(tripped(1503, 138), tripped(1498, 121));
    assertEquals(e.seconds().orElseThrow().value(), 129.5);
    assertEquals(e.seconds().orElseThrow().u95(), 8.5, 1e-9);
    assertTrue(e.reason().startsWith("2 tries"), e.reason());
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
