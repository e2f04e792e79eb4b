package org.wiseember.bench.procedure;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.instrument.Wanted;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Frame;

/**
 * Reads the DC side with nothing plugged in, once for every way the outputs can be switched. The
 * beginning of each is kept as a notice, from which the findings know what was on.
 */
public final class IdleWatch extends AskingCourse {
  /** Kept with the run. */
  public static final String KIND = "idle";

  /** Code of the notice at which a state begins; its words are those of the state. */
  public static final String STATE = "idle-state";

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
    super(Phase.MEASURING);
    if (states.isEmpty()) {
      throw new IllegalArgumentException("idle in at least one state");
    }
    this.states = List.copyOf(states);
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public Wanted wanted() {
    return phase.over() ? Wanted.idle(false, false, false) : states.get(at).wanted();
  }

  @Override
  public Optional<String> asks() {
    return asking && !phase.over()
        ? Optional.of("Nothing plugged in, " + states.get(at).words())
        : Optional.empty();
  }

  @Override
  public List<Notice> take(Frame frame) {
    if (phase.over() || asking) {
      return List.of();
    }
    double now = frame.seconds();
    if (Double.isNaN(since)) {
      since = now;
      return List.of(new Notice(now, STATE, states.get(at).words()));
    }
    if (now - since >= STATE_SECONDS) {
      since = Double.NaN;
      at++;
      asking = true;
      if (at == states.size()) {
        at--;
        finish(
            "Read in " + states.size() + " states, " + Figures.duration(STATE_SECONDS) + " each.");
      }
    }
    return List.of();
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
