package org.wiseember.core.overload;

/**
 * One load that was put on and held.
 *
 * @param from when it was put on, s on the trace's clock
 * @param watts mean power while it was held, W
 * @param scatter standard uncertainty of that mean from the scatter of the readings, W
 * @param seconds from there to the trip, or to where it was taken off, s
 * @param halfWidth limits of {@code seconds}, from the time between readings
 * @param end how it ended
 * @param before power just before it was put on, W
 */
public record Hold(
    double from,
    double watts,
    double scatter,
    double seconds,
    double halfWidth,
    End end,
    double before) {
  /** How a hold ended. */
  public enum End {
    /** The output dropped out. */
    TRIPPED("tripped"),
    /** The load was taken off or changed with the output alive: held as long as anybody looked. */
    TAKEN_OFF("held until it was taken off"),
    /** Nobody said how it ended; it was on when it was last read. */
    NOT_SAID("on when it was last read"),
    /** The readings end under load. */
    STILL_ON("still held when the log ended");

    private final String words;

    End(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  public boolean tripped() {
    return end == End.TRIPPED;
  }

  public double to() {
    return from + seconds;
  }
}
