package org.wiseember.core.charge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import org.testng.annotations.Test;
import org.wiseember.core.solar.Port;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/** Logs drawn by hand whose limits anyone can name. */
public class ChargeLimitsTest {
  private static final double STEP = 5;
  private static final KnownInputs LABEL =
      new KnownInputs(Optional.of(new Port(12, 60, 10, 400)), 900, 100);

  private static Trace trace(double seconds, Map<Channel, DoubleUnaryOperator> channels) {
    int n = (int) (seconds / STEP);
    double[] t = new double[n];
    Map<Channel, double[]> columns = new EnumMap<>(Channel.class);
    channels.keySet().forEach(c -> columns.put(c, new double[n]));
    for (int i = 0; i < n; i++) {
      t[i] = STEP * i;
      for (Map.Entry<Channel, DoubleUnaryOperator> c : channels.entrySet()) {
        columns.get(c.getKey())[i] = c.getValue().applyAsDouble(t[i]);
      }
    }
    return new Trace(t, columns);
  }

  private static ChargeLimits limits(Trace trace) {
    return ChargeLimits.of(trace, ChargeProfile.of(trace, Optional.empty()), LABEL).orElseThrow();
  }

  private static double plateauAndFall(double t, double watts, double knee, double end) {
    return t < knee ? watts : t < end ? watts * (1 - 0.92 * (t - knee) / (end - knee)) : 0;
  }

  /** Common practice, no published source: 325 W, then less and less near full. */
  @Test
  public void wattsThenTaper() {
    ChargeLimits found =
        limits(trace(9000, Map.of(Channel.IN_POWER, t -> plateauAndFall(t, 325, 6000, 8000))));
    LimitBand band = found.bands().get(0);
    assertEquals(band.inlet(), Inlet.ANY);
    assertEquals(band.at(3000), LimitingFactor.WATTS);
    assertEquals(band.at(7500), LimitingFactor.TAPER);
    assertEquals(band.at(8800), LimitingFactor.NOTHING);
    assertTrue(found.derating().isEmpty() && found.sharing().isEmpty());
    assertEquals(band.seconds(LimitingFactor.WATTS), 6000, 150);
  }

  /** Common practice, no published source: 1 000 W instead of 1 500 after a hard drain. */
  @Test
  public void hotUntilItCools() {
    DoubleUnaryOperator celsius = t -> 48 - 14 * Math.min(1, t / 3000);
    Trace log =
        trace(
            9000,
            Map.of(
                Channel.IN_POWER,
                t -> t < 1800 ? 1000 : plateauAndFall(t, 1500, 6000, 8000),
                Channel.CASE_TEMPERATURE,
                celsius));
    ChargeLimits found =
        ChargeLimits.of(log, ChargeProfile.of(log, Optional.empty()), KnownInputs.NOTHING)
            .orElseThrow();
    assertEquals(found.bands().get(0).at(900), LimitingFactor.TEMPERATURE);
    assertEquals(found.bands().get(0).at(4000), LimitingFactor.WATTS);
    Derating derating = found.derating().orElseThrow();
    assertEquals(derating.fromCelsius().orElseThrow(), celsius.applyAsDouble(1800), 0.3);
    assertEquals(derating.leastShare(), 2.0 / 3, 0.01);
    assertEquals(derating.seconds(), 1800, 60);
  }

  /** The same without a probe: it is held back, and nothing tells by what. */
  @Test
  public void withoutAProbeNoCauseIsMadeUp() {
    Trace log =
        trace(
            9000,
            Map.of(Channel.IN_POWER, t -> t < 1800 ? 1000 : plateauAndFall(t, 1500, 6000, 8000)));
    assertEquals(limits(log).bands().get(0).at(900), LimitingFactor.UNKNOWN);
  }

  @Test
  public void tooColdAtFirst() {
    DoubleUnaryOperator celsius = t -> -5 + t / 400;
    Trace log =
        trace(
            12_000,
            Map.of(
                Channel.IN_POWER,
                t -> t < 2400 ? 0 : plateauAndFall(t, 500, 9000, 11_000),
                Channel.CASE_TEMPERATURE,
                celsius));
    ChargeLimits found = limits(log);
    assertEquals(found.bands().get(0).at(1000), LimitingFactor.TEMPERATURE);
    assertEquals(found.coldUntil().orElseThrow(), 1, 0.3);
  }

  /** Common practice, no published source: 800 W solar first, mains top up to 1 500 W. */
  @Test
  public void solarFirstMainsTopUp() {
    DoubleUnaryOperator volts = t -> 40;
    DoubleUnaryOperator sun = t -> 20 - 8 * Math.sin(t / 900);
    Trace log =
        trace(
            7000,
            Map.of(
                Channel.IN_VOLTAGE,
                volts,
                Channel.IN_CURRENT,
                t -> t > 300 && t < 600 ? 0 : t < 6000 ? sun.applyAsDouble(t) : 0,
                Channel.WALL_POWER,
                t ->
                    t < 300
                        ? 0
                        : t < 600 ? 1200 : t < 6000 ? 1500 - 40 * sun.applyAsDouble(t) : 0));
    ChargeLimits found =
        ChargeLimits.of(
                log,
                ChargeProfile.of(log, Optional.empty()),
                new KnownInputs(Optional.of(new Port(12, 60, 40, 2000)), 1200, Double.NaN))
            .orElseThrow();
    Sharing sharing = found.sharing().orElseThrow();
    assertEquals(sharing.first(), List.of(Inlet.DC));
    assertEquals(sharing.toppingUp(), List.of(Inlet.WALL));
    assertEquals(sharing.cap().orElseThrow(), 1500, 5);
    assertEquals(found.band(Inlet.WALL).orElseThrow().at(450), LimitingFactor.WATTS);
    assertEquals(found.band(Inlet.WALL).orElseThrow().at(3000), LimitingFactor.SHARED_CAP);
    assertEquals(found.band(Inlet.DC).orElseThrow().at(3000), LimitingFactor.SOURCE);
  }

