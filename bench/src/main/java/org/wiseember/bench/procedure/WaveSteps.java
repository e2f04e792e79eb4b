package org.wiseember.bench.procedure;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.core.waveform.WaveMethod;
import org.wiseember.core.waveform.WaveformAnalysis;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.core.waveform.WaveformUnreadable;

/**
 * Captures the wave of the mains for comparison, then that of the outlet without load and at loads
 * from light to heavy, each once it has settled.
 */
public final class WaveSteps extends AskingProcedure {
  /** Kept with the run. */
  public static final String KIND = "waveform";

  /** Code of the notice that tells what a capture shows. */
  public static final String WAVE = "wave";

  /** Details of the steps without a load of their own, in a run by hand. */
  public static final String MAINS = "mains";

  public static final String NO_LOAD = "no_load";

  static final double SETTLE_SECONDS = 20;
  private static final double PATIENCE_SECONDS = 15;
  private static final int MAINS_STEP = -1;

  private final List<Double> loads;
  private int at = MAINS_STEP;
  private Optional<String> seen = Optional.empty();

  /**
   * Sets it up.
   *
   * @param loads W, light to heavy, at least one
   */
  public WaveSteps(List<Double> loads) {
    super(KIND, Phase.SETTLING);
    this.loads = atLeastOne(loads, "a wave is looked at under load too");
  }

  /** The load of the step it is at, W. */
  private double load() {
    return at <= 0 ? 0 : loads.get(at - 1);
  }

  /** What the capture of the step is kept as. */
  private CaptureNote note() {
    return at == MAINS_STEP ? CaptureNote.ofMains() : CaptureNote.ofLoad(load());
  }

  private String words() {
    return note().words();
  }

  @Override
  public SetPoints setPoints() {
    if (asking || phase.over()) {
      return SetPoints.NO_LOAD;
    }
    SetPoints still = SetPoints.atOutlet(load());
    SetPoints fed = at == MAINS_STEP ? still.fromTheWall() : still;
    return phase == Phase.MEASURING ? fed.onScope() : fed;
  }

  @Override
  protected String request() {
    return switch (at) {
      case MAINS_STEP -> "Scope through its transformer on the mains, for comparison";
      case 0 -> "Scope on the unit's outlet, AC output on, no load";
      default -> "Load to " + words() + ", capture 200 ms or more";
    };
  }

  @Override
  public CaptureNote captured(Capture capture) {
    try {
      WaveformFinding f = WaveformAnalysis.of(capture, WaveMethod.assumed(WaveMethod.USUAL_ORDERS));
      seen =
          Optional.of(
              words()
                  + ": "
                  + Figures.fixed(f.rms().value(), 1)
                  + " V, "
                  + Figures.fixed(f.frequency().value(), 2)
                  + " Hz, THD "
                  + Figures.fixed(f.thdF().value(), 1)
                  + " %, "
                  + f.shape().words()
                  + ".");
    } catch (WaveformUnreadable e) {
      seen = Optional.of(words() + ": " + e.getMessage());
    }
    return note();
  }

  @Override
  protected void go(Frame frame, double passed, boolean first, List<Notice> out) {
    boolean byHand = frame.channels().isEmpty();
    if (tooHot(frame, out)) {
      return;
    }
    if (byHand) {
      next();
    } else if (phase == Phase.SETTLING) {
      if (passed >= SETTLE_SECONDS) {
        goOn(Phase.MEASURING);
      }
    } else if (seen.isPresent()) {
      out.add(new Notice(frame.seconds(), WAVE, seen.get()));
      next();
    } else if (passed >= PATIENCE_SECONDS) {
      out.add(
          new Notice(
              frame.seconds(),
              "no_capture",
              words() + ": no capture came. Add it from a file in Evidence."));
      next();
    }
  }

  private void next() {
    seen = Optional.empty();
    at++;
    part(Phase.SETTLING);
    if (at > loads.size()) {
      at--;
      finish("Captured at every load. Load off.");
    }
  }

  @Override
  public List<DoNow> steps() {
    return List.of(
        new DoNow(
            "Scope behind an isolation transformer or a differential probe",
            DoNow.When.BEFORE,
            "Never clip a scope's earth to the mains or to an inverter's output: it can be live, and"
                + " the clip may burn. What is opened or wired stays a licensed electrician's work,"
                + " by local code."),
        new DoNow("Ratio of probe and transformer noted", DoNow.When.BEFORE, ""),
        new DoNow("A meter on the same outlet, to check that ratio", DoNow.When.BEFORE, ""),
        new DoNow("10 000 samples a second or more, 200 ms or more", DoNow.When.BEFORE, ""),
        new DoNow("Heaters as loads: they bend the wave least", DoNow.When.DURING, ""));
  }
}
