package org.wiseember.core.waveform;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.wiseember.core.because.Because;
import org.wiseember.core.because.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;

/** How the distortion of a wave came about. */
public final class WaveformBecause {
  private static final int STRONGEST = 4;

  private WaveformBecause() {}

  /**
   * Behind the distortion of a capture.
   *
   * @param where it was captured, such as {@code no load}
   */
  public static Because distortion(WaveformFinding f, String where) {
    List<String> sum = new ArrayList<>();
    sum.add(
        f.windows()
            + (f.windows() == 1 ? " window" : " windows")
            + " of "
            + (f.frequency().value() < 55 ? 10 : 12)
            + " cycles at "
            + Figures.fixed(f.frequency().value(), 2)
            + " Hz");
    List<Map.Entry<Integer, Estimate>> strongest =
        f.harmonics().entrySet().stream()
            .sorted(
                Comparator.comparingDouble(
                    (Map.Entry<Integer, Estimate> e) -> -e.getValue().value()))
            .filter(e -> e.getValue().value() > e.getValue().u95())
            .limit(STRONGEST)
            .toList();
    if (!strongest.isEmpty()) {
      List<String> squares =
          strongest.stream().map(e -> Figures.fixed(e.getValue().value(), 2) + "²").toList();
      sum.add(
          "√("
              + String.join(" + ", squares)
              + " + …) = "
              + Figures.fixed(f.thdF().value(), 2)
              + " %");
    }
    sum.add(
        (strongest.isEmpty()
                ? "No harmonic stands out"
                : "Strongest: "
                    + String.join(
                        ", ", strongest.stream().map(e -> Figures.ordinal(e.getKey())).toList()))
            + ", to order "
            + f.orders());
    sum.add(f.reason());
    double share = f.thdF().u95();
    return new Because(
        "Distortion, " + where,
        Figures.withUncertainty(f.thdF().value(), f.thdF().u95(), Unit.PERCENT),
        "harmonics against the fundamental (THD-F)",
        sum,
        Unit.PERCENT,
        Budget.of(Contribution.rectangular("Lines, noise and scatter between windows", share)),
        f.warnings().stream()
            .filter(w -> !w.code().equals("accuracy_assumed"))
            .map(Warning::message)
            .toList(),
        "Against the whole RMS (THD-R) it is "
            + Figures.fixed(f.thdR().value(), 2)
            + " %; everything but the fundamental, noise and what lies between harmonics too, is "
            + Figures.fixed(f.residual().value(), 2)
            + " %.");
  }
}
