package org.wiseember.trial.kind;

import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Procedure;

/** A test with the settings it will be, or was, made with. */
public record TestPlan(TestType type, TestSettings settings) {
  public String title() {
    return settings.title();
  }

  /** Why it is set up so, one sentence. */
  public String reason() {
    return settings.reason();
  }

  /** The heaviest load. */
  public double watts() {
    return settings.watts();
  }

  public double volts() {
    return settings.volts();
  }

  /** Whether it is made by hand whatever stands on the bench. */
  public boolean byHandOnly() {
    return type.is(Trait.BY_HAND_ONLY) || settings.procedure() instanceof ByHand;
  }

  /** The test itself. */
  public Procedure procedure() {
    return settings.procedure();
  }
}
