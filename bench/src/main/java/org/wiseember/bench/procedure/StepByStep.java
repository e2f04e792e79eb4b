package org.wiseember.bench.procedure;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.trace.Frame;

/**
 * A test a person makes by hand: one thing after the other is asked for, and readings are typed.
 */
public final class StepByStep extends PhasedProcedure {
  /** USB ports; kept with the run. */
  public static final String USB = "usb";

  /** Two units joined for 240 V; kept with the run. */
  public static final String TWO_LEGS = "two-legs";

  private final String kind;
  private final List<String> asks;
  private final List<DoNow> steps;
  private int at;
  private boolean done;

  /**
   * Sets it up.
   *
   * @param kind kept with the run
   * @param asks in order, at least one
   * @param steps beside it
   */
  public StepByStep(String kind, List<String> asks, List<DoNow> steps) {
    super(Phase.MEASURING);
    if (asks.isEmpty()) {
      throw new IllegalArgumentException("a test by hand asks for something");
    }
    this.kind = kind;
    this.asks = List.copyOf(asks);
    this.steps = List.copyOf(steps);
  }

  @Override
  public String kind() {
    return kind;
  }

  @Override
  public SetPoints setPoints() {
    return SetPoints.NO_LOAD;
  }

  @Override
  public Optional<String> asks() {
    return phase.over() ? Optional.empty() : Optional.of(asks.get(at));
  }

  @Override
  public void confirm() {
    done = true;
  }

  @Override
  public List<Notice> take(Frame frame) {
    if (done && !phase.over()) {
      done = false;
      at++;
      if (at == asks.size()) {
        at--;
        finish("All of it asked for, " + asks.size() + " steps.");
      }
    }
    return List.of();
  }

  @Override
  public List<DoNow> steps() {
    return steps;
  }
}
