package org.wiseember.core.overload;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * How long a unit bore the load a label promises for a time, as far as the tries show it.
 *
 * @param shown what the tries show
 * @param seconds how long it was borne at that load; empty where nothing shows it
 * @param reason one sentence, where it comes from or why it cannot be said
 */
public record Endurance(Shown shown, Optional<Figure> seconds, String reason) {
  /** What the tries show of a promised load. */
  public enum Shown {
    /** Held or tripped at that load, or read off the curve: the time can be judged. */
    TIMED,
    /** Held at least as long as promised, at that load or a heavier one. */
    HELD,
    /** Tripped sooner than promised, at that load or a lighter one. */
    TRIPPED_SOONER,
    /**
     * It tripped sooner than promised, but under a heavier load, which says nothing of this one.
     */
    HEAVIER_ONLY,
    /** The rig stopped before the claim was reached. */
    NOT_REACHED,
    /** No try at all. */
    NO_TRY
  }

  /** A load within this share above the promise is a try at the promise. */
  static final double NEAR = 0.03;

  /** What is told about a load, before it has its because. */
  private record Told(Shown shown, Optional<Time> time, String reason) {}

  /**
   * A time.
   *
   * @param what one is unsure of
   * @param bound whether the time itself was found, or only how far one went
   */
  private record Time(double seconds, double halfWidth, String what, Bound bound) {}

  /**
   * Looks at every try.
   *
   * @param tries findings of every overload run
   * @param watts promised
   * @param promised seconds
   */
  public static Endurance of(List<OverloadFinding> tries, double watts, double promised) {
    Told told = told(tries, watts, promised);
    return new Endurance(
        told.shown(), told.time().map(t -> figure(t, told, tries, watts)), told.reason());
  }

  private static Figure figure(Time time, Told told, List<OverloadFinding> tries, double watts) {
    Stream<String> holds =
        tries.stream()
            .flatMap(f -> f.holds().stream())
            .map(
                h ->
                    watts(h)
                        + " from "
                        + Figures.fixed(h.before(), 0)
                        + " W: "
                        + h.end().words()
                        + ", "
                        + Figures.duration(h.seconds()));
    Stream<String> curve =
        tries.stream().flatMap(f -> f.fit().stream()).reduce((a, b) -> b).stream()
            .map(TripFit::words);
    Figure[] parts = tries.stream().flatMap(f -> f.tripTime().stream()).toArray(Figure[]::new);
    return Figure.of(
            "overload_time",
            "Overload " + Figures.plain(watts, Unit.WATT),
            time.seconds(),
            Unit.SECOND,
            Because.of(
                    Budget.of(Contribution.wholeWidth(time.what(), time.halfWidth())),
                    Stream.concat(holds, curve).toList())
                .summed(told.reason())
                .from(parts)
                .watching(
                    tries.stream()
                        .flatMap(f -> f.warnings().stream())
                        .filter(w -> !w.code().equals("accuracy_assumed"))
                        .map(Warning::message)
                        .distinct()
                        .toList())
                .otherwise(OverloadLadder.SCHOOLS))
        .bounded(time.bound());
  }

  private static Told told(List<OverloadFinding> tries, double watts, double promised) {
    List<Try> all =
        tries.stream()
            .flatMap(f -> f.holds().stream().map(h -> new Try(h, f.meter().halfWidth(h.watts()))))
            .toList();
    if (all.isEmpty()) {
      return new Told(Shown.NO_TRY, Optional.empty(), "No load was held yet.");
    }
    List<Try> reaching = all.stream().filter(t -> t.high() >= watts).toList();
    List<Try> near = reaching.stream().filter(t -> t.hold.watts() <= watts * (1 + NEAR)).toList();
    List<Try> tripped = near.stream().filter(t -> t.hold.tripped()).toList();
    if (!tripped.isEmpty()) {
      return atTheLoad(tripped, watts);
    }
    Optional<Try> held = longest(reaching);
    if (held.isPresent() && held.get().hold.seconds() - held.get().hold.halfWidth() >= promised) {
      Hold h = held.get().hold;
      return new Told(
          Shown.HELD,
          Optional.of(time(h, Bound.AT_LEAST)),
          "Held " + Figures.duration(h.seconds()) + " at " + watts(h) + ".");
    }
    Optional<Try> lighter =
        all.stream()
            .filter(t -> t.hold.tripped() && t.hold.watts() < watts)
            .filter(t -> t.hold.seconds() + t.hold.halfWidth() < promised)
            .max(Comparator.comparingDouble(t -> t.hold.watts()));
    if (lighter.isPresent()) {
      Hold h = lighter.get().hold;
      return new Told(
          Shown.TRIPPED_SOONER,
          Optional.of(time(h, Bound.AT_MOST)),
          "It tripped after "
              + Figures.duration(h.seconds())
              + " at "
              + watts(h)
              + ", less than the label promises for longer.");
    }
    Optional<TripFit.Band> band = byCurve(tries, watts, all);
    if (band.isPresent() && reaching.stream().anyMatch(t -> t.hold.tripped())) {
      TripFit.Band b = band.get();
      return new Told(
          Shown.TIMED,
          Optional.of(
              new Time(
                  b.value(), Math.min(b.halfWidth(), 1e6), "Curve through the trips", Bound.EXACT)),
          "Read off the curve through the trips; no load was within 3 % of "
              + Figures.plain(watts, Unit.WATT)
              + ".");
    }
    return notShown(all, reaching, watts);
  }

