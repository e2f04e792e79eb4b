package org.wiseember.core.notes;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.quantity.Figures;

/**
 * Puts entries on one clock. The order of the lines is the order of events: no entry lies before
 * the one above it, so each narrows those around it, and one without a moment lies between its
 * neighbours.
 */
final class Timeline {
  private static final double DAY = 86_400;

  /** Clocks of two kinds may differ by so much before they contradict each other, s. */
  private static final double SLACK = 60;

  /**
   * Entries nobody knows the moment of stand so far behind one another, s: what needs no clock,
   * such as one load after another, is told apart as if each was looked at by itself.
   */
  private static final double APART = 60;

  /** Entries of one moment stand so far behind one another, s. */
  private static final double SAME = 1e-3;

  private final List<Entry> entries;
  private final double[] earliest;
  private final double[] latest;
  private final List<Integer> nextDays = new ArrayList<>();
  private double zero = Double.NaN;

  /**
   * An entry to be put on the clock.
   *
   * @param line it stands on
   * @param moment as it was written
   * @param hand how far a hand is from the second it wrote, ± s
   * @param dayAfter days since the first date that was given; −1 where none stands above it that
   *     was not counted already
   */
  record Entry(int line, WrittenMoment moment, double hand, int dayAfter) {
    boolean is(WrittenMoment.Kind kind) {
      return moment.kind() == kind;
    }
  }

  private Timeline(List<Entry> entries) {
    this.entries = entries;
    this.earliest = new double[entries.size()];
    this.latest = new double[entries.size()];
    Arrays.fill(earliest, Double.NEGATIVE_INFINITY);
    Arrays.fill(latest, Double.POSITIVE_INFINITY);
  }

  /**
   * What was found.
   *
   * @param moments of each entry, s on the run's clock, its places rising
   * @param zero time of the day at which that clock shows 0, s since midnight of the first day; NaN
   *     where no time of day was noted
   * @param nextDays lines whose time of day is that of a later day, since it went back
   */
  record Resolved(List<Moment> moments, double zero, List<Integer> nextDays) {}

  static Resolved of(List<Entry> entries) throws NotesUnreadable {
    Timeline timeline = new Timeline(entries);
    timeline.limit();
    timeline.narrow();
    // How long since the first entry is known the better, the better that one is known.
    timeline.sinceFirst();
    timeline.narrow();
    return new Resolved(timeline.moments(), timeline.zero, timeline.nextDays);
  }

  private void limit() {
    boolean byWall =
        entries.stream().skip(1).anyMatch(e -> e.is(WrittenMoment.Kind.OF_DAY))
            && entries.stream().anyMatch(e -> e.is(WrittenMoment.Kind.OF_DAY));
    if (!byWall && !entries.isEmpty()) {
      Entry first = entries.get(0);
      if (first.is(WrittenMoment.Kind.OF_DAY)) {
        zero = first.moment().from();
      }
      earliest[0] = 0;
      latest[0] = 0;
    }
    double days = 0;
    double reached = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < entries.size(); i++) {
      Entry e = entries.get(i);
      if (e.dayAfter() >= 0) {
        days = e.dayAfter() * DAY;
      }
      if (byWall && e.is(WrittenMoment.Kind.OF_DAY)) {
        if (Double.isNaN(zero)) {
          zero = e.moment().from() + days;
        }
        if (e.moment().to() + days - zero < reached) {
          nextDays.add(e.line());
        }
        while (e.moment().to() + days - zero < reached) {
          days += DAY;
        }
        earliest[i] = e.moment().from() + days - zero - e.hand();
        latest[i] = e.moment().to() + days - zero + e.hand();
      } else if (e.is(WrittenMoment.Kind.SINCE_FIRST) && i > 0) {
        earliest[i] = earliest[0] + e.moment().from();
        latest[i] = latest[0] + e.moment().to();
      }
      reached = Math.max(reached, earliest[i]);
    }
  }

  private void sinceFirst() {
    for (int i = 1; i < entries.size(); i++) {
      Entry e = entries.get(i);
      if (e.is(WrittenMoment.Kind.SINCE_FIRST)) {
        earliest[i] = Math.max(earliest[i], earliest[0] + e.moment().from());
        latest[i] = Math.min(latest[i], latest[0] + e.moment().to());
      }
    }
  }

  private void narrow() throws NotesUnreadable {
    for (int i = 1; i < entries.size(); i++) {
      earliest[i] = Math.max(earliest[i], earliest[i - 1]);
    }
    for (int i = entries.size() - 2; i >= 0; i--) {
      latest[i] = Math.min(latest[i], latest[i + 1]);
    }
    for (int i = 0; i < entries.size(); i++) {
      if (earliest[i] > latest[i] + SLACK) {
        // The one that was written to be too early stands below those it lies before.
        int j = i;
        while (j + 1 < entries.size() && latest[j + 1] <= latest[i]) {
          j++;
        }
        throw NotesUnreadable.entry(
            entries.get(j).line(),
            "its moment lies "
                + Figures.duration(earliest[i] - latest[i])
                + " before that of a line above it. Lines stand in the order things happened; put"
                + " the time right, or move the line.");
      }
      if (earliest[i] > latest[i]) {
        double middle = (earliest[i] + latest[i]) / 2;
        earliest[i] = middle;
        latest[i] = middle;
      }
    }
  }

  private List<Moment> moments() {
    int n = entries.size();
    double[] at = new double[n];
    for (int i = 0; i < n; ) {
      int end = i + 1;
      while (end < n && earliest[end] == earliest[i] && latest[end] == latest[i]) {
        end++;
      }
      for (int k = i; k < end; k++) {
        double share = (k - i + 1.0) / (end - i + 1);
        at[k] = earliest[i] + share * (latest[i] - earliest[i]);
      }
      i = end;
    }
    for (int i = n - 1; i >= 0; i--) {
      if (earliest[i] == Double.NEGATIVE_INFINITY) {
        double next = i + 1 < n ? at[i + 1] : 0;
        at[i] = next - APART;
      }
    }
    List<Moment> moments = new ArrayList<>(n);
    for (int i = 0; i < n; i++) {
      double before = i == 0 ? Double.NEGATIVE_INFINITY : at[i - 1];
      if (latest[i] == Double.POSITIVE_INFINITY && earliest[i] > Double.NEGATIVE_INFINITY) {
        at[i] = Math.max(earliest[i], before) + APART;
      }
      at[i] = Math.max(at[i], before + SAME);
      moments.add(new Moment(at[i], Math.min(earliest[i], at[i]), Math.max(latest[i], at[i])));
    }
    return moments;
  }
}
