package org.wiseember.trial.test.solar;

import java.util.List;
import org.wiseember.core.solar.tried.TriedSetup;

/**
 * What is to be tried, a line each as the tester wrote it.
 *
 * @param lines without blank ones
 */
public record Arrangements(List<String> lines) {
  /** So many are tried in one go at most. */
  public static final int MOST = 16;

  /** The usual first questions: one, two, three of a panel. */
  public static final Arrangements USUAL =
      new Arrangements(
          List.of(
              "1 x 100 W",
              "2 x 100 W in parallel",
              "2 x 100 W in series",
              "1 x 100 W, second unit"));

  public Arrangements {
    lines =
        lines.stream()
            .map(String::strip)
            .filter(l -> !l.isEmpty())
            .map(l -> l.substring(0, Math.min(l.length(), TriedSetup.LONGEST)))
            .limit(MOST)
            .toList();
  }

  /** What is written in a field, a line each. */
  public static Arrangements of(String text) {
    return new Arrangements(text.lines().toList());
  }

  /** As it was written. */
  public String text() {
    return String.join("\n", lines);
  }

  /** Each as it is understood. */
  public List<TriedSetup> setups() {
    return lines.stream().map(TriedSetup::read).toList();
  }
}
