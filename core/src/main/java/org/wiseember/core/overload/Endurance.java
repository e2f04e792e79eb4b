package org.wiseember.core.overload;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * How long a unit bears the load a label promises for a time, as far as the tries show it. Whatever
 * trips sooner under more is taken for granted, and nothing else: a trip near that load gives the
 * time itself; held under that load or a heavier one it is at least so long, tripped under a
 * lighter one at most. A load has reached the promise with the low end of its interval.
 *
 * @param shown what the tries show
 * @param seconds how long it is borne, or a bound of that; where only lighter loads were held, how
 *     long those were; empty where nothing was tried
 * @param reason one sentence, where it comes from or what is missing
 */
public record Endurance(Shown shown, Optional<Figure> seconds, String reason) {
  /** What the tries show of a promised load. */
  public enum Shown {
    /** It tripped at that load, so the time can be judged. */
    TIMED,
    /** Held so long at least, at that load or a heavier one. */
    AT_LEAST,
    /** Tripped after so long at a lighter load, so no longer than that. */
    AT_MOST,
    /** The rig did not come up to the load. */
    NOT_REACHED,
    /** No try at all. */
    NO_TRY
  }

  /** A load within this share of the promise is a try at the promise. */
  static final double NEAR = 0.03;

  /** The usual curve's pick-up as a share of a load that trips; common practice, no source. */
  private static final double USUAL_PICK_UP = 0.8;

  private static final String BETWEEN = "Load step and end between readings";

  /**
   * Looks at every try.
   *
   * @param tries findings of every overload run
   * @param watts promised
   * @param promised seconds
   */
  public static Endurance of(List<OverloadFinding> tries, double watts, double promised) {
    return new Tries(tries, watts, promised).shown();
  }

  /** A hold and how sure its watts are, 95 %. */
  private record Try(Hold hold, double u95, String meter) {
    static Stream<Try> of(OverloadFinding finding) {
      return finding.holds().stream()
          .map(
              h ->
                  new Try(
                      h,
                      HeldLoad.figure("held_load", "Load", h, finding.meter()).u95(),
                      finding.meter().words()));
    }

    double low() {
      return hold.watts() - u95;
    }

    double high() {
      return hold.watts() + u95;
    }

    /** {@code 2 356 ± 22 W}. */
    String words() {
      return Figures.withUncertainty(hold.watts(), u95, Unit.WATT);
    }
  }

