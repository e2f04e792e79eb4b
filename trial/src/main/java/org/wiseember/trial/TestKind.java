package org.wiseember.trial;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.bench.procedure.PortSteps;
import org.wiseember.bench.procedure.StepByStep;
import org.wiseember.bench.procedure.SwitchOver;
import org.wiseember.bench.procedure.Watching;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.bench.simulated.Beside;
import org.wiseember.bench.simulated.Clamped;
import org.wiseember.core.charge.ChargeSource;

/** The tests a bench can make of a unit. */
public enum TestKind {
  AC_DRAIN("AC drain", Drain.AC, Clamped.NOWHERE),
  DC_DRAIN("DC drain", Drain.DC, Clamped.PORT),
  LADDER("Efficiency", LoadLadder.KIND, Clamped.BATTERY),
  IDLE("Idle draw", IdleWatch.KIND, Clamped.BATTERY),
  CHARGE("Charge", Charge.KIND, Clamped.NOWHERE),
  OVERLOAD("Overload", OverloadHolds.KIND, Clamped.NOWHERE),
  STARTS("Motor starts", MotorStarts.KIND, Clamped.NOWHERE),
  SWITCH_OVER("Switch-over", SwitchOver.KIND, Clamped.NOWHERE),
  WAVEFORM("Waveform", WaveSteps.KIND, Clamped.NOWHERE),
  PORT("12 V port", PortSteps.KIND, Clamped.PORT),
  USB("USB", StepByStep.USB, Clamped.NOWHERE),
  HEAT("Heat and noise", HeatNoise.KIND, Clamped.NOWHERE),
  SOAK("Soak", Watching.KIND, Clamped.NOWHERE),
  TWO_LEGS("Two units, 240 V", StepByStep.TWO_LEGS, Clamped.NOWHERE);

  private final String words;
  private final String key;
  private final Clamped clamped;

  TestKind(String words, String key, Clamped clamped) {
    this.words = words;
    this.key = key;
    this.clamped = clamped;
  }

  public String words() {
    return words;
  }

  /** As kept with a run. */
  public String key() {
    return key;
  }

  public boolean drains() {
    return this == AC_DRAIN || this == DC_DRAIN;
  }

  /** Whether it can hurt somebody, so that its cautions have to be seen before it starts. */
  public boolean hazardous() {
    return this == OVERLOAD
        || this == STARTS
        || this == SWITCH_OVER
        || this == WAVEFORM
        || this == TWO_LEGS;
  }

  /** Whether it is made by hand whatever stands on the bench: such meters have no wire. */
  public boolean byHandOnly() {
    return this == USB || this == TWO_LEGS;
  }

  /** Whether a log of readings tells it; starts and waves want captures. */
  public boolean inLogs() {
    return this != STARTS && this != USB && this != WAVEFORM;
  }

  Clamped clamped() {
    return clamped;
  }

  /** What stands beside the meters on the outlet. */
  Set<Beside> beside(ChargeSetting charging) {
    return switch (this) {
      case SWITCH_OVER -> Set.of(Beside.WALL_METER);
      case HEAT -> Set.of(Beside.SOUND_METER, Beside.CAMERA);
      case CHARGE -> inputs(charging.sources());
      default -> Set.of();
    };
  }

  private static Set<Beside> inputs(Set<ChargeSource> sources) {
    Set<Beside> beside = EnumSet.of(Beside.TIME_TO_FULL);
    for (ChargeSource source : sources) {
      beside.add(
          switch (source.inlet()) {
            case DC -> Beside.INPUT_METER;
            case USB_C -> Beside.USB_METER;
            default -> Beside.WALL_METER;
          });
    }
    if (sources.contains(ChargeSource.SOLAR)) {
      beside.add(Beside.LUX_METER);
    }
    return beside;
  }

  /** The test with this key; empty for another kind of run. */
  public static Optional<TestKind> byKey(String key) {
    return Arrays.stream(values()).filter(k -> k.key.equals(key)).findFirst();
  }
}
