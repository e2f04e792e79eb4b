package org.wiseember.bench.run;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.SplittableRandom;
import org.testng.annotations.Test;

public class ThinnerTest {
  @Test
  public void shortChannelsAreKeptWhole() {
    Thinner thinner = new Thinner();
    for (int i = 0; i < 2048; i++) {
      thinner.add(i, i * 0.5);
    }
    Thinned view = thinner.view();
    assertEquals(view.size(), 2048);
    for (int i = 0; i < view.size(); i++) {
      assertEquals(view.seconds()[i], (double) i);
      assertEquals(view.low()[i], i * 0.5);
      assertEquals(view.high()[i], i * 0.5);
    }
  }

  @Test
  public void missingReadingsArePassedOver() {
    Thinner thinner = new Thinner();
    thinner.add(0, Double.NaN);
    thinner.add(1, 5);
    assertEquals(thinner.view().size(), 1);
  }

  /** However long the channel: times rise, the whole span is there, and so are the extremes. */
  @Test
  public void extremesSurviveAnyLength() {
    SplittableRandom random = new SplittableRandom(8);
    for (int length : new int[] {1, 2047, 2049, 10_000, 300_001}) {
      Thinner thinner = new Thinner();
      double least = Double.POSITIVE_INFINITY;
      double most = Double.NEGATIVE_INFINITY;
      for (int i = 0; i < length; i++) {
        double v = random.nextDouble(-50, 50);
        least = Math.min(least, v);
        most = Math.max(most, v);
        thinner.add(i, v);
      }
      Thinned view = thinner.view();
      assertTrue(view.size() <= 2048);
      double low = Double.POSITIVE_INFINITY;
      double high = Double.NEGATIVE_INFINITY;
      for (int i = 0; i < view.size(); i++) {
        assertTrue(view.low()[i] <= view.high()[i]);
        assertTrue(i == 0 || view.seconds()[i] > view.seconds()[i - 1]);
        low = Math.min(low, view.low()[i]);
        high = Math.max(high, view.high()[i]);
      }
      assertEquals(low, least);
      assertEquals(high, most);
      assertEquals(view.seconds()[0], 0.0);
    }
  }
}
