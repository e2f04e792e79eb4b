package org.wiseember.core.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.LocalTime;
import java.util.Locale;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.heat.HotSpot;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.wiring.Gauge;

public class ReaderUnitsTest {
  private static final ReaderUnits THEIRS = ReaderUnits.CUSTOMARY;
  private static final MeterClass CAMERA = MeterClass.ofReading(2, 1, 0.1);

  /** NIST Special Publication 811, appendix B: factors and formulas of conversion. */
  @DataProvider
  public Object[][] known() {
    return new Object[][] {
      {Unit.CELSIUS, 0, 32, "°F"},
      {Unit.CELSIUS, 100, 212, "°F"},
      {Unit.CELSIUS, -40, -40, "°F"},
      {Unit.KELVIN, 10, 18, "°F"},
      {Unit.METRE, 0.3048, 1, "ft"},
      {Unit.KILOGRAM, 0.45359237, 1, "lb"},
      {Unit.WATT, 598, 598, "W"},
    };
  }

  @Test(dataProvider = "known")
  public void aFigureIsTurnedByThePublishedFactorAndBack(
      Unit unit, double kept, double shown, String symbol) {
    assertEquals(THEIRS.shown(kept, unit), shown, 1e-9);
    assertEquals(THEIRS.kept(shown, unit), kept, 1e-9);
    assertEquals(THEIRS.symbol(unit), symbol);
    assertEquals(ReaderUnits.AS_KEPT.shown(kept, unit), kept, 0.0);
    assertEquals(ReaderUnits.AS_KEPT.symbol(unit), unit.symbol());
  }

  @Test
  public void whatIsTypedComesBackAsItWasShown() {
    Random random = new Random(4);
    for (int i = 0; i < 200; i++) {
      double value = -40 + 120 * random.nextDouble();
      for (Unit unit : Unit.values()) {
        assertEquals(THEIRS.kept(THEIRS.shown(value, unit), unit), value, 1e-9);
      }
    }
  }

  @DataProvider
  public Object[][] sentences() {
    String n = String.valueOf(Figures.NO_BREAK);
    return new Object[][] {
      {"case at 44.6" + n + "°C on", "case at 112.3" + n + "°F on"},
      {"from −10" + n + "°C", "from 14" + n + "°F"},
      {"0 to 40" + n + "°C", "32 to 104" + n + "°F"},
      {"about 40 ± 5" + n + "°C", "about 104 ± 9" + n + "°F"},
      // An uncertainty alone has no zero of its own.
      {"Together ± 0.5" + n + "°C", "Together ± 0.9" + n + "°F"},
      {"61.0 − 22.0 = 39.0" + n + "K", "61.0 − 22.0 = 70.2" + n + "°F"},
      {"12.9 ± 0.1" + n + "kg", "28.4 ± 0.2" + n + "lb"},
      {"1" + n + "m clear", "3.3" + n + "ft clear"},
      // Plain spaces are a person's, or another unit's.
      {"Weight 12.9 kg, 40 °C", "Weight 12.9 kg, 40 °C"},
      {"3" + n + "ms and 2" + n + "m/s", "3" + n + "ms and 2" + n + "m/s"},
      {"1\u2009230" + n + "kg", "2\u2009711.7" + n + "lb"},
    };
  }

  @Test(dataProvider = "sentences")
  public void onlyFiguresOfTheProgramAreTurned(String kept, String told) {
    assertEquals(THEIRS.told(kept), told);
    assertEquals(ReaderUnits.AS_KEPT.told(kept), kept);
  }

  @Test
  public void aWireIsToldByTheSizeOnePicked() {
    String both = "take " + Gauge.of(10).orElseThrow().words() + ", fuse 30 A";
    String n = String.valueOf(Figures.NO_BREAK);
    assertEquals(both, "take 10" + n + "AWG or 6" + n + "mm², fuse 30 A");
    assertEquals(ReaderUnits.named("awg").told(both), "take 10" + n + "AWG, fuse 30 A");
    assertEquals(ReaderUnits.named("mm2").told(both), "take 6" + n + "mm², fuse 30 A");
    assertEquals(ReaderUnits.named("f").told(both), both);
    assertTrue(ReaderUnits.named("awg").told(Gauge.of(-1).orElseThrow().words()).startsWith("2/0"));
  }

  @Test
  public void aWorkedSumStaysRightInTheOtherUnit() {
    HotSpot spot = new HotSpot(61, "plug", 21, CAMERA, CAMERA);
    String sum =
        THEIRS.told(spot.rise().because().workedOut().get(0)).replace(Figures.NO_BREAK, ' ');
    assertEquals(sum, "141.8 °F − room 69.8 °F = 72.0 °F");
  }

  @Test
  public void timesOfDayAreOfTwentyFourHoursOrTwiceTwelve() {
    assertEquals(ReaderUnits.AS_KEPT.time(LocalTime.of(14, 32)), "14:32");
    assertEquals(THEIRS.time(LocalTime.of(14, 32)), "2:32 pm");
    assertEquals(THEIRS.time(LocalTime.of(0, 5)), "12:05 am");
  }

  @Test
  public void aChoiceIsWrittenAndReadAgain() {
    for (String words : new String[] {"f,awg,ft,lb,12h", "c,mm2,m,lb,24h", "c,both,m,kg,24h"}) {
      assertEquals(ReaderUnits.named(words).words(), words);
    }
    assertEquals(ReaderUnits.named(" LB , f"), ReaderUnits.AS_KEPT.weight(true).temperature(true));
    assertEquals(ReaderUnits.named(""), ReaderUnits.AS_KEPT);
    assertThrows(IllegalArgumentException.class, () -> ReaderUnits.named("stone"));
  }

  @Test
  public void whatIsUsualIsToldByTheCountry() {
    assertEquals(ReaderUnits.of(Locale.US), ReaderUnits.CUSTOMARY);
    assertEquals(ReaderUnits.of(Locale.UK), ReaderUnits.AS_KEPT);
    assertEquals(ReaderUnits.of(Locale.ROOT), ReaderUnits.AS_KEPT);
  }

  /** A label pasted out of a page is quoted as printed, whatever its reader likes. */
  @Test
  public void whatWasPastedIsNoFigureOfOurs() {
    String pasted = "Weight 12.9" + Figures.NO_BREAK + "kg";
    assertEquals(THEIRS.told(ReaderUnits.quoted(pasted)), "Weight 12.9 kg");
  }
}
