package org.wiseember.trial.kind.found;

import java.util.List;
import org.wiseember.core.inspect.Seen;
import org.wiseember.trial.kind.TestRun;

/** A run in which a unit was gone over with eyes and hands. */
public interface Inspected extends TestRun {
  /** Each point somebody looked at. */
  List<Seen> seen();
}