  private static Told atTheLoad(List<Try> tripped, double watts) {
    double least = tripped.stream().mapToDouble(t -> t.hold.seconds()).min().orElseThrow();
    double most = tripped.stream().mapToDouble(t -> t.hold.seconds()).max().orElseThrow();
    double mean = tripped.stream().mapToDouble(t -> t.hold.seconds()).average().orElseThrow();
    double half = tripped.stream().mapToDouble(t -> t.hold.halfWidth()).max().orElseThrow();
    return new Told(
        Shown.TIMED,
        Optional.of(
            new Time(
                mean,
                Math.max(half, (most - least) / 2),
                "Readings, and scatter of the tries",
                Bound.EXACT)),
        tripped.size() == 1
            ? "One try at " + watts(tripped.get(0).hold) + "; a second would show how it scatters."
            : tripped.size()
                + " tries near "
                + Figures.plain(watts, Unit.WATT)
                + ", from "
                + Figures.duration(least)
                + " to "
                + Figures.duration(most)
                + ".");
  }

  private static Optional<TripFit.Band> byCurve(
      List<OverloadFinding> tries, double watts, List<Try> all) {
    double before =
        all.stream()
            .filter(t -> t.hold.tripped())
            .mapToDouble(t -> t.hold.before())
            .average()
            .orElse(0);
    return tries.stream()
        .flatMap(f -> f.fit().stream())
        .reduce((first, second) -> second)
        .flatMap(fit -> fit.seconds(watts, before));
  }

  private static Told notShown(List<Try> all, List<Try> reaching, double watts) {
    Optional<Try> tooHeavy =
        reaching.stream()
            .filter(t -> t.hold.tripped())
            .min(Comparator.comparingDouble(t -> t.hold.watts()));
    if (tooHeavy.isPresent()) {
      Hold h = tooHeavy.get().hold;
      return new Told(
          Shown.HEAVIER_ONLY,
          Optional.empty(),
          "It tripped after "
              + Figures.duration(h.seconds())
              + " at "
              + watts(h)
              + ", which is heavier than the claim. Try a load nearer to "
              + Figures.plain(watts, Unit.WATT)
              + ".");
    }
    if (!reaching.isEmpty()) {
      Hold h = longest(reaching).orElseThrow().hold;
      return new Told(
          Shown.NOT_REACHED,
          Optional.of(time(h, Bound.AT_LEAST)),
          watts(h)
              + " was taken off after "
              + Figures.duration(h.seconds())
              + ", before the time on the label was over.");
    }
    double heaviest = all.stream().mapToDouble(t -> t.hold.watts()).max().orElseThrow();
    return new Told(
        Shown.NOT_REACHED,
        Optional.empty(),
        "The heaviest load of the rig drew "
            + Figures.fixed(heaviest, 0)
            + " W; the claim needs "
            + Figures.plain(watts, Unit.WATT)
            + ".");
  }

  private static Optional<Try> longest(List<Try> tries) {
    return tries.stream().max(Comparator.comparingDouble(t -> t.hold.seconds()));
  }

  private static Time time(Hold h, Bound bound) {
    return new Time(h.seconds(), h.halfWidth(), "Load step and end between readings", bound);
  }

  private static String watts(Hold h) {
    return Figures.fixed(h.watts(), 0) + " W";
  }

  /** A hold and by how much its watts may be off. */
  private record Try(Hold hold, double halfWidth) {
    double high() {
      return hold.watts() + halfWidth;
    }
  }
}
