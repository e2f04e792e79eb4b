package org.wiseember.trial.kind.waveform;

import java.util.Comparator;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.core.waveform.MeterWave;
import org.wiseember.core.waveform.WaveClass;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.wave.Wave;

/** Claims about the shape of the output held against a run that captured it. */
final class WaveClaims {
  /** Most distortion a sine may have, %; common practice, no published source. */
  private static final double SINE_THD = 5;

  private final WaveRun run;

  WaveClaims(WaveRun run) {
    this.run = run;
  }

  /** The most distorted output that a meter showed. */
  static Optional<Figure> mostDistorted(WaveRun run) {
    return run.ownRead().stream()
        .flatMap(w -> w.distortion().stream())
        .max(Comparator.comparingDouble(Figure::value));
  }

  Optional<ClaimAnswer> answer(Claim claim, double halfLoad) {
    return run.own().isEmpty() ? read(claim, halfLoad) : captured(claim, halfLoad);
  }

  /** By what a meter showed and eyes saw. */
  private Optional<ClaimAnswer> read(Claim claim, double halfLoad) {
    return switch (claim.subject()) {
      case DISTORTION -> {
        OptionalDouble load = claim.condition(Condition.Kind.AT_LOAD);
        yield (load.isPresent()
                ? near(load.getAsDouble()).flatMap(MeterWave::distortion)
                : mostDistorted(run))
            .map(f -> ClaimAnswer.of(f.name(), claim, run, f));
      }
      case WAVEFORM -> looked(claim);
      case OUTPUT_VOLTAGE ->
          near(halfLoad).flatMap(MeterWave::rms).map(f -> ClaimAnswer.of(f.name(), claim, run, f));
      default ->
          near(halfLoad)
              .flatMap(MeterWave::frequency)
              .map(f -> ClaimAnswer.of(f.name(), claim, run, f));
    };
  }

  private Optional<MeterWave> near(double watts) {
    return run.ownRead().stream()
        .filter(w -> Double.isNaN(watts) || !Double.isNaN(w.watts()))
        .min(
            Comparator.comparingDouble(w -> Double.isNaN(watts) ? 0 : Math.abs(w.watts() - watts)));
  }

  /**
   * A stepped or square wave is told by any eye, a rough sine from a pure one by none: for that it
   * takes a meter that shows distortion.
   */
  private Optional<ClaimAnswer> looked(Claim claim) {
    Optional<MeterWave> worst =
        run.ownRead().stream()
            .filter(w -> w.look().isPresent())
            .max(Comparator.comparing(w -> w.look().get()));
    Optional<Figure> thd = mostDistorted(run);
    boolean sine = claim.word().contains("sine") && !claim.word().contains("modified");
    if (worst.isEmpty() && thd.isEmpty()) {
      return Optional.empty();
    }
    String title = "Waveform, by eye";
    boolean bent = worst.filter(w -> w.look().get() != MeterWave.Look.SINE).isPresent();
    if (bent && sine && worst.get().rms().or(() -> thd).isPresent()) {
      Figure beside = worst.get().rms().or(() -> thd).get();
      String why =
          "It looked " + worst.get().look().get().words() + ", " + worst.get().where() + ".";
      return Optional.of(
          new ClaimAnswer(
              title,
              claim,
              run.run().id(),
              guard -> Verdict.seen(claim, beside, Standing.SHORT, why)));
    }
    return thd.filter(t -> sine && !bent)
        .map(t -> new ClaimAnswer(title, claim, run.run().id(), guard -> pure(claim, t, guard)))
        .or(
            () ->
                Optional.of(
                    ClaimAnswer.rigCannotShow(
                        title,
                        claim,
                        run,
                        "Eyes tell a stepped wave from a sine and no more. A meter that shows"
                            + " distortion, or a scope's capture, would settle it.")));
  }

  private static Verdict pure(Claim claim, Figure thd, boolean guard) {
    double w = guard ? thd.u95() : 0;
    Standing standing =
        thd.value() <= SINE_THD - w
            ? Standing.KEPT
            : thd.value() > SINE_THD + w ? Standing.SHORT : Standing.TOO_CLOSE;
    return Verdict.seen(
        claim,
        thd,
        standing,
        "The meter showed " + thd.words() + " at most. Up to 5 % testers call a pure sine.");
  }

  private Optional<ClaimAnswer> captured(Claim claim, double halfLoad) {
    if (claim.subject() == Subject.DISTORTION) {
      return distortion(claim);
    }
    if (claim.subject() == Subject.WAVEFORM) {
      return run.worst().map(w -> shape(claim, w));
    }
    return figure(claim, halfLoad, claim.subject() == Subject.OUTPUT_VOLTAGE);
  }

  /** At the load the label names; where it names none it promises any, so the worst counts. */
  private Optional<ClaimAnswer> distortion(Claim claim) {
    OptionalDouble load = claim.condition(Condition.Kind.AT_LOAD);
    return (load.isPresent() ? run.at(load.getAsDouble()) : run.worst())
        .map(
            w ->
                ClaimAnswer.of(
                    "Distortion, " + (load.isPresent() ? "" : "worst: ") + w.where(),
                    claim,
                    run,
                    w.figures().distortion()));
  }

  private ClaimAnswer shape(Claim claim, Wave worst) {
    return new ClaimAnswer("Waveform", claim, run.run().id(), guard -> shape(claim, worst, guard));
  }

  private static Verdict shape(Claim claim, Wave worst, boolean guard) {
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

  private Optional<ClaimAnswer> figure(Claim claim, double halfLoad, boolean volts) {
    return (Double.isNaN(halfLoad) ? run.worst() : run.at(halfLoad))
        .map(
            w ->
                ClaimAnswer.of(
                    (volts ? "Output volts, " : "Frequency, ") + w.where(),
                    claim,
                    run,
                    volts ? w.figures().rms() : w.figures().frequency()));
  }
}
