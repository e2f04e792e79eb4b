package org.wiseember.core.waveform;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.uncertainty.Estimate;

/**
 * Harmonics held against a set of caps. One counts as over only where it is over by more than it is
 * unsure.
 *
 * @param limits the caps
 * @param over orders that are over their cap, 0 for the total
 * @param close orders too close to their cap to call, 0 for the total
 */
public record LimitCheck(LimitSet limits, List<Integer> over, List<Integer> close) {
  /** The place of the total among the orders. */
  public static final int TOTAL = 0;

  public LimitCheck {
    over = List.copyOf(over);
    close = List.copyOf(close);
  }

  /** Holds a finding against the caps. */
  public static LimitCheck of(WaveformFinding finding, LimitSet limits) {
    List<Integer> over = new ArrayList<>();
    List<Integer> close = new ArrayList<>();
    sort(TOTAL, finding.thdF(), limits.total(), over, close);
    for (Map.Entry<Integer, Estimate> h : finding.harmonics().entrySet()) {
      OptionalDouble cap = limits.cap(h.getKey());
      if (cap.isPresent()) {
        sort(h.getKey(), h.getValue(), cap.getAsDouble(), over, close);
      }
    }
    return new LimitCheck(limits, over, close);
  }

  private static void sort(
      int order, Estimate e, double cap, List<Integer> over, List<Integer> close) {
    if (e.low() > cap) {
      over.add(order);
    } else if (e.high() > cap) {
      close.add(order);
    }
  }

  /** Whether none is over. */
  public boolean within() {
    return over.isEmpty();
  }

  /** One sentence. */
  public String words() {
    String close =
        this.close.isEmpty() ? "" : "; " + names(this.close) + " too close to their cap to call";
    return within()
        ? "Within " + limits.words() + close + "."
        : "Over " + limits.words() + ": " + names(over) + close + ".";
  }

  private static String names(List<Integer> orders) {
    List<String> names = new ArrayList<>();
    for (int order : orders) {
      names.add(order == TOTAL ? "the total" : "the " + Figures.ordinal(order));
    }
    return String.join(", ", names);
  }
}
