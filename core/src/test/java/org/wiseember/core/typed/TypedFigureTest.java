package org.wiseember.core.typed;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class TypedFigureTest {
  @DataProvider
  Object[][] notations() {
    return new Object[][] {
      {"1500", "W", 1500.0},
      {"1,500 W", "W", 1500.0},
      {"1,500", "W", 1500.0},
      {"1 500 W", "W", 1500.0},
      {"1\u2009500", "W", 1500.0},
      {"1'500", "W", 1500.0},
      {"1500,5", "W", 1500.5},
      {"1.500 W", "W", 1.5},
      {"1.5 kW", "W", 1500.0},
      {"1,5 kW", "W", 1500.0},
      {"1,500 kW", "W", 1500.0},
      {"1.234,5", "W", 1234.5},
      {"1,234.5", "W", 1234.5},
      {"3,4 A", "A", 3.4},
      {"12.5 h", "h", 12.5},
      {"0,500", "A", 0.5},
      {"85 %", "%", 85.0},
      {"−12", "", -12.0},
    };
  }

  @Test(dataProvider = "notations")
  public void anyNotationMeansTheSame(String text, String symbol, double value) {
    assertEquals(TypedFigure.read("Field", text, symbol, -1e6, 1e6).orElseThrow(), value, 1e-9);
  }

  @Test
  public void nothingTypedIsNothing() {
    assertEquals(TypedFigure.read("Field", "  ", "W", 0, 1), OptionalDouble.empty());
  }

  /** Of amps both could be meant where both fit; where one fits alone it is that one. */
  @Test
  public void whatMayBeTwoIsAsked() {
    String said = refused("1,500", "A", 0, 100_000);
    assertTrue(said.contains("may be 1.5 or 1\u2009500"), said);
    assertEquals(TypedFigure.read("Field", "1,500", "A", 0, 100).orElseThrow(), 1.5);
    assertEquals(TypedFigure.read("Field", "1,500", "", 100, 10_000).orElseThrow(), 1500.0);
  }

  @Test
  public void whatDoesNotFitIsOneSentence() {
    assertEquals(refused("many", "W", 1, 100), "Field: “many” is no number from 1 to 100.");
    assertEquals(refused("101", "W", 1, 100), "Field: “101” is no number from 1 to 100.");
    assertEquals(
        refused("12 V", "W", 1, 100),
        "Field: “12 V” has a unit that does not fit here. Type the number in W.");
    assertEquals(
        refused("12 V", "", 1, 100),
        "Field: “12 V” has a unit that does not fit here. Type the number alone.");
    for (String wrong : List.of("1,5,0", "1.2.3", "1 50", "--1", "1e9", "NaN", "∞")) {
      refused(wrong, "W", -1e12, 1e12);
    }
  }

  /** Whatever is typed, it is a number of the range or one sentence. */
  @Test
  public void anythingCanBeTyped() {
    SplittableRandom random = new SplittableRandom(5);
    String signs = "0123456789.,' -−kWVA%\u2009";
    for (int i = 0; i < 20_000; i++) {
      StringBuilder text = new StringBuilder();
      for (int n = random.nextInt(9); n >= 0; n--) {
        text.append(signs.charAt(random.nextInt(signs.length())));
      }
      try {
        TypedFigure.read("Field", text.toString(), "W", 1, 5000)
            .ifPresent(v -> assertTrue(v >= 1 && v <= 5000, text + " is " + v));
      } catch (IllegalArgumentException e) {
        assertTrue(e.getMessage().startsWith("Field: “") && e.getMessage().endsWith("."));
      }
    }
  }

  private static String refused(String text, String symbol, double least, double most) {
    return expectThrows(
            IllegalArgumentException.class,
            () -> TypedFigure.read("Field", text, symbol, least, most))
        .getMessage();
  }
}
