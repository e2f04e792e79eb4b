package org.wiseember.core.noise;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;

/** Levels by hand from the energy sum. */
public class SoundLevelTest {
  /** Two equal sources are 3.01 dB above one: without one of them the other is left. */
  @Test
  public void theBackgroundIsTakenOut() {
    assertEquals(SoundLevel.without(43.0103, 40), 40, 1e-3);
    // 10·lg(10^4.5 − 10^3.5) = 44.542 dB.
    assertEquals(SoundLevel.without(45, 35), 44.542, 1e-3);
    assertTrue(SoundLevel.standsOut(40, 37));
    assertFalse(SoundLevel.standsOut(39, 37));
    // Hardly louder than the room: no more is taken out than at 3 dB.
    assertEquals(SoundLevel.without(38, 37.9), 38 - 3.0206, 1e-3);
  }

  /** Twice as far is 6.02 dB less in the open, 0.3 m against 1 m 10.46 dB. */
  @Test
  public void atAnotherDistance() {
    assertEquals(SoundLevel.at(50, 1, 2), 43.979, 1e-3);
    assertEquals(SoundLevel.at(50, 0.3, 1), 39.542, 1e-3);
    assertEquals(SoundLevel.at(SoundLevel.at(50, 0.3, 1), 1, 0.3), 50, 1e-9);
  }

  @Test
  public void anUncertainBackgroundMovesTheFigure() {
    double by = SoundLevel.without(45, 35.1) - SoundLevel.without(45, 35);
    assertEquals(by / 0.1, SoundLevel.backgroundSensitivity(45, 35), 2e-3);
  }
}
