package org.wiseember.core.supply;

import java.util.ArrayList;
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
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * The mains or a generator by itself, one load after the other: what its volts, its hertz and its
 * wave do, and what it carries.
 *
 * @param nominalVolts what its outlet is made for, V; NaN where nobody says
 * @param tries in the order they were made
 */
public record SourceTries(double nominalVolts, List<Try> tries) {
  /** Volts may be off by a tenth either way: EN 50160, recalled from memory. */
  private static final double USUAL_SHARE = 0.1;

  /** Nearby readings of one plug meter are off alike but for this; common practice, no source. */
  private static final double LIKENESS = 0.002;

  /** A wave above this is hard on what hangs on it: EN 50160, recalled from memory, %. */
  private static final double DISTORTED = 8;

  private static final double PERCENT = 100;

  /** How a load went. */
  public enum Went {
    HELD("held", "held"),
    STALLED("stalled", "stalled or tripped"),
    NOT_SAID("not-said", "not said");

    private final String key;
    private final String words;

    Went(String key, String words) {
      this.key = key;
      this.words = words;
    }

    /** As it is kept. */
    public String key() {
      return key;
    }

    public String words() {
      return words;
    }
  }

  /**
   * A load that was hung on it; what nobody read is NaN.
   *
   * @param watts drawn, W; 0 for none
   * @param volts at its outlet, V
   * @param hertz Hz
   * @param distortion of the fundamental, %
   */
  public record Try(double watts, double volts, double hertz, double distortion, Went went) {
    public Try {
      if (!(watts >= 0)) {
        throw new IllegalArgumentException("each line begins with the watts that hung on it");
      }
    }
  }

  public SourceTries {
    tries = List.copyOf(tries);
    if (tries.isEmpty()) {
      throw new IllegalArgumentException("type at least one line, as: 0 W 231 V 50.02 Hz");
    }
  }

  /** The lightest load with volts. */
  private Optional<Try> least() {
    return withVolts().min(Comparator.comparingDouble(Try::watts));
  }

  private Optional<Try> most() {
    return withVolts().max(Comparator.comparingDouble(Try::watts));
  }

  private Stream<Try> withVolts() {
    return tries.stream().filter(t -> t.volts() > 0 && t.went() != Went.STALLED);
  }

  private Optional<Try> held() {
    return tries.stream()
        .filter(t -> t.went() == Went.HELD && t.watts() > 0)
        .max(Comparator.comparingDouble(Try::watts));
  }

  private Optional<Try> stalled() {
    return tries.stream()
        .filter(t -> t.went() == Went.STALLED)
        .min(Comparator.comparingDouble(Try::watts));
  }

  /** What was found, the most telling first. */
  public List<Figure> figures() {
    List<Figure> all = new ArrayList<>();
    held()
        .ifPresent(
            t ->
                all.add(
                    read("carried", "Carries", t.watts(), Unit.WATT, "the heaviest that was held")
                        .bounded(Bound.AT_LEAST)));
    stalled()
        .ifPresent(
            t ->
                all.add(
                    read(
                            "gives_way",
                            "Gives way at",
                            t.watts(),
                            Unit.WATT,
                            "the lightest it stalled at")
                        .bounded(Bound.AT_MOST)));
    least()
        .ifPresent(
            t -> all.add(read("light_volts", "Volts at " + watts(t), t.volts(), Unit.VOLT, "")));
    if (most().isPresent() && most().get().watts() > least().orElseThrow().watts()) {
      Try heavy = most().get();
      all.add(read("heavy_volts", "Volts at " + watts(heavy), heavy.volts(), Unit.VOLT, ""));
      all.add(drop(least().get(), heavy));
    }
    hertz(all);
    tries.stream()
        .filter(t -> t.distortion() >= 0)
        .max(Comparator.comparingDouble(Try::distortion))
        .ifPresent(
            t ->
                all.add(
                    read(
                        "distortion",
                        "Most distortion",
                        t.distortion(),
                        Unit.PERCENT,
                        "at " + watts(t))));
    return all;
  }

  private void hertz(List<Figure> all) {
    List<Try> read = tries.stream().filter(t -> t.hertz() > 0).toList();
    if (read.isEmpty()) {
      return;
    }
    Try low = read.stream().min(Comparator.comparingDouble(Try::hertz)).orElseThrow();
    Try high = read.stream().max(Comparator.comparingDouble(Try::hertz)).orElseThrow();
    all.add(read("least_hertz", "Hertz at least", low.hertz(), Unit.HERTZ, "at " + watts(low)));
    if (high.hertz() > low.hertz()) {
      all.add(read("most_hertz", "Hertz at most", high.hertz(), Unit.HERTZ, "at " + watts(high)));
    }
  }

  private static String watts(Try t) {
    return Figures.plain(Math.rint(t.watts()), Unit.WATT);
  }

  private static Figure read(String key, String name, double value, Unit unit, String where) {
    Budget budget =
        Budget.of(
            AssumedMeter.of(unit)
                .contributions(AssumedMeter.named("Meter", true), value, 1)
                .toArray(Contribution[]::new));
    Because because = Because.of(budget, "As it was read");
    return Figure.of(key, name, value, unit, where.isEmpty() ? because : because.summed(where));
  }

  /** One meter read both, so what it is off by falls out of their ratio. */
  private static Figure drop(Try light, Try heavy) {
    double percent = PERCENT * (1 - heavy.volts() / light.volts());
    return Figure.of(
        "volts_drop",
        "Volts fall by",
        percent,
        Unit.PERCENT,
        Because.of(
                Budget.of(
                    Contribution.rectangular(
                        "One meter read both, alike to 0.2 %", PERCENT * LIKENESS)),
                "1 − "
                    + Figures.plain(heavy.volts())
                    + " V ÷ "
                    + Figures.plain(light.volts())
                    + " V")
            .summed("from " + watts(light) + " to " + watts(heavy)));
  }

  /** What to look out for. */
  public List<Warning> warnings() {
    List<Warning> all = new ArrayList<>();
    tries.stream()
        .filter(t -> Math.abs(t.volts() - nominalVolts) > USUAL_SHARE * nominalVolts)
        .findFirst()
        .ifPresent(
            t ->
                all.add(
                    new Warning(
                        "volts_off",
                        Figures.plain(t.volts())
                            + " V at "
                            + watts(t)
                            + " is more than a tenth off "
                            + Figures.plain(nominalVolts)
                            + " V.")));
    tries.stream()
        .filter(t -> t.distortion() > DISTORTED)
        .findFirst()
        .ifPresent(
            t ->
                all.add(
                    new Warning(
                        "distorted",
                        "A wave with "
                            + Figures.plain(t.distortion())
                            + " % of distortion is hard on chargers and motors; the public mains"
                            + " may have 8 %.")));
    if (held().isPresent()
        && stalled().filter(s -> s.watts() <= held().get().watts()).isPresent()) {
      all.add(
          new Warning(
              "two_minds",
              "It held "
                  + watts(held().get())
                  + " and gave way at "
                  + watts(stalled().get())
                  + ": warm or cold, or at another fuel level. Try again."));
    }
    if (tries.stream().noneMatch(t -> t.went() == Went.STALLED)) {
      all.add(
          new Warning(
              "not_to_its_end",
              "Nothing made it stall, so the most it gives is not known; what was held is a least."));
    }
    return all;
  }
}
