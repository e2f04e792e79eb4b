package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.core.waveform.WaveClass;
import org.wiseember.core.waveform.WaveformBecause;
import org.wiseember.core.waveform.WaveformFinding;

/** Claims about the shape of the output held against the newest run that captured it. */
final class WaveClaims {
  /** Most distortion a sine may have, %; common practice, no published source. */
  private static final double SINE_THD = 5;

  private final Optional<WaveRun> run;
  private final boolean guardBand;

  WaveClaims(List<TestRun> runs, boolean guardBand) {
    this.run =
        runs.stream()
            .filter(WaveRun.class::isInstance)
            .map(WaveRun.class::cast)
            .filter(r -> !r.own().isEmpty())
            .reduce((first, second) -> second);
    this.guardBand = guardBand;
  }

  /** The judged line; empty where no run captured a wave. */
  Optional<Judged> judge(Claim claim, double halfLoad) {
    return switch (claim.subject()) {
      case DISTORTION -> distortion(claim);
      case WAVEFORM -> shape(claim);
      case OUTPUT_VOLTAGE -> figure(claim, halfLoad, "Output volts", true);
      case OUTPUT_FREQUENCY -> figure(claim, halfLoad, "Frequency", false);
      default -> Optional.empty();
    };
  }

  /** At the load the label names; where it names none it promises any, so the worst counts. */
  private Optional<Judged> distortion(Claim claim) {
    OptionalDouble load = claim.condition(Condition.Kind.AT_LOAD);
    return run.flatMap(r -> load.isPresent() ? r.at(load.getAsDouble()) : r.worst())
        .map(
            w -> {
              WaveformFinding f = w.finding().orElseThrow();
              return line(
                  "Distortion, " + (load.isPresent() ? "" : "worst: ") + w.where(),
                  claim,
                  Verdict.judge(claim, f.thdF(), guardBand),
                  w);
            });
  }

  private Optional<Judged> shape(Claim claim) {
    return run.flatMap(WaveRun::worst).map(w -> line("Waveform", claim, shape(claim, w), w));
  }

  private Verdict shape(Claim claim, WaveRun.Wave worst) {
    WaveformFinding f = worst.finding().orElseThrow();
    String word = claim.word();
    boolean sine = word.contains("sine") && !word.contains("modified");
    boolean smooth = f.shape() == WaveClass.SINE || f.shape() == WaveClass.ROUGH_SINE;
    String seen =
        "The worst wave, "
            + worst.where()
            + ", is "
            + (f.shape() == WaveClass.OTHER ? "no class testers use" : f.shape().words())
            + ", "
            + Figures.fixed(f.thdF().value(), 1)
            + " % distortion.";
    if (sine && smooth) {
      Estimate thd = f.thdF();
      double w = guardBand ? thd.u95() : 0;
      Standing standing =
          thd.value() <= SINE_THD - w
              ? Standing.KEPT
              : thd.value() > SINE_THD + w ? Standing.SHORT : Standing.TOO_CLOSE;
      return Verdict.seen(claim, standing, seen + " Up to 5 % testers call a pure sine.");
    }
    boolean better = word.contains("modified") && (smooth || f.shape() == WaveClass.MODIFIED);
    boolean square = word.contains("square");
    return Verdict.seen(claim, better || square ? Standing.KEPT : Standing.SHORT, seen);
  }

  private Optional<Judged> figure(Claim claim, double halfLoad, String title, boolean volts) {
    return run.flatMap(r -> Double.isNaN(halfLoad) ? r.worst() : r.at(halfLoad))
        .map(
            w -> {
              WaveformFinding f = w.finding().orElseThrow();
              return line(
                  title + ", " + w.where(),
                  claim,
                  Verdict.judge(claim, volts ? f.rms() : f.frequency(), guardBand),
                  w);
            });
  }

  private Judged line(String title, Claim claim, Verdict verdict, WaveRun.Wave wave) {
    return new Judged(
        title,
        claim,
        Optional.of(verdict),
        Optional.of(WaveformBecause.distortion(wave.finding().orElseThrow(), wave.where())),
        run.map(r -> r.run().id()));
  }
}
