package org.wiseember.desktop.model;

import org.wiseember.core.notes.NotesFile;
import org.wiseember.core.notes.NotesKey;
import org.wiseember.core.notes.NotesUnreadable;
import org.wiseember.trial.kind.TestType;

/**
 * Notes of a test that was made earlier, while they are written down.
 *
 * @param type which test it was
 * @param day it was made on, as typed; blank where nobody knows
 * @param meter how good its meter was, as typed; blank where nobody knows
 * @param load that was meant, as typed; blank for none
 * @param from how full the unit was, {@code full}, {@code empty} or %; blank where nobody knows
 * @param text a line for each thing that was seen
 */
public record NotesDraft(
    TestType type, String day, String meter, String load, String from, String text) {
  static NotesDraft of(TestType type) {
    return new NotesDraft(type, "", "", "", "", "");
  }

  public NotesDraft with(TestType other) {
    return new NotesDraft(other, day, meter, load, from, text);
  }

  /** The same with other notes. */
  public NotesDraft text(String other) {
    return new NotesDraft(type, day, meter, load, from, other);
  }

  NotesFile file() throws NotesUnreadable {
    if (!day.isBlank() && NotesFile.date(day).isEmpty()) {
      throw NotesUnreadable.header(
          0, "“" + day.strip() + "” is no day. Write it as 2026-11-30, or leave it empty.");
    }
    return NotesFile.read(text)
        .told(NotesKey.DATE, day)
        .told(NotesKey.METER, meter)
        .told(NotesKey.LOAD, load)
        .told(NotesKey.FROM, from);
  }
}
