package org.wiseember.core.label;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A figure printed in any of many spellings is read as the same figure. */
public class PrintedSpellingsTest {
  private final LabelReader reader = new LabelReader();

  /**
   * One thing a label can say.
   *
   * @param units spellings of the unit, each with how many of it make the subject's own unit
   */
  private record Saying(
      Subject subject,
      List<String> before,
      List<String> after,
      List<Spelling> units,
      double most) {}

  private record Spelling(String unit, double factor) {}

  private static final List<Saying> SAYINGS =
      List.of(
          new Saying(
              Subject.CAPACITY,
              List.of("", "Capacity ", "Battery capacity: ", "Energy "),
              List.of("", " LiFePO4"),
              List.of(
                  new Spelling("Wh", 1), new Spelling("kWh", 1000), new Spelling("watt-hours", 1)),
              4000),
          new Saying(
              Subject.CHARGE_CAPACITY,
              List.of("", "Battery "),
              List.of(""),
              List.of(new Spelling("Ah", 1), new Spelling("mAh", 0.001)),
              300),
          new Saying(
              Subject.CONTINUOUS_POWER,
              List.of("Rated power ", "AC output: ", "Continuous "),
              List.of("", " max"),
              List.of(new Spelling("W", 1), new Spelling("kW", 1000), new Spelling("watts", 1)),
              5000),
          new Saying(
              Subject.SURGE,
              List.of("Surge ", "Peak power: ", "Starting power "),
              List.of(""),
              List.of(new Spelling("W", 1), new Spelling("kW", 1000)),
              9000),
          new Saying(
              Subject.IDLE,
              List.of("Idle < ", "No-load draw ≤ ", "Self consumption: "),
              List.of(""),
              List.of(new Spelling("W", 1)),
              60),
          new Saying(
              Subject.SWITCH_OVER,
              List.of("UPS ", "Switch-over < ", "Transfer time: "),
              List.of(""),
              List.of(new Spelling("ms", 1), new Spelling("msec", 1)),
              100),
          new Saying(
              Subject.WEIGHT,
              List.of("Weight ", "Net weight: ", ""),
              List.of(""),
              List.of(new Spelling("kg", 1), new Spelling("lbs", 0.45359237)),
              60),
          new Saying(
              Subject.SOLAR_POWER,
              List.of("Solar charging ", "PV input: ", "Solar "),
              List.of("", " max"),
              List.of(new Spelling("W", 1), new Spelling("kW", 1000)),
              2000),
          new Saying(
              Subject.NOISE,
              List.of("Noise < ", "Sound level "),
              List.of("", " at 1 m"),
              List.of(new Spelling("dB", 1), new Spelling("dB(A)", 1)),
              80),
          new Saying(
              Subject.CYCLE_LIFE,
              List.of("", "Cycle life: "),
              List.of("", " to 80 %"),
              List.of(new Spelling("cycles", 1)),
              6000));

  @DataProvider
  Object[][] seeds() {
    Object[][] seeds = new Object[40][1];
    for (int i = 0; i < seeds.length; i++) {
      seeds[i][0] = (long) i;
    }
    return seeds;
  }

  @Test(dataProvider = "seeds")
  public void anySpellingOfAFigureIsThatFigure(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    for (Saying saying : SAYINGS) {
      double figure =
          Math.max(12, Math.rint(saying.most() * (0.1 + 0.9 * random.nextDouble()) * 10) / 10);
      if (saying.subject() == Subject.CYCLE_LIFE) {
        figure = Math.rint(figure);
      }
      Spelling spelling = saying.units().get(random.nextInt(saying.units().size()));
      String number = number(figure / spelling.factor(), random);
      String line =
          pick(saying.before(), random)
              + number
              + (random.nextBoolean() || spelling.unit().length() > 4 ? " " : "")
              + spelling.unit()
              + pick(saying.after(), random);
      Claim claim =
          reader.readLine(line).claimed().stream()
              .filter(c -> c.subject() == saying.subject())
              .findFirst()
              .orElseThrow(() -> new AssertionError(saying.subject() + " not in: " + line));
      assertEquals(claim.figure(), figure, 0.001 * figure, line);
      assertEquals(claim.printedAs(), line.strip());
    }
  }

  private static String pick(List<String> words, SplittableRandom random) {
    return words.get(random.nextInt(words.size()));
  }

  /** Points, decimal commas, and thousands grouped by comma, space or thin space. */
  private static String number(double value, SplittableRandom random) {
    String plain = String.format(Locale.ROOT, "%.5f", value).replaceAll("0+$", "");
    plain = plain.endsWith(".") ? plain.substring(0, plain.length() - 1) : plain;
    int point = plain.indexOf('.');
    String whole = point < 0 ? plain : plain.substring(0, point);
    String rest = point < 0 ? "" : plain.substring(point);
    if (whole.length() > 3 && rest.isEmpty()) {
      String gap = List.of("", ",", " ", "\u2009", "\u00a0").get(random.nextInt(5));
      int cut = whole.length() - 3;
      return whole.substring(0, cut) + gap + whole.substring(cut);
    }
    // "1,234" would be a thousand and more; a decimal comma needs another number of digits.
    boolean comma = random.nextBoolean() && rest.length() != 4;
    return whole + (comma ? rest.replace('.', ',') : rest);
  }

  @Test
  public void lettersOfEitherCaseMeanTheSame() {
    for (String line :
        List.of("CAPACITY 1075 WH", "capacity 1075 wh", "Capacity 1075 Wh", "CAPACITY: 1075WH")) {
      assertEquals(reader.readLine(line).claimed().get(0).figure(), 1075.0, line);
    }
  }

  @Test
  public void theSignDecidesTheSide() {
    assertEquals(reader.readLine("Idle > 5 W").claimed().get(0).direction(), Direction.AT_LEAST);
    assertEquals(
        reader.readLine("Capacity at least 950 Wh").claimed().get(0).direction(),
        Direction.AT_LEAST);
    assertEquals(reader.readLine("THD below 3 %").claimed().get(0).direction(), Direction.AT_MOST);
  }

  @Test
  public void onlyTemperaturesMayBeNegative() {
    for (String line : List.of("Capacity -10 Wh", "Surge -2400 W", "Weight: -3 kg", "UPS -20 ms")) {
      LineReading reading = reader.readLine(line);
      assertTrue(reading instanceof LineReading.Doubtful, line + " gave " + reading);
      assertTrue(reading.claimed().isEmpty(), line);
      String problem = ((LineReading.Doubtful) reading).problem();
      assertTrue(problem.endsWith("cannot be negative. Check the sign."), problem);
    }
    assertTrue(
        reader.readLine("Operating temperature -10 to 40 °C") instanceof LineReading.Understood);
  }
}
