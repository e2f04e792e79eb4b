package org.wiseember.bench.procedure;

import java.util.Optional;

/** Where a procedure is and how it ended: the same for all of them. */
abstract class PhasedProcedure implements Procedure {
  /** Where it is. */
  protected Phase phase;

  /** Why it ends, one sentence; null while it goes on. */
  protected String ending;

  /**
   * Begins.
   *
   * @param first phase
   */
  protected PhasedProcedure(Phase first) {
    this.phase = first;
  }

  @Override
  public final Phase phase() {
    return phase;
  }

  @Override
  public final void stop(String why) {
    if (!phase.over()) {
      ending = why;
      phase = Phase.STOPPED;
    }
  }

  @Override
  public final void finish(String why) {
    if (!phase.over()) {
      ending = why;
      phase = Phase.DONE;
    }
  }

  @Override
  public final Optional<String> ending() {
    return Optional.ofNullable(ending);
  }
}
