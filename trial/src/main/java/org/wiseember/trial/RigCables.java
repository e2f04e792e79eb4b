package org.wiseember.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.Port;
import org.wiseember.core.wiring.CableRun;
import org.wiseember.core.wiring.Connector;

/** The leads of the rig of a test: what they carry at worst, and what to take for them. */
public final class RigCables {
  /** An inverter gives out at this share of its nominal battery volts; common practice. */
  private static final double LOWEST = 0.875;

  /** Taken where no ladder has told the efficiency. */
  private static final double EFFICIENCY = 0.85;

  /** Volts at an outlet sag by so much under load. */
  private static final double SAG = 0.95;

  /** Panels give more than their sheet in cold, bright air: NEC 690.8, recalled from memory. */
  private static final double BRIGHT = 1.25;

  private static final double MOST_DROP = 3;
  private static final double BATTERY_METRES = 1;
  private static final double LOAD_METRES = 2;
  private static final double PORT_METRES = 1;
  private static final double CAR_METRES = 2;
  private static final double PANEL_METRES = 5;
  private static final double CAR_AMPS = 10;
  private static final double CAR_VOLTS = 12;
  private static final double MAINS_WATTS = 1000;
  private static final double SECOND_BATTERY_VOLTS = 20;
  private static final double USB_VOLTS = 20;
  private static final double USB_AMPS = 5;

  private final Label label;
  private final TestPlan plan;
  private final List<RigCable> cables = new ArrayList<>();

  private RigCables(TestPlan plan, Label label) {
    this.plan = plan;
    this.label = label;
  }

  /** The leads of a test's rig, those that carry the most first thought of. */
  public static List<RigCable> of(TestPlan plan, Label label) {
    RigCables rig = new RigCables(plan, label);
    rig.find();
    return List.copyOf(rig.cables);
  }

  private void find() {
    switch (plan.kind()) {
      case AC_DRAIN, LADDER, OVERLOAD, STARTS, SWITCH_OVER, WAVEFORM, HEAT, SOAK -> outlet();
      case DC_DRAIN -> port(plan.watts() / plan.volts());
      case PORT -> port(plan.watts());
      case CHARGE -> plan.charging().sources().forEach(this::source);
      case TWO_LEGS ->
          cable(
              "each unit to the loads",
              label.ratedWatts().orElse(TestPlan.USUAL_WATTS) / (SAG * TestPlan.volts(label)),
              LOAD_METRES,
              TestPlan.volts(label),
              Connector.MAINS_PLUG);
      case IDLE, USB -> {}
    }
  }

  private void outlet() {
    double watts =
        plan.kind() == TestKind.STARTS
            ? plan.motor().map(m -> m.volts() * Math.max(1, m.amps())).orElse(0.0)
            : plan.watts();
    battery(watts);
    if (watts > 0) {
      cable(
          "outlet to load",
          watts / (SAG * plan.volts()),
          LOAD_METRES,
          SAG * plan.volts(),
          Connector.MAINS_PLUG);
    }
  }

  /** An inverter without a pack of its own hangs on a battery. */
  private void battery(double acWatts) {
    Optional<Double> volts = label.claim(Subject.INPUT_VOLTAGE).map(Claim::figure);
    if (volts.isPresent() && label.ratedWattHours().isEmpty() && acWatts > 0) {
      double lowest = LOWEST * volts.get();
      cable(
          "battery to inverter",
          CableRun.batteryAmps(acWatts, EFFICIENCY, lowest),
          BATTERY_METRES,
          lowest,
          Connector.LUG);
    }
  }

  private void source(ChargeSource source) {
    Optional<Port> port = LabelInputs.port(label);
    switch (source) {
      case WALL ->
          cable(
              "wall to charger",
              label.claim(Subject.MAINS_POWER).map(Claim::figure).orElse(MAINS_WATTS)
                  / (SAG * TestPlan.volts(label)),
              LOAD_METRES,
              SAG * TestPlan.volts(label),
              Connector.MAINS_PLUG);
      case CAR -> cable("car socket to unit", CAR_AMPS, CAR_METRES, CAR_VOLTS, Connector.CAR_PLUG);
      case BATTERY ->
          cable(
              "second battery to unit",
              port.map(Port::amps).filter(Double::isFinite).orElse(CAR_AMPS),
              LOAD_METRES,
              SECOND_BATTERY_VOLTS,
              Connector.BATTERY_PLUG);
      case SOLAR -> plan.charging().panels().ifPresent(this::panels);
      case USB_C -> {
        double amps = Math.min(USB_AMPS, plan.charging().usbWatts() / USB_VOLTS);
        cable("USB-C charger to unit", amps, PORT_METRES, USB_VOLTS, Connector.USB_C);
      }
    }
  }

  private void panels(Arrangement a) {
    cable(
        "panels to unit",
        BRIGHT * a.parallel() * a.panel().shortAmps(),
        PANEL_METRES,
        a.series() * a.panel().peakVolts(),
        Connector.SOLAR_PLUG);
  }

  private void port(double amps) {
    cable("12 V port to load", amps, PORT_METRES, plan.volts(), Connector.CAR_PLUG);
  }

  private void cable(String where, double amps, double metres, double volts, Connector connector) {
    cables.add(
        new RigCable(where, amps, CableRun.thinnest(amps, metres, volts, MOST_DROP), connector));
  }
}
