package org.wiseember.core.uncertainty;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.Unit;

public class MeterClassTextTest {
  @DataProvider
  Object[][] sheets() {
    return new Object[][] {
      {"0.5 % + 2 digits", 0.5, 2},
      {"0,5% + 2 d", 0.5, 2},
      {"± 1 %", 1, 0},
      {"1 % of reading + 3 dgt", 1, 3},
      {"5 digits", 0, 5},
      {"100 %", 100, 0},
    };
  }

  @Test(dataProvider = "sheets")
  public void aDataSheetsWordsBecomeAClass(String text, double percent, int digits) {
    MeterClass read = read(text).at(Unit.WATT, 0.1);
    assertEquals(read.percentOfReading(), percent);
    assertEquals(read.digits(), digits);
    assertEquals(read.resolution(), 0.1);
    assertEquals(read(read.words()).at(Unit.WATT, 0.1), read, "and back from its words");
  }

  @Test
  public void aFixedPartBelongsToItsOwnUnit() {
    MeterClassText clamp = read("0.5 % + 0.1 A");
    assertEquals(clamp.at(Unit.AMPERE, 0.01).halfWidth(20), 0.2, 1e-12, "0.5 % of 20 A and 0.1 A");
    assertEquals(clamp.at(Unit.VOLT, 0.01).halfWidth(20), 0.1, 1e-12, "volts have no amps");
  }

  @Test
  public void whatIsNoClassIsNone() {
    String[] none = {"", "good", "%", "120 %", "-1 %", "1 % + x", "1e3 %", "1 % + 2 parsecs", "±"};
    for (String text : none) {
      assertTrue(MeterClassText.read(text).isEmpty(), text);
    }
  }

  private static MeterClassText read(String text) {
    return MeterClassText.read(text).orElseThrow();
  }
}
