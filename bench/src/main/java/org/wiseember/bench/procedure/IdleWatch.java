package org.wiseember.bench.procedure;

import java.util.List;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Frame;

/**
 * Reads the DC side with nothing plugged in, once for every way the outputs can be switched. The
 * beginning of each is kept as a notice, from which the findings know what was on.
 */
public final class IdleWatch extends AskingProcedure {
  /** Kept with the run. */
  public static final String KIND = "idle";

  /** Code of the notice at which a state begins; its detail is the key of the state. */
  public static final String STATE = "idle_state";

  /** Time a state is read for: a fan or a check of the cells comes every few minutes. */
  public static final double STATE_SECONDS = 600;

  private final List<IdleState> states;
  private int at;

  /**
   * Sets it up.
   *
   * @param states in order, at least one
   */
  public IdleWatch(List<IdleState> states) {
    super(KIND, Phase.MEASURING);
    this.states = atLeastOne(states, "idle in at least one state");
  }

  @Override
  public SetPoints setPoints() {
    return phase.over() ? SetPoints.idle(false, false, false) : states.get(at).setPoints();
  }

  @Override
  protected String request() {
    return "Nothing plugged in, " + states.get(at).words();
  }

  @Override
  protected void go(Frame frame, double passed, boolean first, List<Notice> out) {
    if (first) {
      out.add(new Notice(frame.seconds(), STATE, states.get(at).key(), states.get(at).words()));
    } else if (passed >= STATE_SECONDS) {
      at++;
      part(Phase.MEASURING);
      if (at == states.size()) {
        at--;
        finish(
            "Read in " + states.size() + " states, " + Figures.duration(STATE_SECONDS) + " each.");
      }
    }
  }

  @Override
  public double watched(Frame frame) {
    return frame.dcWatts();
  }

  /** What is on now. */
  public IdleState state() {
    return states.get(at);
  }

  @Override
  public List<DoNow> steps() {
    return List.of(
        new DoNow("Charge full, rest 30 min", DoNow.When.BEFORE, ""),
        new DoNow("Unplug every load and every source", DoNow.When.BEFORE, ""),
        new DoNow(
            "Clamp or shunt on the battery lead",
            DoNow.When.BEFORE,
            "A battery gives hundreds of amps into a slipped probe. A shunt goes behind a fuse; leave"
                + " it where the leads cannot be reached without opening the unit."),
        new DoNow("Zero the clamp with no current", DoNow.When.BEFORE, ""),
        new DoNow("Note what the fan does", DoNow.When.DURING, ""));
  }
}
