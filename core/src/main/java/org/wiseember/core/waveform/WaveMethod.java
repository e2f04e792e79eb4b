package org.wiseember.core.waveform;

import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What figures of a wave depend on besides the capture.
 *
 * @param orders highest harmonic, 40 or 50
 * @param scale accuracy of the volts: probe, transformer and scope together
 * @param scaleAssumed true when nobody said how good they are
 * @param leastHertz lowest frequency looked for
 * @param mostHertz highest frequency looked for
 */
public record WaveMethod(
    int orders, MeterClass scale, boolean scaleAssumed, double leastHertz, double mostHertz) {
  /** Harmonics are told up to here unless more are asked for, IEC 61000-4-7 (from memory). */
  public static final int USUAL_ORDERS = 40;

  /** Highest order that can be asked for. */
  public static final int MOST_ORDERS = 50;

  public WaveMethod {
    if (orders < 2 || orders > MOST_ORDERS) {
      throw new IllegalArgumentException("harmonics are told from order 2 to 50");
    }
  }

  /** For a capture of unknown scale: ± 2 % of reading. */
  public static WaveMethod assumed(int orders) {
    return new WaveMethod(orders, AssumedMeter.of(Unit.VOLT), true, 15, 450);
  }

  /** For probe and scope of a known class. */
  public static WaveMethod measuredWith(int orders, MeterClass scale) {
    return new WaveMethod(orders, scale, false, 15, 450);
  }
}
