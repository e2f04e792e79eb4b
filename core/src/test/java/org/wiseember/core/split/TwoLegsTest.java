package org.wiseember.core.split;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;

/** Two units for one load. */
public class TwoLegsTest {
  /** Common practice, no published source: 3 000 W in all less 300 W house is a 2 700 W pump. */
  @Test
  public void theHouseIsTakenOff() {
    TwoLegs legs = new TwoLegs(1650, 1350, 300);
    assertEquals(legs.load(), 2700.0);
    assertEquals(TwoLegs.perUnit(legs.load()), 1350.0);
    assertEquals(legs.imbalancePercent(), 10, 1e-9);
    assertEquals(legs.heavier(), 1650.0);
    assertTrue(legs.words().contains("2\u2009700 W"), legs.words());
  }

  @Test
  public void theEnds() {
    assertEquals(new TwoLegs(1000, 1000, 0).imbalancePercent(), 0.0);
    assertEquals(new TwoLegs(1000, 0, 0).imbalancePercent(), 100.0);
    assertThrows(IllegalArgumentException.class, () -> new TwoLegs(100, 100, 300));
  }
}
