package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.port.SwitchedOff;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.workbook.Run;

/**
 * A small load left on for a day or a night.
 *
 * @param off when the output went off; empty where it stayed on
 */
public record SoakRun(Run run, Trace trace, Treatment treatment, Optional<SwitchedOff> off)
    implements TestRun {
  /** One sentence. */
  public String words() {
    return off.map(SwitchedOff::words)
        .orElse("The output stayed on for " + Figures.duration(trace.span()) + ".");
  }

  @Override
  public Optional<Because> because() {
    return Optional.of(
        new Because(
            "Does the output stay on?",
            off.isEmpty() ? "yes" : off.get().byItself() ? "no" : "until empty",
            "soaked for " + Figures.duration(trace.span()),
            List.of(words()),
            Unit.ONE,
            new Budget(List.of()),
            off.filter(SwitchedOff::byItself).isPresent()
                ? List.of(
                    "An eco mode or an auto-off timer ruins a fridge overnight. Look for a setting that"
                        + " keeps the output on, and soak again.")
                : List.of(),
            ""));
  }

  @Override
  public List<Warning> warnings() {
    return List.of(new Warning("soak", words()));
  }
}
