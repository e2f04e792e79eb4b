package org.wiseember.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.bench.procedure.Held;
import org.wiseember.bench.procedure.IdleState;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.bench.procedure.PortSteps;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.procedure.StepByStep;
import org.wiseember.bench.procedure.SwitchOver;
import org.wiseember.bench.procedure.Watching;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.efficiency.LadderLoads;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.start.Nameplate;
import org.wiseember.workbook.Run;

/**
 * How a unit is tested, and why so.
 *
 * @param loads watts of the loads: one for a drain, the steps of a ladder, none for idling
 * @param volts nominal, of the outlet, or of the port for a DC drain
 * @param reason one sentence
 * @param particulars what else it is set up with, as kept with the run
 */
public record TestPlan(
    TestKind kind,
    List<Double> loads,
    double volts,
    String reason,
    Map<String, String> particulars) {
  /** Nominal volts taken where the label prints none. */
  static final double USUAL_VOLTS = 230;

  /** What people drain with when the label prints no rating, W. */
  static final double USUAL_WATTS = 200;

  static final double PORT_VOLTS = 12;

  /** What a 12 V port carries where the label does not say, A. */
  private static final double PORT_AMPS = 10;

  /** A port is loaded up to this share of its amps for hours. */
  private static final double PORT_SHARE = 0.9;

  private static final double C_RATE = 0.2;

  private static final double EXTRA_SECONDS = 300;
  private static final double SOAK_SECONDS = 86_400;

  /** How often a motor is tried, and the mains plug pulled. */
  private static final int STARTS = 5;

  private static final int PULLS = 5;

  /** How often a ladder is gone through. */
  private static final int ROUNDS = 2;

  public TestPlan {
    loads = List.copyOf(loads);
    particulars = Map.copyOf(particulars);
  }

  /** The plan of one kind for a unit; empty where its label does not say enough. */
  public static Optional<TestPlan> of(TestKind kind, Label label, OnHand onHand) {
    return switch (kind) {
      case AC_DRAIN -> acDrain(label);
      case DC_DRAIN -> dcDrain(label);
      case LADDER -> ladder(label, onHand.loads());
      case IDLE ->
          Optional.of(
              new TestPlan(
                  kind,
                  List.of(),
                  volts(label),
                  "Ten minutes each with all outputs on, each alone, eco mode, and all off.",
                  Map.of()));
      case CHARGE -> charge(label, onHand.charge());
      case OVERLOAD -> PowerPlans.overload(label, onHand);
      case STARTS -> Optional.of(PowerPlans.starts(label, onHand));
      case SWITCH_OVER -> Optional.of(PowerPlans.switchOver(label, onHand));
      case WAVEFORM -> PowerPlans.waveform(label, onHand);
      case PORT -> Optional.of(PowerPlans.port(label));
      case USB -> Optional.of(PowerPlans.usb(onHand));
      case HEAT -> PowerPlans.heat(label, onHand);
      case SOAK -> Optional.of(PowerPlans.soak(label));
      case TWO_LEGS -> Optional.of(PowerPlans.twoLegs());
    };
  }

  /** The plan a run was made by. */
  public static TestPlan of(Run run) {
    TestKind kind = TestKind.byKey(run.kind()).orElse(TestKind.AC_DRAIN);
    List<Double> loads = run.settings().loads();
    return new TestPlan(
        kind,
        loads.isEmpty() && kind.drains() ? List.of(run.settings().loadWatts()) : loads,
        run.settings().volts(),
        "",
        run.settings().particulars());
  }

  /** An AC drain with a load of one's own choice. */
  public static TestPlan acDrain(double watts, double volts, String reason) {
    return new TestPlan(TestKind.AC_DRAIN, List.of(watts), volts, reason, Map.of());
  }

  /**
   * An AC drain at half the rating, unless the label names the load its capacity holds at.
   *
   * @return empty when the label has no capacity to test
   */
  public static Optional<TestPlan> acDrain(Label label) {
    if (label.ratedWattHours().isEmpty()) {
      return Optional.empty();
    }
    double volts = volts(label);
    Optional<Double> named =
        label
            .claim(Subject.CAPACITY)
            .flatMap(c -> c.condition(Condition.Kind.AT_LOAD).stream().boxed().findFirst());
    if (named.isPresent()) {
      return Optional.of(
          acDrain(
              named.get(),
              volts,
              Figures.plain(named.get()) + " W, the load the label names for its capacity."));
    }
    return Optional.of(
        label
            .ratedWatts()
            .map(
                rated ->
                    acDrain(
                        rated / 2,
                        volts,
                        "Half of the "
                            + Figures.plain(rated)
                            + " W rating, since the label names no load for its capacity."))
            .orElseGet(
                () ->
                    acDrain(
                        USUAL_WATTS,
                        volts,
                        "200 W, since the label prints neither load nor rating.")));
  }

  /** Empty where something on the DC input may pass its volts, or nobody can say. */
  private static Optional<TestPlan> charge(Label label, ChargeSetting setting) {
    boolean sun = setting.sources().contains(ChargeSource.SOLAR);
    if (ChargeRefusal.of(label, setting).isPresent()) {
      return Optional.empty();
    }
    boolean several = setting.sources().size() > 1;
    return Optional.of(
        new TestPlan(
            TestKind.CHARGE,
            List.of(),
            volts(label),
            "From empty until it takes no more, from "
                + setting.words()
                + (several ? ": each alone for five minutes, then all together" : "")
                + (sun ? "; panels: " + setting.panels().get().words() : "")
                + ".",
            setting.particulars()));
  }

  /** Nominal at the outlet. */
  static double volts(Label label) {
    return label.claim(Subject.OUTPUT_VOLTAGE).map(Claim::figure).orElse(USUAL_VOLTS);
  }

  /** 0.2 C, the rate of IEC 61960-3 (recalled from memory), as far as the port carries it. */
  private static Optional<TestPlan> dcDrain(Label label) {
    if (label.ratedWattHours().isEmpty()) {
      return Optional.empty();
    }
    double wanted = C_RATE * label.ratedWattHours().orElseThrow();
    double amps = label.claim(Subject.DC_PORT_CURRENT).map(Claim::figure).orElse(PORT_AMPS);
    double carried = PORT_SHARE * amps * PORT_VOLTS;
    double watts = Math.floor(Math.min(wanted, carried));
    String rate = "0.2 C is " + Figures.fixed(wanted, 0) + " W";
    return Optional.of(
        new TestPlan(
            TestKind.DC_DRAIN,
            List.of(watts),
            PORT_VOLTS,
            wanted <= carried
                ? rate + ", the rate cells are rated at."
                : rate
                    + "; the 12 V port carries "
                    + Figures.plain(amps, Unit.AMPERE)
                    + ", so "
                    + Figures.plain(watts, Unit.WATT)
                    + " it is.",
            Map.of()));
  }

  private static Optional<TestPlan> ladder(Label label, List<Double> onHand) {
    if (label.ratedWatts().isEmpty() || onHand.isEmpty()) {
      return Optional.empty();
    }
    double rated = label.ratedWatts().orElseThrow();
    LadderLoads chosen = LadderLoads.choose(onHand, rated);
    if (chosen.watts().isEmpty()) {
      return Optional.empty();
    }
    List<String> steps = chosen.watts().stream().map(Figures::plain).toList();
    List<String> missing = chosen.missing().stream().map(p -> Figures.plain(p) + " %").toList();
    return Optional.of(
        new TestPlan(
            TestKind.LADDER,
            chosen.watts(),
            volts(label),
            String.join(", ", steps)
                + " W, twice, from the loads on hand"
                + (missing.isEmpty()
                    ? "."
                    : "; nothing on hand comes near " + String.join(", ", missing) + " of rating."),
            Map.of()));
  }

  /** The heaviest load, W; 0 for idling. */
  public double watts() {
    return loads.stream().mapToDouble(Double::doubleValue).max().orElse(0);
  }

  /** {@code AC drain at 600 W}. */
  public String title() {
    return switch (kind) {
      case AC_DRAIN, DC_DRAIN -> kind.words() + " at " + Figures.plain(watts()) + " W";
      case LADDER -> "Efficiency up to " + Figures.plain(watts()) + " W";
      case OVERLOAD, HEAT, WAVEFORM -> kind.words() + " up to " + Figures.plain(watts()) + " W";
      case STARTS ->
          kind.words() + Particulars.motor(particulars).map(m -> ", " + m.name()).orElse("");
      case PORT -> kind.words() + " up to " + Figures.plain(watts()) + " A";
      case CHARGE -> kind.words() + " from " + charging().words();
      case IDLE, SWITCH_OVER, USB, SOAK, TWO_LEGS -> kind.words();
    };
  }

  /** The test itself. */
  public Procedure procedure() {
    return switch (kind) {
      case AC_DRAIN -> Drain.ac(volts);
      case DC_DRAIN -> Drain.dc(watts(), volts);
      case LADDER -> new LoadLadder(loads, ROUNDS, volts);
      case IDLE -> new IdleWatch(List.of(IdleState.values()));
      case CHARGE -> new Charge(charging().sources());
      case OVERLOAD -> new OverloadHolds(held(), Particulars.base(particulars), volts);
      case STARTS -> new MotorStarts(STARTS, volts);
      case SWITCH_OVER -> new SwitchOver(loads.get(0), watts(), PULLS, volts);
      case WAVEFORM -> new WaveSteps(loads);
      case PORT -> new PortSteps(loads);
      case HEAT -> new HeatNoise(loads);
      case SOAK -> new Watching(SOAK_SECONDS);
      case USB ->
          new StepByStep(
              StepByStep.USB,
              ByHandSteps.usb(Particulars.usb(particulars)),
              ByHandSteps.usbCautions());
      case TWO_LEGS ->
          new StepByStep(StepByStep.TWO_LEGS, ByHandSteps.twoLegs(), ByHandSteps.twoLegsCautions());
    };
  }

  private List<Held> held() {
    List<Double> seconds = Particulars.holds(particulars);
    List<String> recipes = Particulars.recipes(particulars);
    List<Held> held = new ArrayList<>();
    for (int i = 0; i < loads.size(); i++) {
      held.add(
          new Held(
              loads.get(i),
              i < seconds.size() ? seconds.get(i) : EXTRA_SECONDS,
              i < recipes.size() ? recipes.get(i) : ""));
    }
    return held;
  }

  /** The motor that is started; empty in other tests. */
  public Optional<Nameplate> motor() {
    return Particulars.motor(particulars);
  }

  /** What a USB port is asked with. */
  public UsbTester usb() {
    return Particulars.usb(particulars);
  }

  /** How far from the unit the sound meter stands, m. */
  public double soundMetres() {
    return Particulars.metres(particulars);
  }

  /** What the unit is charged from. */
  public ChargeSetting charging() {
    return ChargeSetting.of(particulars);
  }
}
