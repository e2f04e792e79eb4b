package org.wiseember.trial.kind.found;

import org.wiseember.core.solar.tried.SolarTrial;
import org.wiseember.trial.kind.TestRun;

/** A run in which panels were tried in several arrangements. */
public interface PanelsTried extends TestRun {
  /** What each arrangement gave. */
  SolarTrial trial();
}
