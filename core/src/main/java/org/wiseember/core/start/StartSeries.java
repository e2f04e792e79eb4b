package org.wiseember.core.start;

import java.util.List;
import java.util.OptionalDouble;
import org.wiseember.core.quantity.Figures;

/**
 * Several tries at starting one motor on one unit.
 *
 * @param motor as the tester calls it
 * @param tries in order of time, at least one
 * @param share by which volt-amperes may be off, of themselves
 */
public record StartSeries(String motor, List<Try> tries, double share) {
  /** A scope's probe and clamp nobody described; common practice, no published source. */
  public static final double USUAL_SHARE = 0.03;

  /** Tries caught by a scope nobody described. */
  public StartSeries(String motor, List<Try> tries) {
    this(motor, tries, USUAL_SHARE);
  }

  /** This many tries say something; one failure is tried once more before it counts. */
  public static final int ENOUGH = 3;

  /**
   * A try.
   *
   * @param outcome how it went
   * @param voltAmperes most it took, VA; NaN where only seen
   * @param peakAmps highest reading, A; NaN where only seen
   * @param leastVolts lowest, V; NaN where only seen
   * @param note what else: beeps, codes, charge of the pack
   */
  public record Try(
      MotorStart.Outcome outcome,
      double voltAmperes,
      double peakAmps,
      double leastVolts,
      String note) {
    /** From a capture. */
    public static Try of(MotorStart start, String note) {
      return new Try(
          start.outcome(), start.mostVoltAmperes(), start.peakAmps(), start.leastVolts(), note);
    }
  }

  public StartSeries {
    tries = List.copyOf(tries);
    if (tries.isEmpty()) {
      throw new IllegalArgumentException("a series has tries");
    }
  }

  /** How many of them started. */
  public Wilson started() {
    int k = (int) tries.stream().filter(StartSeries::went).count();
    return Wilson.of(k, tries.size());
  }

  private static boolean went(Try t) {
    return t.outcome() == MotorStart.Outcome.STARTED;
  }

  /** Whether enough tries were made and none of them started. */
  public boolean neverWent() {
    return tries.size() >= ENOUGH && tries.stream().noneMatch(StartSeries::went);
  }

  /** The most VA it gave in a start that went. */
  public OptionalDouble held() {
    return tries.stream()
        .filter(StartSeries::went)
        .mapToDouble(Try::voltAmperes)
        .filter(v -> !Double.isNaN(v))
        .max();
  }

  /** The least VA at which a start failed. */
  public OptionalDouble failed() {
    return tries.stream()
        .filter(t -> !went(t))
        .mapToDouble(Try::voltAmperes)
        .filter(v -> !Double.isNaN(v))
        .min();
  }

  /** Highest peak, A. */
  public OptionalDouble peakAmps() {
    return tries.stream().mapToDouble(Try::peakAmps).filter(v -> !Double.isNaN(v)).max();
  }

  /** Lowest volts. */
  public OptionalDouble leastVolts() {
    return tries.stream().mapToDouble(Try::leastVolts).filter(v -> !Double.isNaN(v)).min();
  }

  /** What to know of so few tries; empty for nothing. */
  public String watchOut() {
    Wilson w = started();
    if (w.n() == 1 && w.k() == 0) {
      return "One failed start is not a verdict: let it cool and try once more.";
    }
    if (w.k() > 0 && w.k() < w.n()) {
      return "It starts at times: "
          + w.count()
          + ", so between "
          + w.percent()
          + " in the long run. Note charge and warmth of the pack with each try.";
    }
    return w.n() < ENOUGH
        ? "Only " + Figures.plain(w.n()) + (w.n() == 1 ? " try" : " tries") + "; repeat it."
        : "";
  }
}
