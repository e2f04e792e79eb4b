package org.wiseember.core.efficiency;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;

public class LadderLoadsTest {
  /** IEC 61683 (recalled from memory): 5, 10, 25, 50, 75, 100 % of 1 200 W. */
  @Test
  public void loadsAreCombinedToLandNearThePoints() {
    LadderLoads chosen = LadderLoads.choose(List.of(60.0, 100.0, 200.0, 500.0, 1000.0), 1200);
    assertEquals(chosen.watts().size(), 6);
    assertTrue(chosen.missing().isEmpty());
    double[] points = {60, 120, 300, 600, 900, 1200};
    for (int i = 0; i < points.length; i++) {
      double ratio = chosen.watts().get(i) / points[i];
      assertTrue(ratio > 0.8 && ratio < 1.25, chosen.watts().toString());
    }
  }

  /** Common practice, no published source: heaters of 200, 500 and 1 500 W and nothing smaller. */
  @Test
  public void whatNothingComesNearToIsSaid() {
    LadderLoads chosen = LadderLoads.choose(List.of(200.0, 500.0, 1500.0), 1800);
    assertEquals(chosen.missing(), List.of(5.0));
    assertTrue(chosen.watts().stream().allMatch(w -> w <= 1800), "never above the rating");
    LadderLoads heavy = LadderLoads.choose(List.of(500.0), 300);
    assertTrue(heavy.watts().isEmpty());
    assertEquals(heavy.missing().size(), 6);
  }

  @Test
  public void refusesWhatIsNoLoad() {
    assertThrows(IllegalArgumentException.class, () -> LadderLoads.choose(List.of(), 100));
    assertThrows(IllegalArgumentException.class, () -> LadderLoads.choose(List.of(-5.0), 100));
  }
}
