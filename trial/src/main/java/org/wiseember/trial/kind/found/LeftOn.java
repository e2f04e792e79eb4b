package org.wiseember.trial.kind.found;

import org.wiseember.trial.kind.TestRun;

/** A run in which a small load was left on. */
public interface LeftOn extends TestRun {
  /** How often the output was found on. */
  int looks();

  /** Whether it was found off. */
  boolean wentOff();

  /** How it went, one sentence. */
  String words();
}
