package org.wiseember.core.display;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Map;
import org.testng.annotations.Test;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.CapacityMethod;
import org.wiseember.core.capacity.UsableCapacity;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

public class DisplaysTest {
  /** Common practice, no published source: frozen at 229 W while the pack filled as if at 500. */
  @Test
  public void aFrozenDisplayIsFoundByWhatThePackGained() {
    // 50 % of 1 000 Wh in one hour are 500 W.
    assertEquals(AgainstCharge.wattsByCharge(50, 1000, 1), 500.0);
    String said = AgainstCharge.sentence(229, 50, 1000, 1).orElseThrow();
    assertTrue(said.contains("229 W") && said.contains("500 W"), said);
    assertTrue(AgainstCharge.sentence(540, 50, 1000, 1).isEmpty(), "losses are no lie");
    assertTrue(AgainstCharge.sentence(229, 5, 1000, 0.1).isEmpty(), "too little to tell");
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
