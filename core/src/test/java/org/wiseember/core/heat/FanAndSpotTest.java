package org.wiseember.core.heat;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.typed.TypedSpot;
import org.wiseember.core.uncertainty.MeterClass;

public class FanAndSpotTest {
  private static FanSteps steps(double... wattsAndSteps) {
    java.util.ArrayList<FanSteps.At> seen = new java.util.ArrayList<>();
    for (int i = 0; i < wattsAndSteps.length; i += 2) {
      seen.add(new FanSteps.At(wattsAndSteps[i], (int) wattsAndSteps[i + 1]));
    }
    return new FanSteps(seen);
  }

  @DataProvider
  Object[][] worded() {
    return new Object[][] {
      {
        steps(900, 2, 250, 0, 500, 1),
        "Fan off up to 250 W, at step 1 from 500 W, at step 2 from 900 W."
      },
      {steps(100, 0, 250, 0, 900, 2), "Fan off up to 250 W, at step 2 from 900 W."},
      {steps(250, 1, 900, 1), "Fan at step 1 up to 900 W."},
      {steps(), ""},
    };
  }

  @Test(dataProvider = "worded")
  public void stepsAgainstLoad(FanSteps fan, String words) {
    assertEquals(fan.words(), words);
    assertTrue(fan.rises());
  }

  @Test
  public void aFanThatFallsWithMoreLoadIsSaidAsItWas() {
    FanSteps fan = steps(200, 2, 700, 1);
    assertFalse(fan.rises());
    assertEquals(fan.highest(), 2);
    assertTrue(fan.words().contains("at step 2 with 200 W, at step 1 with 700 W"), fan.words());
  }

  /** Two rectangular limits of 2 K and 1 K: 95 % of their sum lies within 2.3 K (convolution). */
  @Test
  public void riseAboveTheRoom() {
    HotSpot spot =
        new HotSpot(
            62, "the plug", 22, MeterClass.ofReading(0, 20, 0.1), MeterClass.ofReading(0, 10, 0.1));
    assertEquals(spot.rise().value(), 40, 1e-12);
    // P(|2a + b| > h) = (3 − h)² ÷ 8 = 0.05 for a, b even in ± 1 gives h = 3 − √0.4.
    assertEquals(spot.rise().u95(), 3 - Math.sqrt(0.4), 0.06);
    assertEquals(spot.words(), "62.0\u00a0°C at the plug");
    assertTrue(spot.rise().because().watchOut().stream().anyMatch(w -> w.contains("load off")));
  }

  @DataProvider
  Object[][] places() {
    return new Object[][] {
      {"61.5 °C at the outlet", "the outlet"},
      {"61,5 outlet 2", "outlet 2"},
      {"61", ""},
      {"61 °C", ""},
      {"142 °F on the fuse", "the fuse"},
      {"no figure", ""},
    };
  }

  @Test(dataProvider = "places")
  public void placeOfASpot(String typed, String place) {
    assertEquals(TypedSpot.place(typed), place);
  }
}
