package org.wiseember.core.notes;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.typed.Expected;
import org.wiseember.core.typed.NotebookEntry;
import org.wiseember.core.typed.NotebookReader;
import org.wiseember.core.typed.TypedKind;

/**
 * Notes of one run, understood and put on one clock.
 *
 * <pre>{@code
 * Notes notes = Notes.of(NotesFile.read(text), List.of(TypedKind.TOTAL), Expected.nothing());
 * notes.entries().forEach(e -> System.out.println(e.when() + " " + e.said().echo()));
 * }</pre>
 *
 * @param head what was told of the whole run
 * @param began when the run's clock shows 0, by the wall clock; empty where no date was given
 * @param zero time of the day at which the run's clock shows 0, s since midnight; empty where no
 *     time of day was noted, {@code began} is a midday then
 * @param entries in order
 * @param warnings what a reader of the figures has to know, each with its line
 */
public record Notes(
    Map<NotesKey, NotesFile.Value> head,
    Optional<LocalDateTime> began,
    OptionalDouble zero,
    List<NotedEntry> entries,
    List<Warning> warnings) {
  /** What was read lies this near the second it was written at; common practice, no source, s. */
  private static final double READING_SECONDS = 2;

  /** A press lies this near it, s. */
  private static final double PRESS_SECONDS = 0.3;

  private static final int LOOKED_AT = 60;

  public Notes {
    head = Map.copyOf(head);
    entries = List.copyOf(entries);
    warnings = List.copyOf(warnings);
  }

  /**
   * Understands a file.
   *
   * @param wanted what the test asks for, the likeliest first
   * @param expected what is known of the unit
   * @throws NotesUnreadable where its lines contradict one another
   */
  public static Notes of(NotesFile file, List<TypedKind> wanted, Expected expected)
      throws NotesUnreadable {
    NotebookReader reader =
        new NotebookReader(wanted, expected, LocalDateTime.of(2000, 1, 1, 0, 0), 0);
    Optional<LocalDate> first = date(file);
    List<Timeline.Entry> written = new ArrayList<>();
    List<NotebookEntry> said = new ArrayList<>();
    for (NotesFile.Line line : file.entries()) {
      WrittenMoment moment = WrittenMoment.of(line.text());
      NotebookEntry entry = reader.understand(moment.rest());
      double hand =
          !moment.instant() ? 0 : entry.readings().isEmpty() ? PRESS_SECONDS : READING_SECONDS;
      int day =
          line.day().flatMap(d -> first.map(f -> (int) ChronoUnit.DAYS.between(f, d))).orElse(-1);
      written.add(new Timeline.Entry(line.number(), moment, hand, day));
      said.add(entry);
    }
    Timeline.Resolved resolved = Timeline.of(written);
    List<NotedEntry> entries = new ArrayList<>();
    List<Warning> warnings = new ArrayList<>();
    for (int i = 0; i < said.size(); i++) {
      NotesFile.Line line = file.entries().get(i);
      NotedEntry entry =
          new NotedEntry(line.number(), line.text(), resolved.moments().get(i), said.get(i));
      entries.add(entry);
      if (entry.isNotUnderstood()) {
        warnings.add(
            new Warning(
                "not_understood",
                "Line "
                    + line.number()
                    + ": nothing of “"
                    + NotesFile.shown(line.text())
                    + "” was understood; it is kept as a note and counts for nothing."));
      }
    }
    resolved
        .nextDays()
        .forEach(
            line ->
                warnings.add(
                    new Warning(
                        "next_day",
                        "Line "
                            + line
                            + ": its time of day is before that of a line above it, so it is taken"
                            + " as the next day's.")));
    boolean timed = !Double.isNaN(resolved.zero());
    return new Notes(
        file.head(),
        first.map(
            d ->
                timed
                    ? d.atStartOfDay().plusNanos((long) (resolved.zero() * 1e9))
                    : d.atTime(LocalTime.NOON)),
        timed ? OptionalDouble.of(resolved.zero()) : OptionalDouble.empty(),
        entries,
        warnings);
  }

  /**
   * Whether somebody wrote this, and no meter: lines with units, or of what happened. In a table of
   * a meter's numbers the units stand above.
   */
  public static boolean areLikely(NotesFile file) {
    NotebookReader reader =
        new NotebookReader(List.of(), Expected.nothing(), LocalDateTime.of(2000, 1, 1, 0, 0), 0);
    List<NotesFile.Line> first = file.entries().stream().limit(LOOKED_AT).toList();
    long told =
        first.stream()
            .map(l -> reader.understand(WrittenMoment.of(l.text()).rest()))
            .filter(e -> !e.readings().isEmpty() || e.press().isPresent())
            .count();
    return 3 * told >= first.size();
  }

  /** The first date that stands anywhere. */
  private static Optional<LocalDate> date(NotesFile file) {
    return Optional.ofNullable(file.head().get(NotesKey.DATE))
        .flatMap(v -> NotesFile.date(v.text()))
        .or(() -> file.entries().stream().flatMap(l -> l.day().stream()).findFirst());
  }
}
