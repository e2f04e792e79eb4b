package org.wiseember.core.lineup;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.lineup.MustHave.Answer;
import org.wiseember.core.lineup.MustHave.Limit;
import org.wiseember.core.lineup.MustHave.Quality;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

public class MustHaveTest {
  @DataProvider
  public Object[][] written() {
    return new Object[][] {
      {"at most 14 kg", new Limit(Measure.WEIGHT, 14, false)},
      {"under 30 lb", new Limit(Measure.WEIGHT, 30 * 0.45359237, false)},
      {"Full in 4 h", new Limit(Measure.FULL_AGAIN, 4, false)},
      {"charged in 90 min", new Limit(Measure.FULL_AGAIN, 1.5, false)},
      {"at least 1,2 kWh", new Limit(Measure.DELIVERED, 1200, true)},
      {"800 Wh", new Limit(Measure.DELIVERED, 800, true)},
      {"Idle under 10 W", new Limit(Measure.IDLE, 10, false)},
      {"holds 1500 W", new Limit(Measure.CONTINUOUS, 1500, true)},
      {"70 Wh/kg", new Limit(Measure.WH_PER_KG, 70, true)},
      {"no more than 45 dB", new Limit(Measure.NOISE, 45, false)},
      {"THD below 3 %", new Limit(Measure.DISTORTION, 3, false)},
      {"Pass-through", Quality.PASS_THROUGH},
      {"pass through on AC", Quality.PASS_THROUGH},
      {"Pure sine", Quality.PURE_SINE},
      {"Regulated 12 V", Quality.REGULATED},
      {"A display that tells all", Quality.DISPLAY_TELLS},
      {"Outputs that stay on", Quality.OUTPUTS_STAY},
      {"USB-C 100 W both ways", new MustHave.UsbBothWays(100)},
      {"runs the ice shaver", new MustHave.Runs("ice shaver")},
      {"Orange handles", new MustHave.ByHand()},
      {"ready in 4 s", new MustHave.ByHand()},
      {"lasts 8 h", new MustHave.ByHand()},
      {"", new MustHave.ByHand()},
    };
  }

  @Test(dataProvider = "written")
  public void whatIsWrittenIsUnderstood(String words, MustHave.Wish wish) {
    MustHave read = MustHave.of(words);
    assertEquals(read.words(), words);
    if (wish instanceof Limit l) {
      Limit is = (Limit) read.wish();
      assertEquals(is.measure(), l.measure());
      assertEquals(is.limit(), l.limit(), 1e-9);
      assertEquals(is.atLeast(), l.atLeast());
    } else {
      assertEquals(read.wish(), wish);
    }
  }

  private static Figure kilograms(double value) {
    return Figure.of(
        "weight",
        "Weight",
        value,
        Unit.KILOGRAM,
        Because.of(Budget.of(Contribution.of95("scale", 0.1)), "on a scale"));
  }

  @Test
  public void onlyWhatIsSureIsAnswered() {
    Limit limit = new Limit(Measure.WEIGHT, 14, false);
    assertEquals(MustHave.answer(limit, kilograms(13.8)), Answer.YES);
    assertEquals(MustHave.answer(limit, kilograms(13.95)), Answer.NOT_KNOWN);
    assertEquals(MustHave.answer(limit, kilograms(14.05)), Answer.NOT_KNOWN);
    assertEquals(MustHave.answer(limit, kilograms(14.2)), Answer.NO);
    // At least so heavy may be heavier.
    Figure more = kilograms(13).bounded(Bound.AT_LEAST);
    assertEquals(MustHave.answer(limit, more), Answer.NOT_KNOWN);
    assertEquals(MustHave.answer(limit, kilograms(15).bounded(Bound.AT_LEAST)), Answer.NO);
    Limit holds = new Limit(Measure.CONTINUOUS, 10, true);
    assertEquals(MustHave.answer(holds, more), Answer.YES, "held more than is asked");
  }

  @Test
  public void theUsualOnesAreSevenAndAllUnderstood() {
    assertEquals(MustHave.USUAL.size(), 7);
    assertTrue(MustHave.USUAL.stream().noneMatch(m -> m.wish() instanceof MustHave.ByHand));
  }
}
