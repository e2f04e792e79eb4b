package org.wiseember.core.typed;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.quantity.ReaderUnits;

public class TypedReaderTest {
  /** An hour and a minute into a drain of a 1 075 Wh unit at 600 W. */
  private static final Expected HALFWAY =
      Expected.nothing().elapsed(3684).counted(612.4).rated(1075).watts(598);

  @DataProvider
  Object[][] plainReadings() {
    return new Object[][] {
      {TypedKind.TOTAL, "0.609 kWh", 609, 1},
      {TypedKind.TOTAL, "0,609 kWh", 609, 1},
      {TypedKind.TOTAL, ".609 kwh", 609, 1},
      {TypedKind.TOTAL, "609 Wh", 609, 1},
      {TypedKind.TOTAL, "609", 609, 1},
      {TypedKind.TOTAL, "0.609", 609, 1},
      {TypedKind.TOTAL, "609.3wh", 609.3, 0.1},
      {TypedKind.TOTAL, "0.61 kWh", 610, 10},
      {TypedKind.CLOCK, "1:01", 3660, 60},
      {TypedKind.CLOCK, "1:01:24", 3684, 1},
      {TypedKind.CLOCK, "61:24", 3684, 1},
      {TypedKind.CLOCK, "61 min", 3660, 60},
      {TypedKind.CLOCK, "61", 3660, 60},
      {TypedKind.CLOCK, "1 h 1 min", 3660, 60},
      {TypedKind.CLOCK, "1h01", 3660, 60},
      {TypedKind.CLOCK, "1h 1m 24s", 3684, 1},
      {TypedKind.CLOCK, "3684 s", 3684, 1},
      {TypedKind.DISPLAY, "38 %", 38, 1},
      {TypedKind.DISPLAY, "38", 38, 1},
      {TypedKind.DISPLAY, "2/5", 40, 20},
      {TypedKind.DISPLAY, "2 of 5 bars", 40, 20},
      {TypedKind.POWER, "598 W", 598, 1},
      {TypedKind.SPOT, "61.5 °C at the outlet", 61.5, 0.1},
      {TypedKind.SPOT, "61,5 outlet 2", 61.5, 0.1},
      {TypedKind.SPOT, "61 c, plug", 61, 1},
      {TypedKind.SPOT, "141.8 °F on the fuse", 61, 0.1 * 5 / 9},
      {TypedKind.SPOT, "61", 61, 1},
      {TypedKind.FAN, "off", 0, 1},
      {TypedKind.FAN, "2", 2, 1},
      {TypedKind.FAN, "step 3", 3, 1},
      {TypedKind.FAN, "Fan off", 0, 1},
      {TypedKind.POWER, "0.598 kW", 598, 1},
      {TypedKind.POWER, "598,3", 598.3, 0.1},
      {TypedKind.VOLTS, "227.1 V", 227.1, 0.1},
      {TypedKind.CASE, "44.6 °C", 44.6, 0.1},
      {TypedKind.LIGHT, "79.8 klx", 79_800, 100},
      {TypedKind.LIGHT, "80200", 80_200, 1},
      {TypedKind.IN_VOLTS, "38.2 V", 38.2, 0.1},
      {TypedKind.IN_AMPS, "9,8", 9.8, 0.1},
      {TypedKind.USB_POWER, "60 W", 60, 1},
      {TypedKind.TIME_TO_FULL, "1:24", 84, 1},
      {TypedKind.TIME_TO_FULL, "84 min", 84, 1},
      {TypedKind.TIME_TO_FULL, "1 h 24 min", 84, 1},
      {TypedKind.CASE, "112.3 °F", 44.611, 0.0556},
    };
  }

  @Test(dataProvider = "plainReadings")
  public void anySensibleNotationIsRead(
      TypedKind kind, String text, double value, double resolution) {
    TypedAnswer answer = TypedReader.read(kind, text, HALFWAY);
    TypedReading reading = answer.reading().orElseThrow();
    assertEquals(reading.value(), value, 1e-3 * Math.abs(value), text);
    assertEquals(reading.resolution(), resolution, 1e-3 * resolution, text);
    assertEquals(answer.slips().toString(), "[]", text);
    assertTrue(answer.echo().startsWith("Read as " + reading.words()), answer.echo());
  }

