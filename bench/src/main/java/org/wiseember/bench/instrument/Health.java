package org.wiseember.bench.instrument;

/**
 * How an instrument does.
 *
 * @param state in one word
 * @param words what is wrong, one short sentence; empty while it is alive
 */
public record Health(State state, String words) {
  /** An instrument that answers in time. */
  public static final Health ALIVE = new Health(State.ALIVE, "");

  /** One word for it. */
  public enum State {
    /** Answers in time. */
    ALIVE,
    /** Not reached yet. */
    CONNECTING,
    /** Was there and is not: its readings are missing until it comes back. */
    LOST,
    /** Read by a person; there is nothing to ask. */
    BY_HAND
  }

  public boolean alive() {
    return state == State.ALIVE || state == State.BY_HAND;
  }
}
