package org.wiseember.core.idle;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;

public class SmallLoadTest {
  /**
   * Common practice, no published source: a unit that idles at 60 to 65 W takes 77 to 80 W to
   * charge a phone from its AC side and 19 W from its DC side, 4 W of them for relays.
   */
  @Test
  public void aPhoneFromEitherSide() {
    SmallLoad phone = SmallLoad.of(14, 63, 0.06, 4, 0.93, 1000);
    assertTrue(phone.throughAc() > 77 && phone.throughAc() < 80, phone.toString());
    assertEquals(phone.throughDc(), 19, 0.2);
    assertEquals(phone.hoursThroughAc(), 12.8, 0.1);
    assertEquals(phone.gain(), 4.1, 0.1);
    assertTrue(phone.words().contains("Use the DC side"), phone.words());
  }

  @Test
  public void aFrugalInverterHardlyMatters() {
    SmallLoad lamp = SmallLoad.of(60, 6, 0.05, 1, 0.9, 1000);
    assertTrue(lamp.words().contains("hardly matters"), lamp.words());
    assertThrows(IllegalArgumentException.class, () -> new SmallLoad(1, 0, 1, 1));
  }
}
