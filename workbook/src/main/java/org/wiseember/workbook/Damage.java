package org.wiseember.workbook;

import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The runs of an open workbook whose readings are no longer as they were written. Found when they
 * are read, or when {@link Runs#check} looks through them. Safe for several threads.
 */
public final class Damage {
  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("d MMMM uuuu HH:mm 'UTC'", Locale.ROOT).withZone(ZoneOffset.UTC);

  private final Map<Long, String> sentences = new ConcurrentHashMap<>();

  /** What is wrong with a run, one sentence; empty while nothing is known to be. */
  public Optional<String> of(long runId) {
    return Optional.ofNullable(sentences.get(runId));
  }

  WorkbookException found(Run run, String what) {
    String sentence =
        run.title()
            + " of "
            + MOMENT.format(run.startedAt())
            + ": "
            + what
            + ". The run judges nothing; a backup of the workbook may still have it whole.";
    sentences.put(run.id(), sentence);
    return new WorkbookException(sentence);
  }
}
