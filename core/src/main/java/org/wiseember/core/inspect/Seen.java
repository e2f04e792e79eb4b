package org.wiseember.core.inspect;

/**
 * What was found at a point.
 *
 * @param note in the tester's words; empty for none
 */
public record Seen(Point point, Answer answer, String note) {
  /** Yes, half or no. */
  public enum Answer {
    YES("yes", 1),
    HALF("half", 0.5),
    NO("no", 0);

    private final String words;
    private final double worth;

    Answer(String words, double worth) {
      this.words = words;
      this.worth = worth;
    }

    public String words() {
      return words;
    }

    /** What it counts where points are counted. */
    public double worth() {
      return worth;
    }
  }
}
