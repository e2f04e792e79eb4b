package org.wiseember.trial.kind.found;

import org.wiseember.core.overload.OverloadFinding;
import org.wiseember.trial.kind.TestRun;

/** A run in which heavy loads were held until they tripped it or their time was over. */
public interface Overloaded extends TestRun {
  /** Every load that was held. */
  OverloadFinding finding();
}
