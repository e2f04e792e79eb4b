package org.wiseember.bench.procedure;

import java.util.List;
import org.wiseember.bench.instrument.Wanted;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.supply.Pulls;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.transfer.TransferGap;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.NominalFrequency;

/**
 * The wall plug pulled several times with a lamp and a computer without battery at the outlet, and
 * what stays alive while it charges. By hand a person counts and types; on a simulated bench the
 * lamp and the computer follow the gap.
 */
public final class StaysOn extends AskingCourse {
  /** Kept with the run. */
  public static final String KIND = "stays-on";

  /** A pull at which the lamp did not blink and the computer stayed on, and so on. */
  public static final String STEADY = "pull-steady";

  public static final String BLINKED = "pull-blinked";
  public static final String WENT_OFF = "pull-went-off";

  /** The AC outlet was on while it charged. */
  public static final String ALIVE = "outlet-alive";

  /** The AC outlet was off while it charged. */
  public static final String DEAD = "outlet-dead";

  private static final double THROUGH_SECONDS = 30;
  private static final double PULLED_SECONDS = 6;
  private static final double BACK_SECONDS = 15;

  private final double watts;
  private final int times;
  private final double hertz;
  private int at;
  private String seen = "";

  /**
   * Sets it up.
   *
   * @param watts of lamp and computer together, above 0
   * @param times the plug is pulled, 1 or more
   * @param nominalVolts of the outlet, V
   */
  public StaysOn(double watts, int times, double nominalVolts) {
    super(KIND, Phase.BASELINE);
    if (!(watts > 0) || times < 1) {
      throw new IllegalArgumentException("something is plugged in, and the plug is pulled");
    }
    this.watts = watts;
    this.times = times;
    this.hertz = NominalFrequency.at(nominalVolts);
  }

  @Override
  public Wanted wanted() {
    if (asking && phase == Phase.BASELINE) {
      return Wanted.NO_LOAD;
    }
    return switch (phase) {
      case MEASURING ->
          asking ? Wanted.atOutlet(watts).fromTheWall() : Wanted.atOutlet(watts).onScope();
      case BASELINE, WINDING_DOWN -> Wanted.atOutlet(watts).fromTheWall();
      default -> Wanted.NO_LOAD;
    };
  }

  @Override
  protected String request() {
    return switch (phase) {
      case BASELINE ->
          "Charger plugged into the wall, lamp and computer on at the outlet, something on every"
              + " other output: type which are on";
      case MEASURING ->
          "Pull the wall plug "
              + times
              + " times, half a minute apart; type how often the lamp did not blink and the"
              + " computer stayed on";
      default -> "Wall plug back in";
    };
  }

  @Override
  public String captured(Capture capture) {
    double gap = TransferGap.of(capture, hertz).gap().map(TransferGap::seconds).orElse(Double.NaN);
    seen = gap > Pulls.HOLD_UP_SECONDS ? WENT_OFF : gap > Pulls.BLINK_SECONDS ? BLINKED : STEADY;
    return "Plug pulled, time " + (at + 1);
  }

  @Override
  protected void go(Frame frame, double passed, boolean first, List<Notice> out) {
    boolean byHand = !frame.channels().contains(Channel.AC_VOLTAGE);
    switch (phase) {
      case BASELINE -> {
        if (byHand || passed >= THROUGH_SECONDS) {
          if (!byHand) {
            boolean on = frame.value(Channel.AC_VOLTAGE) > 1;
            out.add(
                new Notice(
                    frame.seconds(),
                    on ? ALIVE : DEAD,
                    on ? "The AC outlet is on while it charges." : "The AC outlet is off."));
          }
          part(Phase.MEASURING);
        }
      }
      case MEASURING -> {
        if (byHand) {
          // A person pulls as often as asked for and types counts of all pulls.
          finish("Plug pulled, what stayed on is typed.");
          return;
        }
        if (!seen.isEmpty()) {
          out.add(new Notice(frame.seconds(), seen, told()));
          seen = "";
        }
        if (passed >= PULLED_SECONDS) {
          at++;
          part(Phase.WINDING_DOWN);
        }
      }
      case WINDING_DOWN -> {
        if (at == times) {
          finish("Plug pulled " + times + " times.");
        } else if (passed >= BACK_SECONDS) {
          part(Phase.MEASURING);
        }
      }
      default -> {}
    }
  }

  private String told() {
    return "Pull "
        + (at + 1)
        + ": "
        + switch (seen) {
          case STEADY -> "the lamp did not blink, the computer stayed on.";
          case BLINKED -> "the lamp blinked, the computer stayed on.";
          default -> "the lamp blinked, the computer went off.";
        };
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
