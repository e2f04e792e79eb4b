package org.wiseember.core.verdict;

import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Direction;
import org.wiseember.core.quantity.Figures;

/**
 * A claim held against what was measured.
 *
 * <p>Decision rule: guard band w = U at 95 %, so that both "kept" and "short" are said only when
 * the whole interval is on one side (JCGM 106:2012 and ISO 14253-1, recalled from memory). With the
 * guard band off it is a plain comparison.
 *
 * @param claim the promise
 * @param measured the very figure that was judged, in the unit of the claim, where the claim has
 *     one; empty when nothing was found
 * @param standing the outcome
 * @param seam where the figure lies against its own label; empty when nothing was found
 * @param reason one sentence: why this outcome
 * @param guarded whether the guard band was on
 */
public record Verdict(
    Claim claim,
    Optional<Figure> measured,
    Standing standing,
    Optional<ClaimScalePosition> seam,
    String reason,
    boolean guarded) {
  public Verdict {
    Objects.requireNonNull(claim);
    Objects.requireNonNull(standing);
  }

  /** The same, its figure with another line under its sum where that does not stand there yet. */
  public Verdict explained(String line) {
    return new Verdict(
        claim,
        measured.map(
            f -> f.because().workedOut().contains(line) ? f : f.because(f.because().working(line))),
        standing,
        seam,
        reason,
        guarded);
  }

  /** A claim nobody has tested. */
  public static Verdict notTested(Claim claim) {
    return new Verdict(
        claim, Optional.empty(), Standing.NOT_TESTED, Optional.empty(), "No run tests this.", true);
  }

  /**
   * A claim the rig could not reach.
   *
   * @param why what stopped the rig, one sentence
   */
  public static Verdict rigCannotShow(Claim claim, String why) {
    return new Verdict(
        claim, Optional.empty(), Standing.RIG_CANNOT_SHOW, Optional.empty(), why, true);
  }

  /**
   * A claim the rig could not reach, though something was read.
   *
   * @param read how far it went, in a unit of the claim's quantity
   * @param why what stopped the rig, one sentence
   */
  public static Verdict rigCannotShow(Claim claim, Figure read, String why) {
    Figure figure = read.in(claim.unit());
    return new Verdict(
        claim,
        Optional.of(figure),
        Standing.RIG_CANNOT_SHOW,
        Optional.of(ClaimScalePosition.of(claim, figure.estimate())),
        why,
        true);
  }

  /**
   * Judges a measured figure. One that is only a bound keeps or breaks a claim where every value it
   * allows does; else it is the rig that cannot show it. That holds by the end of its interval also
   * with the guard band off: how far one went is part of the test and not of the comparison. Where
   * the label prints no tolerance and the usual one is assumed, nothing is short of it.
   *
   * @param claim a claim with a limit; one that only states a fact cannot be judged
   * @param found in a unit of the claim's quantity
   * @param guardBand whether to keep the uncertainty clear of the limit
   * @throws IllegalArgumentException for a claim without a limit
   */
  public static Verdict judge(Claim claim, Figure found, boolean guardBand) {
    if (claim.direction() == Direction.STATED) {
      throw new IllegalArgumentException(claim.subject() + " states a fact, it has no limit");
    }
    Figure measured = found.in(claim.unit());
    double w = guardBand ? measured.u95() : 0;
    double margin = margin(claim, measured.value());
    if (measured.bound() != Bound.EXACT) {
      return bounded(claim, measured, guardBand);
    }
    Standing standing =
        margin >= w ? Standing.KEPT : margin <= -w || w == 0 ? Standing.SHORT : Standing.TOO_CLOSE;
    OptionalDouble assumed = claim.condition(Condition.Kind.ASSUMED_TOLERANCE);
    if (assumed.isPresent() && standing == Standing.SHORT) {
      return decided(
          claim,
          measured,
          Standing.TOO_CLOSE,
          "It lies outside ± "
              + Figures.plain(assumed.getAsDouble())
              + " %, which is usual and not promised: the label prints no tolerance, so it breaks"
              + " none.",
          guardBand);
    }
    return new Verdict(
        claim,
        Optional.of(measured),
        standing,
        Optional.of(ClaimScalePosition.of(claim, measured.estimate())),
        reason(claim, measured, standing, margin, guardBand),
        guardBand);
  }

  private static Verdict bounded(Claim claim, Figure bound, boolean guardBand) {
    boolean least = bound.bound() == Bound.AT_LEAST;
    // The end of the interval nearer to what the bound leaves open.
    double sure = least ? bound.low() : bound.high();
    boolean aboveLow = Double.isNaN(claim.low()) || sure >= claim.low();
    boolean belowHigh = Double.isNaN(claim.high()) || sure <= claim.high();
    boolean kept =
        switch (claim.direction()) {
          case AT_LEAST -> least && aboveLow;
          case AT_MOST -> !least && belowHigh;
          default -> false;
        };
    boolean broken =
        least
            ? !Double.isNaN(claim.high()) && sure > claim.high()
            : !Double.isNaN(claim.low()) && sure < claim.low();
    broken &= claim.condition(Condition.Kind.ASSUMED_TOLERANCE).isEmpty();
    String said = bound.words();
    if (!kept && !broken) {
      return rigCannotShow(
          claim, bound, "It is " + said + ", as far as this test went; going further would tell.");
    }
    return decided(
        claim,
        bound,
        kept ? Standing.KEPT : Standing.SHORT,
        "It is "
            + said
            + ": the least favourable of that "
            + (kept ? "keeps" : "breaks")
            + " the label too.",
        guardBand);
  }

  /**
   * A claim whose standing several tries have decided, where one figure against the limit would say
   * too little: held longer than promised, or tripped under less than promised.
   *
   * @param found the figure to show, in a unit of the claim's quantity
   * @param reason one sentence
   */
  public static Verdict decided(
      Claim claim, Figure found, Standing standing, String reason, boolean guardBand) {
    Figure measured = found.in(claim.unit());
    return new Verdict(
        claim,
        Optional.of(measured),
        standing,
        Optional.of(ClaimScalePosition.of(claim, measured.estimate())),
        reason,
        guardBand);
  }

  /**
   * A claim that is a word, held against what was seen.
   *
   * @param seen the figure it was told by
   * @param reason one sentence
   */
  public static Verdict seen(Claim claim, Figure seen, Standing standing, String reason) {
    return new Verdict(claim, Optional.of(seen), standing, Optional.empty(), reason, true);
  }

  /** The same with a sentence after its reason. */
  public Verdict and(String after) {
    return new Verdict(claim, measured, standing, seam, reason + " " + after, guarded);
  }

  /** The same with a sentence ahead of its reason: where the figure comes from. */
  public Verdict because(String ahead) {
    return new Verdict(claim, measured, standing, seam, ahead + " " + reason, guarded);
  }

  /** How far on the good side of the nearer limit a value is; negative on the bad side. */
  static double margin(Claim claim, double value) {
    return switch (claim.direction()) {
      case AT_LEAST -> value - claim.low();
      case AT_MOST -> claim.high() - value;
      case BAND -> Math.min(value - claim.low(), claim.high() - value);
      case STATED -> Double.NaN;
    };
  }

  private static String reason(
      Claim claim, Figure measured, Standing standing, double margin, boolean guarded) {
    double u95 = measured.u95();
    String away =
        Figures.withUnit(
            u95 > 0 ? Figures.rounded(Math.abs(margin), u95) : Figures.plain(Math.abs(margin)),
            claim.unit());
    boolean band = claim.direction() == Direction.BAND;
    String side =
        band ? margin >= 0 ? "inside" : "outside" : margin >= 0 ? "better than" : "worse than";
    String what = band ? " the nearer limit of its label" : " its label";
    String sure = Figures.withUnit("± " + Figures.rounded(u95, u95), claim.unit());
    if (!guarded) {
      return "It is " + away + " " + side + what + ". Plain comparison: the guard band is off.";
    }
    return switch (standing) {
      case KEPT, SHORT ->
          "It is " + away + " " + side + what + ", and the measurement is sure to " + sure + ".";
      case TOO_CLOSE ->
          "It is "
              + away
              + " "
              + side
              + what
              + ", closer than the measurement is sure ("
              + sure
              + "). "
              + settle(measured, margin);
      default -> "";
    };
  }

  /**
   * What would settle a call that is too close: more repeats where the repeating is most of it,
   * else a better meter.
   */
  private static String settle(Figure measured, double margin) {
    double needed = Math.abs(margin) / measured.u95();
    if (needed < 0.1) {
      return "Nothing within reach will settle it: the unit sits on its label.";
    }
    OptionalInt more = Repeats.toReach(measured, Math.abs(margin));
    if (more.isPresent()) {
      return more.getAsInt() == 1
          ? "One more run like it would settle it."
          : more.getAsInt() + " more runs like it would settle it.";
    }
    return "A meter "
        + Figures.plain(Math.ceil(10 / needed) / 10)
        + " times as accurate would settle it.";
  }
}