  private record Tries(
      List<OverloadFinding> findings, List<Try> all, double watts, double promised) {
    Tries(List<OverloadFinding> findings, double watts, double promised) {
      this(findings, findings.stream().flatMap(Try::of).toList(), watts, promised);
    }

    Endurance shown() {
      if (all.isEmpty()) {
        return new Endurance(Shown.NO_TRY, Optional.empty(), "No load was held yet.");
      }
      List<Try> near =
          all.stream()
              .filter(t -> t.hold.tripped())
              .filter(t -> Math.abs(t.hold.watts() / watts - 1) <= NEAR)
              .toList();
      if (!near.isEmpty()) {
        return timed(near);
      }
      Optional<Try> longest =
          all.stream()
              .filter(t -> t.low() >= watts)
              .max(Comparator.comparingDouble(t -> t.hold.seconds()));
      Optional<Try> soonest =
          all.stream()
              .filter(t -> t.hold.tripped() && t.hold.watts() < watts)
              .filter(t -> t.high() <= watts * (1 + NEAR))
              .min(Comparator.comparingDouble(t -> t.hold.seconds()));
      boolean longEnough =
          longest.filter(t -> t.hold.seconds() - t.hold.halfWidth() >= promised).isPresent();
      boolean tooSoon =
          soonest.filter(t -> t.hold.seconds() + t.hold.halfWidth() < promised).isPresent();
      if (tooSoon && !longEnough) {
        return atMost(soonest.get());
      }
      return longest.map(this::atLeast).or(() -> soonest.map(this::atMost)).orElseGet(this::lower);
    }

    private Endurance atLeast(Try t) {
      Hold h = t.hold;
      String reason =
          h.tripped()
              ? "It tripped after "
                  + Figures.duration(h.seconds())
                  + " at "
                  + t.words()
                  + ", which is heavier than the claim; a load nearer to "
                  + Figures.plain(watts, Unit.WATT)
                  + " would tell the time."
              : t.words()
                  + " was held for "
                  + Figures.duration(h.seconds())
                  + (h.seconds() - h.halfWidth() >= promised
                      ? "."
                      : " and taken off before the time on the label was over.");
      return new Endurance(Shown.AT_LEAST, Optional.of(bound(t, Bound.AT_LEAST, reason)), reason);
    }

    private Endurance atMost(Try t) {
      String reason =
          "It tripped after "
              + Figures.duration(t.hold.seconds())
              + " at "
              + t.words()
              + ", less than the label promises.";
      return new Endurance(Shown.AT_MOST, Optional.of(bound(t, Bound.AT_MOST, reason)), reason);
    }

    /** Only loads below the promise were tried. */
    private Endurance lower() {
      Try heaviest =
          all.stream().max(Comparator.comparingDouble(t -> t.hold.watts())).orElseThrow();
      boolean nearly = heaviest.hold.watts() > watts * (1 - NEAR);
      String reason =
          "The heaviest load drew "
              + heaviest.words()
              + (nearly ? ", which may lie below " : "; the claim needs ")
              + Figures.plain(watts, Unit.WATT)
              + (nearly ? ": a little more load would show it." : ".");
      Figure held = bound(heaviest, Bound.AT_LEAST, reason);
      return new Endurance(
          Shown.NOT_REACHED,
          Optional.of(held.named("Held at " + Figures.fixed(heaviest.hold.watts(), 0) + " W")),
          reason);
    }

    private Figure bound(Try t, Bound bound, String reason) {
      Budget budget =
          Budget.of(
              Contribution.wholeWidth(BETWEEN, t.hold.halfWidth()),
              Repeats.once(t.hold.seconds(), Repeats.TRIP));
      // What was held was held: only a trip comes out otherwise when it is tried again.
      Budget own =
          t.hold.tripped()
              ? budget
              : Budget.of(Contribution.wholeWidth(BETWEEN, t.hold.halfWidth()));
      return explained(
          Figure.of(
                  "overload_time", name(), t.hold.seconds(), Unit.SECOND, Because.of(own, holds()))
              .bounded(bound),
          reason);
    }

    /** From trips near the load, each brought to it; they are repeats of one another. */
    private Endurance timed(List<Try> near) {
      List<Repeats.Repeat> repeats = new ArrayList<>();
      for (Try t : near) {
        repeats.add(new Repeats.Repeat(brought(t), Because.SAME_RUN));
      }
      Figure mean = Repeats.mean(repeats, Repeats.TRIP);
      // One that was held longer is a repeat as well, of which only the least is known.
      for (Try t : all) {
        boolean longer = t.low() >= watts && t.hold.seconds() > mean.value();
        if (longer && !t.hold.tripped()) {
          repeats.add(new Repeats.Repeat(brought(t), Because.SAME_RUN));
        }
      }
      mean = repeats.size() > near.size() ? Repeats.mean(repeats, Repeats.TRIP) : mean;
      String reason =
          near.size() == 1
              ? "One try at " + near.get(0).words() + "; a second would show how it scatters."
              : near.size()
                  + " tries near "
                  + Figures.plain(watts, Unit.WATT)
                  + " tripped after "
                  + Figures.withUncertainty(mean.value(), mean.u95(), Unit.SECOND)
                  + ".";
      List<String> sum = new ArrayList<>(holds());
      sum.addAll(mean.because().workedOut());
      Because because = Because.of(mean.budget(), sum);
      return new Endurance(
          Shown.TIMED,
          Optional.of(
              explained(
                  Figure.of("overload_time", name(), mean.value(), Unit.SECOND, because), reason)),
          reason);
    }

    /** The time of one try at the promised load itself, by the curve where there is one. */
    private Figure brought(Try t) {
      Hold h = t.hold;
      Optional<TripCurve> fitted = curve().filter(c -> scale(c, h, watts) > 0);
      TripCurve curve = fitted.orElseGet(() -> usual(h));
      double at = h.seconds() * scale(curve, h, watts);
      double value = fitted.isPresent() && h.tripped() ? at : h.seconds();
      // A curve through two loads alone is one of many, and a timer for each range of load has
      // none.
      double model = Math.abs(at - h.seconds()) / (1 + (fitted.isPresent() ? spare() : 0));
      double share = t.u95 / h.watts();
      double byMeter =
          h.seconds()
              * Math.abs(
                  scale(curve, h, h.watts() * (1 + share))
                      - scale(curve, h, h.watts() * (1 - share)))
              / 2;
      Budget budget =
          Budget.of(
              Contribution.wholeWidth(BETWEEN, h.halfWidth()),
              Contribution.wholeWidth("Brought to " + Figures.fixed(watts, 0) + " W", model),
              Contribution.mostlyLimits("Watts of the load, ± " + t.meter, finite(byMeter)),
              Repeats.once(h.seconds(), Repeats.TRIP));
      return Figure.of(
          "overload_time",
          name(),
          value,
          Unit.SECOND,
          Because.of(
              budget,
              t.words()
                  + ": "
                  + h.end().words()
                  + ", "
                  + Figures.duration(h.seconds())
                  + (value == h.seconds()
                      ? ""
                      : ", by the curve " + Figures.duration(value) + " at the promised load")));
    }

    /** How many trips there are beyond the two that any curve passes through. */
    private int spare() {
      return Math.max(
          0,
          findings.stream()
                  .flatMap(f -> f.fit().stream())
                  .reduce((first, second) -> second)
                  .map(TripFit::trips)
                  .orElse(0)
              - 2);
    }

    private static double finite(double value) {
      return Double.isFinite(value) ? value : 0;
    }

    /** By how much longer a curve has it at a load than at that of a try. */
    private static double scale(TripCurve curve, Hold h, double watts) {
      double there = curve.tripSeconds(watts, h.before());
      double here = curve.tripSeconds(h.watts(), h.before());
      double scale = there / here;
      return Double.isFinite(scale) && scale > 0 ? scale : 0;
    }

    private static TripCurve usual(Hold h) {
      double pickUp = Math.max(USUAL_PICK_UP * h.watts(), h.before() * 1.001);
      return new TripCurve(Math.min(pickUp, 0.999 * h.watts()), 1);
    }

    private Optional<TripCurve> curve() {
      return findings.stream()
          .flatMap(f -> f.fit().stream())
          .reduce((first, second) -> second)
          .map(TripFit::curve);
    }

    private String name() {
      return "Overload " + Figures.plain(watts, Unit.WATT);
    }

    private List<String> holds() {
      return all.stream()
          .map(
              t ->
                  Figures.fixed(t.hold.watts(), 0)
                      + " W from "
                      + Figures.fixed(t.hold.before(), 0)
                      + " W: "
                      + t.hold.end().words()
                      + ", "
                      + Figures.duration(t.hold.seconds()))
          .toList();
    }

    private Figure explained(Figure figure, String reason) {
      List<String> sum = new ArrayList<>(figure.because().workedOut());
      findings.stream()
          .flatMap(f -> f.fit().stream())
          .reduce((a, b) -> b)
          .map(TripFit::words)
          .ifPresent(sum::add);
      return figure.because(
          Because.of(figure.budget(), sum)
              .summed(reason)
              .from(findings.stream().flatMap(f -> f.tripTime().stream()).toArray(Figure[]::new))
              .watching(
                  findings.stream()
                      .flatMap(f -> f.warnings().stream())
                      .filter(w -> !w.code().equals("accuracy_assumed"))
                      .map(Warning::message)
                      .distinct()
                      .toList())
              .otherwise(OverloadLadder.SCHOOLS));
    }
  }
}
