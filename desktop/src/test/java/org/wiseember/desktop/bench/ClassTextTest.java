package org.wiseember.desktop.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.uncertainty.MeterClass;

public class ClassTextTest {
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
    MeterClass read = ClassText.read(text, 0.1).orElseThrow();
    assertEquals(read.percentOfReading(), percent);
    assertEquals(read.digits(), digits);
    assertEquals(read.resolution(), 0.1);
    assertEquals(ClassText.read(read.words(), 0.1).orElseThrow(), read, "and back from its words");
  }

  @Test
  public void whatIsNoClassIsNone() {
    for (String text : new String[] {"", "good", "%", "120 %", "-1 %", "1 % + x", "1e3 %"}) {
      assertTrue(ClassText.read(text, 0.1).isEmpty(), text);
    }
  }
}
