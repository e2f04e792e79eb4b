package org.wiseember.core.capacity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.Test;

public class ExpectedEndTest {
  /** Nothing but the label: 85 % of it, 75 to 95 % (common practice, no published source). */
  @Test
  public void atTheStartTheLabelIsAllThereIs() {
    ExpectedEnd end = ExpectedEnd.of(1000, List.of(), 0, 100, 500);
    assertEquals(end.total(), 850, 1e-9);
    assertEquals(end.low(), 750, 1e-9);
    assertEquals(end.high(), 950, 1e-9);
    assertEquals(end.secondsLeft(), 850.0 / 500 * 3600, 1e-9);
  }

  @Test
  public void earlierDrainsAndTheDisplayNarrowIt() {
    ExpectedEnd label = ExpectedEnd.of(1000, List.of(), 400, Double.NaN, 500);
    ExpectedEnd known = ExpectedEnd.of(1000, List.of(905.0, 915.0), 400, Double.NaN, 500);
    ExpectedEnd shown = ExpectedEnd.of(1000, List.of(905.0), 820, 10, 500);
    assertTrue(width(known) < width(label));
    assertTrue(width(shown) < width(known));
    assertTrue(known.total() > 870 && known.total() < 910, known.toString());
  }

  private static double width(ExpectedEnd end) {
    return end.high() - end.low();
  }

  @Test
  public void neverBehindWhatIsDeliveredAlready() {
    ExpectedEnd end = ExpectedEnd.of(1000, List.of(), 990, Double.NaN, 500);
    assertEquals(end.secondsLeft(), 0.0);
    assertTrue(end.low() >= 990 && end.soonest() >= 0);
  }

  /** Units that yield 75 to 95 %, displays a few percent off: the interval holds the end. */
  @Test
  public void theIntervalHoldsTheEndOfMostDrains() {
    SplittableRandom random = new SplittableRandom(8);
    int held = 0;
    int all = 2000;
    for (int i = 0; i < all; i++) {
      double truth = 1000 * (0.85 + 0.045 * random.nextGaussian());
      double share = random.nextDouble();
      double shown = 100 * (1 - share) + 3 * random.nextGaussian();
      ExpectedEnd end = ExpectedEnd.of(1000, List.of(), truth * share, shown, 500);
      held += end.low() <= truth && truth <= end.high() ? 1 : 0;
    }
    assertTrue(held >= 0.93 * all, held + " of " + all);
  }
}
