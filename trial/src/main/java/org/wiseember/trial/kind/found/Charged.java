package org.wiseember.trial.kind.found;

import java.util.Optional;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.solar.Harvest;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.onhand.ChargeSetting;

/** A run in which a unit was filled. */
public interface Charged extends TestRun {
  /** What it was charged from. */
  ChargeSetting setting();

  /** What went in. */
  ChargeFinding finding();

  /** Whether it is known to have begun empty, so that its times are those of a whole charge. */
  boolean fromEmpty();

  /** Of panels brought to full light; empty without panels, or without their light. */
  Optional<Harvest> harvest();
}
