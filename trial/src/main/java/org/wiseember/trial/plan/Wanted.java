package org.wiseember.trial.plan;

import java.util.List;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.need.Needs;

/**
 * A test a unit's plan holds.
 *
 * @param settles claims it would answer, in words; empty for one that was only added by hand
 * @param again whether it was made before and came too close to call
 */
public record Wanted(TestPlan plan, Needs needs, List<String> settles, boolean again) {
  public Wanted {
    settles = List.copyOf(settles);
  }

  /** The key of the test, by which it is chosen and pinned. */
  public String key() {
    return plan.type().key();
  }

  public String words() {
    return plan.title();
  }

  /** Hours somebody has to be there. */
  public double attendedHours() {
    return needs.hours() * attended();
  }

  /** Share of it that somebody has to be there: all of what can hurt or is made by hand alone. */
  public double attended() {
    return plan.type().is(Trait.HAZARDOUS) || plan.byHandOnly() ? 1 : needs.attended();
  }

  /** What it is for, one sentence. */
  public String because() {
    return settles.isEmpty()
        ? "Added by hand; no claim on the label waits for it."
        : (again ? "Too close to call so far, so made again: " : "Settles ")
            + String.join(", ", settles)
            + ".";
  }
}
