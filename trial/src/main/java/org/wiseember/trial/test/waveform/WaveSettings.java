package org.wiseember.trial.test.waveform;

import java.util.List;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.core.hand.Press;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
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
  public ByHand byHand() {
    ByHand.Script script =
        ByHand.of(WaveSteps.KIND, procedure().steps())
            .step("mains", "For comparison: what the meter shows on the mains")
            .how("Volts, hertz and distortion, where it shows them. Or go on without.")
            .on(Press.READ, "none");
    script
        .nextPart()
        .step("none", "Unit's outlet on, no load")
        .how("Write 231 V, 50.0 Hz, 2.1 % THD; a photo of a scope's screen goes with it.")
        .about(0)
        .on(Press.READ, loads.isEmpty() ? "none" : "load-0");
    for (int i = 0; i < loads.size(); i++) {
      String watts = Figures.plain(loads.get(i), Unit.WATT);
      script
          .nextPart()
          .step("load-" + i, "Load to " + watts)
          .about(loads.get(i))
          .on(Press.LOAD_ON, "read-" + i)
          .step("read-" + i, "Read the meter or the scope's screen at " + watts)
          .how("Volts, hertz, distortion. What was not read stays unknown.")
          .clock("on for")
          .about(loads.get(i));
      if (i == loads.size() - 1) {
        script.last(Press.READ, "Read at every load. Load off.");
      } else {
        script.on(Press.READ, "load-" + (i + 1));
      }
    }
    return script.build();
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.VOLTS, TypedKind.HERTZ, TypedKind.DISTORTION, TypedKind.POWER);
  }

  @Override
  public String ends(boolean byHand) {
    return byHand
        ? "At every load capture 200 ms or more; add the files in Evidence."
        : "The mains first, then a capture at every load once it has settled.";
  }
}
