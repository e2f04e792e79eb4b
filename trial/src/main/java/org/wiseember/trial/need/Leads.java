package org.wiseember.trial.need;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.wiring.CableRun;
import org.wiseember.core.wiring.Connector;

/** The leads of a rig: what they carry at worst, and what to take for them. */
public final class Leads {
  /** Volts at an outlet sag by so much under load. */
  public static final double SAG = 0.95;

  /** From the unit to what hangs on its outlet, m. */
  public static final double LOAD_METRES = 2;

  /** From a 12 V or USB port, m. */
  public static final double PORT_METRES = 1;

  /** An inverter gives out at this share of its nominal battery volts; common practice. */
  private static final double LOWEST = 0.875;

  /** Taken where no ladder has told the efficiency. */
  private static final double EFFICIENCY = 0.85;

  private static final double MOST_DROP = 3;
  private static final double BATTERY_METRES = 1;

  private final Label label;

  public Leads(Label label) {
    this.label = label;
  }

  /** From the outlet to a load, and from the battery of an inverter that has none of its own. */
  public List<RigCable> outlet(double watts, double volts) {
    List<RigCable> cables = new ArrayList<>(battery(watts));
    if (watts > 0) {
      cables.add(
          cable(
              RigCable.Part.TO_LOAD,
              "outlet to load",
              watts / (SAG * volts),
              LOAD_METRES,
              SAG * volts,
              Connector.MAINS_PLUG));
    }
    return cables;
  }

  private List<RigCable> battery(double acWatts) {
    Optional<Double> volts = label.claim(Subject.INPUT_VOLTAGE).map(Claim::figure);
    if (volts.isEmpty() || label.ratedWattHours().isPresent() || !(acWatts > 0)) {
      return List.of();
    }
    double lowest = LOWEST * volts.get();
    return List.of(
        cable(
            RigCable.Part.BATTERY,
            "battery to inverter",
            CableRun.batteryAmps(acWatts, EFFICIENCY, lowest),
            BATTERY_METRES,
            lowest,
            Connector.LUG));
  }

  /** From the 12 V port to a load. */
  public List<RigCable> port(double amps, double volts) {
    return List.of(
        cable(
            RigCable.Part.TO_LOAD,
            "12 V port to load",
            amps,
            PORT_METRES,
            volts,
            Connector.CAR_PLUG));
  }

  /** Any lead: the thinnest cable that carries it and keeps its drop. */
  public static RigCable cable(
      RigCable.Part part,
      String where,
      double amps,
      double metres,
      double volts,
      Connector connector) {
    return new RigCable(
        where, part, amps, CableRun.thinnest(amps, metres, volts, MOST_DROP), connector);
  }
}
