package org.wiseember.core.port;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.MeterClass;

/** Ports of any volts, sag and limit, read by meters that are off within their class. */
public class PortLadderPropertiesTest {
  private static final double VOLTS_PERCENT = 0.5;
  private static final double AMPS_PERCENT = 1;
  private static final int SECONDS_A_STEP = 25;

  /** What a port does: its volts without load, what it loses an ampere, and where it gives up. */
  private record Port(double open, double ohms, double most) {}

  private record Read(Port port, List<Double> asked, PortFinding finding) {}

  private static Read read(SplittableRandom random) {
    Port port =
        new Port(random.nextDouble(12, 14), random.nextDouble(0, 0.08), random.nextDouble(4, 14));
    List<Double> asked = new ArrayList<>();
    double step = random.nextDouble(0.5, 1.5);
    for (double amps = step; amps < 12; amps += step) {
      asked.add(Math.rint(100 * amps) / 100);
    }
    double gainU = 1 + VOLTS_PERCENT / 100 * (2 * random.nextDouble() - 1);
    double gainI = 1 + AMPS_PERCENT / 100 * (2 * random.nextDouble() - 1);
    int n = asked.size() * SECONDS_A_STEP;
    double[] t = new double[n];
    double[] u = new double[n];
    double[] i = new double[n];
    boolean off = false;
    for (int k = 0; k < n; k++) {
      double amps = asked.get(k / SECONDS_A_STEP);
      off |= amps > port.most();
      t[k] = k;
      u[k] = off ? 0 : gainU * (port.open() - port.ohms() * amps) + 0.002 * random.nextGaussian();
      i[k] = off ? 0 : gainI * amps + 0.002 * random.nextGaussian();
    }
    Trace trace = new Trace(t, Map.of(Channel.DC_VOLTAGE, u, Channel.DC_CURRENT, i));
    return new Read(
        port,
        asked,
        PortLadder.of(
            trace,
            MeterClass.ofReading(VOLTS_PERCENT, 0, 0.001),
            MeterClass.ofReading(AMPS_PERCENT, 0, 0.001),
            Treatment.NONE,
            asked));
  }

  @Test
  public void theFiguresHoldTheTruthInNineOfTen() {
    SplittableRandom random = new SplittableRandom(91);
    int tripped = 0;
    int tripHeld = 0;
    int ohmsHeld = 0;
    int rounds = Thorough.tries(60, 200);
    for (int n = 0; n < rounds; n++) {
      Read r = read(random);
      Figure ohms = r.finding().ohms().orElseThrow();
      ohmsHeld += Math.abs(ohms.value() - r.port().ohms()) <= ohms.u95() + 1e-4 ? 1 : 0;
      if (r.finding().tripAmps().isPresent()) {
        Figure trip = r.finding().tripAmps().get();
        tripped++;
        tripHeld += Math.abs(trip.value() - r.port().most()) <= trip.u95() ? 1 : 0;
      }
    }
    assertTrue(tripped > rounds / 2, tripped + " switched off");
    assertTrue(tripHeld >= 0.9 * tripped, tripHeld + " of " + tripped + " trips held");
    assertTrue(ohmsHeld >= 0.9 * rounds, ohmsHeld + " of " + rounds + " slopes held");
  }

  /** A port that never gave up carried at least what it was asked; one that did, no more. */
  @Test
  public void whatNeverSwitchedOffIsABound() {
    SplittableRandom random = new SplittableRandom(92);
    int held = 0;
    for (int n = 0; n < 100; n++) {
      Read r = read(random);
      double most = r.asked().get(r.asked().size() - 1);
      boolean gaveUp = r.port().most() < most;
      Figure amps = r.finding().mostAmps().orElseThrow();
      held += gaveUp ? 0 : 1;
      assertEquals(
          amps.bound(), Bound.AT_LEAST, "it carried so much; where it gives up is told apart");
      assertEquals(r.finding().tripAmps().isPresent(), gaveUp);
      assertEquals(r.finding().warns("port_held"), !gaveUp);
      assertTrue(amps.low() <= r.port().most(), amps.words() + " of " + r.port());
    }
    assertTrue(held > 5 && held < 95, held + " never switched off");
  }
}
