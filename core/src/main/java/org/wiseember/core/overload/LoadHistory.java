package org.wiseember.core.overload;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.trace.Series;

/**
 * What heated an inverter before a moment, as stretches of mean square power, so that its thermal
 * image can be worked out for any time constant without going through every reading again.
 *
 * @param stays in order of time; the inverter is taken to be in balance with nothing before them
 */
record LoadHistory(List<Stay> stays) {
  /** Stretches are no longer than this share of what they are away from the moment, nor s. */
  private static final double COARSE = 0.02;

  private static final double SHORTEST = 0.5;

  /**
   * A stretch.
   *
   * @param seconds long
   * @param square mean of the square of its power, W²
   */
  record Stay(double seconds, double square) {}

  LoadHistory {
    stays = List.copyOf(stays);
  }

  /** What a trace shows up to a moment, finer towards its end. */
  static LoadHistory upTo(Series power, double moment) {
    List<Stay> back = new ArrayList<>();
    double seconds = 0;
    double sum = 0;
    for (int i = power.from(moment) - 1; i >= 0; i--) {
      double next = i + 1 < power.size() ? Math.min(power.seconds(i + 1), moment) : moment;
      double span = next - power.seconds(i);
      seconds += span;
      sum += span * power.value(i) * power.value(i);
      double away = moment - power.seconds(i);
      if (seconds >= Math.max(SHORTEST, COARSE * away) || i == 0) {
        if (seconds > 0) {
          back.add(0, new Stay(seconds, sum / seconds));
        }
        seconds = 0;
        sum = 0;
      }
    }
    return new LoadHistory(back);
  }

  /** The image at the end, W². */
  double image(double timeConstant) {
    double image = 0;
    for (Stay stay : stays) {
      image += (stay.square() - image) * -Math.expm1(-stay.seconds() / timeConstant);
    }
    return image;
  }
}
