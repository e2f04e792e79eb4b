package org.wiseember.trial.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.wiseember.trial.need.Equipment;

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
public record ScheduleStep(
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
    /** What goes on at this moment: a test, or a charge or run-down that was begun. */
    RUNNING,
    TEST,
    CHARGE,
    RUN_DOWN
  }

  /** What it is called. */
  public String words() {
    return switch (kind) {
      case CHARGE, RUN_DOWN -> between();
      case RUNNING, TEST -> wanted.map(Wanted::words).orElseGet(this::between);
    };
  }

  private String between() {
    return (charges() ? "Charge to " : "Run down to ") + Math.round(chargeTo) + " %";
  }

  /** Whether it ends fuller than it begins. */
  public boolean charges() {
    return kind == Kind.CHARGE || chargeTo > chargeFrom;
  }

  /** Whether it is no test but a charge or a run-down between them. */
  public boolean inBetween() {
    return wanted.isEmpty();
  }

  /** Whether another, of a plan laid out anew, is the same thing. */
  public boolean same(ScheduleStep other) {
    return unit == other.unit
        && wanted.map(Wanted::key).equals(other.wanted.map(Wanted::key))
        && (wanted.isPresent() || charges() == other.charges());
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
  public boolean uses(Equipment thing) {
    return wanted.filter(w -> w.needs().uses().contains(thing)).isPresent();
  }
}
