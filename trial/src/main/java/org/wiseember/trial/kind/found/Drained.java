package org.wiseember.trial.kind.found;

import java.util.OptionalDouble;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.trial.kind.TestRun;

/** A run in which a unit was emptied. */
public interface Drained extends TestRun {
  /** What came out. */
  CapacityFinding finding();

  /** Whether it went from full to the cut-off, so that the figure is the unit's. */
  boolean complete();

  /** What its display showed when it began or the tester said, %; empty where nobody knows. */
  OptionalDouble startCharge();

  /** Whether it was taken on the DC side. */
  boolean direct();

  /** Mean watts under load; 0 where there are none. */
  double meanWatts();
}
