package org.wiseember.trial.kind.found;

import java.util.Map;
import org.wiseember.core.supply.Alive;
import org.wiseember.core.trace.Channel;
import org.wiseember.trial.kind.TestRun;

/** A run in which somebody looked what stays on while a unit charges. */
public interface StayedOn extends TestRun {
  /** The outputs somebody looked at. */
  Map<Channel, Alive> alive();
}
