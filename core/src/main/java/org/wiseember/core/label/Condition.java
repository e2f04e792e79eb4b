package org.wiseember.core.label;

import java.util.Objects;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * Under what a claim holds.
 *
 * @param kind what the condition is about
 * @param value in the kind's unit; NaN where the kind needs none
 */
public record Condition(Kind kind, double value) {
  /** What a label ties a claim to. */
  public enum Kind {
    /** Seconds it is held. */
    FOR_SECONDS,
    /** Watts of load. */
    AT_LOAD,
    /** Share of rating or of capacity per hour, in units of C. */
    AT_C_RATE,
    /** Percent of state of charge or of first capacity reached. */
    TO_PERCENT,
    /** Percent of state of charge started from. */
    FROM_PERCENT,
    /** How many such ports there are, each with this figure. */
    EACH_OF,
    /** Room temperature, °C. */
    AT_TEMPERATURE,
    /** A port that holds its volts. */
    REGULATED,
    /** A tolerance nobody printed and the program put in, in percent. */
    ASSUMED_TOLERANCE,
    /** The window the label prints is only its upper end. */
    UPPER_LIMIT_ONLY,
    /** Metres from the unit, for noise. */
    AT_DISTANCE
  }

  public Condition {
    Objects.requireNonNull(kind);
  }

  public static Condition of(Kind kind) {
    return new Condition(kind, Double.NaN);
  }

  /** As shown beside the claim. */
  public String words() {
    return switch (kind) {
      case FOR_SECONDS -> "for " + seconds();
      case AT_LOAD -> "at " + Figures.plain(value) + " W";
      case AT_C_RATE -> "at " + Figures.plain(value) + " C";
      case TO_PERCENT -> "to " + Figures.plain(value) + " %";
      case FROM_PERCENT -> "from " + Figures.plain(value) + " %";
      case EACH_OF -> "each of " + Figures.plain(value);
      case AT_TEMPERATURE -> "at " + Figures.plain(value, Unit.CELSIUS);
      case REGULATED -> "regulated";
      case ASSUMED_TOLERANCE -> "± " + Figures.plain(value) + " % assumed";
      case UPPER_LIMIT_ONLY -> "lower end not given";
      case AT_DISTANCE -> "at " + Figures.plain(value, Unit.METRE);
    };
  }

  private String seconds() {
    return value < 1
        ? Figures.plain(value * 1000) + " ms"
        : value <= 120 ? Figures.plain(value) + " s" : Figures.duration(value);
  }
}
