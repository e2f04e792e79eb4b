package org.wiseember.trial.kind.waveform;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.waveform.CapturePlace;
import org.wiseember.trial.wave.Wave;

/**
 * A wave behind a filter, or while the unit charges, held against the unit's own at the load
 * nearest to it.
 *
 * @param changed the wave
 * @param plain the unit's own
 * @param difference of their distortion, points
 */
record WaveBeside(Wave changed, Wave plain, Figure difference) {
  /** Loads further apart than this share are no pair: distortion depends on the load. */
  private static final double LIKE_LOAD = 0.2;

  /** A load this small counts as none, W. */
  private static final double NO_LOAD = 10;

  /** Every pair of a run. */
  static List<WaveBeside> of(WaveRun run) {
    List<WaveBeside> pairs = new ArrayList<>();
    for (Wave w : run.waves()) {
      CapturePlace place = w.kept().note().place();
      if (w.finding().isPresent() && place.ofUnit() && place != CapturePlace.OUTPUT) {
        plain(run, w).ifPresent(own -> pairs.add(pair(w, own, pairs.size() + 1)));
      }
    }
    return pairs;
  }

  private static Optional<Wave> plain(WaveRun run, Wave changed) {
    return run.own().stream()
        .filter(w -> alike(w.watts(), changed.watts()))
        .min(Comparator.comparingDouble(w -> Math.abs(w.watts() - changed.watts())));
  }

  private static boolean alike(double a, double b) {
    return Math.abs(a - b) <= Math.max(NO_LOAD, LIKE_LOAD * Math.max(a, b));
  }

  private static WaveBeside pair(Wave changed, Wave plain, int at) {
    Figure after = changed.figures().distortion();
    Figure before = plain.figures().distortion();
    double difference = after.value() - before.value();
    Because because =
        Because.of(
                after.budget().called("After").with(before.budget().called("Before").scaled(-1)),
                Figures.fixed(after.value(), 2)
                    + " % "
                    + changed.where()
                    + " − "
                    + Figures.fixed(before.value(), 2)
                    + " % "
                    + plain.where())
            .from(after, before)
            .summed("points of distortion, below 0 for less")
            .watching("Distortion depends on the load: the two belong together at like load only.");
    return new WaveBeside(
        changed,
        plain,
        Figure.of(
            "distortion_change_" + at,
            "Distortion " + changed.kept().note().place().words(),
            difference,
            Unit.PERCENT,
            because));
  }

  /** One sentence. */
  String words() {
    String place = changed.kept().note().place().words();
    String where = Character.toUpperCase(place.charAt(0)) + place.substring(1);
    String by = Figures.withUncertainty(Math.abs(difference.value()), difference.u95());
    return Math.abs(difference.value()) <= difference.u95()
        ? where + " the wave is as distorted as before, as far as these captures tell."
        : where
            + " the wave is distorted by "
            + by
            + " points "
            + (difference.value() < 0 ? "less" : "more")
            + ", "
            + plain.where()
            + ".";
  }
}
