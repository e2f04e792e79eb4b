package org.wiseember.workbook;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.runtime.Watch;
import org.wiseember.core.runtime.WatchLog;
import org.wiseember.core.runtime.WatchSheet;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Plausible;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * Appliances that were watched: each is a run of an appliance, with what was read off as typed
 * readings under their seals.
 */
public final class Watches {
  /** Kind of such a run. */
  public static final String KIND = "watch";

  private static final Series NOT_LOGGED = Trace.empty().series(Channel.AC_POWER);

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
   * @param name of the appliance
   * @param watch as it was read off, or as its log has it
   * @param sheet what it comes to
   * @param log what its log tells beyond that; empty for one that was read off
   * @param watts as logged; empty for one that was read off
   */
  public record Kept(
      Run run, String name, Watch watch, WatchSheet sheet, Optional<WatchLog> log, Series watts) {
    /** Key of its run. */
    public long runId() {
      return run.id();
    }
  }

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

  /** One watch; empty where its run cannot be read. */
  public Optional<Kept> read(Run run, String name) {
    try {
      return run.settings().byHand() ? typed(run, name) : Optional.of(logged(run, name));
    } catch (WorkbookException | IllegalArgumentException damaged) {
      // What is wrong with its readings is said where all runs are looked through.
      return Optional.empty();
    }
  }

  private Kept logged(Run run, String name) {
    Trace readings = Plausible.readings(run.settings().corrected(workbook.runs().trace(run)));
    WatchLog log = WatchLog.of(readings);
    MeterClass meter =
        run.settings()
            .meterClass(Channel.AC_POWER)
            .orElseGet(() -> AssumedMeter.of(Channel.AC_POWER.unit()));
    return new Kept(
        run,
        name,
        log.watch(),
        WatchSheet.of(log, meter),
        Optional.of(log),
        readings.series(Channel.AC_POWER));
  }

  private Optional<Kept> typed(Run run, String name) {
    List<StoredReading> typed = workbook.typedReadings().of(run.id());
    return typed.stream()
        .filter(r -> r.meter().equals(COUNTER))
        .findFirst()
        .map(
            c ->
                new Watch(
                    c.seconds(),
                    c.value(),
                    c.resolution(),
                    value(typed, RUNNING, Channel.AC_POWER),
                    value(typed, HIGHEST, Channel.AC_POWER),
                    value(typed, HIGHEST, Channel.APPARENT_POWER),
                    value(typed, AT_START, Channel.APPARENT_POWER)))
        .map(
            watch ->
                new Kept(run, name, watch, WatchSheet.of(watch), Optional.empty(), NOT_LOGGED));
  }

  private static double value(List<StoredReading> typed, String meter, Channel channel) {
    return typed.stream()
        .filter(r -> r.meter().equals(meter) && r.channel() == channel)
        .mapToDouble(StoredReading::value)
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
    RunSubject subject = workbook.runSubjects().named(RunSubject.Kind.APPLIANCE, name);
    Instant began = endedAt.minusSeconds((long) watch.seconds());
    long[] id = new long[1];
    workbook.allOrNothing(
        () -> {
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
          keep(run, watch, COUNTER, Channel.AC_ENERGY, watch.wattHours(), watch.step());
          keep(run, watch, RUNNING, Channel.AC_POWER, watch.runningWatts(), 1);
          keep(run, watch, HIGHEST, Channel.AC_POWER, watch.highestWatts(), 1);
          keep(run, watch, HIGHEST, Channel.APPARENT_POWER, watch.highestVa(), 1);
          keep(run, watch, AT_START, Channel.APPARENT_POWER, watch.startVa(), 1);
          id[0] = run;
        });
    return new Kept(
        workbook.runs().byId(id[0]).orElseThrow(),
        name,
        watch,
        WatchSheet.of(watch),
        Optional.empty(),
        NOT_LOGGED);
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
