package org.wiseember.workbook.log;

import java.util.List;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.OnwardClock;
import org.wiseember.core.trace.Series;

/** Mends the times of a log whose clock was set while it ran, and says so. */
final class LogTimes {
  private static final double DAY = 86_400;

  private final List<Warning> warnings;
  private final boolean localStamps;
  private final boolean timeOfDay;

  /**
   * Looks at one log.
   *
   * @param localStamps whether its stamps say nothing of their offset
   * @param timeOfDay whether they have no date, so that midnight brings them back to nothing
   */
  LogTimes(List<Warning> warnings, boolean localStamps, boolean timeOfDay) {
    this.warnings = warnings;
    this.localStamps = localStamps;
    this.timeOfDay = timeOfDay;
  }

  /**
   * Checks that time does not run backwards. Stamps without an offset may: a clock was set, or
   * summer time ended. They are mended by going on at the usual pace, and said.
   *
   * @param seconds changed in place where mended
   * @param rowOf the file's row of each time
   */
  void mend(double[] seconds, int[] rowOf) throws LogUnreadable {
    double usual = OnwardClock.usualStep(seconds);
    double longest = Math.max(Series.GAP_SECONDS, 5 * usual);
    double shift = 0;
    double previous = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < seconds.length; i++) {
      double now = seconds[i] + shift;
      if (now < previous) {
        if (!localStamps) {
          throw new LogUnreadable(
              "row " + rowOf[i] + ": time runs backwards; correct or split the file there");
        }
        if (timeOfDay && Math.abs(now + DAY - previous - usual) <= longest) {
          // Midnight, nothing to tell.
          shift += DAY;
        } else {
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
        }
        now = seconds[i] + shift;
      } else if (i > 0 && localStamps && now - previous > longest) {
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
}
