package org.wiseember.trial.kind.idle;

import java.util.List;
import java.util.Set;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.IdleState;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.simulated.Clamped;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.SimulatedRig;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.need.UnitTimes;

/** Nothing plugged in, every way the outputs can be switched. */
public record IdleSettings(double volts, String reason) implements TestSettings {
  @Override
  public String title() {
    return "Idle draw";
  }

  @Override
  public List<Double> loads() {
    return List.of();
  }

  @Override
  public Procedure procedure() {
    return new IdleWatch(List.of(IdleState.values()));
  }

  @Override
  public ByHand byHand() {
    ByHand.Script script = ByHand.of(IdleWatch.KIND, procedure().steps());
    IdleState[] states = IdleState.values();
    for (int i = 0; i < states.length; i++) {
      IdleState state = states[i];
      if (i > 0) {
        script.nextPart();
      }
      script
          .step("set-" + i, "Nothing plugged in, " + state.words())
          .how("Press once it is so.")
          .skippable()
          .on(OperatorEvent.DONE, "read-" + i)
          .step("read-" + i, "Read what the battery gives, " + state.words())
          .how(
              "Volts and amps off clamp or shunt, such as: 12.70 V, 0.96 A; again after some minutes,"
                  + " for a fan comes and goes. Without a meter the display now and hours later will"
                  + " do: 98 %.")
          .clock("so for")
          .begins(IdleWatch.STATE, state.key(), state.words());
      if (i == states.length - 1) {
        script.last(OperatorEvent.READ, "Read in " + states.length + " states.");
      } else {
        script
            .on(OperatorEvent.READ, "set-" + (i + 1))
            .last(OperatorEvent.ENOUGH, "Read in " + (i + 1) + " states.");
      }
    }
    return script.build();
  }

  @Override
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return SimulatedRig.BARE.clamped(Clamped.BATTERY);
  }

  @Override
  public List<RigCable> leads(Label label) {
    return List.of();
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.DC_VOLTS, TypedKind.DC_AMPS, TypedKind.DISPLAY);
  }

  @Override
  public String ends(boolean byHand) {
    return "Nothing may be plugged in while it reads.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(
        new LiveTile(
            "Out of the battery",
            "W",
            m ->
                new LiveTile.Now(
                    Figures.fixed(m.frame().dcWatts(), 2),
                    m.procedure() instanceof IdleWatch watch ? watch.state().words() : "idle")),
        new LiveTile("Amps", "A", m -> m.reading(Channel.DC_CURRENT, 2, "out of the battery")),
        new LiveTile("Volts", "V", m -> m.reading(Channel.DC_VOLTAGE, 2, "at its terminals")),
        new LiveTile(
            "Display says",
            "%",
            m ->
                new LiveTile.Now(
                    Figures.fixed(m.displayCharge(), 0),
                    Figures.plain(m.view().deliveredWattHours()) + " Wh drawn so far")));
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.some(2, 0.75, Equipment.DC_METER).attended(0.4).rested();
  }
}
