package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Series;

/**
 * Energy in the holes of a drain: what the meter's own total gained across a hole where it has one,
 * else the power on both sides, with an uncertainty as large as the bridge.
 *
 * @param wattHours bridged in all
 * @param counted the part of it that the meter's total gave
 * @param halfWidth by how much the rest may be off, Wh
 * @param seconds of all holes
 * @param count of holes
 */
record GapBridge(
    double wattHours,
    double counted,
    double halfWidth,
    double seconds,
    int count,
    List<Warning> warnings) {
  /**
   * Bridges the holes between two readings.
   *
   * @param total the meter's running total, Wh; may be empty
   * @param origin the moment warnings count their times from, s
   */
  static GapBridge over(
      Series power, LoadPhases phases, int first, int end, Series total, double origin) {
    double energy = 0;
    double counted = 0;
    double halfWidth = 0;
    double seconds = 0;
    List<Warning> warnings = new ArrayList<>();
    List<Series.Gap> gaps = power.gaps(first, end);
    for (Series.Gap gap : gaps) {
      double hours = gap.seconds() / 3600;
      double most = phases.level() * hours;
      seconds += gap.seconds();
      Optional<Double> gained = across(total, gap).filter(wh -> wh >= 0 && wh <= 1.5 * most);
      String how;
      if (gained.isPresent()) {
        energy += gained.get();
        counted += gained.get();
        // The total was read at its own times, a reading before and after the hole.
        halfWidth += phases.level() * power.usualInterval() / 3600;
        how = "the meter's own total gives " + wattHours(gained.get()) + " for it";
      } else {
        double before = power.value(gap.index());
        double after = power.value(gap.index() + 1);
        boolean onBefore = before > phases.threshold();
        boolean onAfter = after > phases.threshold();
        double guess = guess(phases, onBefore, onAfter, (before + after) / 2 * hours, most);
        energy += guess;
        // Nothing is known of the hole: as much again either way must stay possible.
        halfWidth += Math.max(guess, onBefore || onAfter ? most / 2 : 0);
        how = "bridged with " + wattHours(guess) + " and the uncertainty widened by as much";
      }
      warnings.add(
          new Warning(
              "gap",
              "No readings for "
                  + Figures.duration(gap.seconds())
                  + " from "
                  + Figures.clock(gap.from() - origin)
                  + "; "
                  + how
                  + "."));
    }
    return new GapBridge(energy, counted, halfWidth, seconds, gaps.size(), warnings);
  }

  private static double guess(
      LoadPhases phases, boolean onBefore, boolean onAfter, double line, double most) {
    if (phases.cycles()) {
      return most / 2;
    }
    if (onBefore && onAfter) {
      return line;
    }
    return onBefore || onAfter ? most / 2 : 0;
  }

  private static String wattHours(double value) {
    return Figures.plain(value, Unit.WATT_HOUR);
  }

  /** What the running total gained across a hole, where it was read on both sides. */
  private static Optional<Double> across(Series total, Series.Gap gap) {
    int after = total.from(gap.to());
    int before = total.from(Math.nextUp(gap.from())) - 1;
    return before < 0 || after >= total.size()
        ? Optional.empty()
        : Optional.of(total.value(after) - total.value(before));
  }
}
