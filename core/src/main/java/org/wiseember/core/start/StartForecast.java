package org.wiseember.core.start;

import java.util.OptionalDouble;
import org.wiseember.core.quantity.Figures;

/**
 * Whether a unit will start a motor, from what the motor takes and what the unit has shown.
 *
 * @param likely how likely
 * @param reason one sentence
 */
public record StartForecast(Likely likely, String reason) {
  /** How likely a start is. */
  public enum Likely {
    YES("yes"),
    LIKELY("likely"),
    UNLIKELY("unlikely"),
    NO("no"),
    UNKNOWN("not known");

    private final String words;

    Likely(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * Compares.
   *
   * @param takes what the motor takes
   * @param held the most VA the unit has delivered without tripping
   * @param failed the least VA at which it tripped or its volts gave way, where it ever did
   */
  public static StartForecast of(StartPower takes, OptionalDouble held, OptionalDouble failed) {
    String range =
        Figures.fixed(takes.low(), 0) + " to " + Figures.fixed(takes.high(), 0) + " VA to start";
    if (held.isEmpty() && failed.isEmpty()) {
      return new StartForecast(
          Likely.UNKNOWN, "It takes " + range + "; the unit was never tried so far.");
    }
    double most = held.orElse(0);
    double least = failed.orElse(Double.POSITIVE_INFINITY);
    String shown =
        (held.isPresent() ? "the unit gave " + Figures.fixed(most, 0) + " VA" : "")
            + (held.isPresent() && failed.isPresent() ? " and " : "")
            + (failed.isPresent() ? "gave way at " + Figures.fixed(least, 0) + " VA" : "");
    Likely likely;
    if (takes.high() <= most) {
      likely = Likely.YES;
    } else if (takes.low() >= Math.max(least, most)) {
      likely = Likely.NO;
    } else if (takes.low() > most) {
      likely = Double.isInfinite(least) ? Likely.UNKNOWN : Likely.UNLIKELY;
    } else {
      likely = Likely.LIKELY;
    }
    return new StartForecast(likely, "It takes " + range + "; " + shown + ".");
  }
}
