package org.wiseember.trial.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.wiseember.trial.test.Thing;

/**
 * One thing of a plan.
 *
 * @param unit its key
 * @param unitName as on the shelf
 * @param chargeFrom %
 * @param chargeTo %
 * @param wanted the test; empty for a charge or a run-down in between
 * @param pinned whether somebody chose its time
 */
public record TideStep(
    Kind kind,
    long unit,
    String unitName,
    Instant from,
    Instant to,
    double chargeFrom,
    double chargeTo,
    Optional<Wanted> wanted,
    boolean pinned) {
  /** What it is. */
  public enum Kind {
    /** A test that goes on at this moment. */
    RUNNING,
    TEST,
    CHARGE,
    RUN_DOWN
  }

  /** What it is called. */
  public String words() {
    return switch (kind) {
      case CHARGE -> "Charge to " + Math.round(chargeTo) + " %";
      case RUN_DOWN -> "Run down to " + Math.round(chargeTo) + " %";
      case RUNNING, TEST -> wanted.map(Wanted::words).orElse("Test");
    };
  }

  public Duration lasts() {
    return Duration.between(from, to);
  }

  /** Until when somebody has to be there; its beginning for nobody. */
  public Instant attendedTo() {
    double share = wanted.map(Wanted::attended).orElse(0.0);
    return from.plusMillis(Math.round(share * lasts().toMillis()));
  }

  /** Whether it takes a thing. */
  public boolean uses(Thing thing) {
    return wanted.filter(w -> w.needs().uses().contains(thing)).isPresent();
  }
}
