package org.wiseember.workbook.log;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.because.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Series;

/** Turns the time column into seconds from the first row, whether it holds seconds or stamps. */
final class LogTimes {
  private final List<Warning> warnings;
  private Instant first;
  private boolean localStamps;

  LogTimes(List<Warning> warnings) {
    this.warnings = warnings;
  }

  /** Whether a stamp without an offset was read. */
  boolean localStamps() {
    return localStamps;
  }

  Optional<Instant> startedAt() {
    return localStamps ? Optional.empty() : Optional.ofNullable(first);
  }

  /** Reads an ISO 8601 stamp as seconds since the first one. */
  double stamp(String cell) {
    String text = cell.strip().replace(' ', 'T');
    Instant moment;
    try {
      moment = OffsetDateTime.parse(text).toInstant();
    } catch (DateTimeException noOffset) {
      moment = LocalDateTime.parse(text).toInstant(ZoneOffset.UTC);
      localStamps = true;
    }
    if (first == null) {
      first = moment;
    }
    return (moment.getEpochSecond() - first.getEpochSecond())
        + (moment.getNano() - first.getNano()) / 1e9;
  }

  /**
   * Checks that time does not run backwards. Stamps without an offset may: a clock was set, or
   * summer time ended. They are mended by going on at the usual pace, and said.
   *
   * @param seconds changed in place where mended
   * @param rowOf the file's row of each time
   */
  void mend(double[] seconds, int[] rowOf) throws LogUnreadable {
    double usual = usualStep(seconds);
    double shift = 0;
    double previous = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < seconds.length; i++) {
      double now = seconds[i] + shift;
      if (now < previous) {
        if (!localStamps) {
          throw new LogUnreadable(
              "row " + rowOf[i] + ": time runs backwards; mend or split the file there");
        }
        double back = previous - now;
        shift += back + usual;
        warnings.add(
            new Warning(
                "clock_jump",
                "The clock jumps back by "
                    + Figures.duration(back + usual)
                    + " at row "
                    + rowOf[i]
                    + ", as when summer time ends; time is counted on at the usual pace."));
        now = seconds[i] + shift;
      } else if (localStamps && now - previous > Math.max(Series.GAP_SECONDS, 5 * usual)) {
        boolean anHour = Math.abs(now - previous - 3600 - usual) <= Math.max(2, usual);
        warnings.add(
            new Warning(
                "clock_jump",
                "The clock jumps ahead by "
                    + Figures.duration(now - previous - usual)
                    + " at row "
                    + rowOf[i]
                    + (anHour ? ", as when summer time begins" : "")
                    + ". If it was set there, nothing is missing; it is treated as a gap."));
      }
      seconds[i] = now;
      previous = now;
    }
  }

  private static double usualStep(double[] seconds) {
    List<Double> steps = new ArrayList<>();
    for (int i = 1; i < seconds.length; i++) {
      if (seconds[i] > seconds[i - 1]) {
        steps.add(seconds[i] - seconds[i - 1]);
      }
    }
    double[] sorted = steps.stream().mapToDouble(Double::doubleValue).toArray();
    Arrays.sort(sorted);
    return sorted.length == 0 ? 0 : sorted[sorted.length / 2];
  }
}
