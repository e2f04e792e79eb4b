package org.wiseember.trial.test.realload;

import java.util.List;

/**
 * What is to be done, a line each as the tester calls it.
 *
 * @param lines without blank ones
 */
public record RealLoads(List<String> lines) {
  /** So many in one go at most. */
  public static final int MOST = 12;

  /** The usual ones. */
  public static final RealLoads USUAL =
      new RealLoads(List.of("Kettle, one litre", "Saw cuts", "Toaster oven, one meal"));

  private static final int LONGEST = 80;

  public RealLoads {
    lines =
        lines.stream()
            .map(String::strip)
            .filter(l -> !l.isEmpty())
            .map(l -> l.substring(0, Math.min(l.length(), LONGEST)))
            .distinct()
            .limit(MOST)
            .toList();
  }

  /** What is written in a field, a line each. */
  public static RealLoads of(String text) {
    return new RealLoads(text.lines().toList());
  }

  /** As it was written. */
  public String text() {
    return String.join("\n", lines);
  }
}
