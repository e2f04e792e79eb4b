package org.wiseember.bench.procedure;

import java.util.List;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.transfer.TransferGap;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.core.waveform.NominalFrequency;

/**
 * Hands the mains through to a light and a heavy load, then pulls the plug several times with a
 * scope on the outlet.
 */
public final class SwitchOver extends AskingProcedure {
  /** Kept with the run. */
  public static final String KIND = "switch-over";

  static final double THROUGH_SECONDS = 45;
  static final double PULLED_SECONDS = 6;
  static final double BACK_SECONDS = 15;

  private final double light;
  private final double heavy;
  private final int times;
  private final double hertz;
  private int at;
  private String gap = "";

  /**
   * Sets it up.
   *
   * @param light load, W
   * @param heavy load, W
   * @param times the plug is pulled, 1 or more
   * @param nominalVolts of the outlet, V
   */
  public SwitchOver(double light, double heavy, int times, double nominalVolts) {
    super(KIND, Phase.BASELINE);
    if (!(light > 0) || !(heavy >= light) || times < 1) {
      throw new IllegalArgumentException("a switch-over needs a light and a heavy load");
    }
    this.light = light;
    this.heavy = heavy;
    this.times = times;
    this.hertz = NominalFrequency.at(nominalVolts);
  }

  @Override
  public SetPoints setPoints() {
    if (asking && phase == Phase.BASELINE) {
      return SetPoints.NO_LOAD;
    }
    return switch (phase) {
      case BASELINE -> SetPoints.atOutlet(light).fromTheWall();
      case SETTLING -> SetPoints.atOutlet(heavy).fromTheWall();
      case MEASURING ->
          asking ? SetPoints.atOutlet(heavy).fromTheWall() : SetPoints.atOutlet(heavy).onScope();
      case WINDING_DOWN -> SetPoints.atOutlet(heavy).fromTheWall();
      default -> SetPoints.NO_LOAD;
    };
  }

  @Override
  protected String request() {
    return switch (phase) {
      case BASELINE ->
          "Mains plugged in, pass-through on, " + Figures.plain(light, Unit.WATT) + " on";
      case SETTLING -> "Load up to " + Figures.plain(heavy, Unit.WATT);
      case MEASURING -> "Scope armed on falling volts, then pull the mains plug";
      default -> "Mains plug back in";
    };
  }

  @Override
  public CaptureNote captured(Capture capture) {
    TransferGap.Reading reading = TransferGap.of(capture, hertz);
    gap =
        reading
            .gap()
            .map(
                g ->
                    "Gap of "
                        + Figures.withUncertainty(
                            1000 * g.seconds(), 1000 * g.u95(), Unit.MILLISECOND))
            .orElse(reading.trouble());
    return CaptureNote.of("Plug pulled, time " + (at + 1));
  }

  @Override
  protected void go(Frame frame, double passed, boolean first, List<Notice> out) {
    boolean byHand = !frame.channels().contains(Channel.AC_VOLTAGE);
    switch (phase) {
      case BASELINE -> {
        if (byHand || passed >= THROUGH_SECONDS) {
          part(Phase.SETTLING);
        }
      }
      case SETTLING -> {
        if (byHand || passed >= THROUGH_SECONDS) {
          part(Phase.MEASURING);
        }
      }
      case MEASURING -> {
        if (!gap.isEmpty()) {
          out.add(new Notice(frame.seconds(), "gap", gap + (gap.endsWith(".") ? "" : ".")));
          gap = "";
        }
        if (byHand || passed >= PULLED_SECONDS) {
          at++;
          part(Phase.WINDING_DOWN);
        }
      }
      case WINDING_DOWN -> {
        if (at == times) {
          finish("Plug pulled " + times + " times.");
        } else if (byHand || passed >= BACK_SECONDS) {
          part(Phase.MEASURING);
        }
      }
      default -> {}
    }
  }

  @Override
  public List<DoNow> steps() {
    return List.of(
        new DoNow(
            "Scope behind an isolation transformer or a differential probe",
            DoNow.When.BEFORE,
            "Never clip a scope's earth to an inverter's output, and never feed a building: the unit"
                + " stands alone. Transfer switches are a licensed electrician's work, by local"
                + " code."),
        new DoNow("Meter on the mains side and one on the outlet", DoNow.When.BEFORE, ""),
        new DoNow("Charge to 50 to 80 %, so that it charges too", DoNow.When.BEFORE, ""),
        new DoNow("Pull the plug at the wall, not the switch of a strip", DoNow.When.DURING, ""),
        new DoNow("Note what a lamp or a computer did", DoNow.When.DURING, ""));
  }
}
