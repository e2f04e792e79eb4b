package org.wiseember.trial;

import java.util.OptionalDouble;
import org.wiseember.core.start.Answer;
import org.wiseember.core.start.Nameplate;
import org.wiseember.core.start.StartPower;

/**
 * What all starts of a unit show.
 *
 * @param held the most VA it gave in a start that went
 * @param failed the least VA at which one failed
 */
public record StartLimits(OptionalDouble held, OptionalDouble failed) {
  /** Whether the unit starts a motor. */
  public Answer start(Nameplate motor) {
    return Answer.of(StartPower.of(motor), held, failed);
  }
}
