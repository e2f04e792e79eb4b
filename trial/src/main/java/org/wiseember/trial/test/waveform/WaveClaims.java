package org.wiseember.trial.test.waveform;

import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.core.waveform.WaveClass;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.trial.test.Answer;

/** Claims about the shape of the output held against a run that captured it. */
final class WaveClaims {
  /** Most distortion a sine may have, %; common practice, no published source. */
  private static final double SINE_THD = 5;

  private final WaveRun run;

  WaveClaims(WaveRun run) {
    this.run = run;
  }

  Optional<Answer> answer(Claim claim, double halfLoad) {
    if (claim.subject() == Subject.DISTORTION) {
      return distortion(claim);
    }
    if (claim.subject() == Subject.WAVEFORM) {
      return run.worst().map(w -> shape(claim, w));
    }
    return figure(claim, halfLoad, claim.subject() == Subject.OUTPUT_VOLTAGE);
  }

  /** At the load the label names; where it names none it promises any, so the worst counts. */
  private Optional<Answer> distortion(Claim claim) {
    OptionalDouble load = claim.condition(Condition.Kind.AT_LOAD);
    return (load.isPresent() ? run.at(load.getAsDouble()) : run.worst())
        .map(
            w ->
                Answer.of(
                    "Distortion, " + (load.isPresent() ? "" : "worst: ") + w.where(),
                    claim,
                    run,
                    w.figures().distortion()));
  }

  private Answer shape(Claim claim, WaveRun.Wave worst) {
    return new Answer("Waveform", claim, run.run().id(), guard -> shape(claim, worst, guard));
  }

  private static Verdict shape(Claim claim, WaveRun.Wave worst, boolean guard) {
    WaveformFinding f = worst.finding().orElseThrow();
    Figure thd = worst.figures().distortion();
    String word = claim.word();
    boolean sine = word.contains("sine") && !word.contains("modified");
    boolean smooth = f.shape() == WaveClass.SINE || f.shape() == WaveClass.ROUGH_SINE;
    String seen =
        "The worst wave, "
            + worst.where()
            + ", is "
            + (f.shape() == WaveClass.OTHER ? "no class testers use" : f.shape().words())
            + ", "
            + Figures.fixed(thd.value(), 1)
            + " % distortion.";
    if (sine && smooth) {
      double w = guard ? thd.u95() : 0;
      Standing standing =
          thd.value() <= SINE_THD - w
              ? Standing.KEPT
              : thd.value() > SINE_THD + w ? Standing.SHORT : Standing.TOO_CLOSE;
      return Verdict.seen(claim, thd, standing, seen + " Up to 5 % testers call a pure sine.");
    }
    boolean better = word.contains("modified") && (smooth || f.shape() == WaveClass.MODIFIED);
    boolean square = word.contains("square");
    return Verdict.seen(claim, thd, better || square ? Standing.KEPT : Standing.SHORT, seen);
  }

  private Optional<Answer> figure(Claim claim, double halfLoad, boolean volts) {
    return (Double.isNaN(halfLoad) ? run.worst() : run.at(halfLoad))
        .map(
            w ->
                Answer.of(
                    (volts ? "Output volts, " : "Frequency, ") + w.where(),
                    claim,
                    run,
                    volts ? w.figures().rms() : w.figures().frequency()));
  }
}
