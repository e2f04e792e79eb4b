package org.wiseember.core.notes;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Notes as they stand in a file: what its head tells of the whole run, and its entries, not yet
 * understood.
 *
 * @param head by key
 * @param entries in their order
 */
public record NotesFile(Map<NotesKey, Value> head, List<Line> entries) {
  /** Notes of one run come nowhere near it, bytes or characters. */
  public static final int MOST_BYTES = 1 << 20;

  /** Said of more. */
  public static final String TOO_LARGE = "The notes are larger than 1 MB. Give one run at a time.";

  private static final Pattern HEAD =
      Pattern.compile(
          "(?<key>[A-Za-z][A-Za-z_-]{0,30}(?: [A-Za-z]{1,20})?)\\s*:(?:\\s+(?<value>.*)|\\s*)");

  /** Such a word begins an entry, whatever stands behind it. */
  private static final Pattern SHOWN =
      Pattern.compile("(?:the )?(?:display|screen)\\b.*", Pattern.CASE_INSENSITIVE);

  public NotesFile {
    head = Map.copyOf(head);
    entries = List.copyOf(entries);
  }

  /**
   * What a key says.
   *
   * @param line it stands on
   */
  public record Value(int line, String text) {}

  /**
   * An entry.
   *
   * @param number of its line, from 1
   * @param text as written, without blanks around it
   * @param day it is of, where a date stood above it that no entry before has; else empty
   */
  public record Line(int number, String text, Optional<LocalDate> day) {}

  /** The same where something was told beside the text; what stands in the text outweighs it. */
  public NotesFile told(NotesKey key, String value) {
    Map<NotesKey, Value> more = new EnumMap<>(NotesKey.class);
    more.put(key, new Value(0, value.strip()));
    more.putAll(head);
    return value.isBlank() ? this : new NotesFile(more, entries);
  }

  /**
   * Reads text.
   *
   * @throws NotesUnreadable where its head says what it cannot, or there is nothing in it
   */
  public static NotesFile read(String text) throws NotesUnreadable {
    if (text.length() > MOST_BYTES) {
      throw NotesUnreadable.text(TOO_LARGE);
    }
    if (text.indexOf('\0') >= 0) {
      throw NotesUnreadable.text("The notes hold a NUL and are no text. Save them as UTF-8 text.");
    }
    Reading reading = new Reading();
    String[] lines = (text.startsWith("\ufeff") ? text.substring(1) : text).split("\\R", -1);
    for (int i = 0; i < lines.length; i++) {
      reading.take(i + 1, lines[i].strip());
    }
    if (reading.entries.isEmpty()) {
      throw NotesUnreadable.text("The notes hold no entry. Write a line for each thing you saw.");
    }
    return new NotesFile(reading.head, reading.entries);
  }

  private static final class Reading {
    private final Map<NotesKey, Value> head = new EnumMap<>(NotesKey.class);
    private final List<Line> entries = new ArrayList<>();
    private Optional<LocalDate> day = Optional.empty();
    private LocalDate latest = LocalDate.MIN;

    void take(int number, String line) throws NotesUnreadable {
      if (line.isEmpty() || line.startsWith("#")) {
        return;
      }
      Matcher m = HEAD.matcher(line);
      if (m.matches() && !SHOWN.matcher(line).matches() && head(number, m)) {
        return;
      }
      entries.add(new Line(number, line, day));
      day = Optional.empty();
    }

    /** Whether the line belongs to the head; behind the first entry a name may stand like a key. */
    private boolean head(int number, Matcher m) throws NotesUnreadable {
      String written = m.group("key");
      Optional<NotesKey> key = NotesKey.of(written.replace(' ', '-'));
      String value = m.group("value") == null ? "" : m.group("value").strip();
      if (key.isEmpty()) {
        if (!entries.isEmpty()) {
          return false;
        }
        throw NotesUnreadable.header(
            number, "“" + written + "” is no key of notes. Keys: " + NotesKey.all() + ".");
      }
      if (key.get() == NotesKey.DATE) {
        date(number, value);
      } else if (!entries.isEmpty()) {
        throw NotesUnreadable.header(
            number,
            "“" + key.get().key() + ":” stands behind an entry. Put it above the first one.");
      }
      if (entries.isEmpty() && head.put(key.get(), new Value(number, value)) != null) {
        throw NotesUnreadable.header(
            number, "“" + key.get().key() + ":” stands twice. Leave one of them.");
      }
      return true;
    }

    private void date(int number, String value) throws NotesUnreadable {
      LocalDate date =
          NotesFile.date(value)
              .orElseThrow(
                  () ->
                      NotesUnreadable.header(
                          number, "“" + shown(value) + "” is no date. Write it as 2026-11-30."));
      if (date.isBefore(latest)) {
        throw NotesUnreadable.header(
            number,
            "the date goes back from "
                + latest
                + " to "
                + date
                + ". Lines stand in the order things happened.");
      }
      latest = date;
      day = Optional.of(date);
    }
  }

  /** A day as ISO 8601 has it; empty where it is none. */
  public static Optional<LocalDate> date(String text) {
    try {
      return Optional.of(LocalDate.parse(text.strip()));
    } catch (DateTimeParseException none) {
      return Optional.empty();
    }
  }

  static String shown(String text) {
    String plain = text.replaceAll("\\p{Cntrl}", "?");
    return plain.length() > 60 ? plain.substring(0, 60) + "…" : plain;
  }
}
