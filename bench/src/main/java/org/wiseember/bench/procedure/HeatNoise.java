package org.wiseember.bench.procedure;

import java.util.List;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Frame;

/**
 * Listens to the room with the unit off, then to the unit at loads from light to heavy, and stays
 * at the last until its warming can be told.
 */
public final class HeatNoise extends AskingProcedure {
  /** Kept with the run. */
  public static final String KIND = "heat";

  /** Code of the notice at which a load begins; the background has its own. */
  public static final String LOAD = "heat_load";

  /** Code of the notice at which the background begins. */
  public static final String BACKGROUND = "heat_background";

  static final double BACKGROUND_SECONDS = 60;
  static final double LOAD_SECONDS = 240;
  static final double LAST_SECONDS = 3000;

  private final List<Double> loads;
  private int at = -1;

  /**
   * Sets it up.
   *
   * @param loads W, light to heavy, at least one
   */
  public HeatNoise(List<Double> loads) {
    super(KIND, Phase.BASELINE);
    this.loads = atLeastOne(loads, "warming needs a load");
  }

  @Override
  public SetPoints setPoints() {
    if (phase.over() || asking || at < 0) {
      return at < 0 ? SetPoints.idle(false, false, false) : SetPoints.NO_LOAD;
    }
    return SetPoints.atOutlet(loads.get(at));
  }

  @Override
  protected String request() {
    return at < 0
        ? "Unit off: note the sound of the room"
        : "Load to " + Figures.plain(loads.get(at), Unit.WATT);
  }

  @Override
  protected void go(Frame frame, double passed, boolean first, List<Notice> out) {
    double now = frame.seconds();
    boolean byHand = frame.channels().isEmpty();
    if (first) {
      out.add(
          at < 0
              ? new Notice(now, BACKGROUND, "Unit off, the sound of the room")
              : new Notice(now, LOAD, Figures.plain(loads.get(at), Unit.WATT)));
      if (!byHand) {
        return;
      }
    }
    if (tooHot(frame, out)) {
      return;
    }
    double wanted =
        at < 0 ? BACKGROUND_SECONDS : at == loads.size() - 1 ? LAST_SECONDS : LOAD_SECONDS;
    if (byHand || passed >= wanted) {
      at++;
      part(Phase.MEASURING);
      if (at == loads.size()) {
        at--;
        finish("All loads heard and felt. Load off.");
      }
    }
  }

  @Override
  public List<DoNow> steps() {
    return List.of(
        new DoNow("Probe on the case where it is hottest, one in the room", DoNow.When.BEFORE, ""),
        new DoNow("Matt black tape where a thermal camera looks", DoNow.When.BEFORE, ""),
        new DoNow("Sound meter at the noted distance, on no hard wall", DoNow.When.BEFORE, ""),
        new DoNow(
            "Heaters on a hard floor, 1\u00a0m clear",
            DoNow.When.BEFORE,
            "Heaters set fire to what touches them. Stop at smell, smoke or a hot plug, and at a case"
                + " of 60\u00a0°C."),
        new DoNow("Type the fan's step whenever it changes", DoNow.When.DURING, ""),
        new DoNow(
            "Look for the hottest spot, plugs and outlets too; type it with its place",
            DoNow.When.DURING,
            "A plug too hot to hold ends the test: load off, then let it cool."));
  }
}