  @DataProvider
  Object[][] slips() {
    return new Object[][] {
      {TypedKind.TOTAL, "609 kWh", "thousandfold", 609.0},
      {TypedKind.TOTAL, "0.609 Wh", "thousandfold", 609.0},
      {TypedKind.TOTAL, "6090 Wh", "more-than-pack", Double.NaN},
      {TypedKind.TOTAL, "61 Wh", "tenfold", 610.0},
      {TypedKind.TOTAL, "0.609 kW", "power-unit", Double.NaN},
      {TypedKind.TOTAL, "480 Wh", "unlike-trace", Double.NaN},
      {TypedKind.CLOCK, "2:30", "clock-off", Double.NaN},
      {TypedKind.POWER, "598 VA", "va-not-watts", Double.NaN},
      {TypedKind.POWER, "598 kW", "thousandfold", 598.0},
      {TypedKind.POWER, "640 W", "unlike-trace", Double.NaN},
    };
  }

  @Test(dataProvider = "slips")
  public void slipsAreSaidWithWhatWasMeant(TypedKind kind, String text, String code, double meant) {
    TypedAnswer answer = TypedReader.read(kind, text, HALFWAY);
    assertFalse(answer.slips().isEmpty(), text);
    Slip slip = answer.slips().get(0);
    assertEquals(slip.code(), code, slip.words());
    if (!Double.isNaN(meant)) {
      assertEquals(slip.meant().orElseThrow().value(), meant, 1e-6);
    }
  }

  /** 1 h 40 min taken as 1.4 h, 25 h 13 min as 25.13: common slips, no published source. */
  @Test
  public void hoursWithMinutesBehindThePointAreCaught() {
    TypedAnswer early =
        TypedReader.read(TypedKind.CLOCK, "1.40 h", Expected.nothing().elapsed(6010));
    assertEquals(early.slips().get(0).code(), "decimal-hours");
    assertEquals(early.slips().get(0).meant().orElseThrow().value(), 6000.0);
    TypedAnswer late =
        TypedReader.read(TypedKind.CLOCK, "25.13", Expected.nothing().elapsed(25.21 * 3600));
    assertEquals(late.slips().get(0).meant().orElseThrow().value(), 25 * 3600 + 13 * 60.0);
    TypedAnswer honest =
        TypedReader.read(TypedKind.CLOCK, "1.40 h", Expected.nothing().elapsed(5040));
    assertTrue(honest.slips().isEmpty(), "1.40 h is right here: " + honest.slips());
    assertTrue(
        TypedReader.read(TypedKind.CLOCK, "25:13", Expected.nothing())
            .echo()
            .contains("25 h 13 min"));
  }

  @Test
  public void whatRunsBackIsSaid() {
    Expected after = HALFWAY.after(700, 4000, 30);
    assertEquals(
        TypedReader.read(TypedKind.TOTAL, "609 Wh", after).slips().get(0).code(), "total_fell");
    assertEquals(
        TypedReader.read(TypedKind.CLOCK, "1:01", after).slips().get(0).code(), "clock-fell");
    assertEquals(
        TypedReader.read(TypedKind.DISPLAY, "38 %", after).slips().get(0).code(), "display-rose");
  }

  /** 610 Wh in six seconds would be 366 kW: asked about, with what it most likely is. */
  @Test
  public void whatNobodyCouldHaveDrawnIsAskedAbout() {
    Expected soon = Expected.nothing().rated(1075).since(new Expected.TotalBefore(0, 6, 1200));
    TypedAnswer asked = TypedReader.read(TypedKind.TOTAL, "610 Wh", soon);
    assertEquals(asked.slips().get(0).code(), "times_implausible");
    assertTrue(asked.slips().get(0).words().contains("made earlier"), "named as the likely slip");
    assertEquals(asked.reading().orElseThrow().value(), 610.0, "and kept as it was typed");
    Expected later = Expected.nothing().rated(1075).since(new Expected.TotalBefore(0, 3600, 1200));
    assertTrue(TypedReader.read(TypedKind.TOTAL, "610 Wh", later).slips().isEmpty());
    Expected unknown =
        Expected.nothing().rated(1075).since(new Expected.TotalBefore(0, 6, Double.NaN));
    assertTrue(TypedReader.read(TypedKind.TOTAL, "610 Wh", unknown).slips().isEmpty());
  }

  @DataProvider
  Object[][] nonsense() {
    return new Object[][] {
      {TypedKind.TOTAL, "abc"}, {TypedKind.TOTAL, "12 V"}, {TypedKind.TOTAL, "-3 Wh"},
      {TypedKind.CLOCK, "1:75"}, {TypedKind.CLOCK, "5 Wh"}, {TypedKind.DISPLAY, "140 %"},
      {TypedKind.DISPLAY, "7/5"}, {TypedKind.POWER, "50 Hz"}, {TypedKind.POWER, "600 Wh"},
      {TypedKind.VOLTS, "3 A"}, {TypedKind.TOTAL, ""}, {TypedKind.TOTAL, "9".repeat(80)},
      {TypedKind.CASE, "warm"}, {TypedKind.TOTAL, "1.2.3,4"},
    };
  }

