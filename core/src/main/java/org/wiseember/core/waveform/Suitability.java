package org.wiseember.core.waveform;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * What a wave is fit for, one kind of appliance a line, each with the reason. All of it is common
 * practice, no published source: which appliances bear a stepped wave is known from what hums,
 * heats and fails.
 *
 * @param kind of appliance
 * @param fit whether it may be plugged in
 * @param reason one sentence
 */
public record Suitability(Appliance kind, Fit fit, String reason) {
  /** Kinds of appliance that take a wave differently. */
  public enum Appliance {
    HEATER("Heaters, kettles, filament lamps"),
    BRUSHED("Tools with brushes"),
    COMPRESSOR("Fridges, pumps, induction motors"),
    TRANSFORMER("Transformers"),
    SUPPLY("Chargers and plain power supplies"),
    CORRECTED("Supplies with active power correction"),
    AUDIO("Audio"),
    CLOCK("Clocks, dimmers, timers"),
    AVERAGING_METER("An averaging meter"),
    MEDICAL("Medical devices");

    private final String words;

    Appliance(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** Whether an appliance may be plugged in. */
  public enum Fit {
    FIT("fit"),
    CARE("with care"),
    UNFIT("not for it"),
    ASK("ask its maker");

    private final String words;

    Fit(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  private static final double VOLTS_BAND = 10;
  private static final double PEAK_BAND = 12;
  private static final double AUDIO_THD = 3;
  private static final double OFFSET_SHARE = 0.5;
  private static final double MISREADS = 1;

  /**
   * What a wave is fit for, in the order of {@link Appliance}.
   *
   * @param nominalVolts V; 0 where they are not known, and then volts are not judged
   */
  public static List<Suitability> of(WaveformFinding f, double nominalVolts) {
    return new Judge(f, nominalVolts).all();
  }

  private static final class Judge {
    private final WaveformFinding f;
    private final double nominal;
    private final boolean stepped;
    private final double voltsOff;
    private final List<Suitability> lines = new ArrayList<>();

    Judge(WaveformFinding f, double nominalVolts) {
      this.f = f;
      this.stepped = f.shape() == WaveClass.MODIFIED || f.shape() == WaveClass.SQUARE;
      this.voltsOff = nominalVolts > 0 ? 100 * (f.rms().value() / nominalVolts - 1) : 0;
      this.nominal = nominalVolts;
    }

    List<Suitability> all() {
      heater();
      brushed();
      compressor();
      transformer();
      supply();
      corrected();
      audio();
      clock();
      meter();
      say(
          Appliance.MEDICAL,
          Fit.ASK,
          "Only its maker can say; no measurement here makes it safe to try.");
      return List.copyOf(lines);
    }

    private void say(Appliance kind, Fit fit, String reason) {
      lines.add(new Suitability(kind, fit, reason));
    }

    private boolean voltsFine() {
      return Math.abs(voltsOff) <= VOLTS_BAND;
    }

    private String volts() {
      return Figures.plain(Math.rint(f.rms().value()), Unit.VOLT)
          + " are "
          + Figures.fixed(Math.abs(voltsOff), 0)
          + " % "
          + (voltsOff < 0 ? "too low" : "too high");
    }

    private void heater() {
      if (voltsFine()) {
        say(Appliance.HEATER, Fit.FIT, "They warm by the RMS, whatever the shape.");
      } else {
        say(Appliance.HEATER, Fit.CARE, volts() + ", and warmth goes with their square.");
      }
    }

    private void brushed() {
      if (!voltsFine()) {
        say(Appliance.BRUSHED, Fit.CARE, volts() + ".");
      } else {
        say(
            Appliance.BRUSHED,
            Fit.FIT,
            stepped
                ? "They run on steps too; speed controls in them may not."
                : "They run on any wave of the right volts.");
      }
    }

    private void compressor() {
      if (stepped) {
        say(
            Appliance.COMPRESSOR,
            Fit.UNFIT,
            "The steps' harmonics heat the windings and turn against the motor; it runs hot and may"
                + " not start.");
      } else if (f.shape() == WaveClass.SINE && voltsFine()) {
        say(Appliance.COMPRESSOR, Fit.FIT, "A sine of the right volts.");
      } else {
        say(
            Appliance.COMPRESSOR,
            Fit.CARE,
            voltsFine()
                ? Figures.fixed(f.thdF().value(), 1) + " % of distortion is heat in the windings."
                : volts() + "; a start takes more amps at fewer volts.");
      }
    }

    private void transformer() {
      double offset = 100 * Math.abs(f.dcOffset().value()) / f.rms().value();
      boolean sure = Math.abs(f.dcOffset().value()) > f.dcOffset().u95();
      if (offset > OFFSET_SHARE && sure) {
        say(
            Appliance.TRANSFORMER,
            Fit.CARE,
            "An offset of "
                + Figures.fixed(f.dcOffset().value(), 1)
                + " V drives the core to one side; it hums and heats.");
      } else if (stepped) {
        say(Appliance.TRANSFORMER, Fit.CARE, "Steps make the core hum and heat.");
      } else {
        say(Appliance.TRANSFORMER, Fit.FIT, "No offset to speak of, no steps.");
      }
    }

    private void supply() {
      double peak = f.crestFactor().value() * f.rms().value();
      double off = nominal > 0 ? 100 * (peak / (Math.sqrt(2) * nominal) - 1) : 0;
      if (Math.abs(off) > PEAK_BAND) {
        say(
            Appliance.SUPPLY,
            Fit.CARE,
            "They charge to the peak, which is "
                + Figures.plain(Math.rint(peak), Unit.VOLT)
                + ", "
                + Figures.fixed(Math.abs(off), 0)
                + " % "
                + (off < 0 ? "below" : "above")
                + " that of a sine.");
      } else if (stepped) {
        say(
            Appliance.SUPPLY,
            Fit.CARE,
            "Their peak is right, but steep edges charge them in bursts; small ones heat.");
      } else {
        say(Appliance.SUPPLY, Fit.FIT, "They charge to the peak, which is where it should be.");
      }
    }

    private void corrected() {
      if (stepped) {
        say(
            Appliance.CORRECTED,
            Fit.UNFIT,
            "The correction follows a sine; steps make it draw hard at every edge, and some fail.");
      } else if (f.shape() == WaveClass.SINE) {
        say(Appliance.CORRECTED, Fit.FIT, "The correction has a sine to follow.");
      } else {
        say(
            Appliance.CORRECTED,
            Fit.CARE,
            "The correction has to follow a wave that is no clean sine.");
      }
    }

    private void audio() {
      if (stepped) {
        say(Appliance.AUDIO, Fit.UNFIT, "Every edge is heard as a buzz.");
      } else if (f.cycle().notch().isPresent()) {
        say(
            Appliance.AUDIO,
            Fit.CARE,
            "The kink at each zero crossing, "
                + Figures.fixed(f.cycle().notch().get().percent(), 1)
                + " % of the peak, may be heard as a buzz.");
      } else if (f.thdF().value() > AUDIO_THD) {
        say(
            Appliance.AUDIO,
            Fit.CARE,
            Figures.fixed(f.thdF().value(), 1) + " % of distortion may be heard as hum.");
      } else {
        say(Appliance.AUDIO, Fit.FIT, "Little distortion, no kinks.");
      }
    }

    private void clock() {
      double hertz = f.frequency().value();
      double nearest = hertz < 55 ? 50 : 60;
      double off = 100 * (hertz / nearest - 1);
      if (stepped || f.cycle().notch().isPresent()) {
        say(
            Appliance.CLOCK,
            Fit.CARE,
            "They count zero crossings, and this wave has not one clean one each half cycle.");
      } else if (Math.abs(off) > 0.2) {
        say(
            Appliance.CLOCK,
            Fit.CARE,
            "At "
                + Figures.fixed(hertz, 2)
                + " Hz a clock is off by "
                + Figures.fixed(Math.abs(off) * 864, 0)
                + " s a day.");
      } else {
        say(Appliance.CLOCK, Fit.FIT, "Clean crossings, and the frequency is right.");
      }
    }

    private void meter() {
      double off = 100 * (f.averagingShare() - 1);
      if (Math.abs(off) > MISREADS) {
        say(
            Appliance.AVERAGING_METER,
            Fit.CARE,
            "It would show "
                + Figures.fixed(f.averagingMeter().value(), 1)
                + " V for "
                + Figures.fixed(f.rms().value(), 1)
                + ", "
                + Figures.fixed(Math.abs(off), 1)
                + " % too "
                + (off < 0 ? "little" : "much")
                + "; use one for true RMS.");
      } else {
        say(
            Appliance.AVERAGING_METER,
            Fit.FIT,
            "It would show "
                + Figures.fixed(f.averagingMeter().value(), 1)
                + " V for "
                + Figures.fixed(f.rms().value(), 1)
                + ", as good as right.");
      }
    }
  }
}
