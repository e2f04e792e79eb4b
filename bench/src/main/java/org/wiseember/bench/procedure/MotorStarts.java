package org.wiseember.bench.procedure;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.start.MotorStart;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.core.waveform.NominalFrequency;

/**
 * Starts a motor several times, a rest between. How each try went is told from the capture of a
 * scope where there is one, else from the volts and watts afterwards, else by the person who saw
 * it.
 */
public final class MotorStarts extends AskingProcedure {
  /** Kept with the run. */
  public static final String KIND = "motor-start";

  /** Codes of the notices that tell how a try went begin so; the outcome's name follows. */
  public static final String TRY = "start_";

  static final double BEFORE_SECONDS = 5;
  static final double ON_SECONDS = 8;
  static final double REST_SECONDS = 60;
  private static final double PRESS_SECONDS = 3;
  private static final double DEAD_SHARE = 0.1;
  private static final double SAGGED_SHARE = 0.8;

  private final int tries;
  private final double nominalVolts;
  private int at;
  private Optional<MotorStart> seen = Optional.empty();
  private double volts = Double.NaN;
  private double hertz = Double.NaN;
  private boolean pressing;

  /**
   * Sets it up.
   *
   * @param tries 1 or more
   * @param nominalVolts of the outlet, V
   */
  public MotorStarts(int tries, double nominalVolts) {
    super(KIND, Phase.BASELINE);
    if (tries < 1) {
      throw new IllegalArgumentException("a motor is tried at least once");
    }
    this.tries = tries;
    this.nominalVolts = nominalVolts;
  }

  @Override
  public SetPoints setPoints() {
    if (pressing) {
      return SetPoints.idle(false, false, false);
    }
    return !asking && phase == Phase.MEASURING ? SetPoints.WHOLE_LOAD.onScope() : SetPoints.NO_LOAD;
  }

  @Override
  protected String request() {
    return switch (phase) {
      case MEASURING -> "Clamp to inrush, scope armed, then switch the motor on";
      case WINDING_DOWN -> "Switch the motor off and say how it went";
      default -> "AC output on, motor plugged in and off";
    };
  }

  /** As it was read; the nominal one where it was not. */
  private double hertz() {
    return hertz > 40 && hertz < 70 ? hertz : NominalFrequency.at(nominalVolts);
  }

  @Override
  public CaptureNote captured(Capture capture) {
    seen = MotorStart.of(capture, hertz());
    return CaptureNote.of(
        seen.map(
                s ->
                    "Try "
                        + (at + 1)
                        + ": "
                        + s.outcome().words()
                        + ", peak "
                        + Figures.fixed(s.peakAmps(), 1)
                        + " A, "
                        + Figures.fixed(s.mostVoltAmperes(), 0)
                        + " VA, down to "
                        + Figures.fixed(s.leastVolts(), 0)
                        + " V")
            .orElse("Try " + (at + 1)));
  }

  @Override
  protected void go(Frame frame, double passed, boolean first, List<Notice> out) {
    volts = frame.value(Channel.AC_VOLTAGE);
    double read = frame.value(Channel.FREQUENCY);
    hertz = read > 0 ? read : hertz;
    boolean byHand = !frame.channels().contains(Channel.AC_VOLTAGE);
    switch (phase) {
      case BASELINE -> {
        if (byHand || passed >= BEFORE_SECONDS) {
          next(Phase.MEASURING);
        }
      }
      case MEASURING -> {
        if (byHand || passed >= ON_SECONDS) {
          outcome(frame).ifPresent(o -> out.add(told(frame.seconds(), o)));
          next(Phase.WINDING_DOWN);
        }
      }
      case WINDING_DOWN -> rest(passed, byHand);
      default -> {}
    }
  }

  private Notice told(double now, MotorStart.Outcome outcome) {
    return new Notice(
        now,
        TRY + outcome.name().toLowerCase(Locale.ROOT),
        "Try "
            + (at + 1)
            + " of "
            + tries
            + ": "
            + outcome.words()
            + seen.map(
                    s ->
                        ", peak "
                            + Figures.fixed(s.peakAmps(), 1)
                            + " A, down to "
                            + Figures.plain(Math.rint(s.leastVolts()), Unit.VOLT))
                .orElse("")
            + ".");
  }

  private Optional<MotorStart.Outcome> outcome(Frame frame) {
    if (seen.isPresent()) {
      return seen.map(MotorStart::outcome);
    }
    if (Double.isNaN(volts)) {
      return Optional.empty();
    }
    boolean dead = volts < DEAD_SHARE * nominalVolts;
    boolean low = volts < SAGGED_SHARE * nominalVolts;
    boolean runs = frame.value(Channel.AC_POWER) > 1;
    return dead
        ? Optional.of(MotorStart.Outcome.TRIPPED)
        : low || !runs
            ? Optional.of(MotorStart.Outcome.SAGGED)
            : Optional.of(MotorStart.Outcome.STARTED);
  }

  private void rest(double passed, boolean byHand) {
    boolean dead = volts < DEAD_SHARE * nominalVolts;
    pressing = dead && passed > PRESS_SECONDS && !pressing;
    if (byHand || passed >= REST_SECONDS) {
      pressing = false;
      at++;
      if (at == tries) {
        finish("Tried " + tries + " times. Unplug the motor.");
      } else {
        goOn(Phase.BASELINE);
      }
    }
  }

  private void next(Phase then) {
    if (then == Phase.MEASURING) {
      seen = Optional.empty();
    }
    part(then);
  }

  /** The try it is at, from 1. */
  public int attempt() {
    return Math.min(at + 1, tries);
  }

  public int tries() {
    return tries;
  }

  @Override
  public List<DoNow> steps() {
    return List.of(
        new DoNow("Charge to 60 % or more", DoNow.When.BEFORE, ""),
        new DoNow(
            "Motor clamped down, guard on, nothing in its way",
            DoNow.When.BEFORE,
            "A saw or grinder starts without warning. Eyes and ears covered, sleeves tied, hands off"
                + " the tool; start it from its plug or a foot switch."),
        new DoNow("Clamp meter on one conductor, inrush mode", DoNow.When.BEFORE, ""),
        new DoNow(
            "Scope behind an isolation transformer or a differential probe",
            DoNow.When.BEFORE,
            "Never clip a scope's earth to an inverter's output."),
        new DoNow("Note whether a soft starter or capacitor is fitted", DoNow.When.BEFORE, ""),
        new DoNow("A failed start is tried once more before it counts", DoNow.When.DURING, ""),
        new DoNow("Note beeps, lamps and codes", DoNow.When.DURING, ""),
        new DoNow("Unplug the motor before touching the blade", DoNow.When.AFTER, ""));
  }
}
