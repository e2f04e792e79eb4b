package org.wiseember.trial.kind.found;

import org.wiseember.core.efficiency.EfficiencyFinding;
import org.wiseember.trial.kind.TestRun;

/** A run in which the conversion efficiency was read over several loads. */
public interface Laddered extends TestRun {
  /** What each load told. */
  EfficiencyFinding finding();
}
