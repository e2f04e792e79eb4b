package org.wiseember.core.port;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Map;
import org.testng.annotations.Test;
import org.wiseember.core.capacity.EnergyLeft;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.MeterClass;

public class SoakDrawTest {
  private static final MeterClass METER = MeterClass.ofReading(1, 0, 0);

  /** 33 % of 477 Wh in 27.5 h is 5.7 W for a 12 V cooler; common practice, no published source. */
  @Test
  public void aNightByTheDisplay() {
    Figure draw =
        SoakDraw.byDisplay(100, 67, 27.5, EnergyLeft.usual(477 / 0.85).orElseThrow()).orElseThrow();
    assertEquals(draw.value(), 5.724, 0.001);
    // What it holds is assumed, 75 to 95 % of the label, and that outweighs the display's points.
    assertTrue(draw.u95() > 0.6 && draw.u95() < 0.8, draw.words());
    assertTrue(draw.because().watchOut().get(0).contains("no drain was made"));
  }

  /** 2.13 kWh in 25 h 13 min is 84.5 W; common practice, no published source. */
  @Test
  public void aDayByTheTotal() {
    Trace trace =
        new Trace(
            new double[] {0, 25 * 3600 + 13 * 60},
            Map.of(Channel.AC_ENERGY, new double[] {0, 2130}));
    Figure draw = SoakDraw.byTotal(trace, Channel.AC_ENERGY, METER, 10).orElseThrow();
    assertEquals(draw.value(), 84.5, 0.05);
    assertTrue(draw.low() < 84.5 && draw.high() > 84.5);
  }

  /**
   * 2.5 A at 4.9 V for 12 h 44 min took 68 % of a 299 Wh unit: 156 Wh of 203; common practice, no
   * published source.
   */
  @Test
  public void aUsbLoadAgainstTheDisplay() {
    Figure draw =
        SoakDraw.byReadings(Series.of(new double[] {0}, new double[] {2.5 * 4.9}), METER)
            .orElseThrow();
    Figure share = SoakDraw.ofShown(draw, 100, 32, 12 + 44 / 60.0, 299).orElseThrow();
    assertEquals(share.value(), 76.7, 0.05);
    assertTrue(share.u95() > 1 && share.u95() < 2.5, share.words());
    assertTrue(SoakDraw.ofShown(draw, 40, 40, 2, 299).isEmpty());
  }

  /** What cycles is only known between what was read. */
  @Test
  public void readingsOfWhatCycles() {
    Series watts = Series.of(new double[] {0, 3600, 7200}, new double[] {1, 80, 1});
    Figure draw = SoakDraw.byReadings(watts, METER).orElseThrow();
    assertTrue(draw.low() <= 1 && draw.high() >= 66, draw.words());
  }

  @Test
  public void nothingReadIsNothing() {
    Trace once = new Trace(new double[] {0}, Map.of(Channel.AC_ENERGY, new double[] {5}));
    assertTrue(SoakDraw.byTotal(once, Channel.AC_ENERGY, METER, 1).isEmpty());
    assertTrue(SoakDraw.byReadings(Series.of(new double[0], new double[0]), METER).isEmpty());
    assertTrue(
        SoakDraw.byDisplay(67, 67, 10, EnergyLeft.usual(477 / 0.85).orElseThrow()).isEmpty());
  }
}
