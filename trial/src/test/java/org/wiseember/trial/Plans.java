package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.core.label.Label;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.drain.DrainSettings;
import org.wiseember.trial.onhand.OnHand;

/** Plans as tests ask for them. */
final class Plans {
  private Plans() {}

  /** An AC drain at 230 V. */
  static TestPlan acDrain(double watts) {
    return DrainSettings.alternating(watts, 230, "");
  }

  /** The AC drain a label asks for. */
  static Optional<TestPlan> acDrain(Label label) {
    return of(Drain.AC, label, OnHand.of(List.of()));
  }

  static Optional<TestPlan> of(String key, Label label, OnHand onHand) {
    return AllTests.plan(AllTests.of(key), label, onHand);
  }
}
