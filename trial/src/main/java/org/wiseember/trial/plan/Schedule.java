package org.wiseember.trial.plan;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What comes when, for the units of a campaign, from now on.
 *
 * @param now whole minutes
 * @param steps in order of time
 * @param packs how full each unit is now, by its key, in the order of the page
 * @param proposals what each unit's claims want, by its key
 * @param names of the units, by their key
 * @param proven whether nothing shorter exists, with no fewer charges
 * @param said what could not be kept, a sentence each
 */
public record Schedule(
    Instant now,
    List<ScheduleStep> steps,
    Map<Long, PackState> packs,
    Map<Long, Proposal> proposals,
    Map<Long, String> names,
    boolean proven,
    List<String> said) {
  public Schedule {
    steps = steps.stream().sorted(Comparator.comparing(ScheduleStep::from)).toList();
    said = List.copyOf(said);
  }

  /** When the last of it is over; now where there is nothing to do. */
  public Instant end() {
    return steps.stream().map(ScheduleStep::to).max(Comparator.naturalOrder()).orElse(now);
  }

  /** What a unit does next that has not begun. */
  public Optional<ScheduleStep> next(long unit) {
    return steps.stream()
        .filter(s -> s.unit() == unit && s.kind() != ScheduleStep.Kind.RUNNING)
        .findFirst();
  }

  /** The next test of a unit that has not begun. */
  public Optional<ScheduleStep> nextTest(long unit) {
    return steps.stream()
        .filter(s -> s.unit() == unit && s.kind() == ScheduleStep.Kind.TEST)
        .findFirst();
  }

  /** The next thing somebody has to begin. */
  public Optional<ScheduleStep> next() {
    return steps.stream().filter(s -> s.kind() != ScheduleStep.Kind.RUNNING).findFirst();
  }

  /** The step of a test. */
  public Optional<ScheduleStep> step(long unit, String test) {
    return steps.stream()
        .filter(s -> s.unit() == unit && s.wanted().filter(w -> w.key().equals(test)).isPresent())
        .findFirst();
  }

  /** Charges that are put in between. */
  public long charges() {
    return steps.stream().filter(s -> s.kind() == ScheduleStep.Kind.CHARGE).count();
  }

  /** Tests that are still to be made. */
  public long tests() {
    return steps.stream().filter(s -> s.kind() == ScheduleStep.Kind.TEST).count();
  }
}
