package org.wiseember.trial.kind.start;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.load.LoadBank;
import org.wiseember.bench.simulated.load.Motor;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Label;
import org.wiseember.core.start.CodeLetter;
import org.wiseember.core.start.Nameplate;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.SimulatedRig;
import org.wiseember.trial.kind.StoredSettings;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Leads;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.need.UnitTimes;
import org.wiseember.trial.onhand.MotorOnHand;

/**
 * The motor that is started.
 *
 * @param motor by its plate; empty where nobody kept it
 */
public record StartsSettings(Optional<Nameplate> motor, double volts, String reason)
    implements TestSettings {
  private static final String MOTOR = "motor";
  private static final String KIND = "motorKind";
  private static final String VOLTS = "motorVolts";
  private static final String AMPS = "motorAmps";
  private static final String LOCKED = "motorLockedRotorAmps";
  private static final String CODE = "motorCode";
  private static final String POWER = "motorHorsepower";
  private static final String EASED = "motorEased";

  /** How often a motor is tried. */
  private static final int STARTS = 5;

  private static final double POWER_FACTOR = 0.8;
  private static final double USUAL_AMPS = 3;
  private static final double SOFT = 0.45;
  private static final double START_SECONDS = 0.3;

  @Override
  public String title() {
    return "Motor starts" + motor.map(m -> ", " + m.name()).orElse("");
  }

  @Override
  public List<Double> loads() {
    return List.of();
  }

  @Override
  public Map<String, String> particulars() {
    Map<String, String> kept = new TreeMap<>();
    motor.ifPresent(
        m -> {
          kept.put(MOTOR, m.name());
          kept.put(KIND, m.kind().name());
          kept.put(VOLTS, Double.toString(m.volts()));
          kept.put(AMPS, Double.toString(m.amps()));
          m.lockedRotorAmps().ifPresent(a -> kept.put(LOCKED, Double.toString(a)));
          m.code().ifPresent(c -> kept.put(CODE, c.name()));
          m.horsepower().ifPresent(h -> kept.put(POWER, Double.toString(h)));
          kept.put(EASED, m.eased().name());
        });
    return kept;
  }

  /** The motor of a run; empty where the words make none. */
  static Optional<Nameplate> motor(Map<String, String> kept) {
    double volts = StoredSettings.number(kept, VOLTS).orElse(Double.NaN);
    if (!kept.containsKey(MOTOR) || !(volts > 0)) {
      return Optional.empty();
    }
    return Optional.of(
        new Nameplate(
            kept.get(MOTOR),
            StoredSettings.choice(Nameplate.Kind.values(), kept, KIND, Nameplate.Kind.INDUCTION),
            volts,
            StoredSettings.number(kept, AMPS).orElse(Double.NaN),
            StoredSettings.number(kept, LOCKED),
            Optional.ofNullable(kept.get(CODE)).flatMap(CodeLetter::of),
            StoredSettings.number(kept, POWER),
            StoredSettings.choice(Nameplate.Eased.values(), kept, EASED, Nameplate.Eased.NOTHING)));
  }

  @Override
  public Procedure procedure() {
    return new MotorStarts(STARTS, volts);
  }

  @Override
  public ByHand byHand() {
    ByHand.Script script =
        ByHand.of(MotorStarts.KIND, procedure().steps())
            .step("ready", "AC output on, motor plugged in and off")
            .how("Clamp to inrush and around one conductor, where you have one.")
            .on(OperatorEvent.DONE, "try-1");
    for (int i = 1; i <= STARTS; i++) {
      String next = "after-" + i;
      script
          .nextPart()
          .step("try-" + i, "Switch the motor on and watch")
          .how("Try " + i + " of " + STARTS + ". Press how it went.")
          .about(i)
          .skippable()
          .on(OperatorEvent.STARTED, next)
          .on(OperatorEvent.TRIPPED, next)
          .on(OperatorEvent.STALLED, next)
          .step(next, "Motor off. Write what was seen")
          .how(
              "The inrush peak, the volts, beeps and codes, such as: 29 A peak, 205 V. Rest a minute.")
          .clock("rested for");
      if (i == STARTS) {
        script.last(OperatorEvent.DONE, "Tried " + STARTS + " times. Unplug the motor.");
      } else {
        script
            .on(OperatorEvent.DONE, "try-" + (i + 1))
            .last(OperatorEvent.ENOUGH, "Tried " + i + " times.");
      }
    }
    return script.build();
  }

  @Override
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return SimulatedRig.of(LoadBank.of(simulated(motor.orElseGet(MotorOnHand.ASK::usual))));
  }

  /** What a motor of such a plate does at its start: common practice, no published source. */
  private static Motor simulated(Nameplate plate) {
    double running = plate.volts() * (plate.amps() > 0 ? plate.amps() : USUAL_AMPS) * POWER_FACTOR;
    double inrush =
        switch (plate.kind()) {
          case INDUCTION -> 5.5;
          case UNIVERSAL -> 2.6;
          case ELECTRONIC -> 1.05;
        };
    double eased = plate.eased() == Nameplate.Eased.SOFT_STARTER ? SOFT : 1;
    return new Motor(running, plate.volts(), Math.max(1.02, inrush * eased), START_SECONDS);
  }

  @Override
  public List<RigCable> leads(Label label) {
    double watts = motor.map(m -> m.volts() * Math.max(1, m.amps())).orElse(0.0);
    return new Leads(label).outlet(watts, volts);
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.PEAK, TypedKind.VOLTS);
  }

  @Override
  public String ends(boolean byHand) {
    return byHand
        ? "Switch it on, and say how it went."
        : "One start after the other, a minute between.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(
        LiveTile.SOCKET,
        LiveTile.OUTLET_VOLTS,
        LiveTile.CASE,
        LiveTile.count("Try", MotorStarts.class, s -> s.attempt() + " of " + s.tries()));
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.some(5, 0.5, Equipment.LOADS, Equipment.SCOPE);
  }
}
