package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What an appliance takes, from a watch of it.
 *
 * @param mean over the whole watch, W, which is Wh an hour
 * @param seen what it was seen to take at some moment
 * @param draw for a day: its mean for energy, the most it was seen to take for what it asks
 * @param warnings what to look out for
 */
public record WatchSheet(
    Figure mean, List<Figure> seen, ApplianceDraw draw, List<Warning> warnings) {
  private static final double HOUR = 3600;
  private static final double DAY = 24 * HOUR;

  /** Class of the plug meters most have, of the energy; common practice, no published source. */
  private static final double METER = 0.01;

  /**
   * One day is not like the next; less than a day less so. Common practice, no published source.
   */
  private static final double ANOTHER_DAY = 0.05;

  private static final double PART_OF_A_DAY = 0.2;

  /** Twice what it runs at is something else in it: a heater that defrosts or preheats. */
  private static final double SOMETHING_ELSE = 1.6;

  public WatchSheet {
    seen = List.copyOf(seen);
    warnings = List.copyOf(warnings);
  }

  /** Works out a watch that was read off. */
  public static WatchSheet of(Watch watch) {
    return of(watch, METER, "Meter, 1 % of reading");
  }

  /**
   * Works out a watch that was logged; what the log tells of levels takes the place of guesses.
   *
   * @param meter class of the meter that logged, for readings of watts
   */
  public static WatchSheet of(WatchLog log, MeterClass meter) {
    Watch watch = log.watch();
    double mean = watch.wattHours() / (watch.seconds() / HOUR);
    WatchSheet sheet = of(watch, meter.halfWidth(mean) / mean, "Meter, " + meter.words());
    List<Warning> all = new ArrayList<>(log.warnings());
    sheet.warnings().stream().filter(w -> !w.code().equals("something_else")).forEach(all::add);
    return new WatchSheet(sheet.mean(), sheet.seen(), sheet.draw(), all);
  }

  private static WatchSheet of(Watch watch, double meter, String meterWords) {
    double hours = watch.seconds() / HOUR;
    double mean = watch.wattHours() / hours;
    boolean whole = watch.seconds() >= DAY;
    Budget budget =
        Budget.of(
            Contribution.rectangular(meterWords, meter * mean),
            Contribution.rectangular("One step of its counter", watch.step() / hours),
            Contribution.of95(
                whole ? "Another day" : "Less than a day was watched",
                (whole ? ANOTHER_DAY : PART_OF_A_DAY) * mean));
    Figure figure =
        Figure.of(
            "mean_watts",
            "On average",
            mean,
            Unit.WATT,
            Because.of(
                    budget,
                    Figures.plain(watch.wattHours(), Unit.WATT_HOUR)
                        + " ÷ "
                        + Figures.duration(watch.seconds()))
                .summed("Wh an hour, over all of the watch"));
    double running = most(watch.runningWatts(), mean);
    double asked = most(most(running, watch.highestWatts()), watch.highestVa());
    ApplianceDraw draw =
        new ApplianceDraw(
            ApplianceDraw.Use.CYCLING,
            asked,
            mean,
            Double.NaN,
            watch.startVa() > asked ? watch.startVa() : Double.NaN,
            ApplianceDraw.Origin.WATCHED,
            Math.min(0.9, figure.u95() / mean));
    return new WatchSheet(
        figure, seen(watch, meter, meterWords), draw, warnings(watch, mean, whole));
  }

  private static List<Figure> seen(Watch watch, double meter, String meterWords) {
    List<Figure> all = new ArrayList<>();
    record One(String key, String name, double value, Unit unit) {}
    for (One one :
        List.of(
            new One("running_watts", "While it runs", watch.runningWatts(), Unit.WATT),
            new One("highest_watts", "Highest after its start", watch.highestWatts(), Unit.WATT),
            new One("highest_va", "Highest after its start", watch.highestVa(), Unit.VOLT_AMPERE),
            new One("start_va", "At its start", watch.startVa(), Unit.VOLT_AMPERE))) {
      if (one.value() > 0) {
        Budget budget = Budget.of(Contribution.rectangular(meterWords, meter * one.value()));
        all.add(
            Figure.of(
                one.key(),
                one.name(),
                one.value(),
                one.unit(),
                Because.of(budget, "As its meter showed it").summed("seen in the watch")));
      }
    }
    return all;
  }

  private static double most(double one, double other) {
    return Double.isNaN(one) ? other : Double.isNaN(other) ? one : Math.max(one, other);
  }

  private static List<Warning> warnings(Watch watch, double mean, boolean whole) {
    List<Warning> all = new ArrayList<>();
    if (!whole) {
      all.add(
          new Warning(
              "short_watch",
              "Watched for "
                  + Figures.duration(watch.seconds())
                  + ", less than a day: what it does at other hours is not in it."));
    }
    double most = most(watch.highestWatts(), watch.runningWatts());
    if (mean > 1.05 * most) {
      all.add(
          new Warning(
              "mean_above_highest",
              "It cannot take "
                  + Figures.fixed(mean, 0)
                  + " W on average and "
                  + Figures.plain(most, Unit.WATT)
                  + " at most: look at the kWh, and at the hours again."));
    }
    if (watch.highestWatts() > SOMETHING_ELSE * watch.runningWatts()) {
      all.add(
          new Warning(
              "something_else",
              "Something in it takes "
                  + Figures.plain(watch.highestWatts(), Unit.WATT)
                  + " where it runs at "
                  + Figures.plain(watch.runningWatts(), Unit.WATT)
                  + ": a heater that defrosts or preheats. That is what it may ask at any time; if"
                  + " the peaks were not reset after its start, it is the start."));
    }
    if (watch.startVa() > 0 && watch.startVa() <= most) {
      all.add(
          new Warning(
              "start_below_running",
              "A start of less than it runs at was not the start; a meter that shows every second"
                  + " misses it."));
    }
    if (watch.highestVa() < watch.highestWatts()) {
      all.add(
          new Warning(
              "va_below_watts",
              "Its VA cannot be less than its watts: the two were read at different moments."));
    }
    return all;
  }
}
