package org.wiseember.core.notes;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** What the head of notes may tell of the whole run. */
public enum NotesKey {
  /** The day of what follows, ISO 8601; it may also stand between entries. */
  DATE,
  /** Class of the meter that read, {@code 1 % + 2 digits}. */
  METER,
  /** The same of the one on the DC side. */
  DC_METER,
  /** The load that was meant, W. */
  LOAD,
  /** Charge at the start: {@code full}, {@code empty} or %. */
  FROM,
  SOURCE,
  TESTER,
  /** From the sound meter to the unit, m. */
  DISTANCE,
  PANEL,
  NOTE;

  /** As it is written. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  static Optional<NotesKey> of(String written) {
    return Arrays.stream(values()).filter(k -> k.key().equalsIgnoreCase(written)).findFirst();
  }

  static String all() {
    return Arrays.stream(values()).map(NotesKey::key).collect(Collectors.joining(", "));
  }
}
