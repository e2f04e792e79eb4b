package org.wiseember.core.uncertainty;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.Map;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

public class CorrectionTest {
  private static final MeterClass BETTER = MeterClass.ofReading(0.2, 1, 0.1);

  @Test
  public void onePointIsAFactorAndTwoAreALine() {
    Correction one = Correction.ofOnePoint(590, 600, BETTER);
    assertEquals(one.apply(590), 600, 1e-9);
    assertEquals(one.apply(295), 300, 1e-9);
    Correction two = Correction.ofTwoPoints(52, 50, 1010, 1000, BETTER);
    assertEquals(two.apply(52), 50, 1e-9);
    assertEquals(two.apply(1010), 1000, 1e-9);
    assertTrue(Double.isNaN(two.apply(Double.NaN)));
  }

  @Test
  public void afterwardsItIsAsGoodAsItsReferenceWithItsOwnLastDigit() {
    MeterClass own = MeterClass.ofReading(2, 3, 1);
    MeterClass corrected = Correction.ofOnePoint(590, 600, BETTER).corrected(own);
    assertEquals(corrected.percentOfReading(), 0.2);
    assertEquals(corrected.resolution(), 1.0);
    assertTrue(corrected.halfWidth(600) < own.halfWidth(600));
  }

  @Test
  public void aBrokenMeterIsNotCorrected() {
    assertThrows(IllegalArgumentException.class, () -> Correction.ofOnePoint(300, 600, BETTER));
  }

  @Test
  public void rawReadingsStayAsTheyWere() {
    Trace raw =
        new Trace(new double[] {0, 1}, Map.of(Channel.AC_POWER, new double[] {590, Double.NaN}));
    Correction one = Correction.ofOnePoint(590, 600, BETTER);
    Trace corrected = raw.mapped(Map.of(Channel.AC_POWER, one::apply));
    assertEquals(corrected.value(Channel.AC_POWER, 0), 600, 1e-9);
    assertTrue(Double.isNaN(corrected.value(Channel.AC_POWER, 1)));
    assertEquals(raw.value(Channel.AC_POWER, 0), 590.0);
  }
}
