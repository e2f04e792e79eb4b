package org.wiseember.trial.kind.waveform;

import java.util.List;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.UnitTimes;
import org.wiseember.workbook.Event;

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
    ByHand.Script script = ByHand.of(WaveSteps.KIND, procedure().steps());
    read(
        script.step("mains", "For comparison: what the meter shows on the mains").skippable(),
        "mains",
        "none",
        new Event(0, WaveSteps.WAVE, WaveSteps.MAINS, "the mains"));
    read(
        script
            .nextPart()
            .step("none", "Unit's outlet on, no load: read the meter")
            .about(0)
            .skippable(),
        "none",
        loads.isEmpty() ? "" : "load-0",
        new Event(0, WaveSteps.WAVE, WaveSteps.NO_LOAD, "no load"));
    for (int i = 0; i < loads.size(); i++) {
      String watts = Figures.plain(loads.get(i), Unit.WATT);
      script
          .nextPart()
          .step("load-" + i, "Load to " + watts)
          .about(loads.get(i))
          .skippable()
          .on(OperatorEvent.LOAD_ON, "read-" + i)
          .step("read-" + i, "Read the meter and look at the wave at " + watts)
          .clock("on for")
          .about(loads.get(i));
      read(
          script,
          "read-" + i,
          i == loads.size() - 1 ? "" : "load-" + (i + 1),
          new Event(0, WaveSteps.WAVE, Double.toString(loads.get(i)), "at " + watts));
    }
    return script.build();
  }

  /** A step at which the meter is read; a look at the wave is said where there is a screen. */
  private static void read(ByHand.Script script, String name, String next, Event begins) {
    script
        .how(
            "Write what it shows, such as: 231 V, 50.0 Hz, 2.1 % THD, 598 W. The look only off a"
                + " scope's screen or a photo of one; what was not read stays unknown.")
        .begins(begins.code(), begins.detail(), begins.words());
    if (next.isEmpty()) {
      script.last(OperatorEvent.READ, "Read at every load. Load off.");
    } else {
      script.on(OperatorEvent.READ, next);
    }
    script
        .on(OperatorEvent.LOOKS_SINE, name)
        .on(OperatorEvent.LOOKS_STEPPED, name)
        .on(OperatorEvent.LOOKS_SQUARE, name);
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.VOLTS, TypedKind.HERTZ, TypedKind.DISTORTION, TypedKind.POWER);
  }

  @Override
  public String ends(boolean byHand) {
    return byHand
        ? "Read the meter at every load; a capture is added in Evidence."
        : "The mains first, then a capture at every load once it has settled.";
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.some(
        unit.percent(loads.stream().mapToDouble(w -> w).sum() * 0.05),
        0.6,
        Equipment.LOADS,
        Equipment.SCOPE);
  }
}
