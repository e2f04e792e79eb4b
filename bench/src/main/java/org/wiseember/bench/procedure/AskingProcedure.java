package org.wiseember.bench.procedure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.heat.HotSpot;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/**
 * A procedure that asks a person for something before each of its parts, and goes on once that is
 * done.
 */
abstract class AskingProcedure extends PhasedProcedure {
  /** Whether it waits for what it asked for. */
  protected boolean asking = true;

  private final String kind;

  /** When the part it is in began, s on the bench clock; NaN before its first frame. */
  private double since = Double.NaN;

  /**
   * Begins with asking.
   *
   * @param kind kept with the run
   * @param first phase
   */
  protected AskingProcedure(String kind, Phase first) {
    super(first);
    this.kind = kind;
  }

  /**
   * Checks what a procedure steps through.
   *
   * @param steps at least one
   * @param why said where there is none
   */
  protected static <T> List<T> atLeastOne(List<T> steps, String why) {
    if (steps.isEmpty()) {
      throw new IllegalArgumentException(why);
    }
    return List.copyOf(steps);
  }

  @Override
  public final String kind() {
    return kind;
  }

  @Override
  public final Optional<String> asks() {
    return asking && !phase.over() ? Optional.of(request()) : Optional.empty();
  }

  /** What a person has to do before the part it is in. */
  protected abstract String request();

  @Override
  public void confirm() {
    asking = false;
  }

  @Override
  public final List<Notice> take(Frame frame) {
    List<Notice> out = new ArrayList<>();
    if (!phase.over() && !asking) {
      boolean first = Double.isNaN(since);
      since = first ? frame.seconds() : since;
      go(frame, frame.seconds() - since, first, out);
    }
    return out;
  }

  /**
   * Takes a frame while nothing is asked for.
   *
   * @param passed since the part began, s
   * @param first whether this frame is the part's first
   * @param out takes what was noticed
   */
  protected abstract void go(Frame frame, double passed, boolean first, List<Notice> out);

  /** Goes on to a part, which begins with asking. */
  protected final void part(Phase then) {
    goOn(then);
    asking = true;
  }

  /** Goes on to a part that needs nobody. */
  protected final void goOn(Phase then) {
    phase = then;
    since = Double.NaN;
  }

  /** Ends the test where the case has become as hot as it must not. */
  protected final boolean tooHot(Frame frame, List<Notice> out) {
    double celsius = frame.value(Channel.CASE_TEMPERATURE);
    boolean hot = celsius >= HotSpot.TOO_HOT;
    if (hot) {
      finish("The case reached " + Figures.fixed(celsius, 0) + "\u00a0°C. Load off, let it cool.");
      out.add(new Notice(frame.seconds(), "too_hot", ending));
    }
    return hot;
  }
}
