package org.wiseember.core.solar.tried;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.typed.TypedNumber;

/**
 * One arrangement as the tester wrote it down, and what could be understood of it.
 *
 * @param words as written
 * @param panels how many panels; empty where that was not said
 * @param plateWatts of all of them together, W; empty where no watts were said
 * @param wiring how they are joined
 * @param into what they feed
 * @param supplyAmps what a bench supply can give at most, A; empty for panels, or not said
 * @param converter whether a converter stands between panels and port
 * @param shaded whether part of them lies in shade
 * @param port which port of the unit
 */
public record TriedSetup(
    String words,
    OptionalInt panels,
    OptionalDouble plateWatts,
    Wiring wiring,
    Into into,
    OptionalDouble supplyAmps,
    boolean converter,
    boolean shaded,
    Inlet port) {
  /** A line is no longer than this. */
  public static final int LONGEST = 200;

  private static final Pattern LOT =
      Pattern.compile(
          "(?:\\b(?<count>\\d{1,2}|one|two|three|four|five|six)(?:\\s*[x×*]\\s*|\\s+))?"
              + "\\b(?<watts>\\d{1,4}(?:[.,]\\d+)?)\\s*w\\b");
  private static final Pattern COUNT =
      Pattern.compile(
          "\\b(?<count>\\d{1,2}|one|two|three|four|five|six)\\b\\s*"
              + "(?:panels?|(?:in )?(?:series|parallel))");
  private static final Pattern AMPS = Pattern.compile("(?<amps>\\d{1,3}(?:[.,]\\d+)?)\\s*a\\b");
  private static final Pattern PORT = Pattern.compile("\\b(?:port|input|inlet) (?<port>[12])\\b");

  /** How panels are joined. */
  public enum Wiring {
    /** One panel, or not said. */
    SINGLE,
    SERIES,
    PARALLEL
  }

  /** What is fed, or feeds. */
  public enum Into {
    /** The unit under test, from panels. */
    THIS_UNIT,
    /** Another unit, from the same panels. */
    OTHER_UNIT,
    /** The unit under test, from a bench supply in place of panels. */
    FROM_SUPPLY
  }

  /** Which of a unit's ports. */
  public enum Inlet {
    FIRST,
    SECOND,
    BOTH,
    NOT_SAID
  }

  /** Understands a line; what is not understood stays in its words alone. */
  public static TriedSetup read(String line) {
    String words = line.strip();
    String text = words.toLowerCase(Locale.ROOT);
    double watts = 0;
    int panels = 0;
    Matcher lot = LOT.matcher(text);
    while (lot.find()) {
      int count = lot.group("count") == null ? 1 : count(lot.group("count"));
      watts += count * decimal(lot.group("watts"));
      panels += count;
    }
    Matcher counted = COUNT.matcher(text);
    if (counted.find() && panels <= 1) {
      int count = count(counted.group("count"));
      watts *= count;
      panels = count;
    }
    boolean supply = text.contains("supply");
    Matcher amps = AMPS.matcher(text);
    Matcher port = PORT.matcher(text);
    return new TriedSetup(
        words,
        panels > 0 && !supply ? OptionalInt.of(panels) : OptionalInt.empty(),
        watts > 0 && !supply ? OptionalDouble.of(watts) : OptionalDouble.empty(),
        text.contains("series")
            ? Wiring.SERIES
            : text.contains("parallel") ? Wiring.PARALLEL : Wiring.SINGLE,
        supply
            ? Into.FROM_SUPPLY
            : text.matches(".*\\b(?:second|other|another) unit\\b.*")
                ? Into.OTHER_UNIT
                : Into.THIS_UNIT,
        supply && amps.find()
            ? OptionalDouble.of(decimal(amps.group("amps")))
            : OptionalDouble.empty(),
        text.matches(".*\\b(?:converter|boost(?:er|ed)?)\\b.*") && !text.contains("without"),
        text.matches(".*\\bshad(?:e|ed|ow)\\b.*") && !text.contains("no shad"),
        text.contains("both ports") || text.contains("both inputs")
            ? Inlet.BOTH
            : !port.find()
                ? Inlet.NOT_SAID
                : port.group("port").equals("1") ? Inlet.FIRST : Inlet.SECOND);
  }

  private static int count(String words) {
    return switch (words) {
      case "one" -> 1;
      case "two" -> 2;
      case "three" -> 3;
      case "four" -> 4;
      case "five" -> 5;
      case "six" -> 6;
      default -> Integer.parseInt(words);
    };
  }

  private static double decimal(String words) {
    return TypedNumber.of(words).map(TypedNumber::value).orElse(Double.NaN);
  }

  /** Whether two differ in nothing but what they are asked to differ in. */
  boolean samePanels(TriedSetup other) {
    return panels.equals(other.panels)
        && plateWatts.equals(other.plateWatts)
        && wiring == other.wiring
        && shaded == other.shaded;
  }

  /** What was understood beyond the words, said back. */
  public String saidBack() {
    StringBuilder said = new StringBuilder();
    plateWatts.ifPresent(w -> said.append(Math.round(w)).append(" W of plates"));
    panels.ifPresent(
        n -> said.append(said.isEmpty() ? "" : ", ").append(n == 1 ? "1 panel" : n + " panels"));
    add(said, wiring == Wiring.SINGLE ? "" : "in " + wiring.name().toLowerCase(Locale.ROOT));
    add(said, into == Into.OTHER_UNIT ? "into another unit" : "");
    add(said, into == Into.FROM_SUPPLY ? "a bench supply in place of panels" : "");
    supplyAmps.ifPresent(a -> add(said, "which gives up to " + a + " A"));
    add(said, converter ? "through a converter" : "");
    add(said, shaded ? "in shade" : "");
    add(
        said,
        switch (port) {
          case FIRST -> "port 1";
          case SECOND -> "port 2";
          case BOTH -> "both ports";
          case NOT_SAID -> "";
        });
    return said.isEmpty() ? "kept in your words" : said.toString();
  }

  private static void add(StringBuilder said, String words) {
    if (!words.isEmpty()) {
      said.append(said.isEmpty() ? "" : ", ").append(words);
    }
  }
}
