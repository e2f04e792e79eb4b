package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * A watch of an appliance that a meter logged: what it counts, what the appliance runs at, and what
 * in it takes more than that. Levels are told by what the log itself shows: watts it falls back to,
 * watts it runs at most of the time it is on, and stretches well above those.
 *
 * @param watch as it would have been read off
 * @param restWatts it falls back to between its runs, W
 * @param runs how often it ran
 * @param share of the time it ran, 0 to 1
 * @param hotter stretches in which something beside its running took more
 * @param warnings what to look out for in the log
 */
public record WatchLog(
    Watch watch,
    double restWatts,
    int runs,
    double share,
    List<Hotter> hotter,
    List<Warning> warnings) {
  private static final double HOUR = 3600;

  /**
   * Seen for so long, and more than twice, a level is one; a meter drops a reading now and then.
   */
  private static final double SEEN_SECONDS = 20;

  private static final int SEEN_READINGS = 3;

  /** What it falls back to is taken for rest up to so much above it: W, and a share of the most. */
  private static final double REST_WATTS = 3;

  private static final double REST_SHARE = 0.02;

  /** A log that never falls below this share of its usual watts never rested. */
  private static final double NEVER_RESTS = 0.7;

  /** A motor's start is over by then, s. */
  private static final double START = 5;

  /** So much above running a start is told from it. */
  private static final double START_ABOVE = 1.3;

  /** Watts above running by so much, for so long, are something else: a heater. */
  private static final double HOTTER_ABOVE = 1.6;

  private static final double HOTTER_SECONDS = 30;

  /**
   * Something in it that takes more than its running.
   *
   * @param preheat whether it only came when the appliance was first switched on
   * @param from s on the clock of the log
   * @param watts on average while it did
   */
  public record Hotter(boolean preheat, double from, double to, double watts) {}

  /** A stretch of readings, both ends included. */
  private record Spell(int first, int last) {
    int size() {
      return last - first + 1;
    }
  }

  public WatchLog {
    hotter = List.copyOf(hotter);
    warnings = List.copyOf(warnings);
  }

  /**
   * Reads a log.
   *
   * @throws IllegalArgumentException where it does not say how much was used
   */
  public static WatchLog of(Trace trace) {
    Series watts = trace.series(Channel.AC_POWER);
    if (watts.size() < 3) {
      throw new IllegalArgumentException("a watch of an appliance wants a column of its watts");
    }
    return new Reader(trace, watts).read();
  }

  private static final class Reader {
    private final Trace trace;
    private final Series watts;
    private final double[] held;
    private final List<Warning> warnings = new ArrayList<>();

    Reader(Trace trace, Series watts) {
      this.trace = trace;
      this.watts = watts;
      this.held = held(watts);
    }

    /** How long each reading stands for, s: half the way to each neighbour, gaps left out. */
    private static double[] held(Series series) {
      double[] held = new double[series.size()];
      for (int i = 0; i + 1 < held.length; i++) {
        if (!series.gapAfter(i)) {
          double half = (series.seconds(i + 1) - series.seconds(i)) / 2;
          held[i] += half;
          held[i + 1] += half;
        }
      }
      return held;
    }

    WatchLog read() {
      double seen = Arrays.stream(held).sum();
      double rest = lowest();
      double most = max();
      double usual = middle(-1);
      boolean rests = rest < NEVER_RESTS * Math.max(usual, most / 2);
      double above = rests ? rest + Math.max(REST_WATTS, REST_SHARE * most) : -1;
      List<Spell> runs = spells(above);
      double running = middle(above);
      List<Spell> hot =
          spells(HOTTER_ABOVE * running).stream()
              .filter(s -> time(s) >= HOTTER_SECONDS && s.size() >= 3)
              .toList();
      List<Hotter> hotter = hot.stream().map(s -> hotter(s, runs)).toList();
      double start = atStart(runs, running, watts);
      double highest = afterStart(runs, watts);
      Series va = trace.series(Channel.APPARENT_POWER);
      boolean apparent = va.size() == watts.size();
      double startVa = apparent ? atStart(runs, running, va) : start;
      Watch watch =
          new Watch(
              seen,
              energy(seen),
              energyStep(),
              running,
              Math.max(running, highest),
              apparent ? afterStart(runs, va) : Double.NaN,
              startVa);
      say(hotter, running, startVa);
      sayWhereLong(runs, hotter);
      return new WatchLog(
          watch,
          rests ? rest : Double.NaN,
          rests ? runs.size() : 0,
          runs.stream().mapToDouble(this::time).sum() / seen,
          hotter,
          warnings);
    }

    /** A counter goes on counting where the log has holes. */
    private double energy(double seen) {
      double summed = watts.integral(0, watts.size() - 1) / HOUR;
      List<Series.Gap> gaps = watts.gaps(0, watts.size() - 1);
      if (!gaps.isEmpty()) {
        warnings.add(
            new Warning(
                "gap",
                "The log has "
                    + (gaps.size() == 1 ? "a hole" : gaps.size() + " holes")
                    + ", together "
                    + Figures.duration(gaps.stream().mapToDouble(Series.Gap::seconds).sum())
                    + ": that time is left out of the hours too."));
      }
      Series counter = trace.series(Channel.AC_ENERGY);
      if (counter.size() > 1 && gaps.isEmpty()) {
        double counted = counter.value(counter.size() - 1) - counter.value(0);
        double over = counter.seconds(counter.size() - 1) - counter.seconds(0);
        double off = Math.abs(counted - summed);
        if (counted > 0 && over > 0.98 * seen && off > 0.04 * summed + 2 * counter.step()) {
          warnings.add(
              new Warning(
                  "two_totals",
                  "The meter counted "
                      + Figures.fixed(counted, 0)
                      + " Wh and its watts add up to "
                      + Figures.fixed(summed, 0)
                      + ": a meter that shows a reading now and then misses what happens between."
                      + " What it counted is taken."));
        }
        if (counted > 0 && over > 0.98 * seen) {
          return counted;
        }
      }
      return summed;
    }

    private double energyStep() {
      Series counter = trace.series(Channel.AC_ENERGY);
      return counter.size() > 1 ? counter.step() : 0;
    }

    /** The lowest watts it stayed at, W. */
    private double lowest() {
      Integer[] order = byWatts();
      double time = 0;
      int last = 0;
      for (int first = 0; first < order.length; first++) {
        double low = watts.value(order[first]);
        for (; last < order.length && watts.value(order[last]) <= low + REST_WATTS; last++) {
          time += held[order[last]];
        }
        if (time >= SEEN_SECONDS && last - first >= SEEN_READINGS) {
          return low;
        }
        time -= held[order[first]];
      }
      return watts.value(order[0]);
    }

    private Integer[] byWatts() {
      Integer[] order = new Integer[watts.size()];
      Arrays.setAll(order, i -> i);
      Arrays.sort(order, Comparator.comparingDouble(watts::value));
      return order;
    }

    private double max() {
      double most = 0;
      for (int i = 0; i < watts.size(); i++) {
        most = Math.max(most, watts.value(i));
      }
      return most;
    }

    /** Of the readings above some watts, the one below which it was for half of their time. */
    private double middle(double above) {
      List<Integer> used = Arrays.stream(byWatts()).filter(i -> watts.value(i) > above).toList();
      double total = used.stream().mapToDouble(i -> held[i]).sum();
      double sum = 0;
      for (int i : used) {
        sum += held[i];
        if (sum >= total / 2) {
          return watts.value(i);
        }
      }
      return Double.NaN;
    }

    private List<Spell> spells(double above) {
      List<Spell> all = new ArrayList<>();
      int first = -1;
      for (int i = 0; i < watts.size(); i++) {
        boolean on = watts.value(i) > above;
        if (on && first < 0) {
          first = i;
        }
        boolean last = i + 1 == watts.size() || watts.gapAfter(i);
        if (first >= 0 && (!on || last)) {
          all.add(new Spell(first, on ? i : i - 1));
          first = -1;
        }
      }
      return all;
    }

    private double time(Spell s) {
      double sum = 0;
      for (int i = s.first(); i <= s.last(); i++) {
        sum += held[i];
      }
      return sum;
    }

    private Hotter hotter(Spell s, List<Spell> runs) {
      double sum = 0;
      for (int i = s.first(); i <= s.last(); i++) {
        sum += held[i] * watts.value(i);
      }
      boolean preheat = !runs.isEmpty() && s.first() <= runs.get(0).last();
      return new Hotter(preheat, watts.seconds(s.first()), watts.seconds(s.last()), sum / time(s));
    }

    /** Whether a reading lies in the first seconds of a run that began in the log. */
    private boolean starting(Spell run, int i) {
      return run.first() > 0 && watts.seconds(i) - watts.seconds(run.first()) < START;
    }

    /** The most in the first seconds of a run; NaN where that is no more than it runs at. */
    private double atStart(List<Spell> runs, double running, Series series) {
      double most = Double.NaN;
      for (Spell run : runs) {
        for (int i = run.first(); i <= run.last() && starting(run, i); i++) {
          if (series.value(i) > START_ABOVE * running && !(series.value(i) <= most)) {
            most = series.value(i);
          }
        }
      }
      return most;
    }

    /** The most outside those seconds, as a meter shows whose peaks were reset after the start. */
    private double afterStart(List<Spell> runs, Series series) {
      double most = Double.NaN;
      for (Spell run : runs) {
        for (int i = run.first(); i <= run.last(); i++) {
          if ((!starting(run, i) || run.size() == 1) && !(series.value(i) <= most)) {
            most = series.value(i);
          }
        }
      }
      return most;
    }

    /** What heats up first and then only keeps warm takes the same watts, for longer. */
    private void sayWhereLong(List<Spell> runs, List<Hotter> hotter) {
      if (runs.size() < 4 || !hotter.isEmpty()) {
        return;
      }
      double[] later = runs.stream().skip(1).mapToDouble(this::time).sorted().toArray();
      double usual = later[later.length / 2];
      double first = time(runs.get(0));
      if (first > 2.5 * usual) {
        warnings.add(
            new Warning(
                "preheat",
                "It ran "
                    + Figures.duration(first)
                    + " at first and about "
                    + Figures.duration(usual)
                    + " a time from then on: it heats up. A short watch counts that too much."));
      }
    }

    private void say(List<Hotter> hotter, double running, double startVa) {
      if (!hotter.isEmpty()) {
        Hotter most = hotter.stream().max(Comparator.comparingDouble(Hotter::watts)).orElseThrow();
        boolean preheat = hotter.stream().allMatch(Hotter::preheat);
        warnings.add(
            new Warning(
                preheat ? "preheat" : "defrost",
                (preheat ? "At first it took " : "Now and then it takes ")
                    + Figures.plain(Math.rint(most.watts()), Unit.WATT)
                    + " where it runs at "
                    + Figures.plain(Math.rint(running), Unit.WATT)
                    + (preheat ? ", for " : ", " + hotter.size() + " times, for ")
                    + Figures.duration(most.to() - most.from())
                    + (preheat
                        ? ": it heats up. That is asked at every start."
                        : ": a heater that defrosts. That is what it may ask at any time.")));
      }
      if (Double.isNaN(startVa) && watts.usualInterval() >= 1) {
        warnings.add(
            new Warning(
                "start_not_caught",
                "A log with a reading every "
                    + Figures.duration(watts.usualInterval())
                    + " misses a start; a clamp's inrush mode catches it."));
      }
    }
  }
}
