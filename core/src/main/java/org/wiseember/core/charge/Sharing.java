package org.wiseember.core.charge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.trace.Series;

/**
 * How several sources share a charge, as the trace shows it: those that keep their level come
 * first, those that give way top up to the cap.
 *
 * @param cap W all of them together reach and keep; empty where none gave way
 * @param first inlets that keep their level
 * @param toppingUp inlets that give way
 * @param most W all together, over a while
 */
public record Sharing(OptionalDouble cap, List<Inlet> first, List<Inlet> toppingUp, double most) {
  private static final double LEAST_SECONDS = 60;

  public Sharing {
    first = List.copyOf(first);
    toppingUp = List.copyOf(toppingUp);
  }

  /** Empty where fewer than two sources were on at once. */
  static Optional<Sharing> of(Inputs inputs, List<LimitBand> bands, double from) {
    if (inputs.parts().size() < 2) {
      return Optional.empty();
    }
    List<Inlet> first = new ArrayList<>();
    List<Inlet> giving = new ArrayList<>();
    double watts = 0;
    double seconds = 0;
    for (LimitBand band : bands) {
      double shared = 0;
      for (LimitBand.Stretch s : band.stretches()) {
        if (s.binding() == LimitingFactor.SHARED_CAP) {
          shared += s.seconds();
          watts += mean(inputs.whole(), s) * s.seconds();
        }
      }
      seconds += shared;
      (shared >= LEAST_SECONDS ? giving : first).add(band.inlet());
    }
    Bins bins = new Bins(from, inputs.whole().seconds(inputs.whole().size() - 1), 200);
    double most = Level.of(bins.medians(inputs.whole()));
    return Optional.of(
        new Sharing(
            giving.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(watts / seconds),
            first,
            giving,
            most));
  }

  private static double mean(Series whole, LimitBand.Stretch stretch) {
    double sum = 0;
    int n = 0;
    for (int i = whole.from(stretch.from()); i < whole.size(); i++) {
      if (whole.seconds(i) > stretch.to()) {
        break;
      }
      sum += whole.value(i);
      n++;
    }
    return n == 0 ? 0 : sum / n;
  }
}
