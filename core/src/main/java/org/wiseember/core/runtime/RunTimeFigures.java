package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.feed.FeedFlow;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * What a run-time comes to, each figure with its because. How sure one is follows from how far it
 * moves when each thing it rests on moves by its own uncertainty (GUM 5.1.3, sensitivities found by
 * trying).
 *
 * @param course as it goes
 * @param without the same with nothing brought in; the same course where there is no feed
 * @param figures in the order people ask for them
 * @param band of the charge over time
 */
public record RunTimeFigures(
    ChargeCurve course, ChargeCurve without, List<Figure> figures, List<Band> band) {
  /** So many moments beside the corners of the line are enough to draw its band. */
  private static final int MOMENTS = 80;

  /**
   * The factor from standard to 95 % takes long to find and hardly changes: it is found at every
   * twentieth moment, and the larger of two neighbours holds between them.
   */
  private static final int FACTOR_EVERY = 20;

  private static final double PERCENT = 100;

  /**
   * Charge at a moment with how sure it is.
   *
   * @param low at 95 %, not below the reserve
   * @param high at 95 %, not above full
   */
  public record Band(double hour, double low, double charge, double high) {}

  /** Works a case out. */
  public static RunTimeFigures of(RunTimeCase asked) {
    ChargeCurve course = asked.course();
    ChargeCurve without = asked.feed().isPresent() ? asked.withoutFeed().course() : course;
    Maker maker = new Maker(asked, course, without);
    return new RunTimeFigures(course, without, maker.figures(), maker.band());
  }

  public RunTimeFigures {
    figures = List.copyOf(figures);
    band = List.copyOf(band);
  }

  /** The figure with a key; empty where there is none. */
  public Optional<Figure> figure(String key) {
    return figures.stream().filter(f -> f.key().equals(key)).findFirst();
  }

  /** What to look out for in the case itself. */
  public static List<Warning> warnings(RunTimeCase asked, ChargeCurve course) {
    List<Warning> all = new ArrayList<>();
    if (asked.unit().guessed()) {
      all.add(
          new Warning(
              "guess",
              "No drain of this unit: 85 % of its label is taken, and units have given 75 to 95 %."));
    }
    if (course.overload().isPresent()
        && course.runsOut().isPresent()
        && course.overload().get().hour() > course.runsOut().getAsDouble()) {
      all.add(
          new Warning(
              "overload_after_end",
              "The overload comes after it has run out; it is one only if it is charged before."));
    }
    double share = Cold.share(asked.celsius());
    if (share < 1) {
      all.add(
          new Warning(
              "cold",
              "At "
                  + Figures.plain(asked.celsius().orElseThrow())
                  + " °C about "
                  + Figures.fixed(PERCENT * (1 - share), 0)
                  + " % less comes out than in a room."));
    }
    if (asked.feed().isPresent() && asked.celsius().orElse(Cold.ROOM) < Cold.FREEZING) {
      all.add(
          new Warning(
              "too_cold_to_charge",
              "Below freezing lithium must not be charged, and good units refuse: what is fed counts"
                  + " only if its pack is warmed."));
    }
    course
        .feed()
        .ifPresent(f -> f.flow().warnings().forEach(w -> all.add(new Warning("feed_volts", w))));
    if (course.feed().filter(FeedReport::stalls).isPresent()) {
      all.add(
          new Warning(
              "source_stalls",
              "The source is asked for more than it gives. Behind a charger and a battery it would"
                  + " never see a start."));
    }
    return all;
  }

  /** Tries each case once and makes the figures of it. */
  private static final class Maker {
    /** A varied case with both courses. */
    private record Tried(String name, boolean limits, ChargeCurve more, ChargeCurve less) {}

    private final RunTimeCase asked;
    private final ChargeCurve course;
    private final ChargeCurve without;
    private final EnergyCurve curve;
    private final List<Tried> tried;
    private final List<Tried> triedWithout;

    Maker(RunTimeCase asked, ChargeCurve course, ChargeCurve without) {
      this.asked = asked;
      this.course = course;
      this.without = without;
      this.curve = asked.curve();
      this.tried = tried(asked);
      this.triedWithout = asked.feed().isPresent() ? tried(asked.withoutFeed()) : tried;
    }

    private static List<Tried> tried(RunTimeCase asked) {
      return asked.varied().stream()
          .map(v -> new Tried(v.name(), v.limits(), v.more().course(), v.less().course()))
          .toList();
    }

    List<Figure> figures() {
      List<Figure> all = new ArrayList<>();
      course.runsOut().ifPresent(h -> all.add(runsOut("runs_out", "Runs out after", h)));
      all.add(
          figure(
              "charge_at_end",
              "Charge at the end",
              course.chargeAtEnd(),
              Unit.PERCENT,
              because(
                      course,
                      tried,
                      c -> OptionalDouble.of(c.chargeAtEnd()),
                      List.of(
                          Figures.plain(asked.charge())
                              + " % at the start, after "
                              + Figures.plain(asked.plan().hours())
                              + " h",
                          energy()))
                  .summed(
                      course.runsOut().isPresent()
                          ? "its reserve: it had run out"
                          : "still there")));
      all.add(
          figure(
              "delivered",
              "Delivered",
              course.delivered(),
              Unit.WATT_HOUR,
              because(
                      course,
                      tried,
                      c -> OptionalDouble.of(c.delivered()),
                      List.of("Watts of every appliance × the time it was on"))
                  .summed("to the appliances, until it ran out or the plan ended")));
      course
          .overload()
          .ifPresent(
              o ->
                  all.add(
                      figure(
                          "first_overload",
                          "First overload after",
                          o.hour(),
                          Unit.HOUR,
                          Because.of(Budget.of(), o.by() + " comes on over what runs already")
                              .summed("by " + o.by()))));
      course
          .hardest()
          .ifPresent(
              s ->
                  all.add(
                      figure(
                          "worst_start",
                          "Hardest start",
                          s.va(),
                          Unit.VOLT_AMPERE,
                          Because.of(Budget.of(), "Start of " + s.of() + " + watts of all others")
                              .summed(s.of() + " at " + Figures.fixed(s.hour(), 2) + " h"))));
      course
          .runsOutByLabel()
          .ifPresent(
              h ->
                  all.add(
                      figure(
                          "label_runs_out",
                          "By its label alone",
                          h,
                          Unit.HOUR,
                          Because.of(
                                  Budget.of(),
                                  Figures.plain(asked.unit().labelWattHours())
                                      + " Wh printed × "
                                      + Figures.plain(asked.charge())
                                      + " %, nothing lost, nothing idle")
                              .summed("what one would believe without a test"))));
      course.feed().ifPresent(f -> feed(all, f));
      return all;
    }

    private void feed(List<Figure> all, FeedReport report) {
      FeedFlow flow = report.flow();
      String bound =
          flow.boundBy().equals("none")
              ? "nothing holds it back"
              : "bound by the " + flow.boundBy() + " of the " + flow.boundAt();
      if (Double.isFinite(flow.intoUnit())) {
        all.add(
            figure(
                "into_unit",
                "Into the unit",
                flow.intoUnit(),
                Unit.WATT,
                Because.of(Budget.of(), "The least along the way from the source")
                    .summed(bound + ", at the start")));
      }
      course.runsOut().ifPresent(h -> all.add(runsOut("lasts", "Lasts", h)));
      without
          .runsOut()
          .ifPresent(
              h ->
                  all.add(
                      figure(
                          "lasts_without",
                          "Without the feed",
                          h,
                          Unit.HOUR,
                          because(without, triedWithout, ChargeCurve::runsOut, List.of(energy()))
                              .summed("with nothing brought in"))));
      if (Double.isFinite(report.sourceLoad())) {
        all.add(
            figure(
                "source_load",
                "Asked of the source",
                report.sourceLoad(),
                Unit.VOLT_AMPERE,
                Because.of(
                        Budget.of(),
                        report.passesThrough()
                            ? "The most that runs at once, handed through"
                            : "What the charger draws")
                    .summed(report.stalls() ? "more than it gives" : "it gives that")));
      }
    }

    private Figure runsOut(String key, String name, double hours) {
      return figure(
          key,
          name,
          hours,
          Unit.HOUR,
          because(course, tried, ChargeCurve::runsOut, List.of(energy(), shares()))
              .summed("at " + Figures.plain(asked.reserve()) + " % of charge"));
    }

    private String energy() {
      return asked.unit().guessed()
          ? "0.85 × "
              + Figures.plain(asked.unit().labelWattHours())
              + " Wh of the label, for want of a drain"
          : "P ÷ E = (P + "
              + Figures.plain(curve.idleWatts())
              + " W) ÷ "
              + Figures.fixed(curve.capacity(), 0)
              + " Wh"
              + (curve.growing() > 0
                  ? " + " + Figures.plain(1e6 * curve.growing()) + "·10⁻⁶·P²"
                  : "")
              + ", through its own drains";
    }

    private static String shares() {
      return "Shares of a full unit add up over time until it is empty";
    }

    /** At the corners of the line; how sure it is, between moments that lie close. */
    List<Band> band() {
      double end = asked.plan().hours();
      double[] halves = new double[MOMENTS + 1];
      double[] factors = new double[MOMENTS / FACTOR_EVERY + 1];
      for (int i = 0; i <= MOMENTS; i++) {
        double hour = end * i / MOMENTS;
        Budget budget = budget(course, tried, c -> OptionalDouble.of(c.chargeAt(hour)));
        halves[i] = budget.combined();
        if (i % FACTOR_EVERY == 0 && halves[i] > 0) {
          factors[i / FACTOR_EVERY] = budget.u95() / halves[i];
        }
      }
      for (int i = 0; i <= MOMENTS; i++) {
        double before = factors[i / FACTOR_EVERY];
        double next = factors[(i + FACTOR_EVERY - 1) / FACTOR_EVERY];
        halves[i] *= Math.max(before, next);
      }
      List<Band> all = new ArrayList<>();
      for (ChargeCurve.Point p : course.through(MOMENTS, end)) {
        double at = Math.min(MOMENTS - 1e-9, p.hour() / end * MOMENTS);
        int before = (int) at;
        double half = halves[before] + (at - before) * (halves[before + 1] - halves[before]);
        all.add(
            new Band(
                p.hour(),
                Math.max(Math.min(p.charge(), asked.reserve()), p.charge() - half),
                p.charge(),
                Math.min(100, p.charge() + half)));
      }
      return all;
    }

    private static Because because(
        ChargeCurve nominal,
        List<Tried> tried,
        Function<ChargeCurve, OptionalDouble> of,
        List<String> workedOut) {
      return Because.of(budget(nominal, tried, of), workedOut);
    }

    private static Budget budget(
        ChargeCurve nominal, List<Tried> tried, Function<ChargeCurve, OptionalDouble> of) {
      Budget budget = Budget.of();
      for (Tried t : tried) {
        double half = half(of.apply(nominal), of.apply(t.more()), of.apply(t.less()));
        if (half > 0) {
          budget =
              budget.with(
                  t.limits()
                      ? Contribution.rectangular(t.name(), half)
                      : Contribution.of95(t.name(), half));
        }
      }
      return budget;
    }

    /** How far it moves; with one end beyond the plan, as far as it moves towards the other. */
    private static double half(OptionalDouble here, OptionalDouble more, OptionalDouble less) {
      if (more.isPresent() && less.isPresent()) {
        return Math.abs(more.getAsDouble() - less.getAsDouble()) / 2;
      }
      OptionalDouble only = more.isPresent() ? more : less;
      return here.isPresent() && only.isPresent()
          ? Math.abs(only.getAsDouble() - here.getAsDouble())
          : 0;
    }

    private static Figure figure(
        String key, String name, double value, Unit unit, Because because) {
      return Figure.of(key, name, value, unit, because);
    }
  }
}
