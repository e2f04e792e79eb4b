package org.wiseember.core;

/**
 * How often what is left to chance is tried: as often as one waits for at each push, or as often as
 * it takes to be sure, under the profile {@code thorough}.
 */
public final class Thorough {
  /** Whether all of it is asked for. */
  public static final boolean ASKED = Boolean.getBoolean("ember.thorough");

  private Thorough() {}

  /** One of two counts. */
  public static int tries(int usually, int thoroughly) {
    return ASKED ? thoroughly : usually;
  }
}
