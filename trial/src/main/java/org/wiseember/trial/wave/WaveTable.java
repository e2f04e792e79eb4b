package org.wiseember.trial.wave;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.transfer.Sag;
import org.wiseember.core.waveform.WaveformFinding;

/** Captured waves in the rows of a table and in sentences, for screen and page alike. */
public final class WaveTable {
  /** Heads of the columns. */
  public static final List<String> HEADS =
      List.of("Wave", "True RMS", "Frequency", "THD", "Crest", "Offset", "Worst", "Class");

  private WaveTable() {}

  /** Every capture of a run that has figures. */
  public static List<List<String>> rows(CapturedWaves run) {
    List<List<String>> rows = new ArrayList<>();
    for (Wave w : run.waves()) {
      w.finding().ifPresent(f -> rows.add(row(w.kept().words(), f)));
    }
    return rows;
  }

  /** One capture. */
  public static List<String> row(String name, WaveformFinding f) {
    return List.of(
        name,
        Figures.fixed(f.rms().value(), 1) + " V",
        Figures.fixed(f.frequency().value(), 2) + " Hz",
        Figures.withUncertainty(f.thdF().value(), f.thdF().u95(), Unit.PERCENT),
        Figures.fixed(f.crestFactor().value(), 2),
        Figures.fixed(f.dcOffset().value(), 1) + " V",
        Figures.ordinal(f.worstOrder()) + ", " + Figures.fixed(f.worst().value(), 1) + " %",
        f.shape().words());
  }

  /** What else a capture says, and what the loads do, a sentence each. */
  public static List<String> words(CapturedWaves run, Wave wave) {
    WaveformFinding f = wave.finding().orElseThrow();
    List<String> words = new ArrayList<>();
    words.add(wave.kept().words() + ". " + f.reason());
    f.power()
        .ifPresent(
            p ->
                words.add(
                    "The load takes "
                        + Figures.plain(Math.rint(p.watts().value()), Unit.WATT)
                        + " of "
                        + Figures.plain(Math.rint(p.voltAmperes().value()), Unit.VOLT_AMPERE)
                        + ", power factor "
                        + Figures.fixed(p.powerFactor().value(), 2)
                        + ", current distortion "
                        + Figures.fixed(p.ampsThd().value(), 1)
                        + " %."));
    if (f.interharmonics() > 0.1) {
      words.add(
          "Between the harmonics lies another "
              + Figures.fixed(f.interharmonics(), 1)
              + " % of the fundamental, noise in it.");
    }
    cycle(f, words);
    if (f.windows() > 2) {
      words.add(over(f));
    }
    wave.check().ifPresent(c -> words.add(c.words()));
    for (Sag s : wave.sags()) {
      words.add(s.words());
    }
    words.addAll(run.sweep().words());
    return words;
  }

  private static void cycle(WaveformFinding f, List<String> words) {
    f.cycle()
        .notch()
        .ifPresent(
            n ->
                words.add(
                    "A kink at each zero crossing leaves the best sine by "
                        + Figures.fixed(n.percent(), 1)
                        + " % of the peak, "
                        + Figures.fixed(n.degrees(), 0)
                        + "° wide."));
    f.cycle()
        .ringing()
        .ifPresent(
            r ->
                words.add(
                    "Edges overshoot by "
                        + Figures.fixed(r.overshootPercent(), 0)
                        + " %"
                        + (Double.isNaN(r.hertz())
                            ? "."
                            : " and ring at about "
                                + Figures.plain(Math.rint(r.hertz() / 50) * 50, Unit.HERTZ)
                                + ".")));
    if (f.cycle().peakAsymmetryPercent() > 2) {
      words.add(
          "Its half waves differ: "
              + Figures.fixed(f.cycle().positivePeak(), 0)
              + " V up, "
              + Figures.fixed(f.cycle().negativePeak(), 0)
              + " V down.");
    }
  }

  private static String over(WaveformFinding f) {
    return "Over "
        + f.windows()
        + " windows: "
        + Figures.fixed(f.over().rms().least(), 1)
        + " to "
        + Figures.fixed(f.over().rms().most(), 1)
        + " V, "
        + Figures.fixed(f.over().frequency().least(), 2)
        + " to "
        + Figures.fixed(f.over().frequency().most(), 2)
        + " Hz, THD "
        + Figures.fixed(f.over().thd().least(), 2)
        + " to "
        + Figures.fixed(f.over().thd().most(), 2)
        + " %.";
  }
}
