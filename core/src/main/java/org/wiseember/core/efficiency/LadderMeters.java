package org.wiseember.core.efficiency;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * The meters of a ladder.
 *
 * @param acPower on the outlet
 * @param dcVoltage at the inverter's DC terminals
 * @param dcCurrent clamp on the DC lead
 * @param dcPower of a meter that gives DC watts itself
 * @param assumed true when nobody said how good they are
 */
public record LadderMeters(
    MeterClass acPower,
    MeterClass dcVoltage,
    MeterClass dcCurrent,
    MeterClass dcPower,
    boolean assumed) {
  /** What is assumed of meters nobody described. */
  public static LadderMeters unknown() {
    return new LadderMeters(
        AssumedMeter.of(Unit.WATT),
        AssumedMeter.of(Unit.VOLT),
        AssumedMeter.of(Unit.AMPERE),
        AssumedMeter.of(Unit.WATT),
        true);
  }

  /** Every reading ± the same share, %. */
  public static LadderMeters ofReading(double percent) {
    MeterClass meter = MeterClass.ofReading(percent, 0, 0);
    return new LadderMeters(meter, meter, meter, meter, false);
  }

  /**
   * What the DC meters' limits do to a result, rounding apart.
   *
   * @param volts at the DC terminals; empty where a meter gave watts itself
   * @param watts in
   * @param sensitivity of the result to a watt
   */
  public List<Contribution> dcLimits(OptionalDouble volts, double watts, double sensitivity) {
    if (volts.isEmpty() || !(volts.getAsDouble() > 0)) {
      return dcPower.limits("DC watts", watts, sensitivity);
    }
    double v = volts.getAsDouble();
    double amps = watts / v;
    List<Contribution> lines = new ArrayList<>();
    lines.addAll(dcVoltage.limits("Voltmeter", v, amps * sensitivity));
    lines.addAll(dcCurrent.limits("Clamp", amps, v * sensitivity));
    return lines;
  }
}
