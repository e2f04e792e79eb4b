package org.wiseember.core.charge;

import java.util.List;

/**
 * What bound one inlet, stretch by stretch.
 *
 * @param stretches in order of time, each beginning where the one before ends
 */
public record LimitBand(Inlet inlet, List<Stretch> stretches) {
  public LimitBand {
    stretches = List.copyOf(stretches);
  }

  /**
   * One stretch.
   *
   * @param from s in the log
   * @param to s in the log
   */
  public record Stretch(double from, double to, LimitingFactor binding) {
    public double seconds() {
      return to - from;
    }
  }

  /** What bound it at a moment; nothing outside the log. */
  public LimitingFactor at(double seconds) {
    return stretches.stream()
        .filter(s -> s.from() <= seconds && seconds < s.to())
        .map(Stretch::binding)
        .findFirst()
        .orElse(LimitingFactor.NOTHING);
  }

  /** For how long it was bound so, s. */
  public double seconds(LimitingFactor binding) {
    return stretches.stream()
        .filter(s -> s.binding() == binding)
        .mapToDouble(Stretch::seconds)
        .sum();
  }
}
