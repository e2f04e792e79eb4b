package org.wiseember.core.typed;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Whatever a person writes a figure as, it is kept as the figure they meant, and as they wrote it.
 */
public class TypedNotationTest {
  private static final List<String> BLANKS = List.of("", " ", "\u2009", "\u00a0");

  private static final List<TypedKind> PLAIN =
      List.of(
          TypedKind.VOLTS,
          TypedKind.DC_VOLTS,
          TypedKind.DC_AMPS,
          TypedKind.PEAK,
          TypedKind.IN_POWER,
          TypedKind.WALL_POWER,
          TypedKind.USB_POWER,
          TypedKind.IN_VOLTS,
          TypedKind.IN_AMPS,
          TypedKind.OTHER_POWER);

  private static String decimals(double value, int decimals, boolean comma) {
    String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
    return comma ? text.replace('.', ',') : text;
  }

  /** A comma and a point are both decimal signs; blanks before the unit do not count. */
  @Test
  public void plainFiguresComeBackFromEveryNotation() {
    SplittableRandom random = new SplittableRandom(41);
    for (int n = 0; n < 3000; n++) {
      TypedKind kind = PLAIN.get(random.nextInt(PLAIN.size()));
      int decimals = random.nextInt(3);
      double value = Math.rint(random.nextDouble(0.5, 900) * 100) / 100;
      String number = decimals(value, decimals, random.nextBoolean());
      String unit = random.nextBoolean() ? kind.unit().symbol() : "";
      String text = number + BLANKS.get(random.nextInt(BLANKS.size())) + unit;
      TypedReading read =
          TypedReader.read(kind, text, Expected.nothing()).reading().orElseThrow(this::none);
      assertEquals(read.value(), Double.parseDouble(number.replace(',', '.')), 1e-9, text);
      assertEquals(read.resolution(), Math.pow(10, -decimals), 1e-12, text);
      assertEquals(read.asTyped(), text.strip(), text);
    }
  }

  private AssertionError none() {
    return new AssertionError("nothing was read");
  }

  /** Thousands may be grouped by blanks, apostrophes, points or commas; kWh by any decimal sign. */
  @Test
  public void totalsComeBackFromEveryNotation() {
    SplittableRandom random = new SplittableRandom(42);
    List<String> groups = List.of(" ", "\u2009", "'", "");
    for (int n = 0; n < 3000; n++) {
      int whole = random.nextInt(1, 9_000);
      Expected expected = Expected.nothing().counted(whole).elapsed(3600).rated(10_000);
      String text;
      if (random.nextBoolean()) {
        String group = groups.get(random.nextInt(groups.size()));
        text = whole < 1000 ? "" + whole : whole / 1000 + group + three(whole % 1000);
        text += random.nextBoolean() ? " Wh" : "wh";
      } else {
        text = decimals(whole / 1000.0, 3, random.nextBoolean()) + " kWh";
      }
      TypedAnswer answer = TypedReader.read(TypedKind.TOTAL, text, expected);
      assertEquals(answer.reading().orElseThrow(this::none).value(), whole, 1e-6, text);
      assertTrue(answer.slips().isEmpty(), text + ": " + answer.slips());
    }
  }

  private static String three(int n) {
    return String.format(Locale.ROOT, "%03d", n);
  }

  /** Times of day, minutes, seconds and decimal hours all give the same seconds. */
  @Test
  public void clocksComeBackFromEveryNotation() {
    SplittableRandom random = new SplittableRandom(43);
    for (int n = 0; n < 3000; n++) {
      int seconds = random.nextInt(60, 90 * 3600);
      int h = seconds / 3600;
      int m = seconds / 60 % 60;
      int s = seconds % 60;
      String text =
          switch (random.nextInt(5)) {
            case 0 -> h + ":" + two(m) + ":" + two(s);
            case 1 -> h + " h " + m + " min " + s + " s";
            case 2 -> h + "h" + m + "m" + s + "s";
            case 3 -> seconds + " s";
            default -> decimals(seconds / 3600.0, 4, random.nextBoolean()) + " h";
          };
      Expected expected = Expected.nothing().elapsed(seconds);
      TypedAnswer answer = TypedReader.read(TypedKind.CLOCK, text, expected);
      double off = text.matches(".*[.,]\\d{4} h") ? 0.2 : 1e-6;
      assertEquals(answer.reading().orElseThrow(this::none).value(), seconds, off, text);
      assertTrue(answer.slips().isEmpty(), text + ": " + answer.slips());
    }
  }

