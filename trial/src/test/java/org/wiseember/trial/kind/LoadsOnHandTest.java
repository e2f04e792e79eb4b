package org.wiseember.trial.kind;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.trial.onhand.LoadsOnHand;

/** Loads as people write them. */
public class LoadsOnHandTest {
  @DataProvider
  public Object[][] typed() {
    return new Object[][] {
      {"60, 100, 200", List.of(60.0, 100.0, 200.0)},
      {"60 100 W 200", List.of(60.0, 100.0, 200.0)},
      {"1\u2009000 60", List.of(1000.0, 60.0)},
      {"60;100;200", List.of(60.0, 100.0, 200.0)},
      {"60 W, 1 000 W", List.of(60.0, 1000.0)},
      {"60 watts,12.5w", List.of(60.0, 12.5)},
      {" 40 , , 60 ", List.of(40.0, 60.0)},
      {"0, 40", List.of(40.0)},
      {"60,100,200,500,1000", List.of(60.0, 100.0, 200.0, 500.0, 1000.0)},
      {"60; 1,500 W; 2.2 kW", List.of(60.0, 1500.0, 2200.0)},
      {"0, -5, 40", List.of()},
      {"30000, 40", List.of()},
      {"a lamp", List.of()},
      {"", List.of()},
    };
  }

  @Test(dataProvider = "typed")
  public void areRead(String text, List<Double> watts) {
    assertEquals(LoadsOnHand.watts(text), watts);
    assertEquals(LoadsOnHand.wrong(text).isPresent(), watts.isEmpty());
  }

  /** One load of 1 500 W, or two? Nobody guesses. */
  @Test
  public void whatMayBeOneOrSeveralIsAsked() {
    for (String text : List.of("1,500", "1500,5", "200, 1,500", "1 500 W")) {
      assertTrue(
          LoadsOnHand.wrong(text).orElseThrow().contains("may be one load or several"), text);
    }
    assertEquals(
        LoadsOnHand.wrong("30000, 40").orElseThrow(),
        "Loads on hand: “30000” is no number from 0 to 20\u2009000.");
  }

  @Test
  public void aDozenIsEnough() {
    assertTrue(LoadsOnHand.wrong("1,2,3,4,5,6,7,8,9,10,11,12").isEmpty());
    assertTrue(LoadsOnHand.wrong("1,2,3,4,5,6,7,8,9,10,11,12,13").orElseThrow().contains("Twelve"));
  }
}
