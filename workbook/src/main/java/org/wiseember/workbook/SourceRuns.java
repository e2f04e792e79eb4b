package org.wiseember.workbook;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.wiseember.core.supply.SourceTries;
import org.wiseember.core.supply.SourceTries.Try;
import org.wiseember.core.supply.SourceTries.Went;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/**
 * The mains and generators that were tried by themselves: each is a run of that source, every load
 * a line of typed readings under their seals, a minute apart.
 */
public final class SourceRuns {
  /** Kind of such a run. */
  public static final String KIND = "source";

  private static final double MINUTE = 60;

  private final Workbook workbook;

  SourceRuns(Workbook workbook) {
    this.workbook = workbook;
  }

  /**
   * Tries of a source that are kept.
   *
   * @param source the mains or a generator
   */
  public record Kept(Run run, RunSubject source, SourceTries tries) {}

  /** The tries of a run; empty where it cannot be read. */
  public Optional<Kept> read(Run run, RunSubject source) {
    try {
      List<Try> tries = new ArrayList<>();
      Map<Double, List<StoredReading>> lines = new TreeMap<>();
      for (StoredReading r : workbook.typedReadings().of(run.id())) {
        lines.computeIfAbsent(r.seconds(), s -> new ArrayList<>()).add(r);
      }
      for (List<StoredReading> line : lines.values()) {
        tries.add(
            new Try(
                value(line, Channel.AC_POWER),
                value(line, Channel.AC_VOLTAGE),
                value(line, Channel.FREQUENCY),
                value(line, Channel.DISTORTION),
                went(line)));
      }
      double volts = run.settings().volts();
      return Optional.of(
          new Kept(run, source, new SourceTries(volts > 0 ? volts : Double.NaN, tries)));
    } catch (WorkbookException | IllegalArgumentException damaged) {
      // What is wrong with its readings is said where all runs are looked through.
      return Optional.empty();
    }
  }

  private static double value(List<StoredReading> line, Channel channel) {
    return line.stream()
        .filter(r -> r.channel() == channel)
        .mapToDouble(StoredReading::value)
        .findFirst()
        .orElse(Double.NaN);
  }

  /** How it went stands where the meter of the watts is named. */
  private static Went went(List<StoredReading> line) {
    for (Went went : Went.values()) {
      if (line.stream()
          .anyMatch(r -> r.channel() == Channel.AC_POWER && r.meter().equals(went.key()))) {
        return went;
      }
    }
    return Went.NOT_SAID;
  }

  /**
   * Keeps tries of a source of that name, which is a new one where there is none.
   *
   * @param kind mains or generator
   * @return it as it is kept
   */
  public Kept keep(RunSubject.Kind kind, String name, SourceTries tries, Instant at) {
    RunSubject source = workbook.runSubjects().named(kind, name);
    long[] id = new long[1];
    workbook.allOrNothing(
        () -> {
          id[0] =
              workbook
                  .runs()
                  .add(
                      new NewRun(
                          RunOf.subject(source.id()),
                          KIND,
                          name + " by itself",
                          at,
                          RunSettings.of(RunSettings.Source.BY_HAND, Map.of())
                              .at(tries.nominalVolts())),
                      Run.State.DONE,
                      "",
                      Trace.empty(),
                      List.of());
          for (int i = 0; i < tries.tries().size(); i++) {
            keep(id[0], i * MINUTE, tries.tries().get(i));
          }
        });
    return new Kept(workbook.runs().byId(id[0]).orElseThrow(), source, tries);
  }

  private void keep(long run, double seconds, Try t) {
    keep(run, seconds, t.went().key(), Channel.AC_POWER, t.watts());
    keep(run, seconds, "", Channel.AC_VOLTAGE, t.volts());
    keep(run, seconds, "", Channel.FREQUENCY, t.hertz());
    keep(run, seconds, "", Channel.DISTORTION, t.distortion());
  }

  private void keep(long run, double seconds, String meter, Channel channel, double value) {
    if (!Double.isNaN(value)) {
      workbook.typedReadings().keep(run, seconds, meter, channel, value, 0, String.valueOf(value));
    }
  }
}
