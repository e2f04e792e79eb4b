package org.wiseember.trial.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What became otherwise between a plan and the one after it, in sentences. */
public final class ScheduleChanges {
  /** Nobody is told of a test that begins a few minutes later. */
  private static final Duration LITTLE = Duration.ofMinutes(10);

  private static final int MOST = 4;

  private ScheduleChanges() {}

  /** The most telling first; empty where nothing is worth saying. */
  public static List<String> between(Schedule before, Schedule after, ScheduleTimes times) {
    List<String> words = new ArrayList<>();
    for (ScheduleStep old : before.steps()) {
      if (old.wanted().isEmpty()) {
        continue;
      }
      String name = old.words() + " of " + old.unitName();
      Optional<ScheduleStep> now = after.step(old.unit(), old.wanted().get().key());
      if (now.isEmpty() && after.packs().containsKey(old.unit())) {
        words.add(name + " is no longer in the plan.");
      } else if (now.isPresent() && moved(old, now.get())) {
        words.add(
            name
                + " moves from "
                + times.words(old.from())
                + " to "
                + times.words(now.get().from())
                + ".");
      }
    }
    for (ScheduleStep fresh : after.steps()) {
      boolean known =
          fresh.wanted().isEmpty()
              || before.step(fresh.unit(), fresh.wanted().get().key()).isPresent();
      if (!known && before.packs().containsKey(fresh.unit())) {
        words.add(
            fresh.words()
                + " of "
                + fresh.unitName()
                + " is new, at "
                + times.words(fresh.from())
                + ".");
      }
    }
    if (!words.isEmpty() && !before.steps().isEmpty() && !after.steps().isEmpty()) {
      Duration later = Duration.between(before.end(), after.end());
      if (later.abs().compareTo(LITTLE) > 0) {
        words.add(
            0,
            "All is over at "
                + times.words(after.end())
                + ", "
                + ScheduleTimes.words(later.abs())
                + (later.isNegative() ? " earlier." : " later."));
      }
    }
    return words.size() <= MOST
        ? words
        : Stream.concat(
                words.stream().limit(MOST - 1L),
                Stream.of("And " + (words.size() - MOST + 1) + " more that moved."))
            .toList();
  }

  private static boolean moved(ScheduleStep old, ScheduleStep now) {
    return now.kind() == ScheduleStep.Kind.TEST
        && Duration.between(old.from(), now.from()).abs().compareTo(LITTLE) > 0;
  }
}
