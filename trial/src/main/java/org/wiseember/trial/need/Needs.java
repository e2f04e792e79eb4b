package org.wiseember.trial.need;

import java.util.List;

/**
 * What a test needs of its unit and of the bench, and what it leaves, so that it can be planned.
 * Times are what such a test usually takes; common practice, no published source.
 *
 * @param least charge at its start, %
 * @param most charge at its start, %
 * @param leaves charge afterwards, %; below 0 for how much it takes
 * @param hours it lasts
 * @param attended share of it, from its start, that somebody has to be there
 * @param uses what it takes while it lasts
 * @param restHours the unit has to have rested before
 */
public record Needs(
    double least,
    double most,
    double leaves,
    double hours,
    double attended,
    List<Equipment> uses,
    double restHours) {
  /** A hot pack is given half an hour, h. */
  public static final double COOLING = 0.5;

  /** What little is taken where nothing worth telling is, %. */
  private static final double NOTHING = 0.1;

  /** Below it a unit would run empty in the middle of a test, %. */
  private static final double KEPT = 15;

  /** Somebody starts a long test and sees that it goes well, h. */
  private static final double STARTING = 0.2;

  public Needs {
    uses = List.copyOf(uses);
  }

  /** From full to empty; somebody starts it. */
  public static Needs emptying(double hours, Equipment... uses) {
    return new Needs(100, 100, 0, hours, Math.min(1, STARTING / hours), List.of(uses), COOLING);
  }

  /** From empty to full; somebody starts it. */
  public static Needs filling(double hours, Equipment... uses) {
    return new Needs(0, 0, 100, hours, Math.min(1, STARTING / hours), List.of(uses), COOLING);
  }

  /**
   * Some of what a unit holds, with somebody there.
   *
   * @param takes at most, %; more than a unit holds counts as nearly all
   */
  public static Needs some(double takes, double hours, Equipment... uses) {
    double most = Math.max(NOTHING, Math.min(100 - KEPT, takes));
    return new Needs(Math.min(100, most + KEPT), 100, -most, hours, 1, List.of(uses), 0);
  }

  /** Nothing of its charge, with somebody there. */
  public static Needs looking(double hours, Equipment... uses) {
    return new Needs(0, 100, -NOTHING, hours, 1, List.of(uses), 0);
  }

  /** The same with somebody there for no more than this share of it. */
  public Needs attended(double share) {
    return new Needs(least, most, leaves, hours, share, uses, restHours);
  }

  /** The same on a unit that is charged no further. */
  public Needs from(double least, double most) {
    return new Needs(least, most, leaves, hours, attended, uses, restHours);
  }

  /** The same on a unit that has rested. */
  public Needs rested() {
    return new Needs(least, most, leaves, hours, attended, uses, COOLING);
  }
}