  /** Common practice, no published source: an adapter of 93 W and two USB-C ports make 213 W. */
  @Test
  public void sourcesThatAddUpMeetNoCap() {
    Trace log =
        trace(
            9000,
            Map.of(
                Channel.WALL_POWER,
                t -> t < 8000 ? 93 : 0,
                Channel.USB_IN_POWER,
                t -> t < 8000 ? 120 : 0));
    Sharing sharing = limits(log).sharing().orElseThrow();
    assertTrue(sharing.cap().isEmpty());
    assertEquals(sharing.most(), 213, 1);
  }

  /** 3.65 A at 30 V are 110 W: the amps of the port; at 12 V of a car the fuse of the car. */
  @Test
  public void ampsOfThePortOrOfTheSource() {
    KnownInputs label =
        new KnownInputs(Optional.of(new Port(11, 30, 3.65, 200)), Double.NaN, Double.NaN);
    for (double[] pair : new double[][] {{3.6, 1}, {2.5, 0}}) {
      Trace log =
          trace(
              9000,
              Map.of(Channel.IN_VOLTAGE, t -> 18, Channel.IN_CURRENT, t -> t < 8000 ? pair[0] : 0));
      ChargeLimits found =
          ChargeLimits.of(log, ChargeProfile.of(log, Optional.empty()), label).orElseThrow();
      assertEquals(
          found.band(Inlet.DC).orElseThrow().at(4000),
          pair[1] > 0 ? LimitingFactor.AMPS : LimitingFactor.SOURCE);
      assertEquals(found.mostAmps().orElseThrow(), pair[0], 1e-9);
    }
  }

  /**
   * The panels' meters answer every third time only, and one reading in ten of the wall is lost.
   */
  @Test
  public void metersWithPacesOfTheirOwn() {
    Trace log =
        trace(
            9000,
            Map.of(
                Channel.WALL_POWER,
                t -> t % 50 == 0 ? Double.NaN : plateauAndFall(t, 800, 6000, 8000),
                Channel.IN_VOLTAGE,
                t -> t % 15 == 0 ? 38 : Double.NaN,
                Channel.IN_CURRENT,
                t -> t % 15 == 0 ? (t < 8000 ? 4 + Math.sin(t / 700) : 0) : Double.NaN,
                Channel.ILLUMINANCE,
                t -> t % 15 == 0 ? 10_000 * (4 + Math.sin(t / 700)) : Double.NaN));
    ChargeFinding finding = ChargeProfile.of(log, Optional.empty());
    assertEquals(finding.taperStart().orElseThrow().value(), 6000, 100);
    ChargeLimits found = ChargeLimits.of(log, finding, LABEL).orElseThrow();
    assertEquals(found.band(Inlet.WALL).orElseThrow().at(3000), LimitingFactor.WATTS);
    assertEquals(found.band(Inlet.WALL).orElseThrow().at(7000), LimitingFactor.TAPER);
    assertEquals(found.band(Inlet.DC).orElseThrow().at(3000), LimitingFactor.SOURCE);
  }

  /** A string that stands above the window is refused until a panel is taken out of it. */
  @Test
  public void voltsOutsideTheWindow() {
    Trace log =
        trace(
            9000,
            Map.of(
                Channel.IN_VOLTAGE,
                t -> t < 2000 ? 66 : 40,
                Channel.IN_CURRENT,
                t -> t < 2000 || t > 8000 ? 0 : 6));
    ChargeLimits found = limits(log);
    assertEquals(found.band(Inlet.DC).orElseThrow().at(1000), LimitingFactor.VOLTS);
    assertEquals(found.band(Inlet.DC).orElseThrow().at(5000), LimitingFactor.SOURCE);
  }

  /** The whole beyond what its logged parts hold is a part of its own; meters at zero are none. */
  @Test
  public void partsOfTheWhole() {
    Trace log =
        trace(
            5000,
            Map.of(
                Channel.IN_POWER,
                t -> 700,
                Channel.IN_VOLTAGE,
                t -> 40,
                Channel.IN_CURRENT,
                t -> 5,
                Channel.USB_IN_POWER,
                t -> 0));
    ChargeParts parts = ChargeParts.of(log);
    assertEquals(parts.parts().keySet(), Set.of(Inlet.WALL, Inlet.DC));
    assertEquals(parts.parts().get(Inlet.WALL).value(100), 500.0, 1e-9);
    assertEquals(parts.whole().value(100), 700.0, 1e-9);
  }
}
