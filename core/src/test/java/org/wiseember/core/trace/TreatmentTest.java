package org.wiseember.core.trace;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.Map;
import java.util.OptionalDouble;
import org.testng.annotations.Test;

public class TreatmentTest {
  private static final Trace TRACE =
      new Trace(new double[] {0, 10, 20, 30}, Map.of(Channel.AC_POWER, new double[] {1, 2, 3, 4}));

  @Test
  public void leavesOutAndPutsBack() {
    Treatment.LeftOut stretch = new Treatment.LeftOut(10, 20, "loose lead");
    Treatment treatment = Treatment.NONE.leavingOut(stretch);
    Trace treated = treatment.of(TRACE);
    assertTrue(Double.isNaN(treated.value(Channel.AC_POWER, 1)));
    assertTrue(Double.isNaN(treated.value(Channel.AC_POWER, 2)));
    assertEquals(treated.value(Channel.AC_POWER, 3), 4.0);
    assertEquals(TRACE.value(Channel.AC_POWER, 1), 2.0, "the readings stay as they were");
    assertEquals(treatment.puttingBack(stretch), Treatment.NONE);
    assertSame(Treatment.NONE.of(TRACE), TRACE);
  }

  @Test
  public void stretchesStandInOrderOfTime() {
    Treatment treatment =
        Treatment.NONE
            .leavingOut(new Treatment.LeftOut(20, 25, "b"))
            .leavingOut(new Treatment.LeftOut(0, 5, "a"));
    assertEquals(treatment.leftOut().get(0).reason(), "a");
  }

  @Test
  public void refusesWhatMakesNoSense() {
    assertThrows(IllegalArgumentException.class, () -> new Treatment.LeftOut(5, 5, "x"));
    assertThrows(IllegalArgumentException.class, () -> new Treatment.LeftOut(5, 9, "  "));
    assertThrows(IllegalArgumentException.class, () -> new Treatment.LeftOut(5, Double.NaN, "x"));
    assertThrows(IllegalArgumentException.class, () -> Treatment.NONE.withStandingWatts(-1));
    assertThrows(IllegalArgumentException.class, () -> Treatment.NONE.withStandingWatts(500));
    assertThrows(IllegalArgumentException.class, () -> Treatment.NONE.withLeadOhms(50));
    assertThrows(
        IllegalArgumentException.class,
        () -> Treatment.NONE.withCutoff(OptionalDouble.of(Double.NaN)));
  }
}
