package org.wiseember.core.display;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.CapacityMethod;
import org.wiseember.core.capacity.UsableCapacity;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

public class DisplaysTest {
  /** Common practice, no published source: 985 W shown for 960, 453 for 440, nothing below 30 W. */
  @Test
  public void powerDisplayOfTheTrade() {
    PowerDisplay display =
        new PowerDisplay(
            List.of(
                new PowerDisplay.Load(960, 985),
                new PowerDisplay.Load(28, 0),
                new PowerDisplay.Load(440, 453)));
    assertEquals(display.floor().orElseThrow(), 28.0);
    assertEquals(display.meanErrorPercent().orElseThrow(), (2.604 + 2.955) / 2, 0.001);
    assertTrue(display.words().get(0).contains("2.8 % too much"), display.words().toString());
    assertTrue(display.words().get(0).contains("453 for 440 W"), display.words().toString());
    assertTrue(display.words().get(1).contains("nothing at 28 W"), display.words().toString());
  }

  /** Common practice, no published source: frozen at 229 W while the pack filled as if at 500. */
  @Test
  public void aFrozenDisplayIsFoundByWhatThePackGained() {
    // 50 % of 1 000 Wh in one hour are 500 W.
    assertEquals(PowerDisplay.wattsByCharge(50, 1000, 1), 500.0);
    String said = PowerDisplay.againstCharge(229, 50, 1000, 1).orElseThrow();
    assertTrue(said.contains("229 W") && said.contains("500 W"), said);
    assertTrue(PowerDisplay.againstCharge(540, 50, 1000, 1).isEmpty(), "losses are no lie");
    assertTrue(PowerDisplay.againstCharge(229, 5, 1000, 0.1).isEmpty(), "too little to tell");
  }

  private static Trace drain(java.util.function.DoubleUnaryOperator shown) {
    int n = 3700;
    double[] t = new double[n];
    double[] watts = new double[n];
    double[] display = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = i;
      watts[i] = i < 3600 ? 500 : 0;
      display[i] = Math.rint(100 * shown.applyAsDouble(Math.max(0, 1 - i / 3600.0)));
    }
    return new Trace(t, Map.of(Channel.AC_POWER, watts, Channel.DISPLAY_CHARGE, display));
  }

  @Test
  public void chargeDisplayAgainstCountedEnergy() {
    Trace honest = drain(left -> left);
    CapacityFinding finding = UsableCapacity.of(honest, CapacityMethod.assumed(500));
    ChargeDisplay straight = ChargeDisplay.of(honest, finding).orElseThrow();
    assertTrue(Math.abs(straight.worst().error()) < 1.01, straight.words());
    assertTrue(straight.words().contains("follows"), straight.words());

    Trace bent = drain(left -> left * left);
    ChargeDisplay early =
        ChargeDisplay.of(bent, UsableCapacity.of(bent, CapacityMethod.assumed(500))).orElseThrow();
    // left² − left is least at one half, by a quarter.
    assertEquals(early.worst().error(), -25, 0.7);
    assertEquals(early.worst().left(), 50, 6);
    assertTrue(early.words().contains("25 points"), early.words());
    assertFalse(ChargeDisplay.of(Trace.empty(), finding).isPresent());
  }
}
