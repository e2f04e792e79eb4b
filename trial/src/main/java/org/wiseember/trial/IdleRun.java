package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.IdleState;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.idle.IdleFinding;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.workbook.Run;

/**
 * A unit at rest, state by state, and what it says.
 *
 * @param states in order of time, at least one
 */
public record IdleRun(Run run, Trace trace, Treatment treatment, List<InState> states)
    implements TestRun {

  /**
   * One way the outputs were switched.
   *
   * @param words what was on
   * @param from s on the trace's clock
   * @param to s on the trace's clock
   */
  public record InState(String words, double from, double to, IdleFinding finding) {}

  public IdleRun {
    states = List.copyOf(states);
  }

  /** The state with these outputs on; a log read in has a single one, which stands for any. */
  public Optional<InState> in(IdleState state) {
    return states.stream()
        .filter(s -> s.words().equals(state.words()) && s.finding().power().isPresent())
        .findFirst();
  }

  /** The state a label's idle draw is held against: the AC output alone, else the only one. */
  public Optional<InState> forLabel() {
    return in(IdleState.AC_ON)
        .or(
            () ->
                states.size() == 1
                    ? states.stream().filter(s -> s.finding().power().isPresent()).findFirst()
                    : Optional.empty());
  }

  @Override
  public Optional<Because> because() {
    return forLabel()
        .or(() -> states.stream().filter(s -> s.finding().because().isPresent()).findFirst())
        .flatMap(s -> s.finding().because());
  }

  @Override
  public List<Warning> warnings() {
    return states.stream().flatMap(s -> s.finding().warnings().stream()).distinct().toList();
  }
}
