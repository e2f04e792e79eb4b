package org.wiseember.bench.procedure;

/**
 * A course that asks a person for something before each of its parts, and goes on once that is
 * done.
 */
abstract class AskingCourse extends Course {
  /** Whether it waits for what it asked for. */
  protected boolean asking = true;

  /** When the part it is in began, s on the bench clock; NaN before its first frame. */
  protected double since = Double.NaN;

  protected AskingCourse(Phase first) {
    super(first);
  }

  @Override
  public void confirm() {
    asking = false;
  }

  /** Goes on to a part, which begins with asking. */
  protected final void part(Phase then) {
    phase = then;
    since = Double.NaN;
    asking = true;
  }
}
