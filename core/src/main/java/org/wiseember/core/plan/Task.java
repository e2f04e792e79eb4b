package org.wiseember.core.plan;

import java.util.List;

/**
 * A test somebody wants made.
 *
 * @param id as the campaign calls it
 * @param least charge it needs at its start, tenths of a percent
 * @param most charge it may have at its start, tenths of a percent: 0 for one that begins empty
 * @param leaves charge afterwards, tenths of a percent; below 0 for how much it takes
 * @param minutes it lasts, whole and at least 1
 * @param attended minutes from its start that somebody has to be there; 0 for none
 * @param uses shared things it takes, one of each
 * @param rest minutes the unit has to have rested before it
 * @param at the minute it is pinned to; {@link #ANY} for none
 */
public record Task(
    String id,
    int least,
    int most,
    int leaves,
    int minutes,
    int attended,
    List<String> uses,
    int rest,
    int at) {
  /** A full unit, in tenths of a percent. */
  public static final int FULL = 1000;

  /** For a test that is pinned to no minute. */
  public static final int ANY = -1;

  public Task {
    uses = List.copyOf(uses);
    if (least < 0 || least > FULL || most < least || most > FULL || leaves > FULL) {
      throw new IllegalArgumentException("test " + id + " needs and leaves between 0 and 100 %");
    }
    if (at < ANY) {
      throw new IllegalArgumentException("test " + id + " cannot begin in the past");
    }
    if (minutes < 1 || attended < 0 || attended > minutes || rest < 0) {
      throw new IllegalArgumentException(
          "test " + id + " takes time, and nobody is there for longer than it lasts");
    }
    if (leaves < 0 && -leaves > most) {
      throw new IllegalArgumentException(
          "test " + id + " takes more charge than it may begin with");
    }
  }

  /** One that may begin whenever it can. */
  public Task(
      String id,
      int least,
      int most,
      int leaves,
      int minutes,
      int attended,
      List<String> uses,
      int rest) {
    this(id, least, most, leaves, minutes, attended, uses, rest, ANY);
  }

  boolean pinned() {
    return at != ANY;
  }

  /** The same at no minute of its own. */
  Task unpinned() {
    return new Task(id, least, most, leaves, minutes, attended, uses, rest);
  }

  /** What must be there at its start: its need, and what it takes. */
  int needs() {
    return Math.max(least, leaves < 0 ? -leaves : 0);
  }

  /** Charge after it, from one before it. */
  int after(int before) {
    return leaves < 0 ? before + leaves : leaves;
  }
}
