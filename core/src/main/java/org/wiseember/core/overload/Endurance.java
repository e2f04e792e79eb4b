package org.wiseember.core.overload;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Estimate;

/**
 * How long a unit bore the load a label promises for a time, as far as the tries show it.
 *
 * @param shown what the tries show
 * @param seconds how long it was borne at that load; empty where nothing shows it
 * @param reason one sentence, where it comes from or why it cannot be said
 */
public record Endurance(Shown shown, Optional<Estimate> seconds, String reason) {
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

  /**
   * Looks at every try.
   *
   * @param tries findings of every overload run
   * @param watts promised
   * @param promised seconds
   */
  public static Endurance of(List<OverloadFinding> tries, double watts, double promised) {
    List<Try> all =
        tries.stream()
            .flatMap(f -> f.holds().stream().map(h -> new Try(h, f.meter().halfWidth(h.watts()))))
            .toList();
    if (all.isEmpty()) {
      return new Endurance(Shown.NO_TRY, Optional.empty(), "No load was held yet.");
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
      return new Endurance(
          Shown.HELD,
          Optional.of(estimate(h)),
          "Held " + Figures.duration(h.seconds()) + " at " + watts(h) + ".");
    }
    Optional<Try> lighter =
        all.stream()
            .filter(t -> t.hold.tripped() && t.hold.watts() < watts)
            .filter(t -> t.hold.seconds() + t.hold.halfWidth() < promised)
            .max(Comparator.comparingDouble(t -> t.hold.watts()));
    if (lighter.isPresent()) {
      Hold h = lighter.get().hold;
      return new Endurance(
          Shown.TRIPPED_SOONER,
          Optional.of(estimate(h)),
          "It tripped after "
              + Figures.duration(h.seconds())
              + " at "
              + watts(h)
              + ", less than the label promises for longer.");
    }
    Optional<TripFit.Band> band = byCurve(tries, watts, all);
    if (band.isPresent() && reaching.stream().anyMatch(t -> t.hold.tripped())) {
      TripFit.Band b = band.get();
      return new Endurance(
          Shown.TIMED,
          Optional.of(new Estimate(b.value(), Math.min(b.halfWidth(), 1e6))),
          "Read off the curve through the trips; no load was within 3 % of "
              + Figures.plain(watts, Unit.WATT)
              + ".");
    }
    return notShown(all, reaching, watts);
  }

  private static Endurance atTheLoad(List<Try> tripped, double watts) {
    double least = tripped.stream().mapToDouble(t -> t.hold.seconds()).min().orElseThrow();
    double most = tripped.stream().mapToDouble(t -> t.hold.seconds()).max().orElseThrow();
    double mean = tripped.stream().mapToDouble(t -> t.hold.seconds()).average().orElseThrow();
    double half = tripped.stream().mapToDouble(t -> t.hold.halfWidth()).max().orElseThrow();
    return new Endurance(
        Shown.TIMED,
        Optional.of(new Estimate(mean, Math.max(half, (most - least) / 2))),
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

  private static Endurance notShown(List<Try> all, List<Try> reaching, double watts) {
    Optional<Try> tooHeavy =
        reaching.stream()
            .filter(t -> t.hold.tripped())
            .min(Comparator.comparingDouble(t -> t.hold.watts()));
    if (tooHeavy.isPresent()) {
      Hold h = tooHeavy.get().hold;
      return new Endurance(
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
      return new Endurance(
          Shown.NOT_REACHED,
          Optional.of(estimate(h)),
          watts(h)
              + " was taken off after "
              + Figures.duration(h.seconds())
              + ", before the time on the label was over.");
    }
    double heaviest = all.stream().mapToDouble(t -> t.hold.watts()).max().orElseThrow();
    return new Endurance(
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

  private static Estimate estimate(Hold h) {
    return new Estimate(h.seconds(), h.halfWidth());
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
