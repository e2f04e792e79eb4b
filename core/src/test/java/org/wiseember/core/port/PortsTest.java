package org.wiseember.core.port;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.MeterClass;

/** Ports under rising current, and what their testers can show. */
public class PortsTest {
  private static final MeterClass VOLTS = MeterClass.ofReading(0.05, 2, 0.001);
  private static final MeterClass AMPS = MeterClass.ofReading(0.1, 2, 0.001);

  /** A port of these volts and ohms, read behind leads, stepped up until it trips. */
  private static Trace ladder(
      double volts, double ohms, double leads, double trips, double... amps) {
    int each = 20;
    double[] t = new double[amps.length * each];
    double[] u = new double[t.length];
    double[] i = new double[t.length];
    for (int k = 0; k < t.length; k++) {
      double a = amps[k / each];
      boolean off = Arrays.stream(amps).limit(k / each + 1L).anyMatch(x -> x > trips);
      t[k] = k;
      i[k] = off ? 0 : a;
      u[k] = off ? 0 : volts - (ohms + leads) * a;
    }
    return new Trace(t, Map.of(Channel.DC_VOLTAGE, u, Channel.DC_CURRENT, i));
  }

  /**
   * Common practice, no published source: a regulated port holds 13.3 V flat, a 10 A label trips at
   * 10.5 A, and 1.5 V at 10 A are lost in leads of 0.15 Ω: 130 W at the unit, 115 W at the meter.
   */
  @Test
  public void aRegulatedPortBehindLeads() {
    double[] amps = {0, 2, 4, 6, 8, 9, 10, 10.4, 11};
    Trace trace = ladder(13.3, 0, 0.15, 10.5, amps);
    List<Double> asked = Arrays.stream(amps).boxed().toList();
    PortFinding blind = PortLadder.of(trace, VOLTS, AMPS, Treatment.NONE, asked);
    assertFalse(blind.regulated());
    assertTrue(blind.warnings().stream().anyMatch(w -> w.code().equals("leads_in")));
    PortFinding found = PortLadder.of(trace, VOLTS, AMPS, Treatment.NONE.withLeadOhms(0.15), asked);
    assertTrue(found.regulated());
    assertEquals(found.openVolts().orElseThrow().value(), 13.3, 0.001);
    assertEquals(found.ohms().orElseThrow().value(), 0, 0.001);
    assertEquals(found.mostAmps().orElseThrow().value(), 10.4, 1e-9);
    double trip = found.tripAmps().orElseThrow().value();
    double u = found.tripAmps().orElseThrow().u95();
    assertTrue(Math.abs(trip - 10.5) <= u && u <= 0.31, trip + " ± " + u);
    PortPoint ten = found.points().stream().filter(p -> p.amps() == 10).findFirst().orElseThrow();
    assertEquals(ten.watts(), 133, 0.1);
    PortPoint seen = blind.points().stream().filter(p -> p.amps() == 10).findFirst().orElseThrow();
    assertEquals(ten.watts() - seen.watts(), 15, 0.01);
    assertTrue(
        found.mostAmps().orElseThrow().because().workedOut().stream()
            .anyMatch(s -> s.contains("1.56 V")));
  }

  @Test
  public void aPortThatSags() {
    PortFinding found =
        PortLadder.of(
            ladder(12.8, 0.12, 0, 99, 0, 2, 5, 8), VOLTS, AMPS, Treatment.NONE, List.of());
    assertFalse(found.regulated());
    assertEquals(found.ohms().orElseThrow().value(), 0.12, 0.002);
    assertTrue(found.tripAmps().isEmpty());
    assertTrue(found.warnings().stream().anyMatch(w -> w.code().equals("port_held")));
  }

  @Test
  public void nothingReadIsSaid() {
    assertTrue(
        PortLadder.of(Trace.empty(), VOLTS, AMPS, Treatment.NONE, List.of()).warnings().stream()
            .anyMatch(w -> w.code().equals("no_dc")));
    Trace dead =
        new Trace(
            new double[] {0, 1, 2, 3},
            Map.of(
                Channel.DC_VOLTAGE, new double[] {0, 0, 0, 0},
                Channel.DC_CURRENT, new double[] {0, 0, 0, 0}));
    assertTrue(
        PortLadder.of(dead, VOLTS, AMPS, Treatment.NONE, List.of()).warnings().stream()
            .anyMatch(w -> w.code().equals("no_volts")));
  }

  /** Common practice, no published source: a 5 V tester cannot show a 100 W claim. */
  @Test
  public void aTesterShowsWhatItCanAskFor() {
    assertFalse(UsbTester.FIVE_VOLT.canShow(100));
    assertFalse(UsbTester.FIVE_VOLT.canShow(18));
    assertTrue(UsbTester.FIVE_VOLT.canShow(15));
    assertTrue(UsbTester.FAST_CHARGE.canShow(18));
    assertTrue(UsbTester.PD_60.canShow(60) && !UsbTester.PD_60.canShow(100));
    assertTrue(UsbTester.PD_100.canShow(100));
    assertEquals(UsbTester.needed(100), UsbTester.PD_100.words());
    assertTrue(UsbTester.needed(500).contains("beyond"));
  }

  /** An output that goes off with charge left went off by itself. */
  @Test
  public void aSoakTellsEcoFromEmpty() {
    int n = 3600;
    double[] t = new double[n];
    double[] v = new double[n];
    double[] w = new double[n];
    double[] soc = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = 10 * i;
      v[i] = i < 3000 ? 230 : 0;
      w[i] = i < 3000 ? 4 : 0;
      soc[i] = 90;
    }
    Map<Channel, double[]> columns =
        Map.of(Channel.AC_VOLTAGE, v, Channel.AC_POWER, w, Channel.DISPLAY_CHARGE, soc);
    SwitchedOff off = SwitchedOff.in(new Trace(t, columns)).orElseThrow();
    assertTrue(off.byItself());
    assertEquals(off.at(), 30_000, 10);
    assertEquals(off.watts(), 4, 0.01);
    assertTrue(off.words().contains("by itself"), off.words());
    Arrays.fill(soc, 0);
    assertFalse(SwitchedOff.in(new Trace(t, columns)).orElseThrow().byItself());
    Arrays.fill(v, 230);
    assertTrue(SwitchedOff.in(new Trace(t, columns)).isEmpty());
  }
}
