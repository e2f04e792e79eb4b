package org.wiseember.trial.kind.found;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.start.MotorStart;
import org.wiseember.core.start.Nameplate;
import org.wiseember.core.start.StartSeries;
import org.wiseember.trial.kind.TestRun;

/** A run in which a motor was started several times. */
public interface MotorsStarted extends TestRun {
  /** The plate of the motor; empty where nobody kept it. */
  Optional<Nameplate> motor();

  /** Its tries; empty where nobody saw one. */
  Optional<StartSeries> series();

  /** The starts a scope caught. */
  List<MotorStart> caught();
}
