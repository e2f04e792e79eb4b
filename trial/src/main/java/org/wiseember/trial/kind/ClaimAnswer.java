package org.wiseember.trial.kind;

import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;

/**
 * What a run says to a claim, before the guard band is applied.
 *
 * @param title the claim and how it was looked at, {@code AC energy at 598 W}
 * @param claim what is held against it
 * @param runId the run it rests on
 */
public record ClaimAnswer(String title, Claim claim, long runId, Judge judge) {
  /** Holds the answer against its claim. */
  @FunctionalInterface
  public interface Judge {
    Verdict verdict(boolean guardBand);
  }

  /** A figure against the claim. */
  public static ClaimAnswer of(String title, Claim claim, TestRun run, Figure figure) {
    return new ClaimAnswer(
        title, claim, run.run().id(), guard -> Verdict.judge(claim, figure, guard));
  }

  /** A standing that several tries have decided, with the figure to show. */
  public static ClaimAnswer decided(
      String title, Claim claim, TestRun run, Figure figure, Standing standing, String reason) {
    return new ClaimAnswer(
        title,
        claim,
        run.run().id(),
        guard -> Verdict.decided(claim, figure, standing, reason, guard));
  }

  /** The rig stopped before the claim, having read something. */
  public static ClaimAnswer rigCannotShow(
      String title, Claim claim, TestRun run, Figure figure, String why) {
    return new ClaimAnswer(
        title, claim, run.run().id(), guard -> Verdict.rigCannotShow(claim, figure, why));
  }

  /** The rig stopped before anything was read of the claim. */
  public static ClaimAnswer rigCannotShow(String title, Claim claim, TestRun run, String why) {
    return new ClaimAnswer(
        title, claim, run.run().id(), guard -> Verdict.rigCannotShow(claim, why));
  }

  /** Whether another test's answer is to be preferred, since this one only says why it is none. */
  public boolean open() {
    Standing standing = judge.verdict(true).standing();
    return standing == Standing.RIG_CANNOT_SHOW || standing == Standing.NOT_TESTED;
  }
}