  @Test(dataProvider = "nonsense")
  public void nonsenseGetsOneSentenceAndNoReading(TypedKind kind, String text) {
    TypedAnswer answer = TypedReader.read(kind, text, HALFWAY);
    assertTrue(answer.reading().isEmpty(), answer.toString());
    assertTrue(answer.echo().endsWith("."), answer.echo());
  }

  @Test
  public void aCommaBeforeThreeDigitsIsReadByItsUnitOrByWhatFits() {
    Expected large = Expected.nothing().elapsed(7200).counted(2125).rated(2400);
    for (String text :
        new String[] {"2,130 Wh", "2,130 kWh", "2.130 kWh", "2 130", "2,130", "2'130 Wh"}) {
      assertEquals(
          TypedReader.read(TypedKind.TOTAL, text, large).reading().orElseThrow().value(),
          2130,
          1e-9,
          text);
    }
  }

  /** Anything typed is either read or refused in a sentence; it never throws. */
  @Test
  public void neverThrows() {
    SplittableRandom random = new SplittableRandom(5);
    String signs = "0123456789.,: '%kWhVAminsC°/-\u2009e+x";
    for (int i = 0; i < Thorough.tries(4_000, 20_000); i++) {
      StringBuilder text = new StringBuilder();
      int length = 1 + random.nextInt(12);
      for (int k = 0; k < length; k++) {
        text.append(signs.charAt(random.nextInt(signs.length())));
      }
      for (TypedKind kind : TypedKind.values()) {
        TypedAnswer answer = TypedReader.read(kind, text.toString(), HALFWAY);
        answer.reading().ifPresent(r -> assertTrue(Double.isFinite(r.value()), text.toString()));
        assertFalse(answer.echo().isEmpty());
      }
    }
  }

  @Test
  public void aTemperatureWithoutAUnitIsTheReaders() {
    Expected theirs = Expected.nothing().by(ReaderUnits.CUSTOMARY);
    assertEquals(value(TypedKind.CASE, "75", theirs), (75 - 32) / 1.8, 1e-9);
    assertEquals(value(TypedKind.CASE, "75°", theirs), (75 - 32) / 1.8, 1e-9);
    assertEquals(value(TypedKind.CASE, "24 °C", theirs), 24, 0);
    assertEquals(value(TypedKind.SPOT, "142 at the plug", theirs), (142 - 32) / 1.8, 1e-9);
    assertEquals(value(TypedKind.WEIGHT, "24.7", theirs), 24.7 * 0.45359237, 1e-9);
    assertEquals(value(TypedKind.WEIGHT, "11.2 kg", theirs), 11.2, 0);
    assertEquals(value(TypedKind.CASE, "24", Expected.nothing()), 24, 0);
    assertEquals(value(TypedKind.CASE, "75 F", Expected.nothing()), (75 - 32) / 1.8, 1e-9);
    assertEquals(value(TypedKind.WEIGHT, "24.7 lbs", Expected.nothing()), 24.7 * 0.45359237, 1e-9);
    TypedReading read = TypedReader.read(TypedKind.CASE, "75", theirs).reading().orElseThrow();
    assertEquals(read.resolution(), 1 / 1.8, 1e-9);
    assertTrue(TypedReader.read(TypedKind.CASE, "75 V", theirs).reading().isEmpty());
  }

  private static double value(TypedKind kind, String text, Expected expected) {
    return TypedReader.read(kind, text, expected).reading().orElseThrow().value();
  }

  /** Without a meter beside it 193 W after 2 000 W is the next load, and 193 kW is none. */
  @Test
  public void byHandAnyLoadMayFollow() {
    Expected asked = Expected.nothing().watts(200).unmetered();
    assertEquals(TypedReader.read(TypedKind.POWER, "193 W", asked).slips(), List.of());
    assertEquals(TypedReader.read(TypedKind.POWER, "1 930 W", asked).slips(), List.of());
    assertEquals(
        TypedReader.read(TypedKind.POWER, "193 kW", asked).slips().get(0).code(), "thousandfold");
    assertEquals(
        TypedReader.read(TypedKind.POWER, "193 W", Expected.nothing().watts(2000)).slips().size(),
        1);
  }
}
