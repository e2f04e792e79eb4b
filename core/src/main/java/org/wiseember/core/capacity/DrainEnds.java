package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Series;

/**
 * Where a drain begins and ends in its readings, and how sure that is.
 *
 * @param first index of the first loaded reading
 * @param last index of the last loaded reading
 * @param end index the integral goes up to: the first dead reading where one follows
 * @param start time of the first loaded reading, s
 * @param cutoff time of the cut-off, s
 * @param startHalfWidth by how much the start may be off, s
 * @param energyHalfWidth by how much the end of the load may be off, s
 * @param cutoffHalfWidth by how much the cut-off may be off, s
 */
record DrainEnds(
    int first,
    int last,
    int end,
    double start,
    double cutoff,
    double startHalfWidth,
    double energyHalfWidth,
    double cutoffHalfWidth,
    List<Warning> warnings) {
  /** Below this share of its volts under load an output is dead. */
  private static final double DEAD_SHARE = 0.5;

  /** An output counts as alive after the load only with this many readings ... */
  private static final int ALIVE_READINGS = 3;

  /** ... over this time, s: some supplies take a moment to run empty. */
  private static final double ALIVE_SECONDS = 10;

  private static final double LATE_SECONDS = 60;

  /**
   * Finds the ends.
   *
   * @param power the watts, cut where the tester or the mains ended the drain
   * @param volts on the side the power was taken from; may be empty
   * @param logStart time of the log's first row, s
   * @param logEnd time of its last row, s
   * @param endHalfWidth where {@code power} was cut on purpose, by how much that moment may be off,
   *     s; NaN where it was not cut
   */
  static DrainEnds find(
      Series power,
      LoadPhases phases,
      Series volts,
      double logStart,
      double logEnd,
      double endHalfWidth) {
    List<Warning> warnings = new ArrayList<>();
    int first = phases.on().get(0).first();
    int last = phases.on().get(phases.on().size() - 1).last();
    double pace = power.usualInterval();
    double start = power.seconds(first);
    double onset =
        first == 0 ? 0 : power.gapAfter(first - 1) ? pace : start - power.seconds(first - 1);
    if (start - logStart > Math.max(LATE_SECONDS, 5 * pace)) {
      warnings.add(
          new Warning(
              "starts_late",
              "The load came on "
                  + Figures.duration(start - logStart)
                  + " into the log; time and energy are counted from there."));
    }
    boolean deadSeen = last + 1 < power.size() && !power.gapAfter(last);
    int end = deadSeen ? last + 1 : last;
    if (!Double.isNaN(endHalfWidth) && last == power.size() - 1) {
      return new DrainEnds(
          first,
          last,
          last,
          start,
          power.seconds(last),
          onset,
          endHalfWidth,
          endHalfWidth,
          warnings);
    }
    double halfHole = deadSeen ? (power.seconds(last + 1) - power.seconds(last)) / 2 : pace;
    double cutoff = power.seconds(last) + (deadSeen ? halfHole : 0);
    double cutoffHalfWidth = halfHole;
    Aftermath after = deadSeen ? Aftermath.of(volts, start, power.seconds(last)) : Aftermath.UNSEEN;
    if (after.diedLater()) {
      cutoff = (after.lastAlive() + after.firstDead()) / 2;
      cutoffHalfWidth = (after.firstDead() - after.lastAlive()) / 2;
      warnings.add(
          new Warning(
              "ended_in_pause",
              "The load was off when the output dropped out, "
                  + Figures.duration(cutoff - power.seconds(last))
                  + " after it last drew; that pause is part of the drain."));
    } else if (after.stayedAlive()) {
      warnings.add(
          new Warning(
              "load_ended_first",
              "The load went off with "
                  + Figures.plain(after.volts())
                  + " V still there: it stopped by itself or was switched off, which is not the"
                  + " unit's cut-off. This is the least the unit delivered."));
    } else {
      noteUnseenEnd(power, phases, last, deadSeen, logEnd, warnings);
    }
    if (!phases.later().isEmpty()) {
      LoadPhases.Phase back = phases.later().get(0);
      warnings.add(
          new Warning(
              "load_returned",
              "Load comes back "
                  + Figures.duration(power.seconds(back.first()) - power.seconds(last))
                  + " after the cut-off; what follows is left out of the drain."));
    }
    return new DrainEnds(
        first,
        last,
        end,
        start,
        cutoff,
        onset,
        deadSeen ? pace / 2 : pace,
        cutoffHalfWidth,
        warnings);
  }

  private static void noteUnseenEnd(
      Series power,
      LoadPhases phases,
      int last,
      boolean deadSeen,
      double logEnd,
      List<Warning> warnings) {
    if (!deadSeen) {
      String what;
      if (last + 1 < power.size()) {
        what =
            "Readings stop under load and go on later; the cut-off is taken at the last loaded"
                + " reading, and the unit may have run on.";
      } else if (logEnd - power.seconds(last) > Series.GAP_SECONDS) {
        what =
            "The power readings stop under load while the log goes on: the meter may have stopped"
                + " before the unit, so this is the least the unit delivered.";
      } else {
        what =
            "The log ends under load: the cut-off was not seen, so this is the least the unit"
                + " delivered.";
      }
      warnings.add(new Warning("cutoff_not_seen", what));
    } else if (phases.cycles()) {
      double tail = power.seconds(power.size() - 1) - power.seconds(last);
      if (phases.later().isEmpty() && tail < 1.5 * phases.longestPause(power)) {
        warnings.add(
            new Warning(
                "ends_in_pause",
                "The log ends in a pause no longer than the load's own; the unit may still have"
                    + " been alive."));
      }
    }
  }

  /** What the volts did after the load had gone. */
  private record Aftermath(double volts, double lastAlive, double firstDead, int alive) {
    static final Aftermath UNSEEN = new Aftermath(0, Double.NaN, Double.NaN, 0);

    static Aftermath of(Series volts, double start, double end) {
      int from = volts.from(start);
      int after = volts.from(Math.nextUp(end));
      if (after >= volts.size() || after <= from) {
        return UNSEEN;
      }
      double[] loaded = new double[after - from];
      for (int i = 0; i < loaded.length; i++) {
        loaded[i] = volts.value(from + i);
      }
      Arrays.sort(loaded);
      double dead = DEAD_SHARE * loaded[loaded.length / 2];
      int i = after;
      while (i < volts.size() && volts.value(i) >= dead) {
        i++;
      }
      return new Aftermath(
          volts.value(Math.max(after, i - 1)),
          volts.seconds(i - 1),
          i < volts.size() ? volts.seconds(i) : Double.NaN,
          volts.seconds(i - 1) - end >= ALIVE_SECONDS ? i - after : 0);
    }

    boolean stayedAlive() {
      return alive >= ALIVE_READINGS && Double.isNaN(firstDead);
    }

    boolean diedLater() {
      return alive >= ALIVE_READINGS && !Double.isNaN(firstDead);
    }
  }
}
