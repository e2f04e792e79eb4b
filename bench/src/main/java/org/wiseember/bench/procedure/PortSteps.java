package org.wiseember.bench.procedure;

import java.util.List;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/** Steps the current at a DC port up until it switches off or the last current is carried. */
public final class PortSteps extends AskingProcedure {
  /** Kept with the run. */
  public static final String KIND = "dc-port";

  static final double STEP_SECONDS = 20;
  private static final double DEAD_VOLTS = 1;
  private static final int DEAD_FRAMES = 3;

  private final List<Double> amps;
  private int at = -1;
  private int deadFrames;

  /**
   * Sets it up.
   *
   * @param amps of each step, light to heavy, at least one
   */
  public PortSteps(List<Double> amps) {
    super(KIND, Phase.BASELINE);
    this.amps = atLeastOne(amps, "a port needs currents");
  }

  @Override
  public SetPoints setPoints() {
    return phase.over()
        ? SetPoints.idle(false, false, false)
        : SetPoints.ampsAtPort(asking || at < 0 ? 0 : amps.get(at));
  }

  @Override
  protected String request() {
    return at < 0 ? "Port on, load off" : "Load to " + Figures.plain(amps.get(at)) + " A";
  }

  @Override
  public double watched(Frame frame) {
    return frame.dcWatts();
  }

  @Override
  protected void go(Frame frame, double passed, boolean first, List<Notice> out) {
    boolean byHand = !frame.channels().contains(Channel.DC_VOLTAGE);
    deadFrames = frame.value(Channel.DC_VOLTAGE) < DEAD_VOLTS ? deadFrames + 1 : 0;
    if (deadFrames >= DEAD_FRAMES) {
      finish(
          at < 0
              ? "There are no volts at the port. Switch it on and start again."
              : "The port switched off at " + Figures.plain(amps.get(at)) + " A.");
      out.add(new Notice(frame.seconds(), "cut_off", ending));
    } else if (byHand || passed >= STEP_SECONDS) {
      at++;
      part(Phase.MEASURING);
      if (at == amps.size()) {
        at--;
        finish("Carried every current up to " + Figures.plain(amps.get(at)) + " A.");
      }
    }
  }

  @Override
  public List<DoNow> steps() {
    return List.of(
        new DoNow(
            "Polarity checked, leads for the current",
            DoNow.When.BEFORE,
            "Plus to plus before power. Thin leads get hot: 10 A want 16\u00a0AWG or 1.5\u00a0mm² or thicker, and a fuse"
                + " next to the port for anything longer than your arm."),
        new DoNow("Voltmeter at the port's own terminals", DoNow.When.BEFORE, ""),
        new DoNow("Else measure the leads' ohms and type them in Evidence", DoNow.When.BEFORE, ""),
        new DoNow("Low-volt stop of the load below 9 V", DoNow.When.BEFORE, ""),
        new DoNow("Feel the plug now and then", DoNow.When.DURING, ""));
  }
}
