package org.wiseember.workbook;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.runtime.Watch;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/**
 * Appliances that were watched: each is a run of an appliance, with what was read off as typed
 * readings under their seals.
 */
public final class Watches {
  /** Kind of such a run. */
  public static final String KIND = "watch";

  private static final String COUNTER = "counter";
  private static final String RUNNING = "running";
  private static final String HIGHEST = "highest";
  private static final String AT_START = "start";

  private final Workbook workbook;

  Watches(Workbook workbook) {
    this.workbook = workbook;
  }

  /**
   * A watch that is kept.
   *
   * @param runId key of its run
   * @param name of the appliance
   */
  public record Kept(long runId, String name, Instant at, Watch watch) {}

  /** Every watch that was not taken away, oldest first; one that cannot be read is left out. */
  public List<Kept> all() {
    List<Kept> all = new ArrayList<>();
    for (RunSubject subject : workbook.runSubjects().all()) {
      if (subject.kind() == RunSubject.Kind.APPLIANCE) {
        for (Run run : workbook.runs().ofSubject(subject.id())) {
          if (run.kind().equals(KIND)) {
            read(run, subject.name()).ifPresent(all::add);
          }
        }
      }
    }
    return all;
  }

  private Optional<Kept> read(Run run, String name) {
    try {
      List<KeptReading> typed = workbook.typedReadings().of(run.id());
      Optional<KeptReading> counter =
          typed.stream().filter(r -> r.meter().equals(COUNTER)).findFirst();
      if (counter.isEmpty()) {
        return Optional.empty();
      }
      KeptReading c = counter.get();
      return Optional.of(
          new Kept(
              run.id(),
              name,
              run.startedAt(),
              new Watch(
                  c.seconds(),
                  c.value(),
                  c.resolution(),
                  value(typed, RUNNING, Channel.AC_POWER),
                  value(typed, HIGHEST, Channel.AC_POWER),
                  value(typed, HIGHEST, Channel.APPARENT_POWER),
                  value(typed, AT_START, Channel.APPARENT_POWER))));
    } catch (WorkbookException | IllegalArgumentException damaged) {
      // What is wrong with its readings is said where all runs are looked through.
      return Optional.empty();
    }
  }

  private static double value(List<KeptReading> typed, String meter, Channel channel) {
    return typed.stream()
        .filter(r -> r.meter().equals(meter) && r.channel() == channel)
        .mapToDouble(KeptReading::value)
        .findFirst()
        .orElse(Double.NaN);
  }

  /**
   * Keeps a watch of an appliance of that name, which is a new one where there is none.
   *
   * @param endedAt when it was read off
   * @return it as it is kept
   */
  public Kept keep(String name, Watch watch, Instant endedAt) {
    RunSubject subject =
        workbook.runSubjects().all().stream()
            .filter(s -> s.kind() == RunSubject.Kind.APPLIANCE && s.name().equals(name))
            .findFirst()
            .orElseGet(() -> workbook.runSubjects().add(RunSubject.Kind.APPLIANCE, name));
    Instant began = endedAt.minusSeconds((long) watch.seconds());
    long run =
        workbook
            .runs()
            .add(
                new NewRun(
                    RunOf.subject(subject.id()),
                    KIND,
                    "Watch of " + name,
                    began,
                    RunSettings.of(RunSettings.Source.BY_HAND, Map.of())),
                Run.State.DONE,
                "",
                Trace.empty(),
                List.of());
    keep(run, watch, RUNNING, Channel.AC_POWER, watch.runningWatts(), 1);
    keep(run, watch, HIGHEST, Channel.AC_POWER, watch.highestWatts(), 1);
    keep(run, watch, HIGHEST, Channel.APPARENT_POWER, watch.highestVa(), 1);
    keep(run, watch, AT_START, Channel.APPARENT_POWER, watch.startVa(), 1);
    // Last: without its counter a watch is none, should the program end in between.
    keep(run, watch, COUNTER, Channel.AC_ENERGY, watch.wattHours(), watch.step());
    return new Kept(run, name, began, watch);
  }

  private void keep(
      long run, Watch watch, String meter, Channel channel, double value, double resolution) {
    if (!Double.isNaN(value)) {
      workbook
          .typedReadings()
          .keep(run, watch.seconds(), meter, channel, value, resolution, String.valueOf(value));
    }
  }
}
