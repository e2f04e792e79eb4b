package org.wiseember.core.quantity;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class FiguresTest {
  private static String ascii(String text) {
    return text.replace(Figures.THIN_SPACE, '_').replace('\u2212', '-').replace('\u00b1', '~');
  }

  @DataProvider
  Object[][] uncertain() {
    // GUM 7.2.6: at most two significant digits of uncertainty, the figure rounded to match.
    return new Object[][] {
      {921.4, 9.2, "921 ~ 9"},
      {902.605, 5.46, "903 ~ 5"},
      {443.18, 2.917, "443.2 ~ 2.9"},
      {1234567.0, 1234.0, "1_234_567 ~ 1_234"},
      {49.9924, 0.01316, "49.992 ~ 0.013"},
      {0.5, 0.0, "0.5 ~ 0.0"},
      {-12.34, 0.3, "-12.3 ~ 0.3"},
    };
  }

  @Test(dataProvider = "uncertain")
  public void roundsToTheUncertainty(double value, double u95, String expected) {
    assertEquals(ascii(Figures.withUncertainty(value, u95)), expected);
  }

  @DataProvider
  Object[][] plain() {
    return new Object[][] {
      {0.0, "0"},
      {1075.0, "1_075"},
      {51.2, "51.2"},
      {1.6666667, "1.667"},
      {100000.0, "100_000"},
      {-10.0, "-10"},
      {0.0004, "0.0004"},
      {Double.NaN, "–"},
    };
  }

  @Test(dataProvider = "plain")
  public void writesAsJottedDown(double value, String expected) {
    assertEquals(ascii(Figures.plain(value)), expected);
  }

  @Test
  public void neverWritesMinusZero() {
    assertEquals(Figures.fixed(-0.0001, 1), "0.0");
  }

  @DataProvider
  Object[][] times() {
    return new Object[][] {
      {5544.0, "1 h 32 min 24 s", "1:32:24"},
      {90780.0, "25 h 13 min", "25:13:00"},
      {59.4, "59 s", "0:00:59"},
      {60.0, "1 min", "0:01:00"},
    };
  }

  @Test(dataProvider = "times")
  public void saysTimes(double seconds, String words, String clock) {
    assertEquals(Figures.duration(seconds), words);
    assertEquals(Figures.clock(seconds), clock);
  }
}
