package org.wiseember.trial.record;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.log.Log;
import org.wiseember.workbook.log.LogMapping;
import org.wiseember.workbook.log.LogPreview;

/**
 * A log another program wrote, taken in as a run.
 *
 * @param of the unit or the appliance it is of
 * @param kind which test, or a watch
 * @param title as shown
 * @param accuracy of its meters, ± % of reading; empty where nobody knows
 * @param fileName it was read from
 */
public record LoggedRun(
    RunOf of, String kind, String title, Optional<Double> accuracy, String fileName) {
  /**
   * Puts it into a workbook and remembers how its columns were read: both or neither.
   *
   * @param now when it began, where the log does not say
   * @return its key
   */
  public long into(
      Workbook workbook, Log log, LogPreview preview, LogMapping mapping, Instant now) {
    long[] id = new long[1];
    workbook.allOrNothing(
        () -> {
          id[0] =
              workbook
                  .runs()
                  .add(
                      new NewRun(
                          of,
                          kind,
                          title,
                          log.startedAt().orElse(now),
                          RunSettings.of(RunSettings.Source.FILE, classes(log))),
                      Run.State.DONE,
                      "Read in from " + fileName + ".",
                      log.trace(),
                      log.warnings().stream()
                          .map(w -> new Event(0, w.code(), w.message()))
                          .toList());
          workbook.importMapping(preview.signature(), mapping.json());
        });
    return id[0];
  }

  private Map<Channel, MeterClass> classes(Log log) {
    return accuracy
        .map(percent -> GivenAccuracy.of(percent, log.trace().channels()))
        .orElse(Map.of());
  }
}
