package org.wiseember.core.lineup;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.wiseember.core.quantity.Keyed;

/** What units are compared in. The key is the one of its figure. */
public enum Measure implements Keyed {
  DELIVERED("Delivered", true, "a drain at that load, or two at other loads"),
  YIELD("Yield", true, "a drain at that load, and the capacity of the label"),
  EFFICIENCY("Peak efficiency", true, "an efficiency ladder"),
  WH_PER_KG("Energy by weight", true, "a drain, and a scale"),
  W_PER_KG("Power by weight", true, "its rating held for ten minutes, and a scale"),
  PRICE_PER_LABEL_WH("Price per printed Wh", false, "what was paid for it"),
  PRICE_PER_DELIVERED_WH("Price per delivered Wh", false, "what was paid for it, and a drain"),
  PRICE_PER_LIFETIME_KWH(
      "Price per kWh over its life", false, "what was paid for it, its cycles, and a drain"),
  FULL_AGAIN("Full again", false, "a charge from that source, from empty to full"),
  SUN(
      "Taken from panels",
      true,
      "a line of a solar trial in about that light, watts and light at once"),
  IDLE("Idle draw", false, "an idle test with the AC output on"),
  CONTINUOUS("Holds for good", true, "its rating held for ten minutes"),
  DISTORTION("Most distortion", false, "its wave at some load"),
  WEIGHT("Weight", false, "a scale"),
  NOISE("Noise at 1 m", false, "its fan heard under load"),
  MUST_HAVES("Must-haves", true, "an answer to every must-have");

  private final String words;
  private final boolean higherIsBetter;
  private final String settledBy;

  Measure(String words, boolean higherIsBetter, String settledBy) {
    this.words = words;
    this.higherIsBetter = higherIsBetter;
    this.settledBy = settledBy;
  }

  /** As scripts and files spell it. */
  @Override
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<Measure> byKey(String key) {
    return Arrays.stream(values()).filter(m -> m.key().equals(key)).findFirst();
  }

  public String words() {
    return words;
  }

  public boolean higherIsBetter() {
    return higherIsBetter;
  }

  /** What would give it where it is missing. */
  public String settledBy() {
    return settledBy;
  }

  /** Whether one value is better than another, or worse, or neither: above 0, below 0, 0. */
  public int compare(double one, double other) {
    return higherIsBetter ? Double.compare(one, other) : Double.compare(other, one);
  }
}
