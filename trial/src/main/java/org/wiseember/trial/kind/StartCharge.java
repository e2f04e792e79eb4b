package org.wiseember.trial.kind;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;

/**
 * The charge a unit had when a test began: what its display showed at the start, else what the
 * tester said. Without either nobody knows.
 */
public final class StartCharge {
  /** What the tester said, %, among the particulars of a run. */
  public static final String TOLD = "startCharge";

  /** A display that shows no more has nothing left to give: common practice, no source, %. */
  public static final double EMPTY = 5;

  /** A display read up to here after the start was read at the start, s. */
  private static final double AT_THE_START = 60;

  private StartCharge() {}

  /** What it may be told as. */
  public static final String TAKES = "full, empty or %";

  /** What somebody wrote: {@code full}, {@code empty} or %, as the particulars of a run. */
  public static Optional<Map<String, String>> read(String text) {
    return switch (text.strip().toLowerCase(Locale.ROOT)) {
      case "full" -> Optional.of(told(100));
      case "empty" -> Optional.of(told(0));
      default -> {
        OptionalDouble percent =
            StoredSettings.percent(text.replaceFirst("\\s*%\\s*$", "").strip());
        yield percent.isPresent() ? Optional.of(told(percent.getAsDouble())) : Optional.empty();
      }
    };
  }

  /** As the particulars of a run. */
  public static Map<String, String> told(double percent) {
    return Map.of(TOLD, Double.toString(percent));
  }

  /**
   * Of a run.
   *
   * @param from when its load or its charge began, s on the trace's clock
   * @return %; empty where nobody knows
   */
  public static OptionalDouble of(RunRecord record, double from) {
    Series display = record.trace().series(Channel.DISPLAY_CHARGE);
    boolean timed =
        display.size() > 0 && record.notes(record.trace()).read(display.seconds(0)).isKnown();
    if (display.size() > 0 && display.seconds(0) <= from + (timed ? AT_THE_START : 0)) {
      double shown = display.nearest(from, AT_THE_START);
      return OptionalDouble.of(Double.isNaN(shown) ? display.value(0) : shown);
    }
    return record
        .particular(TOLD)
        .map(text -> StoredSettings.percent(text))
        .orElseGet(OptionalDouble::empty);
  }
}
