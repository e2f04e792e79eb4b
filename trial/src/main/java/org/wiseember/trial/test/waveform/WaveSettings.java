package org.wiseember.trial.test.waveform;

import java.util.List;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.test.TestSettings;

/** Loads a wave is captured at, W. */
public record WaveSettings(List<Double> loads, double volts, String reason)
    implements TestSettings {
  public WaveSettings {
    loads = List.copyOf(loads);
  }

  @Override
  public String title() {
    return "Waveform up to " + Figures.plain(watts()) + " W";
  }

  @Override
  public Procedure procedure() {
    return new WaveSteps(loads);
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.POWER, TypedKind.VOLTS);
  }

  @Override
  public String ends(boolean byHand) {
    return byHand
        ? "At every load capture 200 ms or more; add the files in Evidence."
        : "The mains first, then a capture at every load once it has settled.";
  }
}
