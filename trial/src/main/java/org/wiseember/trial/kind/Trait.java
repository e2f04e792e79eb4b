package org.wiseember.trial.kind;

/** What sets a test apart from a plain one that loads an outlet while meters read. */
public enum Trait {
  /** It can hurt somebody: its cautions have to be seen before it starts. */
  HAZARDOUS,
  /** It is made by hand whatever stands on the bench: such meters have no wire. */
  BY_HAND_ONLY,
  /** A log of readings does not tell it; starts and waves want captures. */
  NOT_IN_LOGS,
  /** Captured waves tell it, of which a file holds one. */
  IN_CAPTURES,
  /**
   * A claim that no other test answers waits for it only once it was made: a scale is in nobody's
   * plan.
   */
  ONLY_ONCE_MADE,
  /** It empties the unit under one load, so that its end can be foretold. */
  DRAINS,
  /** A person may have to say how a start went. */
  SEEN_BY_EYES,
  /** Loads on hand make its steps. */
  WANTS_LOADS,
  /** The charge on the display may rise while it runs. */
  DISPLAY_RISES,
  /** What it finds rests on what other runs found, so that it is worked out after them. */
  RESTS_ON_OTHERS
}
