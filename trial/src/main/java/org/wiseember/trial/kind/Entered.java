package org.wiseember.trial.kind;

import java.util.Map;
import java.util.Optional;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;

/** What a run that was made earlier says of itself. */
public final class Entered {
  /** When it was made, as it was noted: a day, or a day and a time. */
  private static final String MADE = "made";

  private Entered() {}

  /** As the particulars of a run; without a day there are none. */
  public static Map<String, String> made(Optional<String> day) {
    return day.map(d -> Map.of(MADE, d)).orElseGet(Map::of);
  }

  /** Whether the time of day it was made at was noted. */
  public static boolean hasTimeOfDay(Map<String, String> particulars) {
    return particulars.getOrDefault(MADE, "").contains(":");
  }

  /** One sentence; empty for a run that was not entered afterwards. */
  public static Optional<String> words(Run run) {
    return run.settings().source() == RunSettings.Source.ENTERED
        ? Optional.of(
            "Made "
                + Optional.ofNullable(run.settings().particulars().get(MADE))
                    .map(d -> "on " + d)
                    .orElse("on a day nobody noted")
                + ", read by hand, and entered afterwards.")
        : Optional.empty();
  }
}
