package org.wiseember.bench.procedure;

import java.util.List;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;

/**
 * The wall plug pulled several times with a lamp and a computer without battery at the outlet, and
 * what stays alive while it charges. A person counts and types; on the simulated bench somebody is
 * simulated who does.
 */
public final class StaysOn extends AskingProcedure {
  /** Kept with the run. */
  public static final String KIND = "stays-on";

  private static final double THROUGH_SECONDS = 30;
  private static final double PULLED_SECONDS = 6;
  private static final double BACK_SECONDS = 15;

  private final double watts;
  private final int times;
  private int at;
  private boolean begun;

  /**
   * Sets it up.
   *
   * @param watts of lamp and computer together, above 0
   * @param times the plug is pulled, 1 or more
   */
  public StaysOn(double watts, int times) {
    super(KIND, Phase.SETTLING);
    if (!(watts > 0) || times < 1) {
      throw new IllegalArgumentException("something is plugged in, and the plug is pulled");
    }
    this.watts = watts;
    this.times = times;
  }

  @Override
  public SetPoints setPoints() {
    if (asking && !begun) {
      return SetPoints.NO_LOAD;
    }
    return switch (phase) {
      case MEASURING ->
          asking ? SetPoints.atOutlet(watts).fromTheWall() : SetPoints.atOutlet(watts).onScope();
      case SETTLING -> SetPoints.atOutlet(watts).fromTheWall();
      default -> SetPoints.NO_LOAD;
    };
  }

  @Override
  protected String request() {
    if (phase == Phase.MEASURING) {
      return "Pull the wall plug "
          + times
          + " times, half a minute apart; type how often the lamp did not blink and the computer"
          + " stayed on";
    }
    return begun
        ? "Wall plug back in"
        : "Charger plugged into the wall, lamp and computer on at the outlet, something on every"
            + " other output: type which are on";
  }

  @Override
  public CaptureNote captured(Capture capture) {
    return CaptureNote.of("Plug pulled, time " + (at + 1));
  }

  @Override
  protected void go(Frame frame, double passed, boolean first, List<Notice> out) {
    // Where nobody is simulated who watches, a person pulls and counts, whatever meters stand by.
    boolean byHand = !frame.channels().contains(Channel.PULLS);
    if (phase == Phase.SETTLING) {
      begun = true;
      if (at == times) {
        finish("Plug pulled " + times + " times.");
      } else if (byHand || passed >= (at == 0 ? THROUGH_SECONDS : BACK_SECONDS)) {
        part(Phase.MEASURING);
      }
    } else if (byHand) {
      finish("Plug pulled, what stayed on is typed.");
    } else if (passed >= PULLED_SECONDS) {
      at++;
      part(Phase.SETTLING);
    }
  }

  @Override
  public List<DoNow> steps() {
    return List.of(
        new DoNow(
            "Nothing at the outlet that must not lose power",
            DoNow.When.BEFORE,
            "Pull the plug at its body, with dry hands. Never feed a building from a unit: that"
                + " takes a transfer switch, by local code, from a licensed electrician."),
        new DoNow("A lamp with a filament, and a computer without battery", DoNow.When.BEFORE, ""),
        new DoNow(
            "Together about " + Figures.plain(watts, Unit.WATT) + "; save what is open",
            DoNow.When.BEFORE,
            ""),
        new DoNow("Watch both at each pull", DoNow.When.DURING, ""));
  }
}