  private static String two(int n) {
    return String.format(Locale.ROOT, "%02d", n);
  }

  /** 0 °C is 32 °F, 100 °C is 212 °F: definition of the scale. */
  @Test
  public void warmthInEitherScale() {
    for (int celsius = -20; celsius <= 120; celsius += 7) {
      double fahrenheit = 32 + celsius * 9 / 5.0;
      for (TypedKind kind : List.of(TypedKind.CASE, TypedKind.ROOM)) {
        assertEquals(value(kind, celsius + " °C"), celsius, 1e-9);
        assertEquals(value(kind, celsius + " c"), celsius, 1e-9);
        assertEquals(value(kind, decimals(fahrenheit, 1, false) + " °F"), celsius, 0.03);
      }
    }
  }

  private double value(TypedKind kind, String text) {
    return TypedReader.read(kind, text, Expected.nothing())
        .reading()
        .orElseThrow(this::none)
        .value();
  }

  @DataProvider
  Object[][] noReadings() {
    return new Object[][] {
      {TypedKind.VOLTS, "230 W"},
      {TypedKind.VOLTS, "two hundred"},
      {TypedKind.VOLTS, "1.2.3 V"},
      {TypedKind.VOLTS, "12,34,5 V"},
      {TypedKind.DC_AMPS, "18.44 Ah"},
      {TypedKind.TOTAL, "609 J"},
      {TypedKind.TOTAL, "-3 Wh"},
      {TypedKind.CLOCK, "1:75"},
      {TypedKind.CLOCK, "1:20:99"},
      {TypedKind.CLOCK, "noon"},
      {TypedKind.DISPLAY, "101 %"},
      {TypedKind.DISPLAY, "-1 %"},
      {TypedKind.DISPLAY, "6/5"},
      {TypedKind.DISPLAY, "3/0"},
      {TypedKind.POWER, "50 Hz"},
      {TypedKind.POWER, "0.6 kWh"},
      {TypedKind.POWER, "-5 W"},
      {TypedKind.FAN, "loud"},
      {TypedKind.PULLS, "4.5"},
      {TypedKind.PULLS, "1000"},
      {TypedKind.AC_ALIVE, "perhaps"},
      {TypedKind.LIGHT, "bright"},
      {TypedKind.SOUND, "42 s"},
      {TypedKind.VOLTS, ""},
      {TypedKind.VOLTS, "   "},
    };
  }

  /** What is no reading of its kind makes no reading, and one sentence that says what would. */
  @Test(dataProvider = "noReadings")
  public void whatIsNoReadingMakesNone(TypedKind kind, String text) {
    TypedAnswer answer = TypedReader.read(kind, text, Expected.nothing());
    assertTrue(answer.reading().isEmpty(), text + " → " + answer.reading());
    assertTrue(answer.echo().length() > 10 && answer.echo().endsWith("."), answer.echo());
    assertTrue(answer.slips().isEmpty());
  }

  /** Random keys never end in an exception, and never in a figure that is none. */
  @Test
  public void randomKeysAreReadOrRefused() {
    SplittableRandom random = new SplittableRandom(44);
    String keys = "0123456789.,:/- −kKWhVAminsecof%°CFdBx()'\u2009offonback";
    for (int n = 0; n < 20_000; n++) {
      StringBuilder text = new StringBuilder();
      for (int i = random.nextInt(1, 14); i > 0; i--) {
        text.append(keys.charAt(random.nextInt(keys.length())));
      }
      TypedKind kind = TypedKind.values()[random.nextInt(TypedKind.values().length)];
      TypedAnswer answer = TypedReader.read(kind, text.toString(), Expected.nothing().rated(1000));
      answer
          .reading()
          .ifPresent(
              r -> {
                assertTrue(Double.isFinite(r.value()), text.toString());
                assertTrue(r.resolution() > 0, text.toString());
              });
      assertFalse(answer.echo().isBlank(), text.toString());
    }
  }
}
