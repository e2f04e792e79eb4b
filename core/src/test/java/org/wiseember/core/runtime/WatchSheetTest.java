package org.wiseember.core.runtime;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Warning;

public class WatchSheetTest {
  private static final double NO = Double.NaN;

  private static Watch watch(double hours, double minutes, double wattHours) {
    return new Watch(3600 * hours + 60 * minutes, wattHours, 10, NO, NO, NO, NO);
  }

  private static List<String> codes(Watch watch) {
    return WatchSheet.of(watch).warnings().stream().map(Warning::code).toList();
  }

  /** 2.13 kWh in 25 h 13 min is 84.5 W: common practice, no published source. */
  @Test
  public void aDayOfARefrigerator() {
    WatchSheet sheet = WatchSheet.of(watch(25, 13, 2130));
    assertEquals(sheet.mean().value(), 84.5, 0.05);
    assertTrue(sheet.warnings().isEmpty(), sheet.warnings().toString());
    assertEquals(sheet.draw().wattHours(), sheet.mean().value());
    assertEquals(sheet.draw().origin(), ApplianceDraw.Origin.WATCHED);
    assertTrue(sheet.mean().u95() > 4 && sheet.mean().u95() < 6, "another day: ± 5 %");
  }

  /**
   * 33 % of 477 Wh in 27.5 h is 5.7 W for a cooler in a cool cellar: common practice, no published
   * source.
   */
  @Test
  public void aCoolerInACellar() {
    assertEquals(WatchSheet.of(watch(27, 30, 0.33 * 477)).mean().value(), 5.7, 0.05);
  }

  /**
   * A refrigerator ran 11 h 37 min on 1 382 Wh, about 105 W on average at 88 %: common practice, no
   * published source.
   */
  @Test
  public void lessThanADayIsSaidAndLessSure() {
    Watch half = watch(11, 37, 0.88 * 1382);
    WatchSheet sheet = WatchSheet.of(half);
    assertEquals(sheet.mean().value(), 105, 0.5);
    assertEquals(codes(half), List.of("short_watch"));
    assertTrue(sheet.mean().u95() > 0.15 * sheet.mean().value());
  }

  /** 383 W of a defrost heater against 52 W running: common practice, no published source. */
  @Test
  public void aDefrostHeaterIsItsTrueMaximum() {
    Watch watch = new Watch(25 * 3600, 1500, 10, 52, 383, 390, 640);
    WatchSheet sheet = WatchSheet.of(watch);
    assertEquals(codes(watch), List.of("something_else"));
    assertEquals(sheet.draw().watts(), 390.0, "the larger of W and VA");
    assertEquals(sheet.draw().startVa(), 640.0);
  }

  @Test
  public void slipsAreCaught() {
    assertEquals(
        codes(new Watch(25 * 3600, 21_300, 10, 130, 140, NO, NO)), List.of("mean_above_highest"));
    assertEquals(
        codes(new Watch(25 * 3600, 2130, 10, 130, 140, NO, 120)), List.of("start_below_running"));
    assertEquals(
        codes(new Watch(25 * 3600, 2130, 10, 130, 140, 100, NO)), List.of("va_below_watts"));
    expectThrows(IllegalArgumentException.class, () -> watch(0, 0, 10));
    expectThrows(IllegalArgumentException.class, () -> watch(1, 0, 0));
  }
}
