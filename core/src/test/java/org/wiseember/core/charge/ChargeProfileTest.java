package org.wiseember.core.charge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/** Charges whose figures are known, with noise, standby, steps and exponential falls. */
public class ChargeProfileTest {
  private static Trace trace(double step, double seconds, double noise, DoubleUnaryOperator watts) {
    SplittableRandom random = new SplittableRandom(4);
    int n = (int) (seconds / step) + 1;
    double[] t = new double[n];
    double[] p = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = i * step;
      double w = watts.applyAsDouble(t[i]);
      p[i] = Math.max(0, w * (1 + noise * random.nextGaussian()));
    }
    return new Trace(t, Map.of(Channel.IN_POWER, p));
  }

  /** Constant to 3 600 s, then exponential with a time constant, then off at 30 W. */
  private static double fall(double t, double watts, double knee, double tau, double standby) {
    if (t < 60) {
      return standby;
    }
    double since = t - 60;
    double w = since < knee ? watts : watts * Math.exp(-(since - knee) / tau);
    return w < 0.08 * watts ? standby : w;
  }

  @DataProvider
  Object[][] falls() {
    return new Object[][] {
      {1.0, 900.0, 3600.0, 900.0, 0.0, 0.003},
      {10.0, 900.0, 3600.0, 900.0, 8.0, 0.003},
      {5.0, 120.0, 9000.0, 2400.0, 2.0, 0.01},
      {30.0, 1500.0, 2400.0, 500.0, 12.0, 0.0},
      {2.0, 325.0, 5400.0, 300.0, 5.0, 0.005},
    };
  }

  @Test(dataProvider = "falls")
  public void anExponentialFall(
      double step, double watts, double knee, double tau, double standby, double noise) {
    double stops = knee + tau * Math.log(1 / 0.08);
    Trace log = trace(step, stops + 600, noise, t -> fall(t, watts, knee, tau, standby));
    ChargeFinding f = ChargeProfile.of(log, Optional.empty());
    double energy = (watts * knee + watts * tau * (1 - 0.08)) / 3600;
    assertEquals(f.energyIn().orElseThrow().value(), energy, 0.01 * energy);
    assertEquals(f.peakPower().orElseThrow().value(), watts, 0.01 * watts);
    assertEquals(f.timeToFull().orElseThrow().value(), stops, 2 * step + 0.01 * stops);
    double at80 = 0.8 * energy * 3600 / watts;
    if (at80 < knee) {
      assertEquals(f.timeTo80().orElseThrow().value(), at80, step + 0.01 * at80);
    }
    double share = 100 * watts * knee / 3600 / energy;
    assertEquals(f.taperShare().orElseThrow().value(), share, 2, "knee within 2 % of charge");
    assertEquals(f.taperStart().orElseThrow().value(), knee, 0.02 * stops + step);
  }

  /** Common practice, no published source: 325 W, then 180 W near full. */
  @Test
  public void aStepNearFull() {
    Trace log = trace(5, 9000, 0.004, t -> t < 100 ? 0 : t < 7100 ? 325 : t < 8000 ? 180 : 0);
    ChargeFinding f = ChargeProfile.of(log, Optional.empty());
    assertEquals(f.taperStart().orElseThrow().value(), 7000, 60);
    assertEquals(f.timeToFull().orElseThrow().value(), 7900, 10);
    assertEquals(f.energyIn().orElseThrow().value(), (325 * 7000 + 180 * 900) / 3600.0, 3);
  }

  /** Hot first, then cooled: the slow part before is no taper. */
  @Test
  public void deratedWhileHot() {
    Trace log =
        trace(
            5,
            9000,
            0.003,
            t ->
                t < 1800 ? 1000 : t < 4800 ? 1500 : t < 8000 ? 1500 - 1400 * (t - 4800) / 3200 : 4);
    ChargeFinding f = ChargeProfile.of(log, Optional.empty());
    assertEquals(f.taperStart().orElseThrow().value(), 4800, 160);
    assertEquals(f.peakPower().orElseThrow().value(), 1500, 15);
  }

  /** A charge that is cut off at full power has no taper; one that is still going is not full. */
  @Test
  public void withoutTaperAndWithoutEnd() {
    ChargeFinding square =
        ChargeProfile.of(trace(5, 4000, 0.003, t -> t < 3000 ? 500 : 0), Optional.empty());
    assertTrue(square.taperStart().isEmpty());
    assertTrue(square.timeToFull().isPresent());
    ChargeFinding going = ChargeProfile.of(trace(5, 3000, 0.003, t -> 500), Optional.empty());
    assertTrue(going.timeToFull().isEmpty() && going.timeTo80().isEmpty());
    assertTrue(going.warnings().stream().anyMatch(w -> w.code().equals("not_full")));
    assertEquals(going.energyIn().orElseThrow().value(), 500 * 3000 / 3600.0, 4);
  }

  /** Volts × amps, a wall meter logged as AC, and a pack's own current all tell a charge. */
  @Test
  public void whereTheWattsComeFrom() {
    double[] t = new double[1200];
    double[] volts = new double[1200];
    double[] amps = new double[1200];
    double[] watts = new double[1200];
    double[] into = new double[1200];
    for (int i = 0; i < t.length; i++) {
      t[i] = 10 * i;
      volts[i] = 20;
      amps[i] = i < 900 ? 5 : 0;
      watts[i] = i < 900 ? 100 : 0;
      into[i] = -amps[i];
    }
    List<Map<Channel, double[]>> logs =
        List.of(
            Map.of(Channel.IN_VOLTAGE, volts, Channel.IN_CURRENT, amps),
            Map.of(Channel.AC_POWER, watts),
            Map.of(Channel.DC_VOLTAGE, volts, Channel.DC_CURRENT, into));
    for (Map<Channel, double[]> log : logs) {
      ChargeFinding f = ChargeProfile.of(new Trace(t, log), Optional.empty());
      assertEquals(f.energyIn().orElseThrow().value(), 100 * 8990 / 3600.0, 1, "" + log.keySet());
    }
    ChargeFinding none =
        ChargeProfile.of(new Trace(t, Map.of(Channel.FREQUENCY, volts)), Optional.empty());
    assertEquals(none.warnings().get(0).code(), "no_input");
  }
}
