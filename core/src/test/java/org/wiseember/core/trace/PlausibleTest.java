package org.wiseember.core.trace;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PlausibleTest {
  /**
   * What instruments write where they have no reading: 9.91E37 for not a number and 9.9E37 for
   * beyond the range (SCPI-1999, 7.2.1, recalled from memory); the others are common practice, no
   * published source.
   */
  @DataProvider
  Object[][] marks() {
    return new Object[][] {
      {9.91e37}, {9.9e37}, {-9.9e37}, {1e308}, {-99_999.0}, {1e30}, {4_294_967_295.0}
    };
  }

  @Test(dataProvider = "marks")
  public void marksAreNoReadings(double mark) {
    for (Channel channel : Channel.values()) {
      boolean total = channel == Channel.AC_ENERGY || channel == Channel.SECOND_AC_ENERGY;
      assertFalse(Plausible.is(channel, mark) && !(total && mark < 1e8), channel + " " + mark);
    }
  }

  @Test
  public void whatUnitsAndSkiesShowIs() {
    Map<Channel, double[]> seen =
        Map.of(
            Channel.AC_POWER, new double[] {0, 7_200, -1_500},
            Channel.AC_VOLTAGE, new double[] {0, 90, 264},
            Channel.IN_VOLTAGE, new double[] {0, 11, 450},
            Channel.FREQUENCY, new double[] {0, 49.9, 400},
            Channel.DISPLAY_CHARGE, new double[] {0, 100},
            Channel.CASE_TEMPERATURE, new double[] {-20, 85},
            Channel.ILLUMINANCE, new double[] {0, 120_000},
            Channel.AC_ENERGY, new double[] {0, 3_500_000});
    seen.forEach(
        (channel, values) -> {
          for (double value : values) {
            assertTrue(Plausible.is(channel, value), channel + " " + value);
          }
        });
    assertFalse(Plausible.is(Channel.AC_POWER, Double.NaN));
  }

  @Test
  public void holesAreMadeOnlyWhereThereIsNoReading() {
    Trace trace =
        new Trace(
            new double[] {0, 1, 2},
            Map.of(
                Channel.AC_POWER, new double[] {600, 9.91e37, 601},
                Channel.AC_VOLTAGE, new double[] {230, 231, Double.NaN}));
    Trace read = Plausible.readings(trace);
    assertEquals(read.series(Channel.AC_POWER).size(), 2);
    assertEquals(read.series(Channel.AC_VOLTAGE).size(), 2);
    assertTrue(Double.isNaN(read.value(Channel.AC_POWER, 1)));
    assertEquals(trace.value(Channel.AC_POWER, 1), 9.91e37, "what was read stays as it is");
    Trace whole = new Trace(new double[] {0}, Map.of(Channel.AC_POWER, new double[] {5}));
    assertSame(Plausible.readings(whole), whole);
  }
}
